import { normalised, signedDifference } from '../../units/angle';
import { degrees, radians, type Degrees } from '../../units/units';

/**
 * How a needle moves: its swing undamped, and how much of the critical damping its liquid gives.
 */
export interface NeedleKind {
  readonly periodSeconds: number;
  readonly dampingRatio: number;
}
/** A needle in liquid. Common practice, no source. */
export const LIQUID_NEEDLE: NeedleKind = { periodSeconds: 2, dampingRatio: 0.35 };

/** Where the needle points, from true north as all angles here, and how fast it turns. */
export interface Needle {
  readonly degrees: Degrees;
  /** Degrees a second. */
  readonly speed: number;
}

/** What acts on the needle. */
export interface Surroundings {
  /** Where the field points, its strength against the earth's alone. */
  readonly field: { readonly degrees: Degrees; readonly strength: number };
  /** How far the housing is out of the level. */
  readonly tiltDegrees: Degrees;
}

/** Level enough up to here; then the needle drags on the housing, and at last is stuck on it. */
export const DRAGS_FROM = 10;
export const STUCK_FROM = 28;
/** The drag, as the angle off the field at which the needle would just stay: from 0 to this. */
const MOST_DRAG_DEGREES = 40;
/** Small steps, so that the sum of many is the movement itself. */
const STEP_SECONDS = 1 / 240;

/** The angle off the field that dry friction holds at a tilt. */
export const dragDegrees = (tilt: Degrees): Degrees =>
  MOST_DRAG_DEGREES * Math.min(1, Math.max(0, (tilt - DRAGS_FROM) / (STUCK_FROM - DRAGS_FROM)));

/** How fast it turns after a push of so many degrees a second², damping and friction included. */
function pushed(speed: number, pull: number, drag: number, damping: number, seconds: number) {
  // Dry friction holds a needle that is at rest, and slows one that moves, but never turns it back.
  if (Math.abs(speed) < drag * seconds && Math.abs(pull) <= drag) return 0;
  const against = speed === 0 ? Math.sign(pull) : Math.sign(speed);
  // The mean of the speeds before and after is damped: exact to the second order in the step.
  const half = damping * seconds;
  return (speed * (1 - half) + (pull - against * drag) * seconds) / (1 + half);
}

/** One small step: half of it turned, the push, and the other half (leapfrog). */
function stepped(needle: Needle, kind: NeedleKind, around: Surroundings, seconds: number): Needle {
  const omega = (2 * Math.PI) / kind.periodSeconds;
  const between = needle.degrees + (needle.speed * seconds) / 2;
  const off = signedDifference(around.field.degrees, between);
  const pull = -omega * omega * around.field.strength * degrees(Math.sin(radians(off)));
  const drag = omega * omega * dragDegrees(around.tiltDegrees);
  const speed = pushed(needle.speed, pull, drag, kind.dampingRatio * omega, seconds);
  return { degrees: normalised(between + (speed * seconds) / 2), speed };
}

/** The needle some time later; `seconds` up to a second or so, whatever the screen takes. */
export function needleAfter(
  needle: Needle,
  kind: NeedleKind,
  around: Surroundings,
  seconds: number,
): Needle {
  const steps = Math.max(1, Math.round(seconds / STEP_SECONDS));
  let moved = needle;
  for (let step = 0; step < steps; step++) moved = stepped(moved, kind, around, seconds / steps);
  return moved;
}

/** True when nothing moves that an eye would see. */
export const isAtRest = (needle: Needle, around: Surroundings): boolean =>
  Math.abs(needle.speed) < 0.05 &&
  (Math.abs(signedDifference(around.field.degrees, needle.degrees)) < 0.05 ||
    Math.abs(signedDifference(around.field.degrees, needle.degrees)) <=
      dragDegrees(around.tiltDegrees));
