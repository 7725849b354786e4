import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOTS = ['src', 'tests', 'bench', 'scripts', 'docs', 'demo'];
const ROOT_FILES = ['README.md', 'CHANGELOG.md', 'CONTRIBUTING.md'];
const OWN_FILE = join('tests', 'style', 'style.test.ts');

function* filesIn(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* filesIn(path);
    else yield path;
  }
}
const files = [...ROOTS.flatMap((root) => [...filesIn(root)]), ...ROOT_FILES];

/** Every line of the files that end like this, with where it is. */
function linesOf(endings: RegExp) {
  return files
    .filter((path) => endings.test(path))
    .flatMap((path) =>
      readFileSync(path, 'utf8')
        .split('\n')
        .map((text, index) => ({ path, at: `${path}:${index + 1}`, text })),
    );
}

/** Wide by nature: rows of tables, and addresses that can't be broken. */
const MAY_BE_WIDE = /^\s*(\*\s)?\||^\s*(\/\/|\*)?\s*\S+$/;
const WIDEST = 100;

describe('lines', () => {
  it('of code, comments and Markdown have at most 100 characters', () => {
    const lines = linesOf(/\.(ts|tsx|mjs|css|md)$/);
    expect(lines.length).toBeGreaterThan(10_000);
    const wide = lines.filter(({ text }) => [...text].length > WIDEST && !MAY_BE_WIDE.test(text));
    expect(wide.map(({ at }) => at)).toEqual([]);
  });
});

describe('the core', () => {
  it('has no state of its own, and no import that only has an effect', () => {
    const lines = linesOf(/\.ts$/).filter(({ path }) => path.startsWith('src/core/'));
    expect(lines.length).toBeGreaterThan(10_000);
    const impure = lines.filter(({ text }) => /^(export )?(let|var) |^import '/.test(text));
    expect(impure.map(({ at }) => at)).toEqual([]);
  });
});

/** One file for each kind: what has its name in a list may have many neighbours. */
const MOST_FILES = 30;
const LIST_FOLDERS = ['docs/screenshots'];

describe('folders', () => {
  it('have at most 30 files beside each other', () => {
    const counts = new Map<string, number>();
    for (const path of files) {
      const folder = path.slice(0, path.lastIndexOf('/'));
      counts.set(folder, (counts.get(folder) ?? 0) + 1);
    }
    const crowded = [...counts].filter(
      ([folder, count]) => count > MOST_FILES && !LIST_FOLDERS.includes(folder),
    );
    expect(crowded).toEqual([]);
  });
});

/** Words that the app once had for what the field has its own words for. */
const WORST = [
  /as the needle reads/i,
  /needle’s (north|angle)/i,
  /magnetic all the way/i,
  /half a circle/i,
  /\bdoubts?\b/i,
  /nineteen (times|chances)/i,
  /of what was walked/i,
  /hand(s|ed)? out\b/i,
  /tak(e|es|en|ing) in\b/i,
  /keep it safe/i,
  /look into it/i,
  /\bshel(f|ves)\b/i,
  /\bput (it|them) (back|away)\b/i,
  /aimed off\b/i,
  /growing square/i,
  /three sectors/i,
  /worked out\b/i,
  /\bghost(?! href)/i,
  /\b(log|sketch|either|the) leaf\b/i,
  /\bspread\b.*\b(view|screen|page)\b/i,
  /\bhold still\b/i,
  /\b(that|those) which\b/i,
  /\bstands? (here|there|on|in|for nothing)\b/i,
  /\bturn a bearing\b/i,
  /\bset up the\b/i,
];

/** A private English that grew in comments and on screens: say shown, reported, again, anyone. */
const HABITS = [
  /\btold\b/i,
  /\banew\b/i,
  /\bwhoever\b/i,
  /\bcame of\b/i,
  /\bfrom here on (?!the page)/i,
  /\blies? over it\b/i,
  /\bas nothing else is said\b/i,
];

describe('words', () => {
  it('of a habit of ours are gone from the app and its docs', () => {
    const found = linesOf(/\.(ts|tsx|mjs|css|md)$/)
      .filter(({ path }) => !path.startsWith('tests'))
      .flatMap(({ at, text }) =>
        HABITS.filter((word) => word.test(text)).map((word) => `${at} ${word.source}`),
      );
    expect(found).toEqual([]);
  });

  it('of the first drafts are gone from code, comments, screens and docs', () => {
    const found = linesOf(/\.(ts|tsx|mjs|css|md)$/)
      .filter(({ path }) => path !== OWN_FILE)
      .flatMap(({ at, text }) =>
        WORST.filter((word) => word.test(text)).map(
          (word) => `${at} ${word.source}: ${text.trim()}`,
        ),
      );
    expect(found).toEqual([]);
  });
});
