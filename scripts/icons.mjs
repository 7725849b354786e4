// Draws the PNG icons from public/icons/cairn.svg. Run by hand when the mark changes.
import { readFileSync } from 'node:fs';
import { launch } from './browser.mjs';

const svg = readFileSync('public/icons/cairn.svg', 'utf8');
const browser = await launch();
for (const size of [192, 512]) {
  const page = await browser.newPage();
  await page.setViewport({ width: size, height: size });
  // On a full square: each platform cuts its own shape out of it.
  const square = svg
    .replace(' rx="14"', '')
    .replace('<svg ', `<svg width="${size}" height="${size}" `);
  await page.setContent(`<style>body{margin:0}svg{display:block}</style>${square}`);
  await page.screenshot({ path: `public/icons/cairn-${size}.png` });
}
await browser.close();
