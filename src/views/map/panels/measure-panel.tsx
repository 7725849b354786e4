import { Form, Input } from 'antd';
import { useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { Position } from '@/core/readings/position';
import { placeOnMap } from '@/views/shared/fields/grid-choice';
import { planePointOf } from '@/core/place/geodesic';
import type { PictureTie } from '@/core/place/picture/tie';
import { lengthOf } from '@/core/units/plane';
import { normalised } from '@/core/units/angle';
import { bearingText, lengthText } from '@/ui/units/shown';
import type { Degrees } from '@/core/units/units';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../map.module.css';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  tie: PictureTie;
  taps: readonly Pixel[];
  /** From magnetic to grid north, east positive; null where no declination is known. */
  gridMagnetic: Degrees | null;
  onAgain: () => void;
  onKeep: (place: Omit<KnownPlace, 'id'>) => Promise<string | null>;
}

/** Bearing and metres between two places of the picture, at once. */
export function MeasurePanel({ tie, taps, gridMagnetic, onAgain, onKeep }: Props) {
  const [from, to] = taps;
  const place = from && !to ? tie.positionOf(from) : null;
  const measured = from && to ? tie.measured(from, to) : null;
  return (
    <>
      <p className={layout.soft}>{WORDS.measureHow}</p>
      {place && <OnePlace position={place} tie={tie} at={from!} onKeep={onKeep} />}
      {measured && (
        <div data-testid="measured">
          <p className={styles.big}>
            {WORDS.measured(
              gridMagnetic === null
                ? WORDS.gridBearing(bearingText(measured.gridDegrees))
                : WORDS.magneticBearing(
                    bearingText(normalised(measured.gridDegrees - gridMagnetic)),
                  ),
              measured.metres,
            )}
          </p>
          {gridMagnetic === null ? (
            <p className={layout.soft}>{WORDS.noDeclination}</p>
          ) : (
            <p>{WORDS.gridBearing(bearingText(measured.gridDegrees))}</p>
          )}
          <OnGround tie={tie} from={from!} to={to!} />
        </div>
      )}
      {taps.length > 0 && <PressButton onClick={onAgain}>{WORDS.again}</PressButton>}
    </>
  );
}

function OnGround({ tie, from, to }: { tie: PictureTie; from: Pixel; to: Pixel }) {
  const [start, end] = [tie.positionOf(from), tie.positionOf(to)];
  if (!start || !end) return null;
  return (
    <p className={layout.soft}>{WORDS.onGround(lengthText(lengthOf(planePointOf(start, end))))}</p>
  );
}

/** A place that was tapped: its coordinates, and how it is kept. */
function OnePlace({
  position,
  tie,
  at,
  onKeep,
}: { position: Position; at: Pixel } & Pick<Props, 'tie' | 'onKeep'>) {
  const [name, setName] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const keep = async () => {
    const plain = name.replace(/[\s;]+/g, ' ').trim();
    if (plain === '') return;
    const withinMetres = Math.max(1, Math.round(2 * tie.finenessMetres(at)));
    setSaid(await onKeep({ name: plain, positions: [position], withinMetres }));
    setName('');
  };
  return (
    <>
      <p>{WORDS.here(placeOnMap(position))}</p>
      <Form.Item label={WORDS.asKnown} htmlFor="map-known">
        <Input
          id="map-known"
          value={name}
          autoComplete="off"
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => void keep()}
        />
      </Form.Item>
      <PressButton onClick={() => void keep()}>{WORDS.save}</PressButton>
      <p role="status">{said}</p>
    </>
  );
}
