import { heightAt } from '../../terrain/height-field';
import { elevationDegrees, isVisible, ridgesAlong } from '../../terrain/horizon';
import { normalised } from '../../units/angle';
import {
  azimuthOf,
  lengthOf,
  polar,
  sumOf,
  vectorBetween,
  type PlanePoint,
} from '../../units/plane';
import { degrees, type Degrees, type Metres } from '../../units/units';
import { namedPlaces } from './chosen-places';
import { isWood, type Country } from './country';
import { watersAlong, type Shores } from './waters-in-sight';

/** Eyes above the ground. */
const EYE_METRES = 1.7;
/** Ridges one behind the other: the far ends of the bands in which they are looked for. */
const BANDS: readonly Metres[] = [80, 200, 420, 800, 1400, 2300, 3600, 5700];
/** Degrees between two rays. */
export const RAY_DEGREES = 0.5;

export const eyeAt = (country: Country, at: PlanePoint): Metres =>
  heightAt(country.ground, at) + EYE_METRES;

/** A thing stands this high: enough to be seen over the post that it is on. */
const STANDS_METRES = 4;

/** True where a place of a height is in sight from an eye. */
export const sees = (
  country: Country,
  at: PlanePoint,
  eye: Metres,
  to: PlanePoint,
  height: Metres,
): boolean => isVisible(country.ground, at, eye, to, height + STANDS_METRES);

/** Something in sight: at which azimuth, how high above the level, and how large. */
interface Seen {
  readonly name: string;
  readonly kind: 'summit' | 'building';
  readonly azimuthDegrees: Degrees;
  readonly elevationDegrees: Degrees;
  readonly metres: Metres;
  /** Its width as an angle. */
  readonly widthDegrees: Degrees;
}

/** All around a place, from grid north clockwise. */
export interface Panorama {
  readonly at: PlanePoint;
  readonly eyeMetres: Metres;
  readonly fogMetres: Metres;
  /** For each band its highest angle, ray by ray; -90 where there is no ground. */
  readonly ridges: readonly Float32Array[];
  /** How much higher the trees on a ridge reach, ray by ray; 0 where it is bare. */
  readonly crowns: readonly Float32Array[];
  /** For each band the water in sight, ray by ray; null where there is none. */
  readonly waters: readonly (readonly (Shores | null)[])[];
  readonly seen: readonly Seen[];
}

/** Crowns without those that have none beside them: a tree by itself is no wood. */
const withoutLone = (crowns: Float32Array): Float32Array =>
  crowns.map((crown, ray) => (crowns.at(ray - 1) || crowns[(ray + 1) % crowns.length] ? crown : 0));

const BUILDING_WIDTH = 14;
const TREE_METRES = 9;

/** What is seen from a place, as far as the fog lets one see. */
export function panoramaFrom(country: Country, at: PlanePoint, fogMetres: Metres): Panorama {
  const eye = eyeAt(country, at);
  const rays = Math.round(360 / RAY_DEGREES);
  const bands = BANDS.map((band) => Math.min(band, fogMetres)).filter(
    (band, index, all) => index === 0 || band > all[index - 1]!,
  );
  const ridges = bands.map(() => new Float32Array(rays));
  const crowns = bands.map(() => new Float32Array(rays));
  const waters: (Shores | null)[][] = bands.map(() => []);
  for (let ray = 0; ray < rays; ray++) {
    const along = ridgesAlong(country.ground, at, eye, ray * RAY_DEGREES, bands);
    for (const [band, ridge] of along.entries()) {
      ridges[band]![ray] = ridge.degrees;
      if (ridge.metres === 0) continue;
      const point = sumOf(at, polar(ray * RAY_DEGREES, ridge.metres));
      if (isWood(country, point)) crowns[band]![ray] = degrees(TREE_METRES / ridge.metres);
    }
    for (const [band, shores] of watersAlong(
      country,
      at,
      eye,
      ray * RAY_DEGREES,
      bands,
    ).entries()) {
      waters[band]!.push(shores);
    }
  }
  const summits = new Set(country.summits.map(({ name }) => name));
  const seen = namedPlaces(country).flatMap(({ name, point }): Seen[] => {
    const way = vectorBetween(at, point);
    const metres = lengthOf(way);
    const height = heightAt(country.ground, point);
    if (metres < 15 || metres > fogMetres || !sees(country, at, eye, point, height)) return [];
    const kind = summits.has(name) ? 'summit' : 'building';
    return [
      {
        name,
        kind,
        azimuthDegrees: normalised(azimuthOf(way)),
        elevationDegrees: elevationDegrees(eye, height, metres),
        metres,
        widthDegrees: kind === 'building' ? degrees(BUILDING_WIDTH / metres) : 0,
      },
    ];
  });
  const woods = crowns.map(withoutLone);
  return { at, eyeMetres: eye, fogMetres, ridges, crowns: woods, waters, seen };
}
