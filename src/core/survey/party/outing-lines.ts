import { nameKey } from '../../readings/name';
import { bearingVariance } from '../../errors/own-errors';
import type { Walked } from '../../errors/means';
import type { SharedError } from '../../errors/sources/source';
import { convertedReading } from '../../north/norths';
import { bearingDegrees, type BearingReading } from '../../readings/bearing';
import { backBearing, signedDifference } from '../../units/angle';
import { lengthOf, polar, vectorBetween, type PlanePoint } from '../../units/plane';
import { radians, type Degrees, type Metres } from '../../units/units';
import { landmarkPlaces } from '../landmarks';
import { legParts, type Part } from '../leg-parts';
import type { LocalError, NetworkLine } from '../network/readings';
import { sharedAlong } from '../shared-along';
import { sharedScale } from '../shared-scale';
import { stationNamed, type Solution, type SolvedLeg } from '../solution';
import type { Nodes } from './stations';
import { nth } from '../../units/nth';

/** The errors of all outings; those of one person's outings are the same. */
export class SharedSources {
  readonly all: SharedError[] = [];
  /** Iron at the places where it is in question. */
  readonly locals: LocalError[] = [];
  private readonly byKey = new Map<string, number>();
  private readonly byNode = new Map<number, number>();

  /** Iron at a node, which turns the bearings of everyone who read there. */
  ironAt(node: number, name: string): number {
    const known = this.byNode.get(node);
    if (known !== undefined) return known;
    this.byNode.set(node, this.locals.length);
    const sigma = radians(IRON_DEGREES);
    const iron = { source: 'iron', key: `iron ${node}`, about: name } as const;
    this.locals.push({ node, error: { ...iron, of: 'bearing', sigma } });
    return this.locals.length - 1;
  }

  /** Errors of the earth's field are the same for all; others are a person's. */
  indexOf(error: SharedError, prefix: string): number {
    const key = error.source === 'declination' ? error.key : `${prefix}: ${error.key}`;
    const known = this.byKey.get(key);
    if (known !== undefined) return known;
    this.byKey.set(key, this.all.length);
    this.all.push({ ...error, key });
    return this.all.length - 1;
  }
}

/** A line of the network, and the entry and the leg that it was read from. */
export interface OutingLine {
  readonly line: NetworkLine;
  readonly entry: number;
  /** Null for a sighting, or a back bearing. */
  readonly leg: number | null;
}

/** Two bearings of a line that differ by more open the question of iron at its ends. */
const MOST_APART_DEGREES = 5;
/** Two sightings make a landmark's place; only a third one checks them. */
const LEAST_SIGHTINGS = 3;
/** How far iron may turn a needle, one sigma, where the question is open. Common practice. */
const IRON_DEGREES: Degrees = 10;

/**
 * The lines of one outing: its legs; its sightings of stations; and, where forward and back
 * bearings disagree, the back bearings as readings of their own, with iron as an unknown.
 */
export class OutingLines {
  private readonly open: ReadonlySet<number>;
  private readonly parts: ReadonlyMap<number, readonly Part[]>;

  constructor(
    private readonly solution: Solution,
    private readonly nodes: Nodes,
    private readonly outing: number,
    private readonly sources: SharedSources,
    private readonly prefix: string,
    /** The node of a landmark of this outing, made when it is first asked for. */
    private readonly landmark: (name: string) => number,
    /** The landmarks that a map tells: each sighting of one checks where it was taken. */
    private readonly onMap: ReadonlyMap<string, PlanePoint> = new Map(),
  ) {
    this.open = this.openStations();
    this.parts = this.open.size > 0 ? legParts(solution) : new Map();
  }

  *[Symbol.iterator](): Generator<OutingLine> {
    for (const leg of this.solution.legs) {
      const { entry, number } = leg;
      const back = this.splitBack(leg);
      yield { line: back?.forward ?? this.legLine(leg), entry, leg: number };
      if (back) yield { line: back.back, entry, leg: null };
    }
    yield* this.sightings();
  }

  /** The bearing from the frame's north; null for one whose north isn't known. */
  private inFrame(reading: BearingReading): Degrees | null {
    const { frame } = this.solution.places;
    const read = { degrees: bearingDegrees(reading), north: reading.north };
    return convertedReading(read, frame.north, frame.norths)?.degrees ?? null;
  }

