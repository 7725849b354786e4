import { describe, expect, it } from 'vitest';
import { logbookOf } from '@/core/model/logbook';
import { earthModels } from '@/core/north/loaded-earth-models';
import { FORMATS } from '@/formats';
import { printRows } from '@/views/print/print-rows';
import { solvedLog } from '../support/outings';

/** A mark that turns the direction of all that follows it on the line. */
const TURN = '\u202E';
const { outing, solution } = solvedLog(
  `outing Plots${TURN}txt\nstart Dock at 54.2 -63.5\ndeclination 19 W\n` +
    `220 100m > Camp${TURN}A ; by the${TURN}brook\nat 40m left 12 ; spring${TURN}\n`,
);

describe('a name that turns the direction of text', () => {
  it.each(['csv', 'geojson'])('is shown by its code in %s', (name) => {
    const book = logbookOf([outing], '2026-08-14T09:40:00.000Z');
    const written = FORMATS.get(name)!.write(book, earthModels);
    if (!written.ok) throw new Error('it can be written');
    expect(written.value).not.toContain(TURN);
    expect(written.value).toContain('Camp[U+202E]A');
    expect(written.value).toContain('spring[U+202E]');
  });

  it('is shown by its code in the rows of the printed log', () => {
    const text = JSON.stringify(printRows(solution));
    expect(text).not.toContain(TURN);
    expect(text).toContain('Camp[U+202E]A');
    expect(text).toContain('by the[U+202E]brook');
  });
});
