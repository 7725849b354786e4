// The validator without what the app never asks of it. Turbopack takes its modules in whole;
// esbuild heeds the marks in them that tell what may be left out, and half of it is.
import { buildSync } from 'esbuild';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import * as z from 'zod/mini';

const FOLDER = 'node_modules/.cache/cairn-back/shaken';

/** The functions of the validator that the code calls, of `z.` or `z.iso.`, each once. */
function asked(path: RegExp, all: Readonly<Record<string, unknown>>): string[] {
  const names = new Set<string>();
  for (const file of readdirSync('src', { recursive: true, encoding: 'utf8' })) {
    if (!/\.tsx?$/.test(file)) continue;
    const code = readFileSync(join('src', file), 'utf8');
    for (const [, name = ''] of code.matchAll(path)) {
      if (typeof all[name] === 'function') names.add(name);
    }
  }
  return [...names].sort();
}

/** Code that hands on what is asked for, by the import that it takes the place of. */
function entries(): Readonly<Record<string, string>> {
  const dates = asked(/\bz\.iso\.(\w+)/g, z.iso).map((name) => `${name}: iso.${name}`);
  const names = asked(/\bz\.(\w+)/g, z);
  return {
    'zod/mini':
      `export { ${names.join(', ')} } from 'zod/mini';\nimport { iso } from 'zod/mini';\n` +
      `const dates = { ${dates.join(', ')} };\nexport { dates as iso };\n`,
    'zod/v4/core': `export { $ZodError } from 'zod/v4/core';\n`,
    'zod/v4/locales/en.js': `export { default } from 'zod/v4/locales/en.js';\n`,
  };
}

/** Bundles what the code asks for; gives the file that takes the place of each import. */
export function shake(folder = FOLDER): Record<string, string> {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(`${folder}/entries`, { recursive: true });
  const aliases: Record<string, string> = {};
  const entryPoints = Object.entries(entries()).map(([name, code], index) => {
    const file = `${index}.mjs`;
    writeFileSync(`${folder}/entries/${file}`, code);
    aliases[name] = `./${folder}/${file}`;
    return `${folder}/entries/${file}`;
  });
  buildSync({
    entryPoints,
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    // What they share is there once: two copies would not know each other's faults.
    splitting: true,
    format: 'esm',
    target: 'es2022',
    legalComments: 'none',
  });
  return aliases;
}
