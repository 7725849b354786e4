import { withNote } from '../../entries/entry-kind';
import { finishWithNote } from '../../entries/trailing-note';
import { isStartName } from '../../readings/name';
import { positionIn, writeNameBefore, writePosition } from '../../readings/place/named-place';
import { readNameUntil, readPosition } from '../../readings/place/read-place';
import { readStationName } from '../../readings/texts/read-name';
import type { HeaderLine } from './header-line';

const UNNAMED = 'Start';

/** `start NAME [at PLACE]`, the position in degrees or by a grid; written in degrees. */
export const startLine: HeaderLine = {
  keyword: 'start',
  once: 'start',
  takesWholeLine: false,
  read(cursor, note) {
    const column = cursor.position;
    const before = positionIn(cursor.text.slice(column, cursor.end));
    if (!before) {
      const name = readStationName(cursor);
      return { start: { name, ...withNote(finishWithNote(cursor, note)) } };
    }
    const name = readNameUntil(cursor, column + before.from) ?? UNNAMED;
    if (!isStartName(name)) cursor.refuse({ code: 'bad-name', name }, column);
    const { position } = readPosition(cursor, column + before.to, cursor.grids);
    return { start: { name, position, ...withNote(note) } };
  },
  write({ start: { name, position, note } }) {
    const text = writeNameBefore(name);
    return { text: position ? `${text} ${writePosition(position)}` : text, note };
  },
};
