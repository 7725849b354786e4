import type { FeatureKind } from '@/core/entries/feature';
import type { Ellipse } from '@/core/errors/ellipse';
import { boundsOf, ORIGIN, polar, sumOf, type Bounds, type PlanePoint } from '@/core/units/plane';
import type { Degrees, Metres } from '@/core/units/units';
import { fitBounds, withUp, type Size, type View } from './view';

/** Kinds of lines, in the order in which they are drawn: the first is below all others. */
export const LINE_KINDS = [
  'contour',
  'index-contour',
  'sight',
  'known',
  'barrier',
  'path',
  'side-trip',
  'leg',
  'preview',
  'aim',
  'route',
  'walked',
  'logged',
  'home',
] as const;

/** A line of a layer; its kind is its look on the screen and its dash in print. */
export interface LayerLine {
  readonly kind: (typeof LINE_KINDS)[number];
  readonly points: readonly PlanePoint[];
  /** What a tap on it chooses, such as the number of a leg. */
  readonly number?: number;
  /** A height that is written on it. */
  readonly heightMetres?: Metres;
}

/** A place with how sure it is: on the map, or where a way to it ends. */
export interface LayerEllipse extends PlanePoint {
  readonly kind: 'place' | 'on-map' | 'home' | 'landmark';
  readonly ellipse: Ellipse;
}

/** A length around a place. */
export interface LayerCircle extends PlanePoint {
  readonly radius: Metres;
}

/** Something that is named on a layer. */
export interface Mark extends PlanePoint {
  readonly key: string;
  readonly text: string;
  readonly kind:
    | 'start'
    | 'station'
    | 'seen'
    | 'you'
    | 'point'
    | 'attack'
    | 'known'
    | 'here'
    | 'hundred'
    | 'count'
    | 'end'
    | 'number';
  /** What it is, for its symbol; for features and landmarks. */
  readonly feature?: FeatureKind;
}

/** What one subject has on the map, in metres of one plane. */
export interface Layer {
  readonly ellipses: readonly LayerEllipse[];
  readonly circles: readonly LayerCircle[];
  readonly lines: readonly LayerLine[];
  /** Stations. */
  readonly dots: readonly PlanePoint[];
  readonly marks: readonly Mark[];
  /** How its legs are broken, where layers of one kind have to be distinguished. */
  readonly dash?: string;
}

export const NO_LAYER: Layer = { ellipses: [], circles: [], lines: [], dots: [], marks: [] };

/** Two ends of a line that follow each other. */
export interface Stretch {
  readonly from: PlanePoint;
  readonly to: PlanePoint;
}

export const stretchesOf = ({ points }: LayerLine): Stretch[] =>
  points.slice(1).map((to, index) => ({ from: points[index] ?? to, to }));

/** What is named, and the lines that names would rather not lie on. */
export interface Named {
  readonly marks: readonly Mark[];
  readonly stretches: readonly Stretch[];
}

/** The marks and lines of layers, for the placing of their names; the first are named first. */
export const namedIn = (...layers: readonly Layer[]): Named => ({
  marks: layers.flatMap(({ marks }) => marks),
  stretches: layers.flatMap(({ lines }) => lines.flatMap(stretchesOf)),
});

/** All points that a view of a layer has to show: what was seen from afar is not among them. */
export const layerPoints = ({ marks, lines, dots }: Layer): PlanePoint[] => [
  ...marks.filter(({ kind }) => kind !== 'seen'),
  ...lines.flatMap(({ kind, points }) => (kind === 'sight' ? [] : points)),
  ...dots,
];

/** The view that shows some points, a bearing up. */
export const viewOfPoints = (points: readonly PlanePoint[], size: Size, turn: Degrees = 0): View =>
  fitBounds(
    boundsOf((points.length > 0 ? points : [ORIGIN]).map((each) => withUp(each, turn))),
    size,
    turn,
  );

/** The bounds of each layer by the bearing that is up: they are asked for at every keystroke. */
const kept = new WeakMap<Layer, Map<Degrees, Bounds>>();

/** The bounds of a layer with a bearing up, as two of its corners. */
function cornersWithUp(layer: Layer, turn: Degrees): PlanePoint[] {
  const points = layerPoints(layer);
  if (points.length === 0) return [];
  const byTurn = kept.get(layer) ?? new Map<Degrees, Bounds>();
  kept.set(layer, byTurn);
  const bounds = byTurn.get(turn) ?? boundsOf(points.map((each) => withUp(each, turn)));
  byTurn.set(turn, bounds);
  const { west, east, south, north } = bounds;
  return [
    { east: west, north: south },
    { east, north },
  ];
}

/** The view that shows all of some layers, and another point if there is one, a bearing up. */
export function viewOfLayers(
  layers: readonly Layer[],
  size: Size,
  also: PlanePoint | null = null,
  turn: Degrees = 0,
): View {
  const corners = layers.flatMap((layer) => cornersWithUp(layer, turn));
  if (also) corners.push(withUp(also, turn));
  return fitBounds(boundsOf(corners.length > 0 ? corners : [ORIGIN]), size, turn);
}

/** A square about a place that reaches so far. */
export const around = (at: PlanePoint, metres: Metres): PlanePoint[] =>
  [45, 135, 225, 315].map((bearing) => sumOf(at, polar(bearing, metres * Math.SQRT2)));
