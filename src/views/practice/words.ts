import { plural } from '@/core/entries/describe';
import { DRAGS_FROM, STUCK_FROM } from '@/core/practice/compass/needle';
import type { Stage } from '@/core/practice/attempt';
import type { WalkedBox } from '@/core/practice/walk/walker';
import { lengthText } from '@/ui/units/shown';

const signed = (by: number) => (by < 0 ? `−${-by}°` : `+${by}°`);
const side = (degrees: number) => (degrees < 0 ? 'left' : 'right');

const AIMS = { needle: 'By the needle', landmark: 'From mark to mark', sighted: 'By sighting' };
const WATERS = {
  stop: 'Stop at water',
  left: 'Go round water on the left',
  right: 'Go round water on the right',
};

/** The words of the Practice view. */
export const WORDS = {
  loading: 'Opening the trainer…',
  making: 'Making the practice map…',
  failed: 'The trainer stopped. Reload the page: nothing that was saved is lost.',
  lead:
    'Skills for the hill, on a sofa and offline. Each exercise first shows, then ' +
    'helps, then tests.',
  caution:
    'An exercise is no instruction: learn from a qualified person, and follow local ' +
    'rules. On the hill a mistake costs more.',
  toPractice: 'All exercises',
  due: 'Due now',
  nothingDue: 'Nothing is due. Begin something new, or repeat what you like.',
  newHere: 'New here? Begin with the first of each group.',
  notBegun: 'Not started',
  standing: (right: number, tries: number) => `${right} of ${tries} right`,
  dueOn: (day: string) => `again ${day}`,
  isDue: 'due',
  stages: { show: 'First it shows', help: 'Now with help', test: 'Now a test' } satisfies Record<
    Stage,
    string
  >,
  openExercise: (title: string) => `Practise: ${title}`,
  freeCompass: 'The compass in your hand',
  freeCompassWhy: 'Turn it, tilt it, bring iron near: what a needle does, and what it does not.',

  // Exercises
  missing: 'There is no such exercise.',
  question: (number: number, count: number) => `Question ${number} of ${count}`,
  how: 'How it is done',
  hint: 'Show the next step',
  tryIt: 'Try it yourself',
  answer: 'Answer',
  bearing: 'Bearing in degrees',
  metres: 'Distance in metres',
  numberIn: (unit: string) => `Answer in ${unit === 'm' ? 'metres' : unit}`,
  choices: 'Answers',
  needBearing: 'Type a bearing from 0 to 360.',
  needNumber: 'Type a number.',
  needChoice: 'Choose an answer.',
  needPlace: 'Tap a place on the map, or move it below the cross and press Enter.',
  right: 'Right.',
  wrong: 'Not right.',
  slip: (says: string) => `${says.charAt(0).toUpperCase()}${says.slice(1)}.`,
  off: (degrees: number) => `${degrees < 10 ? degrees.toFixed(1) : Math.round(degrees)}° off`,
  offMetres: (metres: number, over: number) => `${lengthText(metres)} in ${lengthText(over)}`,
  metresOff: (metres: number) => `${lengthText(metres)} off`,
  noSlip: 'No usual slip explains it. Look at the steps, and try another.',
  next: 'Next question',
  another: 'Another one',
  notSaved: 'The result could not be saved.',
  saved: 'Saved.',
  mapTurn: 'Turn the map',
  edge: 'Turn the plate',
  plateDial: 'Turn the dial',
  plateReads: (edge: string, dial: string) => `Plate along ${edge}°, dial reads ${dial}.`,
  turnedBy: (degrees: number) => `Map turned by ${Math.round(degrees)}° clockwise.`,
  mapNeedle: (degrees: number) =>
    `The needle points ${Math.round(degrees)}° clockwise of the screen’s top.`,
  placeAt: (east: number, north: number) =>
    `Chosen: ${Math.round(east)} m east, ${Math.round(north)} m north of the map’s corner.`,
  lineFrom: (letter: string) => `Draw a line from ${letter} on (grid degrees)`,
  logLabel: 'The log',

  // Compass
  compassKeys: 'Hand compass: left and right keys turn you, up and down the dial.',
  compassReads: (dial: string, off: number) =>
    off === 0
      ? `The dial reads ${dial}. The needle is in its arrow.`
      : `The dial reads ${dial}. The needle is ${Math.abs(off)}° ${side(off)} of its arrow.`,
  needleAhead: (off: number) =>
    off === 0
      ? 'The needle points straight ahead.'
      : `The needle points ${Math.abs(off)}° to the ${side(off)} of straight ahead.`,
  body: 'Turn yourself',
  dial: 'Dial',
  housing: 'Housing',
  housingAt: (east: number) => `Housing ${Math.abs(east)}° ${east < 0 ? 'W' : 'E'}`,
  by: signed,
  sensor: 'Turn it with the phone',
  sensorOff: 'Stop the phone’s compass',
  kinds: { plate: 'Base plate', mirror: 'Mirror', card: 'Plain needle' },
  part: 'Name a part',
  noPart: 'none marked',
  partUse: (name: string, use: string) => `${name.charAt(0).toUpperCase()}${name.slice(1)}. ${use}`,
  kind: 'Compass',
  tilt: 'Tilt',
  tilted: (degrees: number) =>
    degrees >= STUCK_FROM
      ? `Tilted by ${degrees}°: the needle is stuck.`
      : degrees > DRAGS_FROM
        ? `Tilted by ${degrees}°: the needle drags.`
        : `Tilted by ${degrees}°: level enough.`,
  near: 'Bring near',
  nothingNear: 'nothing',
  away: 'Distance',
  pulled: (degrees: number) => `The needle is ${Math.round(degrees)}° off magnetic north.`,
  state: 'Condition of the compass',
  faults: { none: 'OK', reversed: 'Reversed needle', bubble: 'Large bubble' },

  // Map and panorama
  mapToSee: 'Practice map: arrow keys move it, plus and minus zoom.',
  mapToTap: 'Practice map: tap a place, or move it below the cross and press Enter.',
  margin: (seed: number, declination: string, year: number, change: string, convergence: string) =>
    `Country ${seed}, invented · contours every 10 m · grid 500 m · declination ` +
    `${declination} in ${year}, ` +
    `annual change ${change} · grid convergence ${convergence}`,
  panoramaKeys: (facing: string, seen: readonly string[]) =>
    `You face ${facing} magnetic. In sight: ` +
    `${seen.length > 0 ? seen.join(', ') : 'nothing with a name'}. Left and right keys turn you.`,
  seenAt: (name: string, aside: number) =>
    aside === 0 ? `${name} straight ahead` : `${name} ${Math.abs(aside)}° ${side(aside)}`,
  facing: (bearing: string) => `You face ${bearing}° magnetic.`,

  // Blind walk
  walks: 'Blind walk',
  walksWhy:
    'A whole outing in fog on a practice map: set, count, log in the real outing view, ' +
    'and find the hut again.',
  startWalk: 'Start a blind walk',
  walkOf: (country: number) => `Blind walk, practice map ${country}`,
  goOn: (name: string) => `Go on: ${name}`,
  walkDone: (name: string) => `Look at: ${name}`,
  walkTask: (start: string, seenMetres: number) =>
    `You stand at ${start}, in fog: you see ${lengthText(seenMetres)}. Go out over at least ` +
    `three legs, log each, then find ${start} again.`,
  walkPaces: 'Paces',
  aim: 'Aim',
  aims: AIMS,
  atWater: 'Water in the way',
  waters: WATERS,
  walksSo: (aim: keyof typeof AIMS, atWater: keyof typeof WATERS) =>
    `${AIMS[aim]}; ${WATERS[atWater].toLowerCase()}`,
  walk: 'Walk',
  pacesHelp: 'You take 65 paces for 100 m in the open. In a wood nobody knows: log it “on wood”.',
  walkedLegs: 'What you know',
  legWalked: (number: number, paces: number) => `Leg ${number}: ${plural(paces, 'pace', 'paces')}`,
  inWood: (paces: number) => `${paces} of them in a wood`,
  boxed: ({ side, after, out, along }: WalkedBox) =>
    `after ${plural(after, 'pace', 'paces')} round water: ${out} out to the ${side}, ` +
    `${along} along and ${out} back (log it as “box ${side} ${out}p along ${along}p”)`,
  stopped: (by: string) => `then ${by}: no further this way`,
  met: (what: string, paces: number) => `${what} after ${plural(paces, 'pace', 'paces')}`,
  faceDial: 'Turn until the needle is in its arrow',
  notLogged: 'Log it yourself: the trainer does not.',
  openLog: 'Open the log',
  toWalk: 'Walk on',
  seeWalk: 'See the walk',
  seesHome: (start: string) => `You see ${start}: you are back.`,
  end: 'I am back',
  endFewer: 'Walk at least three legs first.',
  result: 'Truth',
  homeFound: (start: string, metres: number) => `You found ${start}: ${lengthText(metres)} away.`,
  homeMissed: (start: string, metres: number, bearing: string) =>
    `${start} is ${lengthText(metres)} away on ${bearing}° magnetic.`,
  reckoned: (metres: number) =>
    `By your log you are ${lengthText(metres)} from where you really are.`,
  insideEllipse: (major: number, minor: number) =>
    `That is inside the ellipse of your log (95 %): ${lengthText(major)} by ` +
    `${lengthText(minor)}.`,
  outsideEllipse: (major: number, minor: number) =>
    `That is outside the ellipse of your log (95 %): ${lengthText(major)} by ` +
    `${lengthText(minor)}. One walk in twenty is; else look for a slip in the log.`,
  missingLegs: (walked: number, logged: number) =>
    `${plural(walked, 'leg', 'legs')} walked, ${logged} logged.`,
  truthOnMap: 'On the map: walked (solid), logged (dashed), and the ellipse of the log.',
  noWalk: 'This outing is no blind walk.',

  // Courses
  courses: 'Courses',
  coursesWhy:
    'An instructor chooses exercises; every learner gets the same ones, and hands back ' +
    'the results.',
  newCourse: 'Make a course',
  courseName: 'Name of the course',
  chosenExercises: 'Exercises',
  each: 'Questions per exercise',
  makeCourse: 'Save course',
  needName: 'Give it a name and at least one exercise.',
  saveCourse: (name: string) => `Save as a file: ${name}`,
  showCode: (name: string) => `Show as QR codes: ${name}`,
  hideCode: 'Hide the codes',
  saveFile: 'Save as a file',
  showCodes: 'Show as QR codes',
  remove: 'Remove',
  removeCourse: (name: string) => `Remove: ${name}`,
  readFile: 'Read a course or results',
  readCode: 'Read QR codes',
  hideReader: 'Stop reading',
  courseDone: (done: number, count: number) => `${done} of ${count} done`,
  item: (title: string, number: number) => `${number}. ${title}`,
  isDone: 'done',
  yourName: 'Your name',
  handBack: 'Save your results',
  handBackCode: 'Show your results as QR codes',
  gotCourse: (name: string) => `The course “${name}” is here now.`,
  gotResults: (who: string, name: string) => `The results of ${who} in “${name}” are here now.`,
  results: 'Results handed back',
  resultOf: (who: string, right: number, tries: number) => `${who}: ${right} of ${tries} correct`,
  slipsOf: (slips: string) => `slips: ${slips}`,
  unreadable: (why: string) => `This file can’t be read: ${why}`,

  // Progress
  progress: 'Progress',
  noProgress: 'Nothing yet: what you answer shows here.',
  rightByDay: 'Share that was right, day by day',
  errorByTry: 'How far off bearings were, try by try',
  timeByTry: 'Seconds to an answer, try by try',
  slips: 'Slips',
  slipCount: (slip: string, count: number) => `${slip}: ${count}`,
  ownOnly: 'Results stay in the trainer: your errors in outings are not changed by them.',
  forget: 'Forget all results',
  forgetSure: 'Forget all results? Courses stay.',
  cancel: 'Cancel',
  yes: 'Forget them',
};

/** The names of slips, for lists. */
export const SLIP_NAMES: Readonly<Record<string, string>> = {
  'half-circle': '180° error',
  'ten-degrees': '10° off',
  'hundred-degrees': '100° off',
  'digits-transposed': 'digits swapped',
  'declination-omitted': 'declination left out',
  'declination-doubled': 'declination twice',
  'declination-reversed': 'east for west',
  'hundred-metres': '100 m off',
  'ten-paces': 'ten paces off',
  'single-steps': 'steps for paces',
  'double-paces': 'paces for steps',
  unit: 'wrong unit',
  'wrong-station': 'marks swapped',
  'box-side': 'wrong side of a box',
  'written-twice': 'written twice',
  'not-written': 'left out',
  'annual-change': 'annual change',
  'nearest-north': 'left and right swapped',
  'not-read': 'not carried out',
  slope: 'slope',
  scale: 'scale',
  sum: 'slip in the sum',
  'wrong-choice': 'another choice',
};
