import { useRef, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { MapPicture } from '@/core/model/map-picture';
import { isWorldFile, readWorldFile, type World } from '@/formats/picture/world-file';
import { addPicture } from '@/store/pictures/pictures';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { askToKeep, browserDatabase } from '@/store/browser-database';
import type { PictureAnswer, PreparedPicture } from '@/workers/pictures/pictures-protocol';
import { PictureReader, Stopped } from '@/workers/pictures/pictures';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

/** A picture that is larger than is kept, until it is said whether to scale it down. */
export interface Asked {
  readonly file: File;
  readonly world: World | null;
  readonly answer: PictureAnswer & { kind: 'too-large' };
}

const plainName = (name: string) =>
  name
    .replace(/\.\w+$/, '')
    .replace(/[\s;]+/g, ' ')
    .trim()
    .slice(0, 100) || 'Map';

/** Stores a prepared picture; resolves to its id. */
async function kept(
  prepared: PreparedPicture,
  name: string,
  world: World | null,
  rest: Partial<MapPicture>,
): Promise<string> {
  const { width, height, blob, thumbnail, projection } = prepared;
  const place = world ?? prepared.world;
  const picture: MapPicture = {
    id: crypto.randomUUID(),
    name,
    addedAt: new Date().toISOString(),
    width,
    height,
    bytes: blob.size,
    controls: [],
    ...(place && { world: place }),
    ...(projection !== null && { projection }),
    ...rest,
  };
  await addPicture(browserDatabase(), picture, { blob, thumbnail });
  askToKeep();
  return picture.id;
}

/** The world file among some files; null for none, or why it can't be read. */
async function worldOf(files: readonly File[]): Promise<World | null | string> {
  const file = files.find(({ name }) => isWorldFile(name));
  if (!file) return null;
  const read = readWorldFile(await file.text());
  return read.ok ? read.value : faultMessage(nth(read.fault, 0).fault);
}

/** A picture that takes longer to read is damaged, or too much for this device. */
const LONGEST_READING_MS = 60_000;

/** Adds pictures of maps: decoded in a worker, scaled down only where that was agreed. */
export function useAddPicture(onAdded: (id: string) => void) {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const reading = useRef<PictureReader | null>(null);
  const take = async (
    file: File,
    world: World | null,
    mayScale: boolean,
    rest: Partial<MapPicture> = {},
  ) => {
    setBusy(true);
    setFault(null);
    setAsked(null);
    const reader = new PictureReader();
    reading.current = reader;
    const timer = setTimeout(() => reader.stop(WORDS.tooSlow), LONGEST_READING_MS);
    try {
      const answer = await reader.prepare(file, mayScale);
      if (answer.kind === 'unreadable') return setFault(answer.why ?? WORDS.unreadable);
      if (answer.kind === 'too-large') return setAsked({ file, world, answer });
      onAdded(await kept(answer, plainName(file.name), world, rest));
      if (answer.otherDatum !== null) setFault(WORDS.otherDatum(answer.otherDatum));
    } catch (error) {
      if (error instanceof Stopped) return setFault(error.message);
      const fault = storeFault(error);
      // Outings are stored on this device: it is the picture that the browser refuses.
      setFault(STORE_MESSAGES[fault === 'unavailable' ? 'no-files' : fault]);
    } finally {
      clearTimeout(timer);
      reader.stop();
      reading.current = null;
      setBusy(false);
    }
  };
  const takeFiles = async (files: readonly File[]) => {
    const world = await worldOf(files);
    const picture = files.find(({ name }) => !isWorldFile(name));
    if (typeof world === 'string') return setFault(world);
    if (picture) await take(picture, world, false);
  };
  return {
    busy,
    fault,
    asked,
    stop: () => reading.current?.stop(WORDS.stopped),
    takeFiles,
    take,
    agree: () => asked && take(asked.file, asked.world, true),
    refuse: () => setAsked(null),
  };
}
