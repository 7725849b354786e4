import { plural } from '@/core/entries/describe';
import { visibleText } from '@/core/units/visible';
import type { HeightSheet } from '@/store/heights/record';
import { lengthText } from '@/ui/units/shown';
import { CHOOSER_WORDS } from '@/views/shared/heights/words';

const degrees = (value: number) => value.toFixed(2);
const megabytes = (bytes: number) => `${Math.max(0.1, bytes / 1e6).toFixed(1)} MB`;

/** The words of the heights on the device. */
export const HEIGHT_WORDS = {
  ...CHOOSER_WORDS,
  failed:
    'The files could not be kept: they can’t be read, or this device has no room for them. ' +
    'Nothing of the last one was kept.',
  title: 'Elevation files',
  help:
    'They stay on this device. Outings, routes and maps draw contours from them: 1° tiles ' +
    '(.hgt), ASCII grids (.asc) or GeoTIFFs (.tif), also in a zip.',
  sheet: ({ name, source, cellMetres, area, bytes }: HeightSheet) =>
    `${visibleText(name)} (${source}): posts ${lengthText(cellMetres)} apart, latitude ` +
    `${degrees(area.south)} to ${degrees(area.north)}, longitude ${degrees(area.west)} to ` +
    `${degrees(area.east)}, ${megabytes(bytes)}`,
  remove: 'Remove',
  removeThis: (name: string) => `Remove: ${visibleText(name)}`,
  removeSure: (name: string) => `Remove ${visibleText(name)}? The file can be read again.`,
  keep: 'Keep it',
  kept: (sheets: number) => `Kept on this device: ${plural(sheets, 'sheet', 'sheets')}.`,
  ofMap: 'A file in metres that names no grid was taken for UTM, in the zone of your outings.',
  caution:
    'An elevation file is coarser than the ground: it has no crags, bogs or rivers. ' +
    'It never says that a way is safe. They are not in the backup: keep the files.',
};
