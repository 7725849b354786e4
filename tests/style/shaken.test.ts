import { buildSync } from 'esbuild';
import { readdirSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { z as whole } from 'zod/mini';
import { shake } from '../../scripts/build/shake';

const FOLDER = 'node_modules/.cache/cairn-back/shaken-for-a-test';
afterAll(() => rmSync(FOLDER, { recursive: true, force: true }));

const load = (file: string | undefined): Promise<unknown> =>
  import(/* @vite-ignore */ pathToFileURL(resolve(file ?? '')).href);

type Validator = typeof whole;

/** What a validator says of some values: what it makes of them, or its messages. */
function says(z: Validator, english: () => object): unknown[] {
  z.config({ ...english(), jitless: true } as Parameters<Validator['config']>[0]);
  const schema = z.discriminatedUnion('kind', [
    z.looseObject({ kind: z.literal('leg'), metres: z.number().check(z.gt(0), z.lte(1e6)) }),
    z.looseObject({
      kind: z.literal('note'),
      at: z.iso.datetime(),
      text: z.optional(z.string().check(z.minLength(1), z.regex(/^[a-z ]+$/, 'small letters'))),
    }),
  ]);
  return [
    { kind: 'leg', metres: 12, later: true },
    { kind: 'leg', metres: 0 },
    { kind: 'leg', metres: '12' },
    { kind: 'note', at: '2026-08-14T09:40:00Z', text: 'birch' },
    { kind: 'note', at: '2026-08-32', text: 'Birch' },
    { kind: 'other' },
    null,
  ].map((value) => {
    const read = schema.safeParse(value);
    return read.success ? read.data : read.error.issues;
  });
}

describe('the validator of a build', () => {
  it('says the same as the whole one, and knows its faults by their class', async () => {
    const files = shake(FOLDER);
    const z = (await load(files['zod/mini'])) as Validator;
    const core = (await load(files['zod/v4/core'])) as { $ZodError: new () => Error };
    const english = (await load(files['zod/v4/locales/en.js'])) as { default: () => object };
    const { default: wholeEnglish } = await import('zod/v4/locales/en.js');
    expect(says(z, english.default)).toEqual(says(whole, wholeEnglish));
    const read = z.safeParse(z.string(), 1);
    expect(read.error).toBeInstanceOf(core.$ZodError);
  });

  it('is smaller than the whole one without its languages, bundled the same way', () => {
    const bytes = readdirSync(FOLDER)
      .filter((file) => file.endsWith('.mjs'))
      .reduce((sum, file) => sum + statSync(`${FOLDER}/${file}`).size, 0);
    const { outputFiles } = buildSync({
      stdin: { contents: "export * from 'zod/v4/core'", resolveDir: '.' },
      bundle: true,
      format: 'esm',
      write: false,
    });
    expect(bytes).toBeGreaterThan(20_000);
    expect(bytes).toBeLessThan(outputFiles[0]!.contents.length / 2);
  });
});
