import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import QRCode from 'qrcode';
import { expect, inject, it } from 'vitest';
import { qrFrames } from '@/formats/qr-frames';
import { logbookOf } from '@/core/model/logbook';
import { jsonFormat } from '@/formats/json';
import { launch } from '../../scripts/browser.mjs';
import { leg, outingOf } from '../support/outings';

const SIDE = 640;
/** How many pictures each code is shown for. */
const REPEATS = 8;

/**
 * A film of codes as a camera would see them, grey on grey and off the middle: YUV4MPEG2, ten
 * pictures a second.
 */
async function film(frames: readonly Uint8Array[]): Promise<Buffer> {
  const parts: Buffer[] = [Buffer.from(`YUV4MPEG2 W${SIDE} H${SIDE} F10:1 Ip A1:1 C420jpeg\n`)];
  const colours = Buffer.alloc((SIDE * SIDE) / 2, 128);
  for (const frame of frames) {
    const code = PNG.sync.read(
      await QRCode.toBuffer([{ data: frame, mode: 'byte' }], {
        errorCorrectionLevel: 'M',
        scale: 6,
      }),
    );
    const light = Buffer.alloc(SIDE * SIDE, 200);
    const [left, top] = [Math.floor((SIDE - code.width) / 2) + 9, (SIDE - code.height) >> 1];
    for (let y = 0; y < code.height; y++) {
      for (let x = 0; x < code.width; x++) {
        light[(top + y) * SIDE + left + x] = code.data[4 * (y * code.width + x)]! > 128 ? 200 : 40;
      }
    }
    for (let i = 0; i < REPEATS; i++) parts.push(Buffer.from('FRAME\n'), light, colours);
  }
  return Buffer.concat(parts);
}

it('the camera reads an outing from another screen', async () => {
  const notes = Array.from({ length: 12 }, (_, i) =>
    leg(i * 30, 40 + i, { note: `snag ${i * i}` }),
  );
  const outing = outingOf(notes, { id: 'sent', name: 'Sent by codes' });
  const written = jsonFormat.write(logbookOf([outing], '2026-08-14T09:40:00.000Z'), null);
  const frames = qrFrames(written.ok ? written.value : '');
  expect(frames.length).toBeGreaterThan(1);
  const folder = mkdtempSync(join(tmpdir(), 'film-'));
  const path = join(folder, 'codes.y4m');
  writeFileSync(path, await film([...frames].reverse()));
  const browser = await launch({
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${path}`,
    ],
  });
  try {
    const page = await browser.newPage();
    await page.goto(`${inject('url')}/files`);
    const read = await page.waitForSelector('::-p-text(Read QR codes)');
    await read!.click();
    const preview = await page.waitForSelector('[data-testid=preview] b');
    expect(await preview!.evaluate(({ textContent }) => textContent)).toBe('Sent by codes');
    const said = await page.$eval('[data-testid=preview]', ({ textContent }) => textContent);
    expect(said).toMatch(/12 legs · new/);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});
