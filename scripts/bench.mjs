// npm run bench: the core in Node, then the app in Chromium, each figure beside a yardstick.
import { existsSync } from 'node:fs';
import { build, ensurePackages, run } from './set-up.mjs';

ensurePackages();
const { ensureChromium } = await import('./browser.mjs');
ensureChromium();
if (!existsSync('.next/script-hashes.json')) build();
run('npx', 'tsx', 'bench/solve.ts');
run('npx', 'tsx', 'bench/survey.ts');
run('npx', 'tsx', 'bench/browser.ts');
run('npx', 'tsx', 'bench/first-second.ts');
run('npx', 'tsx', 'bench/arrivals.ts');
run('npx', 'tsx', 'bench/large-logbook.ts');
run('npx', 'tsx', 'bench/long-log.ts');
run('npx', 'tsx', 'bench/growth.ts');
run('npx', 'tsx', 'bench/picture.ts');
run('npx', 'tsx', 'bench/practice.ts');
run('npx', 'tsx', 'bench/requests.ts');
