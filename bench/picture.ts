// Panning a picture of 20 megapixels: tiles of the level that suits the zoom, beside the whole
// picture drawn at each step, in the same page.
import { launch } from '../scripts/browser.mjs';
import { freePort, startServer } from '../scripts/server.mjs';

const MEGAPIXELS = { width: 5472, height: 3648 };
const FRAMES = 120;

const server = await startServer({ port: await freePort() });
const browser = await launch();
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
page.setDefaultTimeout(180_000);

/** A picture with something in every corner, made in the page and kept as a file. */
const makePicture = `(async () => {
  const canvas = new OffscreenCanvas(${MEGAPIXELS.width}, ${MEGAPIXELS.height});
  const context = canvas.getContext('2d');
  for (let y = 0; y < canvas.height; y += 24) for (let x = 0; x < canvas.width; x += 24) {
    context.fillStyle = 'hsl(' + ((x * 7 + y * 13) % 360) + ' 40% 60%)';
    context.fillRect(x, y, 24, 24);
  }
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
  const file = new File([blob], 'large.jpg', { type: 'image/jpeg' });
  const list = new DataTransfer();
  list.items.add(file);
  const input = document.querySelector('input[type=file][aria-label="Add a picture"]');
  input.files = list.files;
  input.dispatchEvent(new Event('change', { bubbles: true }));
  window.large = blob;
  return blob.size;
})()`;

/** Milliseconds between frames while the picture is panned by the wheel's zoom and by keys. */
const panTiles = `(async () => {
  const sheet = document.querySelector('[data-testid=map-sheet]');
  const press = (key) => sheet.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  sheet.focus();
  for (let i = 0; i < 4; i++) press('+');
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const times = [];
  let last = performance.now();
  for (let i = 0; i < ${FRAMES}; i++) {
    press(i % 40 < 20 ? 'ArrowRight' : 'ArrowLeft');
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    times.push(now - last);
    last = now;
  }
  return times;
})()`;

/** The yardstick: the whole picture on one canvas at each frame. */
const panWhole = `(async () => {
  const bitmap = await createImageBitmap(window.large);
  const canvas = document.querySelector('[data-testid=picture]');
  const context = canvas.getContext('2d');
  const times = [];
  let last = performance.now();
  for (let i = 0; i < ${FRAMES}; i++) {
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, 0, canvas.width, canvas.height);
    context.setTransform(0.7, 0, 0, 0.7, -400 - 60 * (i % 20), -300);
    context.drawImage(bitmap, 0, 0);
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    times.push(now - last);
    last = now;
  }
  return times;
})()`;

const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

await page.goto(`${server.url}/map`);
await page.waitForSelector('input[type=file][aria-label="Add a picture"]');
await new Promise((resolve) => setTimeout(resolve, 1500));
const added = Date.now();
const bytes = (await page.evaluate(makePicture)) as number;
await page.waitForSelector('[data-testid=map-sheet]');
const openMs = Date.now() - added;
// The blob went with the page that it was made in.
await page.evaluate(`(async () => {
  const open = indexedDB.open('cairn-back');
  const database = await new Promise((resolve) => (open.onsuccess = () => resolve(open.result)));
  const all = database.transaction('pictureFiles').objectStore('pictureFiles').getAll();
  const files = await new Promise((resolve) => (all.onsuccess = () => resolve(all.result)));
  window.large = files[0].blob;
})()`);
await new Promise((resolve) => setTimeout(resolve, 2000));
const tiles = (await page.evaluate(panTiles)) as number[];
const whole = (await page.evaluate(panWhole)) as number[];
await browser.close();
await server.stop();

const row = (name: string, times: number[]) => {
  const slow = times.filter((each) => each > 34).length;
  console.log(`${name}: ${median(times).toFixed(1)} ms a frame, ${slow} of ${FRAMES} over 34 ms`);
};
console.log(
  `A picture of ${(bytes / 1e6).toFixed(1)} MB, ${MEGAPIXELS.width} × ${MEGAPIXELS.height}`,
);
console.log(`made, decoded, kept and opened in ${(openMs / 1000).toFixed(1)} s`);
row('tiles of the zoom’s level', tiles);
row('the whole picture each frame', whole);
