import equal from 'fast-deep-equal';
import { compassPointWords, plural } from '@/core/entries/describe';
import type { Route, Timing } from '@/core/model/route';
import { lengthText, uncertaintyText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import type { Metres } from '@/core/units/units';

/** The words of the Route view. */
export const WORDS = {
  loading: 'Opening the route…',
  missing: 'There is no such route on this device.',
  damaged: 'A change of this route can’t be read. It is kept as it is: import your last backup.',
  discarded: 'This route was deleted.',
  untitled: 'Route without a name',
  routes: 'Routes',
  legsOf: 'Points and legs',
  drawing: (name: string, points: number) =>
    `The route ${visibleText(name) || 'without a name'}: ${points} points and the legs between`,
  drawingTools: 'Tools of the drawing',
  pictures: 'Pictures of maps',
  none: 'No route yet. Plan one from your map, or import one.',
  newRoute: 'New route',
  name: 'Name',
  make: 'Plan a route',
  imports: 'Import a file',
  importHelp: 'Text of a route, GPX, GeoJSON, KML, or a table with latitude and longitude',
  demo: 'Open the demo route',
  noDemo: 'The demo could not be loaded: it needs the network once.',
  caution:
    'Your map is older than the ground, and a straight line knows no cliff, water or fence. Hold ' +
    'each leg against what you see, follow local rules, and leave this plan with someone. It is ' +
    'no substitute for instruction by a qualified person.',
  empty: 'Add the point where you leave, then the next: each leg shows at once.',
  onePoint: 'Add the next point: the leg to it shows at once.',
  sum: (legs: number, metres: Metres, minutes: number) =>
    `${plural(legs, 'leg', 'legs')}, ${lengthText(metres)}, ${minutesText(minutes)} without rests`,
  arrival: (time: string) => `at the end ${time}`,
  sunset: (time: string) => `sunset ${time}`,
  climb: (up: Metres, down: Metres) => `${lengthText(up)} up, ${lengthText(down)} down`,
  scale: (text: string) => `A metre on the map’s grid is ${text} m on the ground here.`,
  startsAt: (name: string, place: string) => `Start: ${name}, ${place}.`,
  gridOf: (name: string) => `Grid bearings are from ${name}.`,
  rooms: 'What to change',
  tabs: {
    point: 'Add a point',
    leg: 'Leg',
    heights: 'Heights',
    head: 'Day and declination',
    text: 'As text',
    leave: 'Plan for your contact',
  },
  // Legs.
  legTo: (number: number, to: string) => `${number}. To ${to}`,
  start: (name: string) => `Start: ${name}`,
  attack: 'attack point',
  noBearing: 'no bearing without the declination',
  paces: (count: number) => plural(Math.round(count), 'pace', 'paces'),
  within: (metres: Metres) => `Within ${uncertaintyText(metres)} (95 %)`,
  withinFromStart: (metres: Metres) =>
    `Within ${uncertaintyText(metres)} if no point on the way is recognised`,
  sight: (share: number) => `${Math.round(100 * share)} % chance of seeing the point on arrival`,
  by: (time: string) => `by ${time}`,
  sumWords: 'From the map to the compass',
  ground: (ground: string) => `paces on ${ground}`,
  inWords: (words: string) => `The leg goes ${words}.`,
  confirmAsk: 'Check: which way does it go on the map?',
  confirmed: (words: string) => `You say: ${words}.`,
  reversedWays: 'At the map: three ways to be wrong by exactly 180°',
  danger: 'Danger',
  handrail: 'Handrail',
  catching: 'Too far',
  aim: 'Aim off',
  aimWords: (
    side: string,
    what: string,
    bearing: string,
    along: string,
    turn: string,
    set: string,
  ) =>
    `Set ${set}: you meet ${what} to the ${side} of the point. Turn ${turn} there, ${bearing}, ` +
    `about ${along} along it.`,
  ticks: 'On the way',
  tick: (metres: string, paces: string, side: string, what: string, time: string) =>
    `${metres}${paces}, ${time}: ${what}${side}`,
  editLeg: 'Edit this leg',
  addAfter: 'Add a point after it',
  removePoint: 'Remove',
  up: 'Earlier',
  down: 'Later',
  warnings: 'Look at this',
  // Points.
  pointName: 'Name of the point',
  how: 'How do you know where it is?',
  ways: {
    typed: 'Coordinates',
    known: 'Known place',
    paper: 'Measured on the map',
    station: 'From an outing or area',
  },
  place: 'Place',
  placeHelp:
    'Grid reference (674 058), MGRS, UTM, or degrees. Short references are in the square below.',
  square: 'Grid square letters (for short references)',
  knownPlace: 'Known place',
  noKnown: 'No known places on this device yet: the Fix view keeps them.',
  bearing: 'Bearing on the map',
  bearingHelp: (from: string) =>
    `From ${from}, grid north without a letter; T for true, M for magnetic`,
  length: 'Length on paper',
  lengthHelp: '45mm, 4.5cm or 2in',
  scaleField: 'Scale of the map',
  scaleHelp: '1:25000',
  station: 'Station',
  isAttack: 'It is an attack point: easily found, near the point after it',
  add: 'Add the point',
  save: 'Save',
  cancel: 'Cancel',
  note: 'Note',
  needsName: 'A point needs a name.',
  needsPlace: 'Where is it?',
  // Leg form.
  legOf: (from: string, to: string) => `${from} to ${to}`,
  groundField: 'Ground (for pacing)',
  upField: 'Metres up',
  downField: 'Metres down',
  handrailField: 'Handrail: what you follow, and on which side',
  catchingField: 'Catching feature (beyond the point)',
  beyondField: 'Metres beyond the point',
  aimSide: 'Aim off to the',
  aimLine: 'Bearing of the line',
  aimWhat: 'Onto what',
  noAim: 'do not aim off',
  sides: { left: 'left', right: 'right' },
  ticksField: 'What you pass, one on each row',
  ticksHelp: '200m left big boulder',
  dangersField: 'Dangers, one on each row',
  chooseLeg: 'Choose a leg of the list to plan it.',
  // Head.
  date: 'Day',
  leave: 'Leaving at',
  declination: 'Declination',
  declinationHelp:
    'model (for the day and the place), or as the map says: 19.1 W in 2019 change 6’ E a year',
  method: 'Declination method',
  grid: 'Grid of the map',
  gridHelp:
    'utm, a national grid (british, irish, lv95 …), “proj +proj=…”, or the convergence: 1.2 E',
  show: 'Bearings to set',
  pacesField: 'Paces, one ground on each row',
  pacesHelp: '65 per 100 m; bog 78 per 100 m',
  ownPaces: 'Use my calibrations',
  speed: 'Speed in km/h',
  timing: 'Time for climbs',
  timings: {
    naismith: 'Naismith: an hour more for 600 m up',
    langmuir: 'Naismith, descents after Langmuir',
    level: 'as on the level',
  } satisfies Record<Timing, string>,
  sightField: 'Metres from which you see a point',
  party: 'Who goes, how they look',
  tell: 'Whom to call, if you are not heard from',
  turnBack: 'Turn back by',
  back: 'Back by',
  usualMethod: 'as the declination is',
  // Text.
  textHelp:
    'The whole route as text. Errors are listed by line; nothing changes until all can be read.',
  useText: 'Use this text',
  faultAt: (line: number, words: string) => `Line ${line}: ${words}`,
  // Tools.
  print: 'Print the card',
  paper: 'Paper',
  remove: 'Delete',
  copy: 'Copy the text',
  copied: 'Copied.',
  share: 'Share',
  aimedOff: (side: string, what: string, turn: string, along: string) =>
    `Aiming off ${side}: walk on until you meet ${what}, then turn ${turn}, about ${along}.`,
  direct: (bearing: string) => `direct ${bearing}`,
  startRoute: 'Start a new outing on it',
  follow: (outing: string) => `Follow it in “${outing}”`,
  followAt: (outing: string, first: string) => `Follow it in “${outing}”: I am at ${first}`,
  followFromHere: (outing: string) => `Follow it in “${outing}”, from where I am`,
  goOn: (outing: string) => `Go on following in “${outing}”`,
  orient: 'Orient the map',
  onMap: 'On the map',
  export: 'Export',
  // Following.
  following: 'Following',
  nextPoint: (name: string) => `Next: ${name}`,
  wayTo: (set: string, metres: string, paces: string) => `Set ${set}. Walk ${metres}${paces}.`,
  offLine: (metres: string, side: string) =>
    `By the log you are ${metres} ${side} of the planned line.`,
  onLine: 'By the log you are on the planned line.',
  count: 'Count to it',
  keypad: 'Key it in',
  openLog: 'Open the log',
  planned: 'Leg as planned',
  there: (name: string) => `I am at ${name}`,
  thereHelp: 'Logs the leg as planned. Counted or measured? Count it, or log it as usual.',
  done: 'You are at the end of the route.',
  walked: 'Planned and walked',
  plannedColumn: 'planned',
  walkedColumn: 'walked',
  offColumn: 'off by the log',
  replan: 'Plan again from here',
  fix: 'Take a fix',
  byFix: (set: string, metres: string, within: string) =>
    `By your fix: set ${set}, walk ${metres} (${within}).`,
  nowhere: 'The log has no position yet, so there is no bearing to the next point.',
  outingsOf: 'Outings on this route',
} as const;

/** Minutes as hours and minutes. */
export function minutesText(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  return hours === 0 ? `${whole} min` : `${hours} h ${String(whole % 60).padStart(2, '0')} min`;
}

/** A side in a sentence; empty for none. */
export const sideWords = (side: 'left' | 'right' | undefined): string =>
  side === undefined ? '' : `, on your ${side}`;

export const pointWords = compassPointWords;

/** What an edit of a route did. */
export function routeEditWords(before: Route, after: Route): string {
  const [old, now] = [before.points, after.points];
  const named = (points: Route['points']) => points.map(({ name }) => visibleText(name)).join(', ');
  const without = (points: Route['points'], others: Route['points']) =>
    points.filter((point) => !others.some((other) => equal(other, point)));
  if (now.length > old.length) return `${named(without(now, old)) || 'a point'} added`;
  if (now.length < old.length) return `${named(without(old, now)) || 'a point'} deleted`;
  const changed = without(now, old);
  if (changed.length > 0) return `${named(changed)} changed`;
  return equal(old, now) ? 'the plan changed' : 'order of the points';
}
