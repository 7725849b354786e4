import {
  GROUNDS,
  type AngleReading,
  type BearingReading,
  type ConvergenceSetting,
  type DeclinationSetting,
  type DistanceReading,
  type Entry,
  type EntryOf,
  type Leg,
  type Outing,
  type Thing,
} from '../logbook';
import type { North } from '../north';
import { plainDecimal } from '../units';

const LETTER: Readonly<Record<North, string>> = { magnetic: 'M', true: 'T', grid: 'G' };
const UNIT: Readonly<Record<Exclude<DistanceReading['unit'], 'minutes'>, string>> = {
  paces: 'p',
  steps: 's',
  metres: 'm',
  kilometres: 'km',
  feet: 'ft',
  yards: 'yd',
  miles: 'mi',
};

/** A bearing as written in a log; its north's letter is left out where `read` says it. */
export function writeBearing(reading: BearingReading, read: North): string {
  const letter = reading.north === read ? '' : LETTER[reading.north];
  switch (reading.unit) {
    case 'wind':
      return reading.wind + letter;
    case 'quadrant':
      return reading.from + plainDecimal(reading.value) + reading.toward + letter;
    default: {
      const unit = reading.unit === 'degrees' ? '' : reading.unit === 'mils' ? 'mil' : 'gon';
      const number = plainDecimal(reading.value);
      const padded =
        unit === '' ? number.replace(/^\d+/, (whole) => whole.padStart(3, '0')) : number;
      return padded + unit + letter + (reading.word ? ` ${reading.word}` : '');
    }
  }
}

export const writeDistance = (reading: DistanceReading): string =>
  reading.unit === 'minutes'
    ? `${plainDecimal(reading.value)}min@${plainDecimal(reading.kilometresPerHour)}kmh`
    : plainDecimal(reading.value) + UNIT[reading.unit];

export const writeAngle = ({ degrees, minutes, toward }: AngleReading): string =>
  minutes === undefined
    ? `${plainDecimal(degrees)} ${toward}`
    : `${plainDecimal(degrees)}°${plainDecimal(minutes)}' ${toward}`;

const slopeText = (slope: number, over = '') =>
  slope < 0 ? ` down ${plainDecimal(-slope)}${over}` : ` up ${plainDecimal(slope + 0)}${over}`;

/** A ground as it stands in a leg, with the space before it: a usual one bare, any other after `on`. */
export const groundText = (ground: string): string =>
  (GROUNDS as readonly string[]).includes(ground) ? ` ${ground}` : ` on ${ground}`;

function writeLeg(leg: Leg, read: North): string {
  let text = `${writeBearing(leg.bearing, read)} ${writeDistance(leg.distance)}`;
  if (leg.ground) text += groundText(leg.ground);
  if (leg.back) text += ` back ${writeBearing(leg.back, read)}`;
  if (leg.slopeDegrees !== undefined) text += slopeText(leg.slopeDegrees);
  if (leg.slopeRatio)
    text += slopeText(leg.slopeRatio.rise, `/${plainDecimal(leg.slopeRatio.run)}`);
  if (leg.time !== undefined) text += ` @${leg.time}`;
  if (leg.to !== undefined) text += ` > ${leg.to}`;
  return text;
}

const PACE_UNIT = { 'per-100-m': 'per 100 m', metres: 'm', feet: 'ft' } as const;

const thingText = ({ thing }: { thing?: Thing }) => (thing === undefined ? '' : ` ${thing}`);

function writePace({ ground, value, unit, spreadPercent }: EntryOf<'pace'>): string {
  const spread = spreadPercent === undefined ? '' : ` spread ${plainDecimal(spreadPercent)}%`;
  return `pace ${ground ? `${ground} ` : ''}${plainDecimal(value)} ${PACE_UNIT[unit]}${spread}`;
}

const noted = (text: string, note: string | undefined) =>
  note === undefined ? text : `${text} ; ${note}`;

