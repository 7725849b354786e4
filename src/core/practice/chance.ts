import { uniform } from '../errors/random';
import { nth } from '../units/nth';

/** A choice from a list that isn't empty, by a uniform number in [0, 1). */
export const chosen = <Item>(items: readonly Item[], next: () => number): Item =>
  nth(items, Math.floor(next() * items.length));

/** A whole number from `low` to `high`, both included. */
export const whole = (low: number, high: number, next: () => number): number =>
  low + Math.floor(next() * (high - low + 1));

/** A multiple of `step` from `low` to `high`, both included. */
export const stepped = (low: number, high: number, step: number, next: () => number): number =>
  low + step * whole(0, Math.round((high - low) / step), next);

/** The items in another order; none is lost. */
export function shuffled<Item>(items: readonly Item[], next: () => number): Item[] {
  const mixed = [...items];
  for (let at = mixed.length - 1; at > 0; at--) {
    const other = whole(0, at, next);
    [mixed[at], mixed[other]] = [nth(mixed, other), nth(mixed, at)];
  }
  return mixed;
}

/** Uniform numbers for one purpose of a seed: each purpose has its own, whatever others draw. */
export function chanceOf(seed: number, purpose: string): () => number {
  let mixed = seed >>> 0;
  for (const letter of purpose) {
    mixed = Math.imul(mixed ^ letter.codePointAt(0)!, 0x01_00_01_93) >>> 0;
  }
  return uniform(mixed);
}
