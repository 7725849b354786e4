// Imported first by what runs on Node: says in one line that it is too old.
import { readFileSync } from 'node:fs';

const { engines } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));
const [major, minor] = engines.node.match(/\d+/g).map(Number);
const [ours, oursMinor] = process.versions.node.split('.').map(Number);
if (ours < major || (ours === major && oursMinor < minor)) {
  console.error(`Cairn Back needs Node ${major}.${minor} or newer; this is ${process.version}.`);
  process.exit(1);
}
