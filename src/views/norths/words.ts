import { angleWords } from '@/core/angle';
import type { North } from '@/core/north';
import type { NorthSum } from '@/core/norths-sum';
import { NORTH_NAMES, NORTH_WORDS } from '@/views/shared/norths/words';

/** The words of the Norths view. */

const tenths = (value: number) => value.toFixed(1).padStart(5, '0');
/** A bearing in a sum: three digits before the point, one after; what rounds to 360 shows as 000.0. */
export const bearingFigure = (degrees: number) =>
  `${tenths(degrees) === '360.0' ? '000.0' : tenths(degrees)}°`;

export interface SumLine {
  readonly sign: string;
  readonly figure: string;
  readonly words: string;
}

/** The sum as a person writes it on paper. */
export function sumLines(sum: NorthSum): SumLine[] {
  const { start, end, eastDegrees, wrapDegrees } = sum;
  const lines: SumLine[] = [
    { sign: '', figure: bearingFigure(start.degrees), words: NORTH_WORDS[start.north] },
    {
      sign: eastDegrees > 0 ? '−' : '+',
      figure: `${tenths(Math.abs(eastDegrees))}°`,
      words: `${NORTH_NAMES[end.north]} lies ${Math.abs(eastDegrees).toFixed(1)}° ${eastDegrees < 0 ? 'west' : 'east'} of ${NORTH_NAMES[start.north]}`,
    },
  ];
  if (wrapDegrees !== 0) {
    lines.push({
      sign: wrapDegrees > 0 ? '+' : '−',
      figure: '360.0°',
      words: 'to stay within the circle',
    });
  }
  lines.push({ sign: '=', figure: bearingFigure(end.degrees), words: NORTH_WORDS[end.north] });
  return lines;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Why the sign is what it is. */
export function signReason({ start, end, eastDegrees }: NorthSum): string {
  const [from, to] = [NORTH_NAMES[start.north], NORTH_NAMES[end.north]];
  if (Math.abs(eastDegrees) < 0.05)
    return `${capital(from)} and ${to} are one here: nothing to add.`;
  return eastDegrees > 0
    ? `${capital(to)} lies clockwise of ${from}. Counted from there, the same direction is nearer: take the angle off.`
    : `${capital(to)} lies anticlockwise of ${from}. Counted from there, the same direction is farther round: add the angle.`;
}

/** Which mark on the scale inside the housing the needle goes to. */
export function markWords(mark: number, read: North): string {
  const east = mark > 180 ? mark - 360 : mark;
  if (Math.abs(east) < 0.05) {
    return `Bring the needle to N: the dial then reads ${NORTH_WORDS[read]}.`;
  }
  return `Bring the needle to ${angleWords(east)} on the scale, ${Math.abs(east).toFixed(1)}° ${east < 0 ? 'left' : 'right'} of N. The dial then reads ${NORTH_WORDS[read]}: out and home alike.`;
}

export const WORDS = {
  title: 'Norths',
  toOuting: 'Back to the log',
  toShelf: 'To the shelf of outings',
  setUp: 'Set up',
  convert: 'Turn a bearing',
  bearing: 'Bearing',
  from: 'from',
  to: 'into',
  unknown:
    'This outing knows no angle between needle and map, so the two can’t be turned into each other. Set the declination first.',
  drawing: 'The norths at the start',
  toScale: 'Drawn to scale.',
  exaggerated: (times: number) => `The angles are small: drawn ${times} times as wide as they are.`,
  onlyNeedle: 'Only the needle’s north is known.',
  housing: 'Needle to a mark',
  housingHow:
    'For a compass with a small scale inside its housing: the needle is brought to the mark instead of to N, and the dial needs no sum.',
  dialReads: 'The dial reads',
  years: 'Declination over the years',
  yearsNeed: 'The curve needs the position of the start.',
  yearsReach: (from: string, until: string) =>
    `At the start, as the World Magnetic Model has it, with its own 68 % band. The models on board reach from ${from} to ${until}.`,
  chartLabel: (first: string, last: string) => `Declination from ${first} to ${last}`,
  loadingModel: 'Loading the field model…',
  cost: 'What leaving it out costs',
  costPerKilometre: (angle: string, metres: number) =>
    `${angle}: ${metres} m off for every kilometre walked by a bearing that was not corrected.`,
  costUnknown: 'The cost can be told once the declination is known.',
  costHome: (metres: number) =>
    `Out and home by the same compass: 0 m, it cancels. Home by a bearing from the map, not corrected: ${metres} m off at home.`,
  costMap: (metres: number) =>
    `Drawn on a map from uncorrected bearings, you would be ${metres} m from where you are.`,
  field: (model: string, east: string, sigma: string, change: string, horizontal: number) =>
    `${model} at the start and on the day: ${east}, good to ${sigma} (68 %), changing ${change} a year; level pull on the needle ${horizontal.toLocaleString('en')} nT.`,
  caution:
    'Norths differ from place to place and from year to year; iron and electric things near the compass outdo all of them. Keep them away, and check against a mark whose direction you know.',
} as const;
