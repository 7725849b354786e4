// After the build: hashes of the inline scripts of all pages, for the policy in server/headers.mjs.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const pages = readdirSync('.next/server/app', { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.html'))
  .map((name) => readFileSync(join('.next/server/app', name), 'utf8'));

const hashes = new Set();
for (const page of pages) {
  for (const [, script] of page.matchAll(/<script(?![^>]*\ssrc=)[^>]*>([\s\S]*?)<\/script>/g)) {
    if (script) hashes.add(`sha256-${createHash('sha256').update(script).digest('base64')}`);
  }
}
writeFileSync('.next/script-hashes.json', JSON.stringify([...hashes].sort()));
console.log(`${hashes.size} inline scripts of ${pages.length} pages hashed`);
