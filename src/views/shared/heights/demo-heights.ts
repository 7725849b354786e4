import { keepHeightsInWorker } from '@/workers/heights/heights';

const FILE = 'ormsay-lake.asc';

/** The grid of the demo's map: the file names none. */
export const DEMO_GRID = '+proj=utm +zone=20 +datum=WGS84';

/** The heights of the demo's invented country; null where they can't be fetched. */
export async function demoHeights(): Promise<File | null> {
  try {
    const answer = await fetch(`/demo/${FILE}`);
    return answer.ok ? new File([await answer.blob()], FILE) : null;
  } catch {
    return null;
  }
}

/** Keeps them on the device, beside the demo's outings. */
export async function keepDemoHeights(): Promise<void> {
  const content = await demoHeights();
  if (!content) return;
  const files = [{ name: FILE, content }];
  await keepHeightsInWorker({ files, map: DEMO_GRID }, () => undefined).answer;
}
