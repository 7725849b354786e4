import equal from 'fast-deep-equal';
import type { Area } from '@/core/model/area';
import { plural } from '@/core/entries/describe';
import type { SourceId } from '@/core/errors/sources/source';
import { distanceText, lengthText, uncertaintyText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';
import { METHOD_LABEL, METHOD_WORDS } from '@/views/shared/words/method-words';
import { SHARED_WORDS } from '@/views/shared/words/words';

const ESTIMATES: Readonly<Partial<Record<SourceId, string>>> = {
  compass: 'Compass',
  iron: 'Iron',
  declination: 'Declination',
  'pace-length': 'Pace length',
  speed: 'Speed',
  'slope-reader': 'Slopes',
};

/** The words of an area. */
export const WORDS = {
  loading: 'Opening the area…',
  adjusting: (round: number) => `Adjusting the area${round > 0 ? `, round ${round}` : ''}…`,
  stop: 'Show it as walked',
  notAdjusted:
    'Not adjusted: it was stopped, or too many of its loops hang together. Shown as walked.',
  missing: 'There is no such area on this device.',
  damaged: 'This area can’t be read to its end. Its outings are safe.',
  untitled: SHARED_WORDS.untitled,
  name: 'Name of the area',
  outings: 'Outings',
  legs: (count: number) => plural(count, 'leg', 'legs'),
  show: (name: string) => `Show ${name}`,
  absent: (count: number) =>
    `${plural(count, 'outing', 'outings')} of this area can’t be shown: deleted, or with an error.`,
  addOuting: 'Add an outing',
  leave: 'Remove from area',
  leaveAbout: (name: string) => `Remove from area: ${name}`,
  onePlace: 'Same place?',
  onePlaceWhy: 'Stations are joined only where you confirm it. Two places can share a name.',
  sameName: (name: string, outings: string) => `${name}: in ${outings}`,
  near: (one: string, other: string, metres: Metres) =>
    `${one} and ${other} lie ${lengthText(metres)} apart`,
  same: 'Same place',
  sameAll: 'Join all by name',
  apart: 'Different',
  joined: 'Joined places',
  split: 'Split again',
  lost: (names: string) => `No longer in their outings: ${names}.`,
  known: 'Places from the map',
  knownWhy:
    'A place whose position the map tells (to some 5 m) ties the area to the ground. It has to ' +
    'be that place: a wrong one bends everything.',
  knownNeeds: 'The first outing needs the position of its start, and a declination.',
  knownPlace: 'Place',
  knownAdd: 'Use this position',
  knownAt: (name: string, position: string) => `${name}: ${position}`,
  knownRemove: 'Remove',
  method: METHOD_LABEL,
  methods: METHOD_WORDS,
  loops: 'Loops',
  noLoops: 'No loop yet. Walk back to a known station by another route to close one.',
  closure: (station: string, outing: string) => `Back at ${station}, ${outing}`,
  misclosure: 'Misclosure as walked',
  ofWalked: 'of the distance walked',
  fits: (p: number) =>
    p > 0.2
      ? 'Loops close within the expected error.'
      : `The loops close less well than most, but not beyond chance (${chance(p)} of surveys).`,
  unexplained: (p: number) =>
    `The loops do not close: compass and pace explain this in ${chance(p)} of surveys. ` +
    'Look for a mistake.',
  disagrees: 'Suspected mistake',
  oneOf: (count: number) =>
    `${count === 1 ? 'One reading explains it.' : 'Probably one of these:'} Look at the ground, ` +
    'or in the log, before you correct anything. The map stays distorted until this is corrected.',
  noneExplains:
    'No single mistake explains it, and no two that people often make. The map stays distorted ' +
    'until it is found: look at the loops that close worst.',
  together: 'No single mistake explains it; these two together do, one pair in each line.',
  leastUnlikely: 'Some other mistake is likelier than these. They would explain it:',
  standsOut: (name: string, share: string, others: string) =>
    `The loops of ${name} close worse than the others’: ${share} of the distance, others at ` +
    `most ${others}. Look there first.`,
  lookAt: (what: string) => `Look at ${what}.`,
  probability: (share: number) =>
    share > 0.99 ? 'Over 99 %:' : share < 0.01 ? 'Under 1 %:' : `${Math.round(100 * share)} %:`,
  left: (metres: Metres) => `Misclosure then: ${lengthText(metres)}`,
  suggested: (text: string) => `It would read ${text}.`,
  correct: 'Correct in the log',
  openLog: 'Open the log',
  corrected: (leg: number, outing: string) =>
    `Leg ${leg} of ${outing} was corrected; what was there is struck out above it.`,
  undoIt: 'Undo it',
  reason: (slip: string) => `Area: ${slip}`,
  estimates: 'Compass and pace corrections',
  addThis: 'To be added to what was read.',
  noEstimates: 'Available once loops close; until then a mistake would distort them.',
  estimate: (source: SourceId, about: string, who: string) =>
    `${ESTIMATES[source] ?? source}${about ? ` (${about})` : ''}${who ? `, ${who}` : ''}`,
  unchecked: (legs: string) => `Nothing checks ${legs}. Take a back bearing or close a loop.`,
  way: 'Way between two places',
  from: 'From',
  to: 'To',
  walker: 'Use the pace and compass of',
  choose: 'Choose two places here, or press them on the sketch.',
  straight: 'Straight',
  straightCaution: 'Over ground that nobody may have walked: mind cliffs and water.',
  alongLegs: 'Along legs that were walked',
  shortest: { metres: 'Shortest', minutes: 'Quickest' },
  stretches: (metres: Metres, count: number, minutes: number) =>
    `${distanceText(metres)}, ${plural(count, 'leg', 'legs')}, about ` +
    `${plural(Math.ceil(minutes), 'minute', 'minutes')} at 5 km/h and with the climbs logged`,
  walkStraight: 'Start walking',
  walkLegs: 'Start walking, leg by leg',
  noWalked: 'No walked legs lead there.',
  within: (metres: Metres) => `within ${uncertaintyText(metres)} (95 %)`,
  startHere: (name: string) => `Start an outing from ${name}`,
  startedFrom: (name: string) => `From ${name}`,
  ellipses: 'Uncertainty',
  grid: 'Grid',
  tools: 'The map',
  sketch: 'Map of the area. Drag to move, + and − to zoom, 0 to fit. Press a place to choose it.',
  print: 'Print',
  points: 'Points',
  point: 'Point',
  morePoints: (count: number) => `and ${plural(count, 'point', 'points')} more, in Points (CSV)`,
  loop: 'Loop',
  east: 'East',
  north: 'North',
  sure: 'Within (95 %)',
  position: 'Position',
  export: 'Export',
  csv: 'Points (CSV)',
  geojson: 'Map (GeoJSON)',
  gpx: 'Map (GPX)',
  kml: 'Map (KML)',
  svg: 'Map (SVG)',
  whole: 'Full data (JSON)',
  showCodes: 'Show QR codes',
  hideCodes: 'Hide QR codes',
  remove: 'Delete the area',
  discarded: 'This area was deleted. Its outings are still there.',
  newArea: 'Join outings in an area',
  newAreaWhy:
    'One map of what several people walked from one place, or you on several days. Choose the ' +
    'outings; their readings stay as they are.',
  make: 'Make the area',
  addTo: (name: string) => `Add to ${name}`,
  chooseSome: 'Choose one outing or more.',
  byWhom: (by: string) => `by ${by}`,
  notJoined: 'These outings are not joined yet. Say below which of their stations are one.',
} as const;

function chance(p: number): string {
  if (p < 0.001) return 'less than 0.1 %';
  return `${(100 * p).toFixed(p < 0.1 ? 1 : 0)} %`;
}

const AREA_PARTS: Readonly<Record<keyof Area, string>> = {
  id: 'area',
  name: 'name',
  method: 'method',
  outings: 'outings',
  same: 'places that are one',
  apart: 'places that are not one',
  known: 'known positions',
};

/** What an edit of an area did. */
export function areaEditWords(before: Area, after: Area): string {
  const parts = (Object.keys(AREA_PARTS) as (keyof Area)[]).filter(
    (part) => !equal(before[part], after[part]),
  );
  return `${parts.map((part) => AREA_PARTS[part]).join(', ')} changed`;
}
