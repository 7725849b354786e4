import { NORTH_WORDS } from '@/core/entries/describe';
import type { ConversionSum } from '@/core/north/conversion-sum';
import type { FieldAtPlace } from '@/core/north/earth-models';
import { angleText, signedDifference } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import type { Degrees, Metres } from '@/core/units/units';
import { lengthText, lengthUnit } from '@/ui/units/shown';
import { NORTH_NAMES } from '@/views/shared/declination/words';

/** The words of the Declination view. */

/** Below this an angle shows as 0.0°. */
const NONE_SHOWN_DEGREES = 0.05;

const tenths = (value: number) => value.toFixed(1).padStart(5, '0');
/** A bearing in a sum: three digits before the point, one after; 360.0 shows as 000.0. */
export const bearingFigure = (degrees: Degrees) =>
  `${tenths(degrees) === '360.0' ? '000.0' : tenths(degrees)}°`;

export interface SumLine {
  readonly sign: string;
  readonly figure: string;
  readonly words: string;
}

/** The sum as a person writes it on paper. */
export function sumLines(sum: ConversionSum): SumLine[] {
  const { start, end, eastDegrees, wrapDegrees } = sum;
  const apart = Math.abs(eastDegrees);
  const side = eastDegrees < 0 ? 'west' : 'east';
  const lines: SumLine[] = [
    { sign: '', figure: bearingFigure(start.degrees), words: NORTH_WORDS[start.north] },
    {
      sign: eastDegrees > 0 ? '−' : '+',
      figure: `${tenths(apart)}°`,
      words:
        `${NORTH_NAMES[end.north]} is ${apart.toFixed(1)}° ${side} of ` + NORTH_NAMES[start.north],
    },
  ];
  if (wrapDegrees !== 0) {
    lines.push({
      sign: wrapDegrees > 0 ? '+' : '−',
      figure: '360.0°',
      words: 'to stay between 0° and 360°',
    });
  }
  lines.push({ sign: '=', figure: bearingFigure(end.degrees), words: NORTH_WORDS[end.north] });
  return lines;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Why the sign is what it is. */
export function signReason({ start, end, eastDegrees }: ConversionSum): string {
  const [from, to] = [NORTH_NAMES[start.north], NORTH_NAMES[end.north]];
  if (Math.abs(eastDegrees) < NONE_SHOWN_DEGREES) {
    return `${capital(from)} and ${to} are the same here: nothing to add.`;
  }
  return eastDegrees > 0
    ? `${capital(to)} is clockwise of ${from}, so the angle from it to the same direction is ` +
        'smaller: subtract.'
    : `${capital(to)} is anticlockwise of ${from}, so the angle from it to the same direction is ` +
        'larger: add.';
}

/** Which mark on the scale inside the housing the needle goes to. */
export function markWords(mark: Degrees, read: North): string {
  const east = signedDifference(0, mark);
  if (Math.abs(east) < NONE_SHOWN_DEGREES) {
    return `Bring the needle to N: the dial then reads ${NORTH_WORDS[read]} bearings.`;
  }
  const side = east < 0 ? 'left' : 'right';
  return (
    `Bring the needle to ${angleText(east)} on the scale, ${Math.abs(east).toFixed(1)}° ${side} ` +
    `of N. The dial then reads ${NORTH_WORDS[read]} bearings, out and home alike.`
  );
}

/** What the field model says at the start. */
export const fieldWords = (field: FieldAtPlace): string =>
  `${field.model} at the start, on the day: ${angleText(field.eastDegrees)}, ` +
  `±${field.sigmaDegrees.toFixed(1)}° (68 %), annual change ` +
  `${angleText(field.changePerYearDegrees)}; horizontal field ` +
  `${(Math.round(field.horizontalNanotesla / 100) * 100).toLocaleString('en')} nT.`;

export const WORDS = {
  method: 'Declination method',
  settings: 'Settings',
  convert: 'Convert a bearing',
  bearing: 'Bearing',
  from: 'from',
  to: 'to',
  unknown: 'No declination is set, so magnetic and map bearings can’t be converted. Set it first.',
  drawing: 'The norths at the start',
  toScale: 'Drawn to scale.',
  exaggerated: (times: number) => `The angles are small: drawn ${times} times as wide.`,
  onlyMagnetic: 'Only magnetic north is known.',
  housing: 'Fixed declination scale',
  housingHow:
    'For a compass with a small scale inside its housing: bring the needle to the mark instead ' +
    'of to N, and the dial needs no correction.',
  dialReads: 'The dial reads',
  years: 'Declination over the years',
  yearsNeed: 'The chart needs the position of the start.',
  yearsReach: (from: string, until: string) =>
    'At the start, by the World Magnetic Model, with its own 68 % band. The models included ' +
    `reach from ${from} to ${until}.`,
  chartLabel: (first: string, last: string) => `Declination from ${first} to ${last}`,
  loadingModel: 'Loading the field model…',
  cost: 'What ignoring it costs',
  costPerLength: (angle: string, off: string, walked: string) =>
    `${angle}: ${off} off for every ${walked} walked on an uncorrected bearing.`,
  costUnknown: 'Set the declination to see what ignoring it costs.',
  costHome: (metres: Metres) =>
    `Out and home with the same compass: 0 ${lengthUnit().sign}, it cancels. Home on an ` +
    'uncorrected bearing from ' +
    `the map: ${lengthText(metres)} off.`,
  costMap: (metres: Metres) =>
    `Plotted on a map from uncorrected bearings, your position would be ${lengthText(metres)} off.`,
  caution:
    'Declination differs from place to place and from year to year. Iron and electric things ' +
    'near the compass can add far more. Keep them away, and check against a mark whose ' +
    'direction you know.',
} as const;
