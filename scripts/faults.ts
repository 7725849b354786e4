import { killRun } from '../tests/support/kill-run';
import { readMutated, SOURCES } from '../tests/support/mutated-files';
import { freePort, startServer } from './server.mjs';

/**
 * npm run faults: the long runs that show what is claimed of faults. `npm test` has a share of each.
 *
 * FILES: damaged files a format (100,000); KILLS: how often the browser is killed while legs are logged (200).
 */
const files = Number(process.env.FILES ?? 100_000);
const kills = Number(process.env.KILLS ?? 200);
let failed = false;

for (const [index, format] of (files > 0 ? Object.keys(SOURCES) : []).entries()) {
  const { read, refused, crashes, slowestMs } = readMutated(format, files, 1000 + index);
  console.log(
    `${format}: ${files} damaged files: ${read} read whole, ${refused} refused in words, ${crashes.length} crashes, slowest ${slowestMs.toFixed(0)} ms`,
  );
  for (const crash of crashes.slice(0, 5)) console.log(`  ${crash}`);
  failed ||= crashes.length > 0;
}

if (kills > 0) {
  const server = await startServer({ port: await freePort() });
  const began = performance.now();
  const tally = await killRun(server.url, kills, 7, (so) => {
    if (so.kills % 20 === 0)
      console.log(`  ${so.kills} kills, ${so.acknowledged} legs acknowledged`);
  });
  await server.stop();
  console.log(
    `${tally.kills} kills of the browser in ${((performance.now() - began) / 1000).toFixed(0)} s: ${tally.acknowledged} legs acknowledged, ${tally.lost.length} lost, ${tally.unsaid} written but not yet said`,
  );
  for (const lost of tally.lost.slice(0, 10)) console.log(`  ${lost}`);
  failed ||= tally.lost.length > 0;
}
process.exit(failed ? 1 : 0);
