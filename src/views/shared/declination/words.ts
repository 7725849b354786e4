import dayjs from 'dayjs';
import { NORTH_WORDS } from '@/core/entries/describe';
import type { Correction, MarginDeclination } from '@/core/model/header';
import type { NorthsChange } from '@/core/navigation/norths-change';
import { marginDeclination, type OutingNorths } from '@/core/north/outing-norths';
import { angleMinutesText, angleText } from '@/core/units/angle';
import type { Bearing, North } from '@/core/units/bearing';
import { bearingText, lengthText, withAngleName } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';

/** What every view says about the norths. */

export const NORTH_NAMES: Readonly<Record<North, string>> = {
  magnetic: 'magnetic north',
  true: 'true north',
  grid: 'grid north',
};

/** The declination of a margin on a day, as in 0°39′ W on 14 July 2020. */
export function marginSumWords(margin: MarginDeclination, day: string | undefined): string {
  if (day === undefined) return 'The outing needs its date for the sum.';
  const east = angleMinutesText(marginDeclination(margin, day));
  const from = margin.of === 'grid' ? ' of grid north' : '';
  return `${east}${from} on ${dayjs(day).format('D MMMM YYYY')}`;
}

interface Method {
  readonly name: string;
  readonly does: string;
}

/** The declination methods. */
export const CORRECTION_WORDS: Readonly<Record<Correction, Method>> = {
  none: {
    name: 'Magnetic only (no map)',
    does: 'Bearings and way home stay magnetic. Don’t mix in bearings from a map.',
  },
  'by-sum': {
    name: 'Apply declination',
    does: 'You read magnetic bearings; Cairn Back converts them and shows the sum.',
  },
  'compass-set': {
    name: 'Adjusted compass',
    does: 'The dial is set for the declination: readings are true or grid, never corrected again.',
  },
  'by-mark': {
    name: 'Fixed declination scale',
    does: 'The needle goes to a mark on the scale; the dial then reads true or grid.',
  },
  'left-out': {
    name: 'Ignore declination',
    does: 'Map and magnetic bearings count as the same. Declination shows what that costs.',
  },
  'magnetic-map': {
    name: 'Map with magnetic meridians',
    does: 'The map’s north lines are magnetic: map bearings are magnetic bearings.',
  },
};

const NONE_SHOWN_DEGREES = 0.05;

/** The method and its angle in a few words. */
function methodSentence(norths: OutingNorths, source = ''): string {
  const { correction, statedEast, declinationEast, convergenceEast } = norths;
  const stated = statedEast === null ? null : angleText(statedEast) + source;
  if (correction === 'none') return 'Magnetic only, no map.';
  if (correction === 'magnetic-map') return 'Map with magnetic meridians.';
  if (correction === 'left-out') {
    return stated === null ? 'Declination ignored.' : `Declination ${stated}, ignored.`;
  }
  if (declinationEast === null) return 'Declination not set.';
  if (correction === 'compass-set') {
    return `Compass adjusted for ${angleText(declinationEast - convergenceEast)}${source}.`;
  }
  const grid =
    Math.abs(convergenceEast) < NONE_SHOWN_DEGREES
      ? ''
      : `, grid convergence ${angleText(convergenceEast)}`;
  return `Declination ${stated}${grid}.`;
}

/** From which north a margin or somebody says the angle to magnetic north. */
export const OF_NORTH = {
  label: 'The angle to magnetic north is said from',
  options: [
    { value: 'true', label: 'True north (declination, variation)' },
    { value: 'grid', label: 'Grid north (grid-magnetic angle, GMA)' },
  ],
};

const SOURCE_WORDS = { typed: ' (typed)', margin: ' (map margin)', none: '' } as const;

/** The method, its angle and where that angle comes from. */
export function sourcedMethod(norths: OutingNorths): string {
  const { declinationSource, field } = norths;
  const isModel = declinationSource === 'model';
  const source = isModel ? ` (${field?.model ?? 'model'})` : SOURCE_WORDS[declinationSource];
  return methodSentence(norths, source);
}

/** The declination and what bearings are, in two short sentences: always in view. */
export function declinationSentence(norths: OutingNorths, read: North, show: North): string {
  const shown = norths.declinationEast === null && show === 'true' ? 'magnetic' : show;
  const rest =
    read === shown
      ? `Bearings and way home are ${NORTH_WORDS[read]}.`
      : `Bearings are ${NORTH_WORDS[read]}, the way home is ${NORTH_WORDS[shown]}.`;
  return withAngleName(`${methodSentence(norths)} ${rest}`);
}

const LEAST_MOVE_METRES = 0.5;

/** What another declination setting does to the way home, for an outing with legs. */
export function changeWords(change: NorthsChange): string {
  const home = ({ degrees, north }: Bearing, metres: Metres) =>
    `${bearingText(degrees)} ${NORTH_WORDS[north]}, ${lengthText(metres)}`;
  const readings = change.legs === 1 ? 'The reading stays' : `The ${change.legs} readings stay`;
  const moved =
    change.placeMovedMetres === null || change.placeMovedMetres < LEAST_MOVE_METRES
      ? ''
      : ` On the map you are ${lengthText(change.placeMovedMetres)} from where you were shown ` +
        'before.';
  return (
    `${readings} as read. Way home before: ${home(change.before, change.metresBefore)}. ` +
    `Now: ${home(change.after, change.metresAfter)}.${moved}`
  );
}
