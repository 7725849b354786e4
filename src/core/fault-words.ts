import { threeDigits } from './angle';
import type { Expected, Fault, Ranged } from './faults';

/** What was expected, in words that follow "Expected". */
const EXPECTED: Readonly<Record<Expected, string>> = {
  line: 'a leg such as 220 65p, or a line that begins with one of the log’s words',
  header: 'cairn-back log 1',
  bearing: 'a bearing: 220, S40W, SSW, 3911mil or 244gon',
  distance: 'a distance: 65p, 100m, 0.5km, 328ft or 4min@3kmh',
  'distance-unit': 'a unit: p (paces), s (single steps), m, km, ft, yd, mi or min@…kmh',
  speed: 'a speed after the minutes, as in 4min@3kmh',
  'leg-part':
    'a ground (rough, snow, on NAME), back BEARING, up or down DEGREES, @HH:MM, > STATION, or ; before a note',
  'line-end': 'the end of the line, or ; before a note',
  'back-bearing': 'a back bearing, as in back 040',
  slope: 'a slope in degrees, as in up 12, or rise over run, as in up 1/5',
  ground: 'a ground in one word, as in on heather',
  spread: 'a spread in per cent, as in spread 4%',
  time: 'a time as HH:MM, 00:00 to 23:59',
  date: 'a day of the calendar as YYYY-MM-DD',
  'station-name': 'the name of a station',
  'start-name': 'the name of the start',
  'outing-name': 'the name of the outing',
  position: 'a latitude and a longitude in decimal degrees, as in 54.2000 -63.5000',
  declination: 'none, model, or an angle with its letter, as in 19.1 W or 2°18’ W',
  angle: 'an angle with its letter, as in 19.1 W or 2°18’ W',
  'margin-date': 'the year or month of the map, as in 2009-07',
  'margin-change': 'the change a year, as in change 9’ E a year',
  convergence: 'model, an angle with its letter, as in 1.2 E, or proj and a projection',
  projection: 'a projection, as in proj +proj=tmerc +lon_0=-63 +k=0.9996',
  correction: 'none, by-sum, compass-set, by-mark, left-out or magnetic-map',
  place:
    'a latitude and a longitude (54.2000 -63.5000 or 54°12’ N 63°30’ W), UTM (20U 467383 6005890) or a grid square (20U MF 67382 05889)',
  north: 'magnetic, true or grid',
  pace: 'a length of a pace: 65 per 100 m, 1.54 m or 5 ft',
  aim: 'needle, landmark or sighted',
  metres: 'a number of metres',
  side: 'left or right and metres, as in left 12',
  'what-seen': '; and what was seen',
  wind: 'a rough direction such as NE',
  code: 'the code of a remark, as in right leg-short',
  struck:
    'the time, a reason and the line as it stood: struck 2026-08-14T10:20:00Z | why | 220 65p',
  box: 'a side, the way out and the way along, as in box right 20p along 40p',
  note: 'a note',
};

const RANGED: Readonly<Record<Ranged, string>> = {
  bearing: 'A bearing in degrees',
  mils: 'A bearing in mils',
  gon: 'A bearing in gon',
  quadrant: 'A quadrant bearing',
  distance: 'A distance',
  speed: 'A speed',
  slope: 'A slope in degrees',
  latitude: 'A latitude',
  longitude: 'A longitude',
  declination: 'An angle in degrees',
  'minutes-of-arc': 'Minutes of arc',
  pace: 'A pace',
  metres: 'A length in metres',
  month: 'A month',
  rise: 'Rise or run',
  spread: 'A spread in per cent',
  easting: 'An easting in metres',
  northing: 'A northing in metres',
  zone: 'A zone of the grid',
  'seconds-of-arc': 'Seconds of arc',
  year: 'A year',
};

const limit = (value: number) =>
  value > 0 && value < 1e-300
    ? 'more than 0'
    : value === 59.999999999
      ? 'less than 60'
      : `${value}`;

const range = (least: number, most: number) =>
  least > 0 && least < 1e-300
    ? `more than 0, at most ${limit(most)}`
    : most === 59.999999999
      ? `${least} or more, less than 60`
      : `${limit(least)} to ${limit(most)}`;

