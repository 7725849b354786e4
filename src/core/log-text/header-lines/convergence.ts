import { withNote } from '../../entries/entry-kind';
import { isProjection, type ConvergenceSetting } from '../../model/header';
import { nationalGrid, nationalGridOf } from '../../place/national-grids';
import { writeAngle } from '../../readings/angle';
import { readAngle } from '../../readings/texts/read-angle';
import type { Cursor } from '../../readings/cursor';
import type { HeaderLine } from './header-line';

/** `convergence model | ANGLE | GRID | proj DEFINITION`: between true and grid north. */
export const convergenceLine: HeaderLine = {
  keyword: 'convergence',
  once: 'convergence',
  takesWholeLine: false,
  read(cursor, note) {
    const setting = readConvergence(cursor);
    cursor.finish();
    return { convergence: { ...setting, ...withNote(note) } };
  },
  write: ({ convergence }) =>
    convergence ? { text: writeConvergence(convergence), note: convergence.note } : null,
};

function readConvergence(cursor: Cursor): ConvergenceSetting {
  if (cursor.take(/(?:model|utm)(?![a-z])/iy)) return { source: 'model' };
  const start = cursor.position;
  const named = nationalGrid(cursor.take(/[a-z][a-z\d]+/iy)?.[0] ?? '');
  if (named) return { source: 'projection', definition: named.definition };
  cursor.position = start;
  if (!cursor.take(/proj(?=\s)/iy)) {
    return { source: 'typed', angle: readAngle(cursor, 'convergence') };
  }
  cursor.skipSpace();
  const column = cursor.position;
  const definition = cursor.rest().replace(/\s+/g, ' ');
  if (isProjection(definition)) return { source: 'projection', definition };
  return cursor.expected('projection', undefined, column);
}

/** A convergence as what follows its keyword in a log. */
export function writeConvergence(setting: ConvergenceSetting): string {
  if (setting.source === 'typed') return writeAngle(setting.angle);
  if (setting.source === 'model') return 'model';
  return nationalGridOf(setting.definition)?.id ?? `proj ${setting.definition}`;
}
