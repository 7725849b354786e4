import { expectedText, faultMessage } from '@/core/faults/messages';
import { earthModels } from '@/core/north/loaded-earth-models';
import { isCalendarDay } from '@/core/readings/calendar';
import { answering, onlyMethod, Refused } from '../answering/refusal';

/** A number of the query in its range. */
function degreesIn(query: URLSearchParams, path: 'lat' | 'lon', most: number): number {
  const text = query.get(path)?.trim() ?? '';
  const value = Number(text);
  if (/^[+-]?\d+(\.\d+)?$/.test(text) && Math.abs(value) <= most) return value;
  const name = path === 'lat' ? 'latitude' : 'longitude';
  const message =
    text === '' ? `The ${name} is missing.` : `Can’t use “${text.slice(0, 40)}” as a ${name}.`;
  throw new Refused(400, {
    message,
    path,
    expected: `decimal degrees, ${-most} to ${most}`,
  });
}

/** The day of the query. */
function dayIn(query: URLSearchParams): string {
  const date = query.get('date') ?? '';
  if (isCalendarDay(date)) return date;
  const message =
    date === '' ? 'The date is missing.' : `Can’t use “${date.slice(0, 40)}” as a date.`;
  throw new Refused(400, {
    message,
    path: 'date',
    expected: 'a day of the calendar as YYYY-MM-DD',
  });
}

/** GET /api/declination?lat=&lon=&date=YYYY-MM-DD: the World Magnetic Model there on that day. */
export const GET = answering((request) => {
  const query = new URL(request.url).searchParams;
  const latitude = degreesIn(query, 'lat', 90);
  const longitude = degreesIn(query, 'lon', 180);
  const date = dayIn(query);
  const found = earthModels.declination({ latitude, longitude }, date);
  if (!found.ok) {
    const { fault } = found;
    throw new Refused(400, {
      message: faultMessage(fault),
      path: 'date',
      expected: expectedText(fault) ?? `${earthModels.reach.from} to ${earthModels.reach.until}`,
    });
  }
  const field = found.value;
  return Promise.resolve(
    Response.json({
      east: field.eastDegrees,
      uncertainty: field.sigmaDegrees,
      horizontalIntensity: field.horizontalNanotesla,
      changePerYear: field.changePerYearDegrees,
      model: field.model,
      validUntil: field.validUntil,
      extrapolated: field.extrapolated,
    }),
  );
});

const { refuse, options } = onlyMethod('GET');
export { refuse as POST, refuse as PUT, refuse as PATCH, refuse as DELETE, options as OPTIONS };
