const FILE = 'ormsay-lake.asc';

/** The heights of the demo's invented country; null where they can't be fetched. */
export async function demoHeights(): Promise<File | null> {
  try {
    const answer = await fetch(`/demo/${FILE}`);
    return answer.ok ? new File([await answer.blob()], FILE) : null;
  } catch {
    return null;
  }
}

/** The grid of the demo's map: the file names none. */
export const DEMO_GRID = '+proj=utm +zone=20 +datum=WGS84';
