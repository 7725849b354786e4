import { digitsWorth } from '@/core/place/short-reference';
import { decimalDegrees } from '@/core/readings/place/degrees-text';
import type { Position } from '@/core/readings/position';
import { bearingText, lengthText, uncertaintyText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import type { Degrees, Metres } from '@/core/units/units';
import { shownReference, shownSquare } from '@/views/shared/fields/grid-choice';

/** The words of the fix view. */

/** A place as one would look for it on a map: its digits in the square, or degrees off the grid. */
const placeWords = (position: Position, withinMetres: Metres): string =>
  shownReference(position, digitsWorth(withinMetres)) ?? decimalDegrees(position);

/** With its sign; what rounds to nothing has none. */
function signed(degrees: Degrees): string {
  const size = Math.abs(degrees).toFixed(1);
  return `${size === '0.0' ? '' : degrees < 0 ? '−' : '+'}${size}°`;
}

export const WORDS = {
  loading: 'Loading the known places…',
  scratch: 'Fix',
  bearings: 'Bearings',
  none:
    'Where am I? Choose a place that you can see and that is on your map, and read the ' +
    'bearing to it. After the second bearing your position appears here.',
  noPlaces: 'First enter the places you can see, under Known places: name and grid reference.',
  demo: 'Add the places of the demo',
  needsDeclination: 'Places on a map need the declination. What is it here?',
  declination: 'Declination, with its letter',
  declinationHint: '19.1 W',
  changeDeclination: 'Change the declination',
  useDeclination: 'Use',
  modelOffer: (model: string, angle: string) => `Use ${model}: ${angle}`,
  needsAngle: 'Expected an angle, as in 19.1 W.',
  place: 'Known place',
  bearing: 'Bearing',
  bearingHint: 'as read: 082, 082T, NE',
  toMe: 'Read there, towards me',
  distance: 'Distance to it',
  distanceHint: 'paced or measured: 120p, 80 m',
  add: 'Add bearing',
  change: 'Change',
  saveChange: 'Save change',
  changeOf: (name: string) => `Change the bearing to ${name}`,
  remove: 'Remove',
  removeOf: (name: string) => `Remove the bearing to ${name}`,
  dial: 'Dial',
  compass: 'Phone’s compass',
  onLine: 'I am on',
  noLine: 'no line',
  solve: 'Solve for the compass (iron here)',
  withLog: 'Join with the log',
  fromLog: (count: number) =>
    `${count} ${count === 1 ? 'reading' : 'readings'} of the log are joined.`,
  sentence: (position: Position, within: Metres) => ({
    before: 'You are within ',
    within: `${uncertaintyText(within)} (95 %)`,
    between: ' of ',
    place: placeWords(position, within),
    square: shownSquare(position),
  }),
  cut: (degrees: Degrees) => `Lines cross at ${Math.round(degrees)}° at best.`,
  residual: (degrees: Degrees) => `${signed(degrees)} off`,
  away: (metres: Metres) => `${lengthText(metres)} away`,
  compassHere: (degrees: Degrees, sigma: Degrees) =>
    `Your compass reads ${Math.abs(degrees).toFixed(1)}° too ${degrees < 0 ? 'little' : 'much'} ` +
    `here (±${(2 * sigma).toFixed(1)}°, 95 %): iron, a phone, or the declination.`,
  next: (name: string, bearing: string, within: Metres) =>
    `Best next: ${visibleText(name)}, about ${bearing}. With it you would be within ` +
    `${uncertaintyText(within)}.`,
  apart: (metres: Metres, asExpected: boolean) =>
    `Dead reckoning and fix are ${lengthText(metres)} apart: ` +
    `${asExpected ? 'as expected.' : 'more than their errors explain.'}`,
  slip: (name: string, says: string, probability: number) =>
    `${visibleText(name)}: ${says}? Then all agree (${Math.round(100 * probability)} %).`,
  crossings: 'You reach the line at',
  crossing: (position: Position, within: Metres) =>
    `${placeWords(position, within)}, within ${uncertaintyText(within)}`,
  ahead: (bearing: Degrees) => `The mark is ahead on ${bearingText(bearing)} true from each.`,
  near: 'Close-up',
  picture: 'Lines of sight and ellipse',
  log: 'Log this fix',
  logged: 'Logged.',
  here: 'Set as the start’s position',
  hereSaved: 'The start has this position now.',
  startHere: 'Start an outing here',
  clear: 'Clear',
  wayTo: 'Way to',
  wayWords: (magnetic: string, length: string, paces: string, within: string) =>
    `Set ${magnetic} on the compass. Walk ${length}${paces}. Within ${within} (95 %).`,
  count: 'Follow with the counter',
  notations: 'In every notation',
  caution:
    'A fix is as good as its places: a wrong summit looks as sure as the right one. Read level, ' +
    'away from iron, with the phone at arm’s length. Where the ground is dangerous or you are ' +
    'not ' +
    'sure, stop, and ask people who know the place.',
  tabs: {
    places: 'Known places',
    identify: 'What is that?',
    paths: 'On which path?',
    orient: 'Orient the map',
  },
} as const;

export const PLACES_WORDS = {
  why:
    'Places and lines of your map, for all outings: summits, masts, churches, path ' +
    'junctions; rivers, paths, ridges.',
  name: 'Name',
  where: 'Grid reference or position',
  square: 'Square for short references',
  barrier: 'Barrier: warn if a route crosses it',
  crossing: 'A gate, bridge or ford: a barrier may be crossed here',
  squareHint: 'as in 20U MF, SD, or a grid by name: LV95',
  help:
    'As on the map: 674 058 in the square beside, 20U MF 674 058, UTM, or degrees. A line: ' +
    'one position on each row.',
  save: 'Save place',
  saveLine: 'Save line',
  cancel: 'Cancel',
  edit: 'Change',
  remove: 'Remove',
  removed: (name: string) => `${visibleText(name)} removed.`,
  changed: (name: string) => `${visibleText(name)} saved.`,
  undone: 'Undone.',
  import: 'Import GPX or GeoJSON',
  imported: (count: number) => `${count} ${count === 1 ? 'place' : 'places'} imported.`,
  export: { gpx: 'Export GPX', geojson: 'Export GeoJSON' },
  line: (corners: number) => `line of ${corners} corners`,
  nameTaken: 'A place of that name exists already.',
  needsName: 'Give it a name.',
  row: (row: number, message: string) => `Row ${row}: ${message}`,
} as const;

export const IDENTIFY_WORDS = {
  why:
    'Read a bearing to something you don’t know: the known places in that direction, ' +
    'nearest first.',
  needsFix: 'First take a fix, or open an outing that knows its position.',
  bearing: 'Bearing to it',
  nothing: 'No known place within 15° of that.',
  found: (name: string, off: Degrees, metres: Metres) =>
    `${visibleText(name)}: ${Math.abs(off).toFixed(0)}° ${off < 0 ? 'left' : 'right'} of it, ` +
    lengthText(metres),
  pathWhy: 'On the path, read the compass along it: the lines near here, and which run that way.',
  pathBearing: 'Direction of the path',
  noLines: 'Enter or import lines under Known places first.',
  noPath: 'No line within 1 km of here.',
  path: (name: string, metres: Metres, off: Degrees, runs: string) =>
    `${visibleText(name)}: ${lengthText(metres)} off, runs ${runs} true, ` +
    `${off < 1 ? 'as you read it' : `${Math.round(off)}° from what you read`}`,
} as const;

export const ORIENT_WORDS = {
  map: 'My map has',
  maps: { grid: 'a grid', magnetic: 'magnetic meridians', none: 'only a north arrow' },
  steps: {
    grid: (turn: string) => [
      `Set the dial to ${turn}: grid north as your compass reads it here.`,
      'Lay the long edge of the compass on a grid line, its arrow to the top of the map.',
      'Turn the map with the compass on it until the needle is in its housing. Now the ' +
        'map is oriented.',
    ],
    magnetic: () => [
      'Set the dial to 0: the meridians are magnetic, nothing is added.',
      'Lay the long edge of the compass on a meridian, its arrow to the top of the map.',
      'Turn the map with the compass on it until the needle is in its housing. Now the ' +
        'map is oriented.',
    ],
    none: (turn: string) => [
      `Set the dial to ${turn}: true north as your compass reads it here.`,
      'Lay the long edge of the compass along the north arrow, or along the side of the sheet.',
      'Turn the map with the compass on it until the needle is in its housing. Check: ' +
        'what lies ahead on the map lies ahead of you.',
    ],
  },
  unknown: 'the declination of your map (this outing has none)',
  others: 'East, south and west by the needle',
  otherWords: (east: string, south: string, west: string) =>
    `True east is at ${east} of the needle, south at ${south}, west at ${west}.`,
  trap:
    'A 180° error: the arrow to the bottom of the map. Check with the sun: about noon it is ' +
    'in the south, south of the equator in the north.',
  picture: 'The needle, and true and grid north beside it',
} as const;
