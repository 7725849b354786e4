import { USUAL_FIGURES } from '@/core/units/figures';
import { describe, expect, it } from 'vitest';
import { readLines } from '@/core/log-text/read-log';
import { isVisible, visibleText } from '@/core/units/visible';
import { walkedLayer } from '@/sketch/layers/walked';
import { contents, demo, refused, solution, written } from '../../support/files';

const TURNED = 'Camp\u202Etxe';

describe('names that hide something', () => {
  it('are refused where nothing of them can be seen', () => {
    for (const name of ['\u0000', '\u200B', '\u202E\u2066', '\u200D\u200C', '\uFEFF\u00AD']) {
      expect(isVisible(name)).toBe(false);
      for (const line of [`outing ${name}`, `start ${name}`, `000 10m > ${name}`]) {
        const read = readLines(line, 'x');
        expect(read.ok, JSON.stringify(line)).toBe(false);
      }
      const book = JSON.parse(written('json', [demo.outing])) as {
        outings: { name: string; start: { name: string } }[];
      };
      book.outings[0]!.name = name;
      // A mark of byte order counts as a space, which no name may end with.
      if (name.startsWith('\uFEFF')) continue;
      expect(refused(JSON.stringify(book))).toBe(
        'This name holds nothing that can be seen: write another.',
      );
    }
    const gpx = (name: string) =>
      `<gpx><rte><name>${name}</name><rtept lat="1" lon="1"/>` +
      '<rtept lat="1.01" lon="1"/></rte></gpx>';
    expect(contents(gpx('\u202E')).outings[0]!.name).toBe('');
  });

  it('are kept as they are, and shown with what can’t be seen', () => {
    const { outings } = contents(
      `outing ${TURNED}\nstart ${TURNED} at 54 -63\ndeclination 19 W\n` +
        '000 100m > A\u200BB\n090 9m\n',
    );
    const [outing] = outings;
    expect(outing!.name).toBe(TURNED);
    expect(visibleText(TURNED)).toBe('Camp[U+202E]txe');
    expect(walkedLayer(solution(outing!), USUAL_FIGURES).marks.map(({ text }) => text)).toEqual([
      'Camp[U+202E]txe',
      'You, at 2',
      'A[U+200B]B',
    ]);
    for (const format of ['gpx', 'kml', 'svg']) {
      expect(written(format, [outing!])).toContain('Camp[U+202E]txe');
      expect(written(format, [outing!])).not.toContain('\u202E');
    }
    expect(written('csv', [outing!])).toMatch(/^Camp\[U\+202E\]txe,/m);
    // What is read back keeps them.
    expect(contents(written('log', [outing!])).outings[0]).toEqual({ ...outing!, id: 'id-0' });
    expect(contents(written('json', [outing!])).outings).toEqual(outings);
  });

  it('leave letters of any script alone', () => {
    for (const text of ['Fjällstuga', '山小屋', 'می\u200Cخواهم', '👩\u200D🌾', 'שלום', 'Å']) {
      expect(visibleText(text)).toBe(text);
      expect(isVisible(text)).toBe(true);
    }
  });
});
