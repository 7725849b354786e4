import type { World } from '../../formats/picture/world-file';

/** A picture with more pixels or bytes is scaled down, if the person agrees. */
export const MOST_PIXELS = 40_000_000;
export const MOST_BYTES = 60_000_000;

/** The side of a tile, in pixels. */
export const TILE = 512;

/** A picture that is ready to be kept. */
export interface PreparedPicture {
  readonly kind: 'ready';
  readonly blob: Blob;
  readonly thumbnail: Blob;
  readonly width: number;
  readonly height: number;
  /** What the file itself says of its place. */
  readonly world: World | null;
  readonly projection: string | null;
  /** The EPSG number of a datum that its degrees are of, which are left out for it; or null. */
  readonly otherDatum: number | null;
}

export type PictureAnswer =
  | PreparedPicture
  /** It is too large, and would have this size if it were scaled down. */
  | {
      readonly kind: 'too-large';
      readonly width: number;
      readonly height: number;
      readonly bytes: number;
      readonly scaled: { readonly width: number; readonly height: number };
    }
  /** `why` in words, where it is known. */
  | { readonly kind: 'unreadable'; readonly why: string | null };

/** A picture that is open: its size, and how many times it was halved. */
export interface OpenPicture {
  readonly width: number;
  readonly height: number;
  readonly levels: number;
}

/** What the worker of pictures offers: one picture at a time. */
export interface PicturesWorker {
  /** Reads a file that is to be kept; scales it down where that was agreed. */
  prepare(file: Blob, mayScale: boolean): Promise<PictureAnswer>;
  open(file: Blob): Promise<OpenPicture | null>;
  /** A square of the picture, halved so many times; null beyond its edges. */
  tile(level: number, column: number, row: number): Promise<ImageBitmap | null>;
}
