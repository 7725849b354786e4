import type { Means, Walked } from '../../errors/means';
import type { SharedSum } from '../../errors/shared-errors';
import { ERROR_SOURCES } from '../../errors/sources';
import type { ErrorSource, SharedError, SharedScale } from '../../errors/sources/source';
import type { Traverse } from './traverse';

/**
 * Errors of one kind that are kept apart; a further one counts as the last of its kind. Nobody
 * walks with so many compasses and calibrations, and each costs a pass over the legs.
 */
const MOST_OF_A_SOURCE = 20;

/** The legs that have a shared error: runs of legs from..to with the same share of it. */
interface Use {
  readonly error: SharedError;
  readonly from: number[];
  readonly to: number[];
  readonly share: number[];
  /** Sums from the start to each point, once they are asked for. */
  sums?: { readonly east: Float64Array; readonly north: Float64Array };
}

/** A use that stretches with some means have, and how much of it. */
interface UseOfMeans {
  readonly use: Use;
  readonly share: ErrorSource['share'];
}

const SHARING = ERROR_SOURCES.filter(({ shared }) => shared);

/** Which legs share which errors, and the sums of them between stations. */
export class SharedUses {
  private readonly uses: Use[] = [];
  private readonly byKey = new Map<string, Use>();
  private readonly byMeans = new Map<Means, readonly UseOfMeans[]>();
  /** Legs from..to that are walked alike, not noted yet: most legs only make this run longer. */
  private run: Walked | null = null;
  private runFrom = 0;
  private runTo = 0;

  constructor(private readonly scale: SharedScale) {}

  /** Notes the last leg, which was walked so from end to end. */
  add(leg: number, walked: Walked): void {
    const { run } = this;
    const isAlike =
      run !== null && run.means === walked.means && run.slopeTangent === walked.slopeTangent;
    if (isAlike && this.runTo === leg - 1) {
      this.runTo = leg;
      return;
    }
    this.flush();
    this.run = walked;
    this.runFrom = leg;
    this.runTo = leg;
  }

  /**
   * Notes `part` of the length of the last leg; only what shares its bearing, or its distance,
   * where `of` says so.
   */
  addPart(leg: number, walked: Walked, part: number, of?: SharedError['of']): void {
    this.flush();
    for (const { use, share } of this.usesOf(walked.means)) {
      if (of !== undefined && use.error.of !== of) continue;
      const amount = share ? part * share(walked) : part;
      if (amount !== 0) addRun(use, leg, leg, amount);
    }
  }

  /** Notes the run of legs that were walked alike. */
  private flush(): void {
    const { run, runFrom, runTo } = this;
    this.run = null;
    if (!run) return;
    for (const { use, share } of this.usesOf(run.means)) {
      const amount = share ? share(run) : 1;
      if (amount !== 0) addRun(use, runFrom, runTo, amount);
    }
  }

  /** Forgets what was noted of the last leg. */
  forget(leg: number): void {
    this.flush();
    for (const { from, to, share } of this.uses) {
      const last = to.length - 1;
      if (to[last] !== leg) continue;
      if (from[last] === leg) for (const column of [from, to, share]) column.pop();
      else to[last] = leg - 1;
    }
  }

  private usesOf(means: Means): readonly UseOfMeans[] {
    const known = this.byMeans.get(means);
    if (known) return known;
    const found = SHARING.flatMap(({ shared, share }) => {
      const error = shared?.(means, this.scale);
      return error && error.sigma > 0 ? [{ use: this.useOf(error), share }] : [];
    });
    this.byMeans.set(means, found);
    return found;
  }

  private useOf(error: SharedError): Use {
    const known = this.byKey.get(error.key);
    if (known) return known;
    const alike = this.uses.filter((use) => use.error.source === error.source);
    const use: Use =
      alike.length < MOST_OF_A_SOURCE ? { error, from: [], to: [], share: [] } : alike.at(-1)!;
    if (use.error === error) this.uses.push(use);
    this.byKey.set(error.key, use);
    return use;
  }

  /** What the path from one point to another has of each shared error. */
  between(traverse: Traverse, from: number, to: number): SharedSum[] {
    this.flush();
    return this.uses.flatMap((use) => {
      const { east, north } = sumsOf(use, traverse);
      const sum = { east: east[to]! - east[from]!, north: north[to]! - north[from]! };
      return sum.east === 0 && sum.north === 0 ? [] : [{ error: use.error, ...sum }];
    });
  }

  /** What one leg has of each, from where it leaves to where it ended. */
  ofLeg(traverse: Traverse, leg: number): SharedSum[] {
    return this.between(traverse, traverse.from[leg]!, leg);
  }
}

/** Adds a share of legs first..last of the log; parts of one leg that share an error add up. */
function addRun({ from, to, share }: Use, first: number, last: number, amount: number): void {
  const end = to.length - 1;
  if (to[end] === first - 1 && share[end] === amount) {
    to[end] = last;
    return;
  }
  const isSameLeg = to[end] === first;
  const whole = isSameLeg ? share[end]! + amount : amount;
  if (isSameLeg && from[end] === first) {
    share[end] = whole;
    return;
  }
  if (isSameLeg) to[end] = first - 1;
  from.push(first);
  to.push(last);
  share.push(whole);
}

/** The prefix sums of a use; the points themselves where every leg has all of it. */
function sumsOf(use: Use, traverse: Traverse): { east: Float64Array; north: Float64Array } {
  const { legs, from: origin, east, north } = traverse;
  if (use.from[0] === 1 && use.to[0] === legs && use.share[0] === 1) return traverse;
  if (use.sums) return use.sums;
  const sums = { east: new Float64Array(legs + 1), north: new Float64Array(legs + 1) };
  let run = 0;
  for (let k = 1; k <= legs; k++) {
    while (run < use.to.length && use.to[run]! < k) run++;
    const share = run < use.to.length && use.from[run]! <= k ? use.share[run]! : 0;
    const o = origin[k]!;
    sums.east[k] = sums.east[o]! + share * (east[k]! - east[o]!);
    sums.north[k] = sums.north[o]! + share * (north[k]! - north[o]!);
  }
  use.sums = sums;
  return sums;
}
