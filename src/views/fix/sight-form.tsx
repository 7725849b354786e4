import { Checkbox, Form, Select } from 'antd';
import { useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { DraftSight } from '@/core/navigation/fix/fix-here';
import { bearingDegrees } from '@/core/readings/bearing';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { readDistanceText } from '@/core/readings/texts/read-distance-text';
import { bearingDigits } from '@/core/units/angle';
import type { North } from '@/core/units/bearing';
import { visibleText } from '@/core/units/visible';
import { Dial } from '@/ui/controls/dial';
import { PressButton } from '@/ui/controls/press-button';
import { CompassAid } from '@/views/shared/devices/compass-aid';
import styles from './fix.module.css';
import { ReadingField } from './reading-field';
import { WORDS } from './words';

interface Props {
  places: readonly KnownPlace[];
  /** The one that is changed; null for a new one. */
  sight: DraftSight | null;
  /** Places that were sighted already: they come last. */
  taken: readonly string[];
  north: North;
  onSave: (sight: DraftSight) => void;
}

/** What helps with a reading, or is asked beside it. */
type Aid = 'dial' | 'compass' | 'distance' | null;

/** What is typed of one sight, and whether it can be read. */
function useTyped({ sight, north, onSave }: Props) {
  const [place, setPlace] = useState<string | null>(sight?.place ?? null);
  const [bearing, setBearing] = useState(sight?.bearing ?? '');
  const [distance, setDistance] = useState(sight?.distance ?? '');
  const [back, setBack] = useState(sight?.back ?? false);
  const readBearing = bearing.trim() === '' ? null : readBearingText(bearing, north);
  const readDistance = distance.trim() === '' ? null : readDistanceText(distance);
  const isRead = (readBearing ?? readDistance) !== null;
  const isWhole = (readBearing?.ok ?? true) && (readDistance?.ok ?? true);
  const isReady = place !== null && isRead && isWhole;
  return {
    ...{ place, setPlace, bearing, setBearing, distance, setDistance, back, setBack },
    ...{ readBearing, readDistance, isReady },
    add: () => {
      if (place !== null && isReady) onSave({ place, bearing, back, distance });
    },
  };
}
type Typed = ReturnType<typeof useTyped>;

/** One bearing: to which place, what was read, and perhaps how far. */
export function SightForm(props: Props) {
  const { places, sight, taken } = props;
  const typed = useTyped(props);
  const [aid, setAid] = useState<Aid>(sight?.distance ? 'distance' : null);
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item label={WORDS.place} htmlFor="fix-place">
        <Select
          id="fix-place"
          showSearch={{ optionFilterProp: 'label' }}
          value={typed.place}
          options={ordered(places, taken).map(({ id, name }) => ({
            value: id,
            label: visibleText(name),
          }))}
          onChange={typed.setPlace}
        />
      </Form.Item>
      <ReadingField
        id="fix-bearing"
        label={WORDS.bearing}
        hint={WORDS.bearingHint}
        value={typed.bearing}
        read={typed.readBearing}
        onChange={typed.setBearing}
        onEnter={typed.add}
      />
      <Aids aid={aid} onAid={setAid} typed={typed} />
      <PressButton
        look="primary"
        large
        className={styles.wide}
        disabled={!typed.isReady}
        onClick={typed.add}
      >
        {sight ? WORDS.saveChange : WORDS.add}
      </PressButton>
    </Form>
  );
}

interface AidProps {
  aid: Aid;
  onAid: (aid: Aid) => void;
  typed: Typed;
}

/** Dial, the phone's compass, and the distance: each opens where it is asked for. */
function Aids({ aid, onAid, typed }: AidProps) {
  const { readBearing } = typed;
  return (
    <>
      <div className={styles.row}>
        {(['dial', 'compass', 'distance'] as const).map((each) => (
          <PressButton
            key={each}
            aria-expanded={aid === each}
            onClick={() => onAid(aid === each ? null : each)}
          >
            {WORDS[each]}
          </PressButton>
        ))}
        <Checkbox checked={typed.back} onChange={(event) => typed.setBack(event.target.checked)}>
          {WORDS.toMe}
        </Checkbox>
      </div>
      {aid === 'dial' && (
        <Dial
          degrees={readBearing?.ok ? Math.round(bearingDegrees(readBearing.value)) % 360 : 0}
          label={WORDS.bearing}
          onTurn={(degrees) => typed.setBearing(bearingDigits(degrees))}
        />
      )}
      {aid === 'compass' && <CompassAid onUse={typed.setBearing} />}
      {aid === 'distance' && (
        <ReadingField
          id="fix-distance"
          label={WORDS.distance}
          hint={WORDS.distanceHint}
          value={typed.distance}
          read={typed.readDistance}
          onChange={typed.setDistance}
          onEnter={typed.add}
        />
      )}
    </>
  );
}

/** Those that were not sighted yet first. */
const ordered = (places: readonly KnownPlace[], taken: readonly string[]) => [
  ...places.filter(({ id }) => !taken.includes(id)),
  ...places.filter(({ id }) => taken.includes(id)),
];
