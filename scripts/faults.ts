import { killRun } from '../tests/support/kill-run';
import { readMutated, SOURCES } from '../tests/support/mutated-files';
import { LARGEST_FILES } from '../tests/support/worst-inputs';
import { readInPage } from '../tests/support/longest-task';
import { soak } from '../tests/support/soak';
import { logInTwoTabs } from '../tests/support/two-tabs';
import { launch } from './browser.mjs';
import { freePort, startServer } from './server.mjs';

/**
 * npm run faults: the long runs behind what is claimed of faults. `npm test` has a share of each.
 *
 * FILES: damaged files for each format (170,000, with six formats a million); ONLY: the formats
 * they are of, with commas between them (all). KILLS: how often the browser is killed while legs
 * are logged or paces counted (1,000). LEGS: legs of each of two tabs (1,000). REQUESTS: requests
 * of the soak (50,000). PAGE: 0 leaves out the largest files in the Files view. SEED: of all that
 * is random (1).
 */
const files = Number(process.env.FILES ?? 170_000);
const only = process.env.ONLY?.split(',') ?? Object.keys(SOURCES);
const kills = Number(process.env.KILLS ?? 1000);
const legs = Number(process.env.LEGS ?? 1000);
const requests = Number(process.env.REQUESTS ?? 50_000);
const seed = Number(process.env.SEED ?? 1);
/** Longer than any reading of a damaged file may take. */
const LONGEST_TASK_MS = 1000;
/** Longer than the page may be kept from anything else while a file is read. */
const LONGEST_PAGE_TASK_MS = 200;
let failed = false;

for (const [index, format] of Object.keys(SOURCES).entries()) {
  if (files === 0 || !only.includes(format)) continue;
  const { read, refused, crashes, slowestMs } = await readMutated(
    format,
    files,
    1000 * seed + index,
  );
  console.log(
    `${format}: ${files} damaged files: ${read} read whole, ${refused} refused in words, ` +
      `${crashes.length} crashes, slowest ${slowestMs.toFixed(0)} ms`,
  );
  for (const crash of crashes.slice(0, 5)) console.log(`  ${crash}`);
  failed ||= crashes.length > 0 || slowestMs > LONGEST_TASK_MS;
}

if (kills > 0) {
  const server = await startServer({ port: await freePort() });
  const began = performance.now();
  const tally = await killRun(server.url, kills, seed + 6, (so) => {
    if (so.kills % 20 === 0)
      console.log(`  ${so.kills} kills, ${so.acknowledged} legs acknowledged`);
  });
  await server.stop();
  const seconds = ((performance.now() - began) / 1000).toFixed(0);
  console.log(
    `${tally.kills} kills of the browser in ${seconds} s: ${tally.acknowledged} legs ` +
      `and ${tally.taps} paces acknowledged, ${tally.lost.length} lost, ` +
      `${tally.unsaid} written but not yet said`,
  );
  for (const lost of tally.lost.slice(0, 10)) console.log(`  ${lost}`);
  failed ||= tally.lost.length > 0;
}

if (legs > 0) {
  const server = await startServer({ port: await freePort() });
  // A thousand legs take longer than the protocol would wait for one answer.
  const browser = await launch({ protocolTimeout: 0 });
  const one = await browser.newPage();
  await one.goto(server.url);
  await (await one.waitForSelector('aria/Start an outing'))!.click();
  await one.waitForSelector('[data-testid=home-sentence]');
  const other = await browser.newPage();
  await other.goto(one.url());
  await other.waitForSelector('[data-testid=home-sentence]');
  const began = performance.now();
  const tally = await logInTwoTabs(one, other, legs);
  console.log(
    `two tabs, ${legs} legs each: ${tally.legs} there, ${tally.lost.length} lost, ` +
      `${tally.twice.length} twice, in ${((performance.now() - began) / 1000).toFixed(0)} s`,
  );
  failed ||= tally.lost.length + tally.twice.length > 0;
  await browser.close();
  await server.stop();
}

if (process.env.PAGE !== '0') {
  const server = await startServer({ port: await freePort() });
  const browser = await launch();
  const page = await browser.newPage();
  await page.goto(`${server.url}/files`);
  for (const { name, make, from } of LARGEST_FILES) {
    const tally = await readInPage(page, name, make(from));
    console.log(
      `${name}: ${tally.seconds.toFixed(1)} s, longest task of the page ` +
        `${tally.longestTaskMs.toFixed(0)} ms: ${tally.said}`,
    );
    failed ||= tally.longestTaskMs > LONGEST_PAGE_TASK_MS;
  }
  await browser.close();
  await server.stop();
}

if (requests > 0) {
  const server = await startServer({ port: await freePort() });
  const tally = await soak(server.url, server.child.pid!, requests);
  const memory = tally.megabytes.map((each) => each.toFixed(0)).join(', ');
  console.log(
    `soak of ${requests} requests in ${tally.seconds.toFixed(0)} s: ${tally.wrong.length} wrong ` +
      `answers; memory of the server by tenths, in MB: ${memory}`,
  );
  for (const wrong of tally.wrong.slice(0, 10)) console.log(`  ${wrong}`);
  failed ||= tally.wrong.length > 0 || !tally.isFlat;
  await server.stop();
}
process.exit(failed ? 1 : 0);
