/** Where a log says what it is; and the line by which people begin one. */
const SAYS_SO = /^[ \t]*cairn-back[ \t]+log[ \t]+1\b/i;
const NAMES_ONE = /^[ \t]*outing\b/i;

/** One of the logs of a text, with the number of lines before it. */
export interface PartOfText {
  readonly log: string;
  readonly before: number;
}

/**
 * The logs of a text, one after another: each begins at a line that says so, or where none does,
 * at a line that names an outing. What stands before the first such line belongs to the first.
 */
export function logsIn(text: string): PartOfText[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\n|\r/);
  const linesWith = (begins: RegExp) =>
    lines.flatMap((line, index) => (begins.test(line) ? [index] : []));
  const said = linesWith(SAYS_SO);
  const begins = said.length > 0 ? said : linesWith(NAMES_ONE);
  const starts = begins.length < 2 ? [0] : [0, ...begins.slice(1)];
  return starts.map((start, i) => ({
    log: lines.slice(start, starts[i + 1]).join('\n'),
    before: start,
  }));
}
