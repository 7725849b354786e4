import type { Fault } from './faults';

/**
 * Which name stands for which point. A named station is kept by name; one without a name is called by its
 * leg's number, and is worked out from the number rather than kept, so that a long log stays cheap.
 */
export class Stations {
  private readonly named = new Map<string, number>();
  /** Points of legs that were given a name or returned to a station: their number is no name. */
  private readonly numberless = new Set<number>();
  private someNumeric = false;

  constructor(startName: string) {
    this.name(startName, 0);
  }

  /** Gives a point its name; the name must be free. */
  name(name: string, point: number): void {
    this.named.set(name, point);
    this.numberless.add(point);
    if (/^\d+$/.test(name)) this.someNumeric = true;
  }

  /** Notes that the leg with this number came back to a station, so that no station has its number. */
  returned(leg: number): void {
    this.numberless.add(leg);
  }

  /** The point that has this name among legs 1..legs and the start; undefined when none has. */
  find(name: string, legs: number): number | undefined {
    const point = this.named.get(name);
    if (point !== undefined) return point;
    if (!/^[1-9]\d{0,8}$/.test(name)) return undefined;
    const number = Number(name);
    return number <= legs && !this.numberless.has(number) ? number : undefined;
  }

  /** Why a leg without a name can't be called by its number, or null: someone gave that name away before. */
  numberFault(leg: number): Fault | null {
    if (!this.someNumeric || !this.named.has(String(leg))) return null;
    return { code: 'number-taken', name: String(leg) };
  }

  /** The given names, for suggestions. */
  names(): Iterable<string> {
    return this.named.keys();
  }
}
