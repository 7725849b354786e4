import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultMessage } from '@/core/faults/messages';
import { NATIONAL_GRIDS } from '@/core/place/national-grids';
import { nationalText } from '@/core/place/national-text';
import { placeTexts, readPlace } from '@/core/place/place-text';
import { uniform } from '@/core/errors/random';
import { simulatedPosition } from '@/devices/simulated-position';

const at = (text: string) => {
  const found = readPlace(text);
  if (!found.ok) throw new Error(faultMessage(found.fault));
  return found.value;
};
const words = (text: string) => {
  const found = readPlace(text);
  return found.ok ? '' : faultMessage(found.fault);
};

describe('a place in any notation', () => {
  it.each([
    '54.2 -63.5',
    '54.2, -63.5',
    '54.2N 63.5W',
    '63.5 W 54.2 N',
    'N54.2 W63.5',
    '54°12′00″ N 63°30′00″ W',
    `54°12'0"N, 63°30'0"W`,
    '54 12 N 63 30 W',
    'N54 12.0 W63 30.0',
    '54 12 0 -63 30 0',
  ])('%s is the dock', (text) => {
    expect(at(text).latitude).toBeCloseTo(54.2, 12);
    expect(at(text).longitude).toBeCloseTo(-63.5, 12);
  });

  it.each(['20U 467383 6005890', '20U 467383mE 6005890mN', '20 north 467383 6005890'])(
    '%s is the dock, to the metre',
    (text) => {
      expect(at(text).latitude).toBeCloseTo(54.2, 4);
      expect(at(text).longitude).toBeCloseTo(-63.5, 4);
    },
  );

  it('a grid square of any size from 1 km down', () => {
    expect(at('20U MF 67382 05889').latitude).toBeCloseTo(54.2, 4);
    expect(at('20umf67380588').latitude).toBeCloseTo(54.2, 2);
    expect(at('20UMF6705').longitude).toBeCloseTo(-63.5, 1);
  });

  it.each([
    ['', /Something is missing here\. Expected a latitude and a longitude/],
    ['19.1', /Can’t read “19\.1”/],
    ['95 10', /A latitude must be -90 to 90; this is 95/],
    ['54.2 190', /A longitude must be -180 to 180; this is 190/],
    ['54 61 0 -63 0 0', /Minutes of arc.*less than 60; this is 61/],
    ['54 1 60 -63 0 0', /Seconds of arc.*less than 60/],
    ['54.5 30 -63.5 0', /Can’t read/],
    ['54.2 N 63.5 N', /Can’t read/],
    ['-54.2 N 63.5 W', /Can’t read/],
    ['54,2 -63,5', /Did you mean 54\.2 -63\.5\?/],
    ['the dock', /Can’t read “the dock”/],
    ['61U 467383 6005890', /A zone of the grid must be 1 to 60/],
    ['20U 67383 6005890', /An easting in metres must be 100000 to 900000/],
    [
      '20S 467383 6005890',
      /outside band S\. Did you mean 20U 467383 6005890 or 20H 467383 6005890\?/,
    ],
    ['20UMF673', /Can’t read/],
    ['20UMF', /Can’t read/],
    ['31N 500000 9400000', /end at 80° south and 84° north/],
  ])('%j is refused in plain words', (text, expected) => expect(words(text)).toMatch(expected));

  it('what is written is read back, in every notation', () => {
    const latitude = fc.double({ min: -79.9, max: 83.9, noNaN: true });
    const longitude = fc.double({ min: -180, max: 179.99, noNaN: true });
    fc.assert(
      fc.property(latitude, longitude, (north, east) => {
        const texts = placeTexts({ latitude: north, longitude: east });
        expect(texts.length).toBeGreaterThanOrEqual(4);
        for (const { text, withinMetres } of texts) {
          // A national grid is read back as finely as its reference is cut: below.
          if (withinMetres !== undefined) continue;
          const back = at(text);
          // The coarsest rounding, tenths of a second, is 1.4e-5 degrees; a metre of grid is more
          // in longitude toward the poles.
          const shrink = Math.cos((north * Math.PI) / 180);
          expect(Math.abs(back.latitude - north)).toBeLessThan(2e-5);
          const apart = Math.abs(((back.longitude - east + 540) % 360) - 180);
          expect(apart * shrink).toBeLessThan(2e-5);
        }
      }),
    );
  });

  it('so is what is written in a national grid, to the ten metres of its letters', () => {
    let compared = 0;
    for (const grid of NATIONAL_GRIDS) {
      for (const [south, west, north, east] of grid.areas) {
        for (const part of [0.02, 0.35, 0.5, 0.71, 0.98]) {
          const position = {
            latitude: south + part * (north - south),
            longitude: west + (1 - part) * (east - west),
          };
          const back = at(nationalText(grid, position));
          const dNorth = (back.latitude - position.latitude) * 111_195;
          const shrink = Math.cos((position.latitude * Math.PI) / 180);
          const dEast = (back.longitude - position.longitude) * 111_195 * shrink;
          const within = grid.shiftMetres > 2 && grid.letters ? 8 : 0.8;
          expect(Math.hypot(dNorth, dEast), `${grid.id} ${part}`).toBeLessThan(within);
          compared++;
        }
      }
    }
    expect(compared).toBeGreaterThan(150);
  });

  it('nothing that can be typed makes it throw', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (text) => {
        const found = readPlace(text);
        if (!found.ok) expect(faultMessage(found.fault).length).toBeGreaterThan(10);
        else expect(Math.abs(found.value.latitude)).toBeLessThanOrEqual(90);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('the simulated position', () => {
  it('lies about the place as widely as it says, and the same for a seed', async () => {
    const place = { latitude: 54.2, longitude: -63.5 };
    const device = simulatedPosition(place, 6, uniform(3));
    let [north, east, samples] = [0, 0, 0];
    for (; samples < 4000; samples++) {
      const fix = await device.read();
      if (!fix.ok) throw new Error(fix.fault);
      north += ((fix.value.position.latitude - 54.2) * 111_132) ** 2;
      east += ((fix.value.position.longitude + 63.5) * 111_132 * Math.cos(0.94597)) ** 2;
    }
    expect(Math.sqrt(north / samples)).toBeCloseTo(6, 0);
    expect(Math.sqrt(east / samples)).toBeCloseTo(6, 0);
    const again = simulatedPosition(place, 6, uniform(3));
    const other = simulatedPosition(place, 6, uniform(3));
    expect(await again.read()).toEqual(await other.read());
  });
});
