import Papa from 'papaparse';
import { writeRouteText } from '../../core/log-text/route/route-text';
import type { Plan } from '../../core/navigation/route/plan';
import { nationalReference } from '../../core/place/national-text';
import { visibleText } from '../../core/units/visible';
import type { RouteFormat } from './route-format';
import { nth } from '../../core/units/nth';

/**
 * The columns of the table. `line` holds the lines of the route's text that belong to the point, so
 * that the table alone makes the route again.
 */
const COLUMNS = [
  'number',
  'name',
  'latitude',
  'longitude',
  'reference',
  'true',
  'grid',
  'magnetic',
  'metres',
  'paces',
  'up',
  'down',
  'minutes',
  'note',
  'line',
] as const;
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>;

const rounded = (value: number | null, digits: number) =>
  value === null ? '' : Number(value.toFixed(digits));

/** The lines of a route's text: those of its head, and those of each point. */
function linesOf(plan: Plan): { head: string[]; points: string[] } {
  const [head = [], ...points] = writeRouteText(plan.route)
    .trimEnd()
    .split('\n')
    .reduce<string[][]>(
      (parts, line) => {
        if (/^(point|attack)\s/.test(line)) parts.push([line]);
        else parts.at(-1)?.push(line.trim());
        return parts;
      },
      [[]],
    );
  return { head, points: points.map((lines) => lines.join('\n')) };
}

/** CSV (RFC 4180): a row for each line of the head, then one for each point with its leg. */
export const routeCsv: RouteFormat = {
  name: 'csv',
  words: 'Table (CSV)',
  fileEnding: '.csv',
  mediaType: 'text/csv',
  write(plan) {
    const { head, points } = linesOf(plan);
    const data = [
      ...head.map((line): Row => ({ line })),
      ...plan.route.points.map(({ name, note }, index): Row => {
        const { latitude, longitude } = nth(plan.positions, index);
        const leg = plan.legs[index - 1];
        return {
          number: index,
          name: visibleText(name),
          latitude: rounded(latitude, 9),
          longitude: rounded(longitude, 9),
          reference: nationalReference({ latitude, longitude }) ?? '',
          ...(leg && {
            true: rounded(leg.bearing.true, 3),
            grid: rounded(leg.bearing.grid, 3),
            magnetic: rounded(leg.bearing.magnetic, 3),
            metres: rounded(leg.metres, 3),
            paces: rounded(leg.paces, 1),
            up: leg.upMetres,
            down: leg.downMetres,
            minutes: rounded(leg.minutes, 2),
          }),
          ...(note !== undefined && { note: visibleText(note) }),
          line: points[index] ?? '',
        };
      }),
    ];
    const text = Papa.unparse(
      { fields: [...COLUMNS], data: data.map((row) => COLUMNS.map((name) => row[name] ?? '')) },
      { newline: '\r\n', escapeFormulae: /^'*[=+\-@\t\r]/ },
    );
    return `${text}\r\n`;
  },
};
