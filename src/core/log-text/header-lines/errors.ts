import { withNote } from '../../entries/entry-kind';
import { MOST_SIGMA } from '../../model/header';
import { SIGMA_IDS, unitOfSigma, type SigmaReading } from '../../model/error-settings';
import type { Cursor } from '../../readings/cursor';
import { readNumber } from '../../readings/number';
import { plainDecimal } from '../../units/units';
import type { HeaderLine } from './header-line';

const WORD = /[a-z][a-z-]*/iy;
const DEGREES = /\s*(?:°|deg(?:rees?)?(?![a-z]))/iy;

/** `errors NAME SIGMA, NAME SIGMA…`: one sigma each, in degrees or per cent, on this outing. */
export const errorsLine: HeaderLine = {
  keyword: 'errors',
  once: 'errors',
  takesWholeLine: false,
  read(cursor, note) {
    const sigmas = [readSigma(cursor)];
    while (cursor.takeAfterSpace(/,\s*/y)) {
      const column = cursor.position;
      const next = readSigma(cursor);
      const isThere = sigmas.some(({ of }) => of === next.of);
      if (isThere) cursor.refuse({ code: 'part-twice', part: next.of, found: next.of }, column);
      sigmas.push(next);
    }
    cursor.finish();
    return { errors: { sigmas, ...withNote(note) } };
  },
  write: ({ errors }) =>
    errors ? { text: errors.sigmas.map(written).join(', '), note: errors.note } : null,
};

const written = ({ of, unit, value }: SigmaReading) =>
  `${of} ${plainDecimal(value)}${unit === 'percent' ? '%' : ''}`;

function readSigma(cursor: Cursor): SigmaReading {
  const column = cursor.position;
  const word = cursor.take(WORD)?.[0].toLowerCase();
  const of = SIGMA_IDS.find((id) => id === word);
  if (!of) return cursor.expected('sigma', undefined, column);
  cursor.skipSpace();
  const valueAt = cursor.position;
  const value = readNumber(cursor, 'sigma');
  cursor.inRange(value, 'sigma', 0, MOST_SIGMA, valueAt);
  const unit = unitOfSigma(of);
  if (unit === 'degrees') cursor.take(DEGREES);
  else if (!cursor.take(/\s*%/y)) return cursor.expected('sigma', undefined, valueAt);
  return { of, unit, value };
}
