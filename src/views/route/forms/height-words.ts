import type { LegHeights } from '@/core/navigation/route/leg-heights';
import type { Steepness } from '@/core/navigation/route/with-heights';
import { lengthText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import { CHOOSER_WORDS } from '@/views/shared/heights/words';
import { plural } from '@/core/entries/describe';

const legs = (count: number) => plural(count, 'leg', 'legs');
const STEEPNESS = { steep: 'steep ground', cliff: 'a cliff' };

/** The words of heights along a route. */
export const HEIGHT_WORDS = {
  ...CHOOSER_WORDS,
  noLegs: 'Heights are read for the legs of a route: give it two points first.',
  help:
    'Climb, descent and steep ground of each leg, by elevation files on this device: ' +
    '1° tiles (.hgt), ASCII grids (.asc) or GeoTIFFs (.tif), also in a zip.',
  of: (name: string) => `By ${name}:`,
  ofMap: (grid: string) =>
    `A file in metres that names no grid was taken for ${grid}, the grid of this route.`,
  leg: (to: string) => `To ${to}:`,
  climb: (up: Metres, down: Metres) => `${lengthText(up)} up, ${lengthText(down)} down`,
  steepest: (kind: Steepness, { degrees, alongMetres }: NonNullable<LegHeights['steepest']>) =>
    `${kind ? STEEPNESS[kind] : 'steepest'} ${Math.round(degrees)}°, after ` +
    lengthText(alongMetres),
  unknown: (heights: LegHeights | null) =>
    heights
      ? `${Math.ceil(100 * heights.unknownShare)} % of its heights are not in these files; ` +
        'it stays as it is.'
      : 'its heights are not in these files; it stays as it is.',
  write: (count: number) => `Add to ${legs(count)}`,
  written: (count: number) => `Added to ${legs(count)}. Undo takes it back.`,
  caution:
    'An elevation file is coarser than the ground: it has no crags, bogs or rivers. ' +
    'It never says that a way is safe.',
};
