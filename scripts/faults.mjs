// npm run faults: sets up, then the long runs of scripts/faults.ts against the current build.
import { existsSync } from 'node:fs';
import { build, ensurePackages, run } from './set-up.mjs';

ensurePackages();
const { ensureChromium } = await import('./browser.mjs');
ensureChromium();
if (!existsSync('.next/script-hashes.json')) build();
run('npx', 'tsx', 'scripts/faults.ts');
