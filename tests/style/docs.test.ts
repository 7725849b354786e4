import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { mostLines } from '@/app/api/answering/budget';
import { FORMATS } from '@/formats';
import { describe, expect, it } from 'vitest';
import { readLines } from '@/core/log-text/read-log';

const read = (path: string) => readFileSync(path, 'utf8');
const PAGES = ['README.md', 'CONTRIBUTING.md', 'CHANGELOG.md'].concat(
  readdirSync('docs')
    .filter((name) => name.endsWith('.md'))
    .map((name) => join('docs', name)),
);

describe('the documentation', () => {
  it('links to files that exist', () => {
    const broken = PAGES.flatMap((page) =>
      [...read(page).matchAll(/\]\(([^)#:]+)[^):]*\)/g)]
        .map(([, target = '']) => join(page, '..', target))
        .filter((target) => !existsSync(target)),
    );
    expect(broken).toEqual([]);
  });

  it('names source and test files that exist', () => {
    const named = PAGES.flatMap((page) => [
      ...read(page).matchAll(/\b(?:src|tests|scripts|demo)\/[\w./[\]-]*\w/g),
    ]).map(([path]) => path);
    expect(named.length).toBeGreaterThan(10);
    expect(named.filter((path) => !existsSync(path))).toEqual([]);
  });

  it('shows a log that is read without a fault', () => {
    const [, log = ''] = /```\n(cairn-back log 1[^`]*)```/.exec(read('docs/log-format.md')) ?? [];
    const result = readLines(log, 'docs');
    expect(result.ok && result.value.outing.entries.length).toBe(8);
  });

  it('shows every screenshot, and no other', () => {
    const linked = [...read('README.md').matchAll(/docs\/screenshots\/([\w-]+\.png)/g)];
    const shown = new Set(linked.map(([, name]) => name));
    expect([...shown].sort()).toEqual(readdirSync('docs/screenshots').sort());
  });

  it('describes every warning', () => {
    const methods = read('docs/methods.md');
    const codes = [...read('src/core/checks/check.ts').matchAll(/^ {4}\| '([a-z-]+)'/gm)].map(
      ([, code]) => code!,
    );
    expect(codes.length).toBeGreaterThan(10);
    expect(codes.filter((code) => !methods.includes(`\`${code}\``))).toEqual([]);
  });

  it('says of every package why it is there, and pins it', () => {
    const text = readFileSync('docs/dependencies.md', 'utf8');
    const listed = [...text.matchAll(/`([@a-z][\w@/.-]*)`/g)].map(([, name]) => name!);
    const { dependencies, devDependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as {
      dependencies: Record<string, string>;
      devDependencies: Record<string, string>;
    };
    const all = { ...dependencies, ...devDependencies };
    expect(Object.keys(all).filter((name) => !listed.includes(name))).toEqual([]);
    for (const [name, version] of Object.entries(all)) {
      expect(version, name).toMatch(/^\d+\.\d+\.\d+/);
    }
  });

  it('gives the budget of each answer', () => {
    const text = readFileSync('docs/endpoints.md', 'utf8');
    for (const answer of ['home', ...FORMATS.keys()]) {
      const name = answer === 'home' ? '/api/home' : answer;
      const row = new RegExp(`\\| \`${name}\`\\s+\\| ([\\d,]+)`).exec(text);
      expect(row?.[1], answer).toBe(mostLines(answer).toLocaleString('en'));
    }
  });
});
