import type { Leg } from '@/core/entries/entry';
import { writeBearing } from '@/core/readings/bearing';
import { writeDistance } from '@/core/readings/distance';
import { writeGround } from '@/core/readings/ground';
import type { SlopeReading } from '@/core/readings/slope';
import type { North } from '@/core/units/bearing';

/** A leg as separate texts. */
export interface LegFields {
  bearing: string;
  distance: string;
  unit: string;
  back?: string;
  slope?: string;
  slopeWay: 'up' | 'down';
  ground?: string;
  time?: string;
  to?: string;
  note?: string;
}

export const NO_FIELDS: LegFields = { bearing: '', distance: '', unit: 'p', slopeWay: 'up' };

/** The fields as a line of the log: one reader serves the form and the entry line. */
export function lineOfFields(fields: LegFields): string {
  const part = (word: string, value: string | undefined) =>
    value?.trim() ? `${word}${value.trim()}` : '';
  const distance = fields.distance.trim();
  const needsUnit = distance !== '' && !/[a-z]/i.test(distance);
  return [
    fields.bearing.trim(),
    needsUnit ? distance + fields.unit : distance,
    fields.ground && writeGround(fields.ground),
    part('back ', fields.back),
    part(`${fields.slopeWay} `, fields.slope),
    part('@', fields.time),
    part('> ', fields.to),
    part('; ', fields.note),
  ]
    .filter(Boolean)
    .join(' ');
}

/** A slope without its sign, as it is typed: degrees, or rise/run. */
function slopeFigure({ slopeDegrees, slopeRatio }: SlopeReading): string | undefined {
  if (slopeDegrees !== undefined) return String(Math.abs(slopeDegrees));
  return slopeRatio && `${Math.abs(slopeRatio.rise)}/${slopeRatio.run}`;
}

/** The fields of a leg; bearings from `read` have no letter. */
export function fieldsOfLeg(leg: Leg, read: North): LegFields {
  const length = writeDistance(leg.distance);
  const written = leg.counted ? `${writeDistance(leg.counted)} ${length}` : length;
  const [, figure = written, unit = 'p'] =
    /^([\d.]+)(p|s|m|km|ft|yd|mi|ch|lk)$/.exec(written) ?? [];
  return {
    bearing: writeBearing(leg.bearing, read),
    distance: figure,
    unit,
    back: leg.back && writeBearing(leg.back, read),
    slope: slopeFigure(leg),
    slopeWay: (leg.slopeDegrees ?? leg.slopeRatio?.rise ?? 0) < 0 ? 'down' : 'up',
    ground: leg.ground,
    time: leg.time,
    to: leg.to,
    note: leg.note,
  };
}
