'use client';
import { useCallback, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { offArrow, type HandCompass } from '@/core/practice/compass/hand-compass';
import type { PartId } from '@/core/practice/compass/parts';
import type { CompassSetting } from '@/core/practice/question';
import { bearingDigits, normalised, signedDifference } from '@/core/units/angle';
import { azimuthOf } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { PressButton } from '@/ui/controls/press-button';
import { WORDS } from '../words';
import { CompassDrawing } from './compass-drawing';
import styles from './compass.module.css';
import { PhoneButton } from './phone-turning';
import { useNeedle } from './use-needle';

interface Props {
  setting: CompassSetting;
  compass: HandCompass;
  /** Without it the compass is only looked at. */
  onChange?: (change: Partial<HandCompass>) => void;
  part?: PartId;
  tiltDegrees?: Degrees;
}

/** The middle of the dial, and the radius where the plate begins, as shares of the height. */
const DIALS = {
  plate: { middle: 276 / 420, ring: 116 / 420 },
  mirror: { middle: 276 / 420, ring: 116 / 420 },
  // A needle alone has no dial: it is only turned with the hand.
  card: { middle: 0.5, ring: 0 },
} as const;

/**
 * Turning by a drag: the dial where it is taken at the ring, else the whole compass with the hand.
 */
function useDrag({ setting, compass, onChange }: Props) {
  const dragged = useRef<{ what: 'dial' | 'body'; from: Degrees; was: Degrees } | null>(null);
  const angleOf = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    const { middle, ring } = DIALS[setting.look];
    const x = event.clientX - (box.left + box.width / 2);
    const y = event.clientY - (box.top + middle * box.height);
    const isRing = Math.hypot(x, y) < ring * box.height;
    return { azimuth: azimuthOf({ east: x, north: -y }), isRing };
  };
  const onPointerDown = (event: PointerEvent) => {
    if (!onChange) return;
    const { azimuth, isRing } = angleOf(event);
    const what = isRing ? 'dial' : 'body';
    const was = isRing ? compass.dialDegrees : compass.bodyDegrees;
    dragged.current = { what, from: azimuth, was };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const onPointerMove = (event: PointerEvent) => {
    const drag = dragged.current;
    if (!drag || !onChange) return;
    const turn = signedDifference(drag.from, angleOf(event).azimuth);
    // The dial's figures turn with the finger, so that it reads less; a hand turns with it.
    if (drag.what === 'dial')
      onChange({ dialDegrees: Math.round(normalised(drag.was - turn)) % 360 });
    else onChange({ bodyDegrees: normalised(drag.was + turn) });
  };
  const onPointerUp = () => (dragged.current = null);
  return { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: onPointerUp };
}

/** Left and right turn the body, up and down the dial; with Shift by tens. */
function keyChange(event: KeyboardEvent, compass: HandCompass): Partial<HandCompass> | null {
  const step = event.shiftKey ? 10 : 1;
  const body = { ArrowRight: step, ArrowLeft: -step }[event.key];
  const dial = { ArrowUp: step, ArrowDown: -step }[event.key];
  if (body !== undefined) return { bodyDegrees: normalised(compass.bodyDegrees + body) };
  if (dial !== undefined) return { dialDegrees: normalised(compass.dialDegrees + dial) };
  return null;
}

/** A hand compass: looked at, or set and turned by finger, mouse, keys and buttons. */
export function Compass(props: Props) {
  const { setting, compass, onChange, part, tiltDegrees = 0 } = props;
  const { magneticNorth, magnets, fault } = setting;
  const { group, rested } = useNeedle({
    bodyDegrees: compass.bodyDegrees,
    tiltDegrees,
    magneticNorth,
    magnets,
    fault,
  });
  const drag = useDrag(props);
  const turned = useCallback(
    (heading: Degrees) => onChange?.({ bodyDegrees: normalised(heading + magneticNorth) }),
    [onChange, magneticNorth],
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const change = onChange && keyChange(event, compass);
    if (!change) return;
    event.preventDefault();
    onChange(change);
  };
  const words = compassWords(compass, rested, setting);
  return (
    <div className={styles.holder}>
      <div
        className={styles.instrument}
        data-still={!onChange}
        data-testid="compass"
        {...(onChange
          ? {
              role: 'application',
              tabIndex: 0,
              'aria-label': `${WORDS.compassKeys} ${words}`,
              onKeyDown,
              ...drag,
            }
          : { role: 'img', 'aria-label': words })}
      >
        <CompassDrawing
          setting={setting}
          dialDegrees={compass.dialDegrees}
          housingEast={compass.housingEast}
          part={part}
          needle={group}
        />
      </div>
      {onChange && <Hands compass={compass} onChange={onChange} setting={setting} />}
      {onChange && <PhoneButton onHeading={turned} />}
      {onChange && (
        <p className={styles.numbers} role="status" data-testid="compass-numbers">
          {words}
        </p>
      )}
    </div>
  );
}

/** What the compass shows, in numbers: for those who can't see it, and to check oneself. */
function compassWords(compass: HandCompass, painted: Degrees, setting: CompassSetting): string {
  if (setting.look === 'card') {
    return WORDS.needleAhead(Math.round(signedDifference(compass.bodyDegrees, painted)));
  }
  const off = Math.round(offArrow(compass, painted));
  return WORDS.compassReads(bearingDigits(compass.dialDegrees), off);
}

interface HandsProps {
  setting: CompassSetting;
  compass: HandCompass;
  onChange: (change: Partial<HandCompass>) => void;
}

/** Buttons for what a finger does: large enough for a glove, and in small steps. */
function Hands({ setting, compass, onChange }: HandsProps) {
  const turn = useCallback(
    (what: keyof HandCompass, by: Degrees) => onChange({ [what]: normalised(compass[what] + by) }),
    [compass, onChange],
  );
  const hands = [
    ['bodyDegrees', WORDS.body],
    ['dialDegrees', WORDS.dial],
  ] as const;
  return (
    <div className={styles.hands}>
      {hands.map(([what, name]) => (
        <div key={what} className={styles.hand} role="group" aria-label={name}>
          {[-10, -1].map((by) => (
            <PressButton
              key={by}
              aria-label={`${name} ${WORDS.by(by)}`}
              onClick={() => turn(what, by)}
            >
              {WORDS.by(by)}
            </PressButton>
          ))}
          <span>{name}</span>
          {[1, 10].map((by) => (
            <PressButton
              key={by}
              aria-label={`${name} ${WORDS.by(by)}`}
              onClick={() => turn(what, by)}
            >
              {WORDS.by(by)}
            </PressButton>
          ))}
        </div>
      ))}
      {setting.isAdjustable && (
        <div className={styles.hand} role="group" aria-label={WORDS.housing}>
          {[-1, 1].map((by) => (
            <PressButton
              key={by}
              aria-label={`${WORDS.housing} ${WORDS.by(by)}`}
              onClick={() => onChange({ housingEast: compass.housingEast + by })}
            >
              {WORDS.by(by)}
            </PressButton>
          ))}
          <span>{WORDS.housingAt(compass.housingEast)}</span>
        </div>
      )}
    </div>
  );
}
