// The needle of the trainer's compass on a slow phone: frames while it swings and the body turns,
// beside frames of the same page while nothing moves. Then how long a country and a panorama take.
import { countryDrawing } from '../src/sketch/country-scene';
import { makeCountry } from '../src/core/practice/country/make-country';
import { panoramaFrom } from '../src/core/practice/country/panorama';
import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';

const FRAMES = 240;
const SLOWER = 4;

const server = await startServer({ port: await freePort() });
const browser = await launch();
const page = await browser.newPage();
await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
page.setDefaultTimeout(180_000);

/** Milliseconds between frames; `act` is done before each, and says how the page is kept busy. */
const framesWhile = (act: string) => `(async () => {
  const compass = document.querySelector('[data-testid=compass]');
  const turn = (key) => compass.dispatchEvent(
    new KeyboardEvent('keydown', { key, shiftKey: true, bubbles: true }));
  const times = [];
  let last = performance.now();
  for (let frame = 0; frame < ${FRAMES}; frame++) {
    ${act}
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    times.push(now - last);
    last = now;
  }
  return times;
})()`;

function line(name: string, times: readonly number[]) {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))]!.toFixed(1);
  console.log(`  ${name}: median ${at(0.5)} ms, 95 % under ${at(0.95)} ms a frame`);
}

await page.goto(`${server.url}/practice?compass=`);
await page.waitForSelector('[data-testid=compass]');
await new Promise((resolve) => setTimeout(resolve, 2000));
await page.emulateCPUThrottling(SLOWER);
console.log(`The compass at ${SLOWER} times slower CPU:`);
line('nothing moves (yardstick)', (await page.evaluate(framesWhile(''))) as number[]);
const kick = `if (frame === 0) turn('ArrowRight');`;
line('the needle swings', (await page.evaluate(framesWhile(kick))) as number[]);
const turning = `if (frame % 2 === 0) turn(frame % 80 < 40 ? 'ArrowRight' : 'ArrowUp');`;
line('turned all the time', (await page.evaluate(framesWhile(turning))) as number[]);
await browser.close();
await server.stop();

const timed = <Value>(name: string, make: () => Value): Value => {
  const begun = performance.now();
  const value = make();
  console.log(`  ${name}: ${(performance.now() - begun).toFixed(0)} ms`);
  return value;
};
console.log('In the worker, once each (Node):');
const country = timed('a country of 161 by 161 posts', () => makeCountry(21));
timed('its map drawn', () => countryDrawing(country));
timed('a panorama of 720 rays', () => panoramaFrom(country, country.summits[0]!.point, 6000));
