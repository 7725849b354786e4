import { IN_ENGLISH } from '@/core/readings/in-english';
import * as z from 'zod/mini';
import { expectedText, faultMessage } from '@/core/faults/messages';
import { readRouteText } from '@/core/log-text/route/route-text';
import { isProjection } from '@/core/model/header';
import type { Route } from '@/core/model/route';
import { nationalGrid } from '@/core/place/national-grids';
import { readPlace } from '@/core/place/place-text';
import { isCalendarDay } from '@/core/readings/calendar';
import { isStationName } from '@/core/readings/name';
import { Refused } from './refusal';
import { nth } from '@/core/units/nth';

const MOST_POINTS = 500;

const climb = z.tuple([
  z.number().check(z.gte(0), z.lte(9000)),
  z.number().check(z.gte(0), z.lte(9000)),
]);

/** What the endpoint is asked. */
const request = z.object({
  points: z
    .array(
      z.object({
        name: z.string().check(z.minLength(1), z.maxLength(200)),
        at: z.string().check(z.maxLength(120)),
      }),
    )
    .check(z.minLength(2), z.maxLength(MOST_POINTS)),
  date: z.optional(z.string()),
  declination: z.optional(z.string().check(z.maxLength(120))),
  grid: z.optional(z.string().check(z.maxLength(300))),
  pace: z.optional(z.string().check(z.maxLength(80))),
  speed: z.optional(z.number().check(z.gt(0), z.lte(20))),
  timing: z.optional(z.enum(['naismith', 'langmuir', 'level'])),
  /** Metres up and down of each leg, one pair a leg; or one pair for a route of one leg. */
  climb: z.optional(z.union([climb, z.array(climb)])),
});
export type RouteRequest = z.infer<typeof request>;

/** The body as a request; throws a refusal that names the field. */
export function readRouteRequest(text: string): RouteRequest {
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

/** One line at the head of a route, by its reader; throws a refusal that names the field. */
function headLine(line: string, path: string): Route {
  const read = readRouteText(line.replace(/[\n\r]/g, ' '), 'request');
  if (read.ok) return read.value;
  const { fault } = nth(read.fault, 0);
  throw new Refused(400, { message: faultMessage(fault), path, expected: expectedText(fault) });
}

/** The grid of the map: UTM, a national one by its name, or a projection by its definition. */
function gridOf(grid: string): Route['convergence'] {
  if (/^utm$/i.test(grid.trim())) return { source: 'model' };
  const definition = nationalGrid(grid)?.definition ?? grid.trim().replace(/\s+/g, ' ');
  if (isProjection(definition)) return { source: 'projection', definition };
  throw new Refused(400, {
    message: `Can’t use “${grid.slice(0, 40)}” as a grid.`,
    path: 'grid',
    expected: 'utm, a national grid (british, irish, lv95 …), or a projection: +proj=…',
  });
}

function pointsOf({ points, climb: climbs }: RouteRequest): Route['points'] {
  const pairs = climbs && typeof climbs[0] === 'number' ? [climbs] : (climbs ?? []);
  if (pairs.length > points.length - 1) {
    const message = `There are ${points.length - 1} legs and ${pairs.length} climbs.`;
    throw new Refused(400, { message, path: 'climb', expected: 'one pair for each leg' });
  }
  return points.map(({ name, at }, index) => {
    const path = `points.${index}`;
    if (!isStationName(name)) {
      const message = 'A name is one line without a semicolon.';
      throw new Refused(400, { message, path: `${path}.name` });
    }
    const read = readPlace(at);
    if (!read.ok) {
      const expected = expectedText(read.fault);
      throw new Refused(400, { message: faultMessage(read.fault), path: `${path}.at`, expected });
    }
    const [up, down] = (pairs[index - 1] as [number, number] | undefined) ?? [];
    const leg = up === undefined ? {} : { leg: { upMetres: up, downMetres: down ?? 0 } };
    return { name, position: read.value, ...leg };
  });
}

/** The request as a route. */
export function requestRoute(asked: RouteRequest): Route {
  const { date, declination = 'none', grid = 'utm', pace, speed, timing } = asked;
  if (date !== undefined && !isCalendarDay(date)) {
    throw new Refused(400, {
      message: `Can’t use “${date.slice(0, 40)}” as a date.`,
      path: 'date',
      expected: 'a day of the calendar as YYYY-MM-DD',
    });
  }
  const head = headLine(`declination ${declination}`, 'declination');
  const paces = pace === undefined ? [] : headLine(`pace ${pace}`, 'pace').paces;
  return {
    ...head,
    ...(date !== undefined && { date: { day: date } }),
    convergence: gridOf(grid),
    paces,
    ...(speed !== undefined && { kilometresPerHour: speed }),
    ...(timing !== undefined && { timing }),
    points: pointsOf(asked),
  };
}