/** One line of the log, without the line break. `read` is the north of bearings without a letter. */
export function writeEntry(entry: Entry, read: North): string {
  switch (entry.kind) {
    case 'leg':
      return noted(writeLeg(entry, read), entry.note);
    case 'from':
      return noted(`from ${entry.station}`, entry.note);
    case 'at': {
      const side =
        entry.side === undefined ? '' : ` ${entry.side} ${plainDecimal(entry.sideMetres ?? 0)}`;
      return `  at ${plainDecimal(entry.metres)}${side}${thingText(entry)} ; ${entry.what}`;
    }
    case 'see':
      return `  see ${writeBearing(entry.bearing, read)}${thingText(entry)} ; ${entry.what}`;
    case 'landmark':
      return `landmark${thingText(entry)} ; ${entry.what}`;
    case 'box': {
      const { side, out, along } = entry;
      const text = `  box ${side} ${writeDistance(out)} along ${writeDistance(along)}`;
      return noted(text, entry.note);
    }
    case 'passed':
      return `  passed ${entry.side} ; ${entry.what}`;
    case 'out': {
      const time = entry.time === undefined ? '' : ` @${entry.time}`;
      return noted(`out ${writeBearing(entry.bearing, read)}${time}`, entry.note);
    }
    case 'expect':
      return noted(`expect ${entry.wind}`, entry.note);
    case 'right':
      return noted(`  right ${entry.code}`, entry.note);
    case 'struck':
      return `  struck ${entry.at} | ${entry.reason ?? ''} | ${entry.was}`;
    case 'read':
      return noted(`read ${entry.north}`, entry.note);
    case 'aim':
      return noted(`aim ${entry.aim}`, entry.note);
    case 'pace':
      return noted(writePace(entry), entry.note);
  }
}

/** A declination as what follows its keyword in a log. */
function writeDeclination(setting: DeclinationSetting): string {
  if (setting.source === 'typed') return writeAngle(setting.angle);
  if (setting.source !== 'margin') return setting.source;
  const month = setting.month ? `-${String(setting.month).padStart(2, '0')}` : '';
  const change = writeAngle(setting.changePerYear);
  return `${writeAngle(setting.angle)} in ${setting.year}${month} change ${change} a year`;
}

/** A convergence as what follows its keyword in a log. */
export function writeConvergence(setting: ConvergenceSetting): string {
  if (setting.source === 'typed') return writeAngle(setting.angle);
  return setting.source === 'model' ? 'model' : `proj ${setting.definition}`;
}

/** The lines at the head of a log, without line breaks. */
export function headerLines(outing: Outing): string[] {
  const { date, start, declination, correction, convergence, show } = outing;
  const lines = ['cairn-back log 1'];
  if (outing.name !== '') lines.push(`outing ${outing.name}`);
  if (date) lines.push(noted(`date ${date.day}${date.time ? ` ${date.time}` : ''}`, date.note));
  const place = start.position
    ? ` at ${plainDecimal(start.position.latitude)} ${plainDecimal(start.position.longitude)}`
    : '';
  lines.push(noted(`start ${start.name}${place}`, start.note));
  lines.push(noted(`declination ${writeDeclination(declination)}`, declination.note));
  if (correction) lines.push(noted(`correction ${correction.how}`, correction.note));
  if (convergence) {
    lines.push(noted(`convergence ${writeConvergence(convergence)}`, convergence.note));
  }
  if (show.north !== 'magnetic' || show.note) lines.push(noted(`show ${show.north}`, show.note));
  return lines;
}

/** An outing as the canonical text of its log: reading it and writing it again gives the same text. */
export function writeLog(outing: Outing): string {
  const lines = headerLines(outing);
  let read: North = 'magnetic';
  for (const entry of outing.entries) {
    lines.push(writeEntry(entry, read));
    if (entry.kind === 'read') read = entry.north;
  }
  return `${lines.join('\n')}\n`;
}
