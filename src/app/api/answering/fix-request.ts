import { IN_ENGLISH } from '@/core/readings/in-english';
import * as z from 'zod/mini';
import { AIMS } from '@/core/entries/reckoning';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { readLine } from '@/core/log-text/read-line';
import { blankOuting, type Outing } from '@/core/model/outing';
import { expectedText, faultMessage } from '@/core/faults/messages';
import type { Fault } from '@/core/faults/fault';
import type { BearingReading } from '@/core/readings/bearing';
import { isCalendarDay } from '@/core/readings/calendar';
import { nameKey } from '@/core/readings/name';
import { Refused } from './refusal';

const figure = z.number().check(z.gte(-1e7), z.lte(1e7));
const within = z.optional(z.number().check(z.gt(0), z.lte(10_000)));
const name = z.string().check(z.minLength(1), z.maxLength(200));
const latitude = z.number().check(z.gte(-90), z.lte(90));
const longitude = z.number().check(z.gte(-180), z.lte(180));

const onEarth = z.object({ name, latitude, longitude, within });
const inPlane = z.object({ name, x: figure, y: figure, within });
const place = z.union([onEarth, inPlane]);

/** What the endpoint is asked. */
const request = z.object({
  known: z.array(place).check(z.minLength(1), z.maxLength(50)),
  bearings: z
    .array(
      z.object({
        to: name,
        bearing: z.string().check(z.maxLength(40)),
        aim: z.optional(z.enum(AIMS)),
        back: z.optional(z.boolean()),
      }),
    )
    .check(z.minLength(1), z.maxLength(30)),
  declination: z.optional(z.string().check(z.maxLength(80))),
  date: z.optional(z.string()),
  line: z.optional(z.array(z.tuple([figure, figure])).check(z.minLength(2), z.maxLength(2000))),
  solveBias: z.optional(z.boolean()),
});
export type FixRequest = z.infer<typeof request>;
export type RequestPlace = z.infer<typeof place>;

/** A bearing of the request, read, and the place that it is to. */
export interface RequestBearing {
  readonly to: RequestPlace;
  readonly reading: BearingReading;
  readonly back: boolean;
  readonly aim: (typeof AIMS)[number];
}

const refused = (fault: Fault, path: string) =>
  new Refused(400, { message: faultMessage(fault), path, expected: expectedText(fault) });

/** The body as a request; throws a refusal that names the field. */
export function readRequest(text: string): FixRequest {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    throw new Refused(400, { message: 'The body is not JSON.', expected: 'JSON' });
  }
  const read = request.safeParse(body, IN_ENGLISH);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  const path = issue?.path.map(String).join('.') ?? '';
  throw new Refused(400, { message: issue?.message ?? 'The body is no question.', path });
}

/** The bearings of a request, each to a place that is among the known ones. */
export function requestBearings({ known, bearings }: FixRequest): RequestBearing[] {
  const places = new Map(known.map((each) => [nameKey(each.name), each]));
  return bearings.map(({ to, bearing, back = false, aim = 'landmark' }, index) => {
    const found = places.get(nameKey(to));
    if (!found) {
      const message = `“${to}” is not among the known places.`;
      const expected = known.map((each) => each.name).join(', ');
      throw new Refused(400, { message, path: `bearings.${index}.to`, expected });
    }
    const reading = readBearingText(bearing, 'magnetic');
    if (!reading.ok) throw refused(reading.fault, `bearings.${index}.bearing`);
    return { to: found, reading: reading.value, back, aim };
  });
}

/** An outing with the declination and the day that a request asks for, at its first place. */
export function requestOuting({ known, declination = 'none', date }: FixRequest): Outing {
  const line = readLine(`declination ${declination}`);
  if (!line.ok) throw refused(line.fault.fault, 'declination');
  if (date !== undefined && !isCalendarDay(date)) {
    const expected = 'a day of the calendar as YYYY-MM-DD';
    throw new Refused(400, {
      message: `Can’t use “${date.slice(0, 40)}” as a date.`,
      path: 'date',
      expected,
    });
  }
  const header = 'header' in line.value ? line.value.header : {};
  const [first] = known;
  const position =
    first && 'latitude' in first
      ? { latitude: first.latitude, longitude: first.longitude }
      : undefined;
  return {
    ...blankOuting('fix'),
    ...header,
    ...(date !== undefined && { date: { day: date } }),
    start: { name: 'Start', ...(position && { position }) },
  };
}
