'use client';
import { useEffect, useRef, useState } from 'react';
import { fieldOf, type Magnet } from '@/core/practice/compass/field';
import { paintedEnd, type CompassFault } from '@/core/practice/compass/hand-compass';
import {
  isAtRest,
  LIQUID_NEEDLE,
  needleAfter,
  type Needle,
  type Surroundings,
} from '@/core/practice/compass/needle';
import { normalised } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import { wantsStillness } from '@/ui/theme/stillness';
import { useSeen } from '@/ui/use-seen';

/** What the needle feels, and how the compass is held. */
export interface Held {
  readonly bodyDegrees: Degrees;
  readonly tiltDegrees: Degrees;
  readonly magneticNorth: Degrees;
  readonly magnets: readonly Magnet[];
  readonly fault: CompassFault;
}

/** A pause in drawing (another tab) must not make the needle leap. */
const LONGEST_FRAME_SECONDS = 0.1;

/**
 * The needle of a compass that is held: it swings on the screen by itself, without React, and the
 * page is informed where it has come to rest. Nothing runs while it rests or isn't seen.
 */
export function useNeedle(held: Held) {
  const group = useRef<SVGGElement>(null);
  const needle = useRef<Needle>({ degrees: held.magneticNorth, speed: 0 });
  const [rested, setRested] = useState<Degrees>(() => paintedEnd(held.magneticNorth, held.fault));
  const isSeen = useSeen();
  const { bodyDegrees, tiltDegrees, magneticNorth, magnets, fault } = held;
  useEffect(() => {
    const around: Surroundings = { field: fieldOf(magneticNorth, magnets), tiltDegrees };
    const show = () => {
      const painted = paintedEnd(needle.current.degrees, fault);
      group.current?.setAttribute('transform', `rotate(${normalised(painted - bodyDegrees)})`);
      return painted;
    };
    let frame = 0;
    let before: number | null = null;
    const draw = (now: number) => {
      const seconds = Math.min(LONGEST_FRAME_SECONDS, (now - (before ?? now - 16)) / 1000);
      before = now;
      needle.current = needleAfter(needle.current, LIQUID_NEEDLE, around, seconds);
      const painted = show();
      if (isAtRest(needle.current, around)) setRested(painted);
      else frame = requestAnimationFrame(draw);
    };
    if (wantsStillness()) {
      for (let tries = 0; tries < 120 && !isAtRest(needle.current, around); tries++) {
        needle.current = needleAfter(needle.current, LIQUID_NEEDLE, around, LONGEST_FRAME_SECONDS);
      }
    }
    show();
    if (isSeen) frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [bodyDegrees, tiltDegrees, magneticNorth, magnets, fault, isSeen]);
  return { group, rested };
}
