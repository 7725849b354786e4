import type { Fault } from '../faults/fault';
import { nameKey } from '../readings/name';

/**
 * Station names, whatever their letter case and spaces. A named station is kept by name; one
 * without a name is called by its leg's number, which is computed rather than kept, so that a long
 * log stays cheap.
 */
export class Stations {
  private readonly named = new Map<string, { name: string; point: number }>();
  /** Legs that were given a name or returned to a station: their number is no name. */
  private readonly numberless = new Set<number>();
  private someNumeric = false;

  constructor(startName: string) {
    this.name(startName, 0);
  }

  /** Gives a point its name; the name must be free. */
  name(name: string, point: number): void {
    this.named.set(nameKey(name), { name, point });
    this.numberless.add(point);
    if (/^\d+$/.test(name)) this.someNumeric = true;
  }

  /** Notes that this leg came back to a station, so that no station has its number. */
  returned(leg: number): void {
    this.numberless.add(leg);
  }

  /** The station with this name among legs 1..legs and the start; undefined when none has. */
  find(name: string, legs: number): number | undefined {
    const known = this.named.get(nameKey(name));
    if (known) return known.point;
    if (!/^[1-9]\d{0,8}$/.test(name)) return undefined;
    const number = Number(name);
    return number <= legs && !this.numberless.has(number) ? number : undefined;
  }

  /** Why a leg without a name can't be called by its number, because the name is taken; or null. */
  numberFault(leg: number): Fault | null {
    if (!this.someNumeric || !this.named.has(String(leg))) return null;
    return { code: 'number-taken', name: String(leg) };
  }

  /** The given names, for suggestions. */
  *names(): Iterable<string> {
    for (const { name } of this.named.values()) yield name;
  }
}
