import { useEffect, useRef, useState } from 'react';
import type { OpenPicture } from '@/workers/pictures/pictures-protocol';
import { PictureReader } from '@/workers/pictures/pictures';

/** Tiles that are kept: some screens of them. */
const MOST_TILES = 160;

/** The tiles of one picture: those that are here, and those that were asked for. */
export class Tiles {
  private readonly here = new Map<string, ImageBitmap>();
  private readonly asked = new Set<string>();

  constructor(
    private readonly reader: PictureReader,
    readonly size: OpenPicture,
    private readonly onTile: () => void,
  ) {}

  /** The tile, if it is here; else it is asked for, and shown when it comes. */
  tile(level: number, column: number, row: number): ImageBitmap | null {
    const key = `${level} ${column} ${row}`;
    const found = this.here.get(key);
    if (found) {
      // The newest in use are the last to go.
      this.here.delete(key);
      this.here.set(key, found);
      return found;
    }
    if (!this.asked.has(key)) {
      this.asked.add(key);
      this.reader.tile(level, column, row).then(
        (tile) => tile && this.keep(key, tile),
        () => undefined,
      );
    }
    return null;
  }

  private keep(key: string, tile: ImageBitmap): void {
    this.here.set(key, tile);
    for (const [oldest, old] of this.here) {
      if (this.here.size <= MOST_TILES) break;
      this.here.delete(oldest);
      this.asked.delete(oldest);
      old.close();
    }
    this.onTile();
  }

  close(): void {
    for (const tile of this.here.values()) tile.close();
    this.here.clear();
  }
}

export type TilesState =
  | { readonly status: 'loading' | 'unreadable' }
  | { readonly status: 'ready'; readonly tiles: Tiles };

/** The tiles of a picture, decoded in a worker; `arrived` counts those that came. */
export function useTiles(file: Blob | null): { state: TilesState; arrived: number } {
  const [state, setState] = useState<TilesState>({ status: 'loading' });
  const [arrived, setArrived] = useState(0);
  const frame = useRef(0);
  useEffect(() => {
    if (!file) return;
    const reader = new PictureReader();
    let tiles: Tiles | null = null;
    // Tiles that come in one frame are drawn at once.
    const onTile = () => {
      cancelAnimationFrame(frame.current);
      frame.current = requestAnimationFrame(() => setArrived((count) => count + 1));
    };
    reader.open(file).then(
      (size) => {
        if (!size) return setState({ status: 'unreadable' });
        tiles = new Tiles(reader, size, onTile);
        setState({ status: 'ready', tiles });
      },
      () => setState({ status: 'unreadable' }),
    );
    return () => {
      cancelAnimationFrame(frame.current);
      tiles?.close();
      reader.stop();
    };
  }, [file]);
  return { state, arrived };
}
