import type { FitKind, FitFault } from '@/core/place/picture/fit';
import type { TieFault } from '@/core/place/picture/tie';
import { faultMessage } from '@/core/faults/messages';
import { fineLengthText, lengthText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';

const megabytes = (bytes: number) => `${Math.max(0.1, bytes / 1e6).toFixed(1)} MB`;

const FIT_FAULTS: Readonly<Record<FitFault['code'], string>> = {
  'too-few': 'Mark at least two points; four or more also correct a tilted photo.',
  'in-line': 'These points lie on one line, or on each other: take one well off it.',
  mirrored:
    'These points would mirror the map: easting and northing swapped, or two points mistaken for ' +
    'each other?',
  folded: 'These points fold the picture over: one of them is far off.',
};

/** The words of the Map view. */
export const WORDS = {
  loading: 'Opening the picture…',
  missing: 'There is no such picture on this device.',
  unreadable: 'This picture can’t be read. JPEG, PNG, WebP and TIFF can.',
  pictures: 'Pictures of maps',
  none: 'No picture yet. Photograph your map from straight above, flat and evenly lit.',
  add: 'Add a picture',
  camera: 'Use the camera',
  orient: 'Orient the map',
  blank: 'No picture? A sheet with the grid alone',
  blankAround: 'Around which place?',
  blankHelp: 'Degrees, UTM, a grid square or a national grid reference',
  blankMake: 'Make the sheet',
  demo: 'Add the demo map',
  noDemo: 'The demo could not be loaded: it needs the network once.',
  limit:
    'JPEG, PNG, WebP or TIFF, up to 60 MB and 40 megapixels; a larger one is scaled down if you ' +
    'agree. A GeoTIFF, or a picture with its world file (choose both), is read as it is. ' +
    'Pictures stay on this device, and are not in the backup.',
  tooLarge: (width: number, height: number, bytes: number, to: { width: number; height: number }) =>
    `${width} × ${height} pixels, ${megabytes(bytes)}: larger than is kept. Scale it down to ` +
    `${to.width} × ${to.height}?`,
  scale: 'Scale it down',
  cancel: 'Cancel',
  reading: 'Reading the picture…',
  stop: 'Stop reading',
  stopped: 'The reading was stopped. Nothing was added.',
  otherDatum: (epsg: number) =>
    `The file’s degrees are of another datum (EPSG:${epsg}) than WGS 84, up to some hundred ` +
    'metres off: its place was left out. Set it by points that you know.',
  tooSlow: 'This picture takes too long to read here. Save it as JPEG or PNG, and try that.',
  kept: (bytes: number) => `${megabytes(bytes)} of pictures are kept.`,
  about: (width: number, height: number, bytes: number) =>
    `${width} × ${height}, ${megabytes(bytes)}`,
  rename: 'Name',
  remove: 'Delete',
  reallyRemove: 'Delete it for good',
  chooseFor: 'Choose the picture that the route lies on.',
  caution:
    'A picture is as good as its points: check one that you did not use. Carry the paper map too.',
  mapLabel:
    'The map. Arrow keys move it, plus and minus zoom, 0 fits it, Enter taps its middle, Escape ' +
    'chooses nothing.',
  mapTools: 'View of the map',
  tools: 'Tools',
  modes: {
    look: 'Look',
    measure: 'Measure',
    point: 'Point',
    route: 'Route',
    line: 'Lines',
    protractor: 'Protractor',
    tie: 'Set map position',
  },
  grip: (pane: string, height: 'low' | 'half' | 'whole') => `${pane}: height ${height}. Change it`,
  lookHow: 'Tap a station, a leg or a place. Hold, or click with the right button, anywhere.',
  pointHow: 'Tap any place.',
  tapPlace: 'Tap where it goes. Escape leaves it as it is.',
  close: 'Close',
  // Layers.
  layers: 'Layers',
  picture: 'Map picture',
  whichPicture: 'Which picture',
  strength: 'Strength of the picture',
  toPictures: 'Pictures of maps',
  grid: 'Grid',
  gridOfPicture: 'the picture has its own',
  sure: 'How sure (95 %)',
  nothingOf: 'none yet',
  needsEarth: 'needs a position',
  noEarth: 'This outing has no position on the earth: give its start one, or find it by a fix.',
  which: { route: 'Which route', area: 'Which area' },
  whichOutings: 'Which outings',
  turn: 'Turn',
  ups: {
    picture: 'as photographed',
    true: 'true north up',
    grid: 'grid north up',
    magnetic: 'magnetic north up',
    leg: 'leg up',
  },
  // What is chosen.
  thisPlace: 'This place',
  fromYou: (set: string, metres: string) => `From you: ${set}, ${metres}`,
  paces: (count: number) => `, ${count} paces`,
  walkThere: 'Count to it',
  wayHere: 'Way to here',
  measureFrom: 'Measure from here',
  addToRoute: 'Add to the route',
  inLog: 'In the log',
  placeKept: (name: string) => `“${name}” is kept with the known places.`,
  sight: 'Bearing to it, for a fix',
  sightKeep: 'Take it',
  sightKept: 'Taken: the map shows its line once two bearings cross.',
  toFix: 'Open Fix',
  fixWithin: (metres: string) => `Within ${metres} (95 %).`,
  nameOfPoint: 'Name of the point',
  movePoint: 'Move it',
  takePoint: 'Take it out',
  insertPoint: 'Insert a point',
  table: {
    button: 'Table',
    about: 'Table of what is on the map',
    title: 'What is on the map',
    search: 'Find on the map',
    name: 'Name',
    layer: 'Layer',
    bearing: 'From you',
    distance: 'Distance',
    none: 'Nothing of that name.',
  },
  sheet: 'Picture of the map',
  // Tie.
  tieHow:
    'Tap a crossing of the grid or a known place, set it under the magnifier, and say where it ' +
    'is. Spread the points over the corners; a fifth one checks the four, six name a wrong one.',
  notTied: 'Not positioned yet.',
  tiedByFile: 'Positioned by its own file.',
  kinds: {
    similarity: 'turned and scaled (similarity)',
    affine: 'turned, scaled and sheared (affine)',
    projective: 'seen from a slant (projective)',
  } satisfies Record<FitKind, string>,
  fitted: (kind: FitKind, rms: Metres) =>
    `${WORDS_KINDS[kind]}; the points disagree by ${fineLengthText(rms)} (RMS).`,
  noCheck: 'One point more checks these: now they fit exactly, right or wrong.',
  fiveCheck:
    'One of five may be wrong without a sign of which: a sixth would name it. Is this more than ' +
    'you read them to?',
  suspect: (label: string, metres: Metres) =>
    `${label} disagrees with all the others by ${lengthText(metres)}: wrong reference, or wrong ` +
    'crossing?',
  fault: (fault: TieFault): string => {
    if (fault.code === 'grid') return faultMessage(fault.fault);
    if (fault.code === 'no-projection') {
      return 'The file is in metres but names no grid. Enter its projection below.';
    }
    return FIT_FAULTS[fault.code];
  },
  reference: 'Where it is',
  referenceHelp:
    'Grid reference, as a roamer (romer) reads it; UTM, degrees; or choose a known place',
  square: 'Grid square letters (for short references)',
  addPoint: 'Set this point',
  removePoint: (label: string) => `Delete ${label}`,
  residual: (metres: Metres) => fineLengthText(metres),
  magnifier: 'Magnifier: drag, or use the arrow keys',
  projection: 'Grid of the map, if it isn’t UTM',
  projectionHelp: 'A national grid (british, irish, lv95 …), or a projection: +proj=utm +zone=20',
  save: 'Save',
  // Measure.
  measureHow: 'Tap where from, then where to.',
  measured: (set: string, metres: Metres) => `${set}, ${lengthText(metres)}`,
  bearing: (digits: string, north: string) => `${digits} ${north}`,
  onGround: (text: string) => `${text} on the ground`,
  noDeclination: 'Magnetic once an outing or a route tells the declination.',
  again: 'Measure again',
  needsTie: 'Set the position of the picture first: then it tells bearings and metres.',
  here: (text: string) => `The place: ${text}`,
  asKnown: 'Keep as a known place',
  // Route.
  routeHow: 'Tap the points of the route one after another: each tap adds one.',
  points: (count: number) => (count === 1 ? '1 point.' : `${count} points.`),
  noRoute: 'Tap to begin a new one, or choose a route under “Layers”.',
  startRoute: 'Start a route here',
  pointName: 'Name of the last point',
  openRoute: 'Open the route',
  // Lines.
  lineHow: 'Tap the corners of a path, a stream or a shore, then name it.',
  lineName: 'Name of the line',
  barrier: 'Barrier: warn if a route crosses it',
  keepLine: 'Keep the line',
  lineKept: (name: string) => `“${name}” is kept with the known places.`,
  back: 'Take the last corner back',
  // Protractor.
  protractorHow:
    'Lay the edge from where you are to where you go; turn the dial until its lines run with the ' +
    'grid and its N points to the grid’s north; read at the line of travel.',
  edge: 'Turn the base plate',
  dial: 'Turn the dial',
  reads: (digits: string) => `The dial reads ${digits}.`,
  protractorRight: (digits: string) => `Edge and dial are right: ${digits} grid.`,
  protractorDialOff: (degrees: string) => `The dial’s lines are ${degrees} off the grid’s.`,
  protractorReversed:
    'The dial’s N points to the grid’s south: the bearing is wrong by exactly 180°.',
  protractorEdgeOff: (degrees: string) => `The edge is ${degrees} off the line of the two points.`,
  showMe: 'Show me',
} as const;

const WORDS_KINDS: Readonly<Record<FitKind, string>> = {
  similarity: 'Turned and scaled (similarity)',
  affine: 'Turned, scaled and sheared (affine)',
  projective: 'Seen from a slant (projective)',
};
