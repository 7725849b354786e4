import type { Norths } from '../../north/norths';
import { heightAt, type HeightField } from '../../terrain/height-field';
import type { Bounds, PlanePoint } from '../../units/plane';
import type { Degrees, Metres } from '../../units/units';

/** A line on the ground: a stream, a path, a wall. */
export type GroundLine = readonly PlanePoint[];

export interface NamedPoint {
  readonly name: string;
  readonly point: PlanePoint;
}

export interface Lake {
  /** Null for a pond. */
  readonly name: string | null;
  readonly rings: readonly (readonly PlanePoint[])[];
  /** A point well inside. */
  readonly middle: PlanePoint;
}

/** What the margin of the country's map says. */
export interface Margin {
  readonly declinationEast: Degrees;
  readonly year: number;
  readonly annualChangeEast: Degrees;
  readonly convergenceEast: Degrees;
}

/** An invented country: all of it is made from the seed, and nothing of it is anywhere. */
export interface Country {
  readonly seed: number;
  readonly bounds: Bounds;
  /** The surface: ground, and the level of the water. */
  readonly ground: HeightField;
  /** The ground under the water too. */
  readonly bed: HeightField;
  readonly waterMetres: Metres;
  readonly lakes: readonly Lake[];
  readonly streams: readonly GroundLine[];
  readonly paths: readonly GroundLine[];
  readonly walls: readonly GroundLine[];
  /** From 0, open, to 1, as dense as woods are; wood is where it is `WOOD` or more. */
  readonly density: HeightField;
  readonly woods: readonly (readonly PlanePoint[])[];
  readonly summits: readonly (NamedPoint & { readonly heightMetres: Metres })[];
  readonly buildings: readonly NamedPoint[];
  readonly margin: Margin;
  /** Today's norths, where the map was printed in the year of its margin and now is `NOW`. */
  readonly norths: Norths;
}

/** The year in which one practises. */
export const NOW = 2026;
/** The density from which on trees are a wood. */
export const WOOD = 0.56;

export const isWater = ({ bed, waterMetres }: Country, point: PlanePoint): boolean =>
  heightAt(bed, point) < waterMetres;

export const isWood = ({ density }: Country, point: PlanePoint): boolean =>
  heightAt(density, point) >= WOOD;

/** True inside the country, and so far from its edge. */
export const isInside = (
  { bounds: { west, east, south, north } }: Country,
  point: PlanePoint,
  edge: Metres = 0,
): boolean =>
  point.east >= west + edge &&
  point.east <= east - edge &&
  point.north >= south + edge &&
  point.north <= north - edge;