  /** The stations at either end of a line whose two bearings disagree. */
  private openStations(): Set<number> {
    const open = new Set<number>();
    for (const { reading, from, to } of this.solution.legs) {
      if (!reading.back) continue;
      const [forward, back] = [this.inFrame(reading.bearing), this.inFrame(reading.back)];
      if (forward === null || back === null) continue;
      const apart = Math.abs(signedDifference(forward, backBearing(back)));
      if (apart > MOST_APART_DEGREES) open.add(from).add(to);
    }
    return open;
  }

  private nodeOf(station: number): number {
    return this.nodes.of({ outing: this.outing, station });
  }

  /** Iron at a station, for a bearing that was read there; none where it is not in question. */
  private ironAt(station: number): Pick<NetworkLine, 'local'> {
    if (!this.open.has(station)) return {};
    const node = this.nodeOf(station);
    return { local: this.sources.ironAt(node, nth(this.nodes.all, node).name) };
  }

  private legLine(leg: SolvedLeg): NetworkLine {
    const { bearingDegrees: bearing, metres, from, to } = leg;
    const along = polar(bearing, 1);
    const shared = this.solution.legs.sharedOf(leg.number).flatMap(({ error, east, north }) => {
      const share = metres === 0 ? 0 : (east * along.east + north * along.north) / metres;
      return share === 0 ? [] : [{ source: this.sources.indexOf(error, this.prefix), share }];
    });
    return {
      from: this.nodeOf(from),
      to: this.nodeOf(to),
      bearing: radians(bearing),
      metres,
      alongVariance: leg.alongVariance,
      acrossVariance: leg.acrossVariance,
      shared,
      ...this.ironAt(from),
    };
  }

  /** The two bearings of a leg as two readings, where iron at one of its ends is in question. */
  private splitBack(leg: SolvedLeg): { forward: NetworkLine; back: NetworkLine } | null {
    const { from, to, reading, metres, number } = leg;
    const isOpen = this.open.has(from) || this.open.has(to);
    const [part, second] = this.parts.get(number) ?? [];
    if (!isOpen || !reading.back || !part || second || metres === 0) return null;
    const [forward, back] = [this.inFrame(reading.bearing), this.inFrame(reading.back)];
    if (forward === null || back === null) return null;
    const walked: Walked = { ...part.walked, ironDegrees: 0 };
    const ofLength = this.legLine(leg).shared.filter(
      ({ source }) => nth(this.sources.all, source).of === 'distance',
    );
    const ahead = this.sighting(from, to, forward, metres, walked);
    return {
      forward: {
        ...ahead,
        alongVariance: leg.alongVariance,
        shared: [...ofLength, ...ahead.shared],
      },
      back: this.sighting(to, from, back, metres, walked),
    };
  }

  /** A bearing by itself, from one station to another. */
  private sighting(
    from: number,
    to: number,
    bearing: Degrees,
    metres: Metres,
    walked: Walked,
  ): NetworkLine {
    const { errors, places } = this.solution;
    const scale = sharedScale(errors, places.frame.norths);
    const shared = sharedAlong(polar(bearing, 1), walked, scale).flatMap(
      ({ error, east, north }) => {
        if (error.of !== 'bearing' || error.sigma === 0) return [];
        const share = Math.hypot(east, north);
        return [{ source: this.sources.indexOf(error, this.prefix), share }];
      },
    );
    return {
      from: this.nodeOf(from),
      to: this.nodeOf(to),
      bearing: radians(bearing),
      metres,
      alongVariance: Infinity,
      acrossVariance: bearingVariance(walked, errors),
      shared,
      ...this.ironAt(from),
    };
  }

  /**
   * Sightings of stations, each of which checks a direction; and of landmarks that were sighted
   * often enough to check each other. They say nothing of how far.
   */
  private *sightings(): Generator<OutingLine> {
    const { places } = this.solution;
    for (const { name, sightings, place } of landmarkPlaces(this.solution)) {
      const seen = stationNamed(this.solution, name);
      const isTold = place !== null && sightings.length >= LEAST_SIGHTINGS;
      const onMap = this.onMap.get(nameKey(name)) ?? (isTold ? place : null);
      if (seen === undefined && !onMap) continue;
      const there = seen === undefined ? onMap! : places.at(seen);
      for (const { entry, station, bearingDegrees: bearing, walked } of sightings) {
        const metres = lengthOf(vectorBetween(places.at(station), there));
        if (metres === 0) continue;
        // A landmark that nothing is read of would be a node that nothing tells.
        const to = seen === undefined ? this.landmark(name) : this.nodeOf(seen);
        const line = { ...this.sighting(station, station, bearing, metres, walked), to };
        yield { line, entry, leg: null };
      }
    }
  }
}