const list = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** What was expected, for a fault that knows; undefined for the others. */
export function expectedWords(fault: Fault): string | undefined {
  switch (fault.code) {
    case 'unexpected':
      return EXPECTED[fault.expected];
    case 'out-of-range':
      return range(fault.least, fault.most);
    case 'word-contradicts-number':
      return list(fault.readings);
    case 'wrong-band':
      return list(fault.nearest);
    default:
      return undefined;
  }
}

/** Readings that the person may have meant, ready to be put in the place of what stood there. */
export const nearestReadings = (fault: Fault): readonly string[] =>
  fault.code === 'unexpected'
    ? (fault.nearest ?? [])
    : fault.code === 'word-contradicts-number'
      ? fault.readings
      : fault.code === 'wrong-band'
        ? fault.nearest
        : fault.code === 'unknown-station' && fault.nearest !== undefined
          ? [fault.nearest]
          : [];

/** The sentence for a fault: what stood there, what was expected, what to do. Plain text. */
export function faultWords(fault: Fault): string {
  switch (fault.code) {
    case 'unexpected': {
      const stood = fault.found === '' ? 'Nothing stands here.' : `Can’t read “${fault.found}”.`;
      const meant = fault.nearest?.length ? ` Did you mean ${list(fault.nearest)}?` : '';
      return `${stood} Expected ${EXPECTED[fault.expected]}.${meant}`;
    }
    case 'out-of-range':
      return `${RANGED[fault.what]} is ${range(fault.least, fault.most)}; here stands ${fault.found}.`;
    case 'word-contradicts-number':
      return `${threeDigits(fault.degrees)} and ${fault.word} contradict each other. Did you mean ${list(fault.readings)}?`;
    case 'twice':
      return `A log has one “${fault.what}” line, and it stands on line ${fault.firstLine} already.`;
    case 'part-twice':
      return `This leg has “${fault.part}” twice.`;
    case 'too-long':
      return `This ${fault.what} is longer than ${fault.most} characters.`;
    case 'no-declination':
      return `A bearing from ${fault.north} north can’t go in: this outing knows no declination, and mixing map and needle ruins the way home. Set the declination first, or write the bearing as the needle reads.`;
    case 'no-pace':
      return `A distance in ${fault.unit} needs the length of a pace first, as in: pace 65 per 100 m. Or write metres: 100m.`;
    case 'no-leg-yet':
      return 'Something seen on a leg needs a leg before it.';
    case 'unknown-station': {
      const meant = fault.nearest === undefined ? '' : ` Did you mean ${fault.nearest}?`;
      return `No station is called “${fault.name}” so far.${meant}`;
    }
    case 'name-taken':
      return `A station called “${fault.name}” already stands.`;
    case 'number-taken':
      return `This station would be called ${fault.name} after its leg, but another one has that name. Give it a name: > NAME.`;
    case 'station-in-use':
      return `Other lines lead to or from ${fault.name} (${fault.legs.map((leg) => `line ${leg}`).join(', ')} of the page). Change those first.`;
    case 'bad-name':
      return `“${fault.name}” can’t be a station’s name: one line, no semicolon, and for the start no “at” before a number.`;
    case 'model-needs':
      return fault.what === 'position'
        ? 'The model needs the position of the start: start NAME at LAT LON.'
        : 'The declination for a day needs the date of the outing: date YYYY-MM-DD.';
    case 'model-out-of-window':
      return `The date is far outside the years that the field model holds for (${fault.model}: ${fault.from} to ${fault.until}). Type the declination in.`;
    case 'model-not-loaded':
      return 'The model is still being loaded.';
    case 'convergence-unknown':
      return 'The UTM grid ends at 80° south and 84° north: type the convergence in.';
    case 'bad-projection':
      return `The projection “${fault.definition}” can’t be used at the start’s position.`;
    case 'wrong-band':
      return `That place is at latitude ${fault.latitude.toFixed(2)}, outside band ${fault.band}. Did you mean ${list(fault.nearest)}?`;
    case 'no-grid-there':
      return 'UTM and its squares end at 80° south and 84° north: write the place in degrees.';
    case 'changed-elsewhere':
      return 'This page was changed in another tab in the meantime. Look again, then repeat the change.';
    case 'too-large':
      return fault.unit === 'bytes'
        ? `A log of more than ${fault.most / 1_000_000} MB is not read.`
        : `A log of more than ${fault.most.toLocaleString('en')} lines is not read.`;
    case 'schema':
      return fault.message;
  }
}
