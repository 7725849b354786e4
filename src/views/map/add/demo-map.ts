import type { MapPicture } from '@/core/model/map-picture';
import controls from '../../../../demo/ormsay-lake.controls.json';

/** The file of the demo's map, and where four crossings of its grid are in it. */
const FILE = 'ormsay-lake.png';

interface DemoPicture {
  readonly file: File;
  readonly about: Pick<MapPicture, 'name' | 'controls'>;
}

/** The invented map of the demo, tied by four crossings; null where it can't be fetched. */
export async function demoPicture(): Promise<DemoPicture | null> {
  try {
    const answer = await fetch(`/demo/${FILE}`);
    if (!answer.ok) return null;
    const blob = await answer.blob();
    const file = new File([blob], FILE, { type: 'image/png' });
    return { file, about: { name: 'Ormsay Lake', controls } };
  } catch {
    return null;
  }
}
