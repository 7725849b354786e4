import { haltMinutes } from '../entries/kinds/halt';
import { MINUTES_PER_DAY, minutesOfDay } from '../units/clock';
import { lengthOf, vectorBetween } from '../units/plane';
import type { Metres } from '../units/units';
import { walkLog } from './log-walk';
import type { Solution } from './solution';

/** What was walked between two times that were noted. */
export interface TimedStretch {
  /** The entry that its end was noted on. */
  readonly entry: number;
  readonly from: string;
  readonly to: string;
  readonly minutes: number;
  /** All that was walked between, the way to a station that a `from` names included. */
  readonly metres: Metres;
  /** The ground that all of it is on, empty for none in particular; null where it changes. */
  readonly ground: string | null;
}

/** A time that is earlier than the one before it, by too little to be of the next day. */
interface ClockSlip {
  readonly entry: number;
  readonly from: string;
  readonly to: string;
}

/** The times of an outing, in the order of its lines. */
export interface OutingTimes {
  readonly stretches: readonly TimedStretch[];
  readonly slips: readonly ClockSlip[];
  /** The last time, in minutes since the midnight before the first one; null for none. */
  readonly lastMinutes: number | null;
}

/** A clock that goes back by less is a slip of the pen; by more, a night has passed. */
const MOST_SLIP_MINUTES = 3 * 60;

interface Clock {
  readonly time: string;
  /** Since the midnight before the first time. */
  readonly minutes: number;
}

/**
 * The times noted on an outing: days roll over; an earlier time is reported and ignored. A step off
 * a path begins a stretch of its own. A halt is no part of any: its minutes are taken off the
 * stretch it is in; where it says from when until when, that ends one and begins the next.
 */
export function timesOf(solution: Solution): OutingTimes {
  const { outing, places } = solution;
  const clock = new WalkingClock(outing.date?.time);
  let station = 0;
  for (const { entry, index, leg, station: now } of walkLog(solution)) {
    // What nobody logged was walked too, at least the straight way.
    const begun = entry.kind === 'leg' && leg ? leg.from : now;
    if (begun !== station) {
      clock.walked(lengthOf(vectorBetween(places.at(station), places.at(begun))), '');
    }
    if (entry.kind === 'leg' && leg) clock.walked(leg.metres, entry.ground ?? '');
    station = now;
    if (entry.kind === 'halt') clock.halt(index, entry);
    else if (entry.kind === 'leg' || entry.kind === 'out') {
      if (entry.time !== undefined) clock.noted(index, entry.time, entry.kind === 'leg');
    }
  }
  const { stretches, slips, last, halted } = clock;
  return { stretches, slips, lastMinutes: last && last.minutes + halted };
}

/** Follows what was walked from one time to the next. */
class WalkingClock {
  readonly stretches: TimedStretch[] = [];
  readonly slips: ClockSlip[] = [];
  last: Clock | null;
  /** Minutes of halts since the last time. */
  halted = 0;
  private metres = 0;
  private grounds = new Set<string>();

  constructor(startTime: string | undefined) {
    this.last = startTime ? { time: startTime, minutes: minutesOfDay(startTime) } : null;
  }

  walked(metres: Metres, ground: string): void {
    this.metres += metres;
    this.grounds.add(ground);
  }

  /** A time that was noted on a line; what was walked until then is a stretch, where it says so. */
  noted(entry: number, time: string, isWalk: boolean): void {
    const { last } = this;
    const next = following(last, time);
    if (next === null) {
      this.slips.push({ entry, from: last?.time ?? '', to: time });
      return;
    }
    if (last && isWalk) {
      const minutes = Math.max(0, next.minutes - last.minutes - this.halted);
      const [ground = null] = this.grounds.size === 1 ? this.grounds : [];
      const { metres } = this;
      this.stretches.push({ entry, from: last.time, to: time, minutes, metres, ground });
    }
    this.last = next;
    this.halted = 0;
    this.metres = 0;
    this.grounds.clear();
  }

  halt(entry: number, halt: Parameters<typeof haltMinutes>[0]): void {
    if (halt.from === undefined || halt.until === undefined) {
      this.halted += haltMinutes(halt);
      return;
    }
    const { slips } = this;
    const before = slips.length;
    this.noted(entry, halt.from, this.metres > 0);
    if (slips.length > before || !this.last) return;
    this.last = { time: halt.until, minutes: this.last.minutes + haltMinutes(halt) };
  }
}

/** The next time on the clock; null where it slipped back. */
function following(last: Clock | null, time: string): Clock | null {
  const ofDay = minutesOfDay(time);
  if (!last) return { time, minutes: ofDay };
  const passed = ofDay - (last.minutes % MINUTES_PER_DAY);
  if (passed >= 0) return { time, minutes: last.minutes + passed };
  if (passed > -MOST_SLIP_MINUTES) return null;
  return { time, minutes: last.minutes + passed + MINUTES_PER_DAY };
}

/** Slower than this one rests, whatever the ground. Common practice, no source. */
export const SLOWEST_KMH = 0.3;
/** A stretch this much slower than the usual one holds a halt. Common practice, no source. */
const HALT_SHARE = 1 / 3;

const speedOf = ({ metres, minutes }: TimedStretch) => (metres / 1000 / minutes) * 60;

/** The median; 0 of nothing. Written out: the first second does without a library for it. */
function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  return ((sorted[Math.floor(half)] ?? 0) + (sorted[Math.ceil(half)] ?? 0)) / 2;
}

/** The stretches that were walked without a halt; those without any length of time are none. */
export function walkedStretches({ stretches }: OutingTimes): readonly TimedStretch[] {
  const lasting = stretches.filter(({ minutes }) => minutes > 0);
  const usual = middleOf(lasting.map(speedOf));
  const slowest = Math.max(SLOWEST_KMH, usual * HALT_SHARE);
  return lasting.filter((stretch) => speedOf(stretch) >= slowest);
}
