import { killKinds } from '../tests/support/kill-kinds';
import { killRun } from '../tests/support/kill-run';
import { readMutated, SOURCES } from '../tests/support/mutated-files';
import { LARGEST_FILES } from '../tests/support/worst-inputs';
import { readInPage } from '../tests/support/longest-task';
import { soak } from '../tests/support/soak';
import { update } from '../tests/support/updating';
import { logInTwoTabs } from '../tests/support/two-tabs';
import { launch } from './browser.mjs';
import { freePort, startServer } from './server.mjs';
import { slowestBodies } from '../tests/support/slowest-body';

/**
 * npm run faults: the long runs behind what is claimed of faults. `npm test` has a share of each.
 *
 * RUN: which of the runs below, with commas between them (all). SEED: of all that is random (1).
 * Each run has a size that can be set: FILES, damaged files for each format (170,000, with six
 * formats a million; FORMATS: which of them); KILLS of the browser while legs are logged or paces
 * counted (1,000); KIND_KILLS right after a choice, a draft or a place is shown (250); LEGS of each
 * of two tabs (1,000); REQUESTS of the soak (50,000); TRIES for the slowest body (500, for all
 * endpoints together).
 */
const size = (name: string, usual: number) => Number(process.env[name] ?? usual);
const seed = size('SEED', 1);
/** Longer than any reading of a damaged file may take. */
const LONGEST_TASK_MS = 1000;
/** Longer than the page may be kept from anything else while a file is read. */
const LONGEST_PAGE_TASK_MS = 200;
/** Longer than any answer may take, and than another may wait while it is worked on. */
const LONGEST_ANSWER_MS = 2000;
const LONGEST_OTHER_MS = 300;

/** Runs something against a server of its own. */
async function withServer<Value>(
  action: (server: Awaited<ReturnType<typeof startServer>>) => Promise<Value>,
): Promise<Value> {
  const server = await startServer({ port: await freePort() });
  try {
    return await action(server);
  } finally {
    await server.stop();
  }
}

async function damagedFiles(): Promise<boolean> {
  const only = process.env.FORMATS?.split(',') ?? Object.keys(SOURCES);
  const files = size('FILES', 170_000);
  let isGood = true;
  for (const [index, format] of Object.keys(SOURCES).entries()) {
    if (!only.includes(format)) continue;
    const tally = await readMutated(format, files, 1000 * seed + index);
    const { read, refused, crashes, slowestMs } = tally;
    console.log(
      `${format}: ${files} damaged files: ${read} read whole, ${refused} refused in words, ` +
        `${crashes.length} crashes, slowest ${slowestMs.toFixed(0)} ms`,
    );
    for (const crash of crashes.slice(0, 5)) console.log(`  ${crash}`);
    isGood &&= crashes.length === 0 && slowestMs <= LONGEST_TASK_MS;
  }
  return isGood;
}

const kills = () =>
  withServer(async ({ url }) => {
    const began = performance.now();
    const tally = await killRun(url, size('KILLS', 1000), seed + 6, (so) => {
      if (so.kills % 20 === 0)
        console.log(`  ${so.kills} kills, ${so.acknowledged} legs acknowledged`);
    });
    const seconds = ((performance.now() - began) / 1000).toFixed(0);
    console.log(
      `${tally.kills} kills of the browser in ${seconds} s: ${tally.acknowledged} legs ` +
        `and ${tally.taps} paces acknowledged, ${tally.lost.length} lost, ` +
        `${tally.unsaid} written but not yet said`,
    );
    for (const lost of tally.lost.slice(0, 10)) console.log(`  ${lost}`);
    return tally.lost.length === 0;
  });

const killsOfKinds = () =>
  withServer(async ({ url }) => {
    const tallies = await killKinds(url, size('KIND_KILLS', 250), seed + 7);
    for (const { name, kills: times, lost } of tallies) {
      console.log(`${name}: ${times} kills right after it was shown, ${lost} lost`);
    }
    return tallies.every(({ lost }) => lost === 0);
  });

const twoTabs = () =>
  withServer(async ({ url }) => {
    const legs = size('LEGS', 1000);
    // A thousand legs take longer than the protocol would wait for one answer.
    const browser = await launch({ protocolTimeout: 0 });
    const one = await browser.newPage();
    await one.goto(url);
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
    await browser.close();
    return tally.lost.length + tally.twice.length === 0;
  });

const largestFiles = () =>
  withServer(async ({ url }) => {
    const browser = await launch();
    const page = await browser.newPage();
    await page.goto(`${url}/files`);
    let isGood = true;
    for (const { name, make, from } of LARGEST_FILES) {
      const tally = await readInPage(page, name, make(from));
      console.log(
        `${name}: ${tally.seconds.toFixed(1)} s, longest task of the page ` +
          `${tally.longestTaskMs.toFixed(0)} ms: ${tally.said}`,
      );
      isGood &&= tally.longestTaskMs <= LONGEST_PAGE_TASK_MS;
    }
    await browser.close();
    return isGood;
  });

const manyRequests = () =>
  withServer(async ({ url, child }) => {
    const requests = size('REQUESTS', 50_000);
    const tally = await soak(url, child.pid!, requests);
    const memory = tally.megabytes.map((each) => each.toFixed(0)).join(', ');
    console.log(
      `soak of ${requests} requests in ${tally.seconds.toFixed(0)} s: ` +
        `${tally.wrong.length} wrong answers; memory of the server by tenths, in MB: ${memory}`,
    );
    for (const wrong of tally.wrong.slice(0, 10)) console.log(`  ${wrong}`);
    return tally.wrong.length === 0 && tally.isFlat;
  });

const slowestBody = () =>
  withServer(async ({ url }) => {
    let isGood = true;
    for await (const found of slowestBodies(url, size('TRIES', 500), seed)) {
      const { endpoint, tries, acceptedMs, longestMs, otherMs, wrong } = found;
      console.log(
        `${endpoint}: ${tries} tries, slowest accepted body ${acceptedMs.toFixed(0)} ms, slowest ` +
          `answer ${longestMs.toFixed(0)} ms, another beside it ${otherMs.toFixed(0)} ms`,
      );
      for (const each of wrong.slice(0, 5)) console.log(`  ${each}`);
      isGood &&= wrong.length === 0 && acceptedMs <= LONGEST_ANSWER_MS;
      isGood &&= otherMs <= LONGEST_OTHER_MS;
    }
    return isGood;
  });

/** From the build that is there to another one, the old tab reloaded first or last. */
async function updates(): Promise<boolean> {
  let isGood = true;
  for (const isOldFirst of [false, true]) {
    for (const { step, isGood: isRight, found } of await update(isOldFirst)) {
      console.log(`${isRight ? 'good' : 'WRONG'}: ${step} (${found})`);
      isGood &&= isRight;
    }
  }
  return isGood;
}

/** The runs by name; each is true where nothing was wrong. */
const RUNS: Readonly<Record<string, () => Promise<boolean>>> = {
  files: damagedFiles,
  kills,
  kinds: killsOfKinds,
  tabs: twoTabs,
  page: largestFiles,
  requests: manyRequests,
  slowest: slowestBody,
  updates,
};

const wanted = process.env.RUN?.split(',') ?? Object.keys(RUNS);
let isGood = true;
for (const [name, run] of Object.entries(RUNS)) {
  if (!wanted.includes(name)) continue;
  console.log(`\n== ${name}`);
  const isRight = await run();
  if (!isRight) console.log(`== ${name}: something is wrong, see above`);
  isGood &&= isRight;
}
process.exit(isGood ? 0 : 1);
