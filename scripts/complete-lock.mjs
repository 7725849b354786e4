// npm run complete-lock, after `npm install` changed the lock file with a registry that lacks
// packages for other platforms: npm leaves those out of the lock, and then `npm ci` refuses it.
// This adds them, from the packages that ask for them.
import { readFileSync, writeFileSync } from 'node:fs';

const SYSTEMS = ['darwin', 'win32', 'linux', 'android', 'freebsd', 'openharmony'];
const PROCESSORS = ['arm64', 'x64', 'ia32', 'arm', 'ppc64', 'riscv64', 's390x', 'loong64'];
const LOCK = 'package-lock.json';

const lock = JSON.parse(readFileSync(LOCK, 'utf8'));
const { packages } = lock;

/** Where a package that one at this path asks for may be: nested in it, or in a folder above. */
function* places(path, name) {
  for (let at = path; ; at = at.slice(0, Math.max(0, at.lastIndexOf('node_modules/') - 1))) {
    yield `${at ? `${at}/` : ''}node_modules/${name}`;
    if (!at) return;
  }
}

let added = 0;
for (const [path, asking] of Object.entries(packages)) {
  for (const [name, range] of Object.entries(asking.optionalDependencies ?? {})) {
    if ([...places(path, name)].some((place) => packages[place])) continue;
    const parts = name.split('/').at(-1).split('-');
    const os = SYSTEMS.find((system) => parts.includes(system));
    const cpu = PROCESSORS.find((processor) => parts.includes(processor));
    const version = /^[\^~]?(\d+\.\d+\.\d+\S*)$/.exec(range)?.[1];
    if (!os || !version) continue;
    const libc = parts.some((part) => part.startsWith('musl'))
      ? ['musl']
      : parts.some((part) => part.startsWith('gnu')) && ['glibc'];
    packages[`node_modules/${name}`] = {
      version,
      optional: true,
      os: [os],
      ...(cpu && { cpu: [cpu] }),
      ...(os === 'linux' && libc && { libc }),
      ...(asking.dev && { dev: true }),
    };
    added++;
  }
}
lock.packages = Object.fromEntries(Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(LOCK, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} packages for other platforms added to ${LOCK}`);
