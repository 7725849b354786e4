import { Form, Input } from 'antd';
import { useState } from 'react';
import { placeOnMap } from '@/views/shared/fields/grid-choice';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import type { MapBase } from '../base';
import type { MapContext } from '../layers/context';
import styles from '../map.module.css';
import type { Thing } from '../things/thing';
import { WayHere } from '../things/thing-panel';
import type { MapActions } from '../use-map-actions';
import { WORDS } from '../words';
import { plainName } from './name-field';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  base: MapBase;
  context: MapContext;
  actions: MapActions;
  at: Pixel;
  /** What is there already; null for nothing. */
  thing: Thing | null;
  onChoose: (key: string) => void;
  /** How finely it was tapped. */
  withinMetres: number;
  onMeasure: () => void;
  onClose: () => void;
}

/** Any place of the map: where it is, and what can be done from it. */
export function PlacePanel(props: Props) {
  const { base, context, actions, at, thing, withinMetres, onMeasure, onClose } = props;
  const position = base.tie?.positionOf(at) ?? null;
  const add = async () => {
    if (position) await actions.addPoint({ position, withinMetres });
    onClose();
  };
  return (
    <section aria-label={WORDS.thisPlace} data-testid="this-place">
      <div className={styles.thingHead}>
        <h2>{WORDS.thisPlace}</h2>
        <PressButton look="plain" onClick={onClose}>
          {WORDS.close}
        </PressButton>
      </div>
      {position && <p>{WORDS.here(placeOnMap(position))}</p>}
      <WayHere base={base} context={context} at={at} to={WORDS.thisPlace} />
      <div className={styles.row}>
        {thing && <PressButton onClick={() => props.onChoose(thing.key)}>{thing.name}</PressButton>}
        <PressButton onClick={onMeasure}>{WORDS.measureFrom}</PressButton>
        {position && <PressButton onClick={() => void add()}>{WORDS.addToRoute}</PressButton>}
      </div>
      {position ? (
        <KeepPlace key={`${at.x} ${at.y}`} {...props} position={position} />
      ) : (
        <p className={layout.soft}>{WORDS.noEarth}</p>
      )}
    </section>
  );
}

type KeepProps = Pick<Props, 'actions' | 'withinMetres'> & {
  position: { latitude: number; longitude: number };
};

/** Keeps the place with a name. */
function KeepPlace({ actions, position, withinMetres }: KeepProps) {
  const [name, setName] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const keep = async () => {
    const plain = plainName(name);
    if (plain === '') return;
    const fault = await actions.keepPlace({ name: plain, positions: [position], withinMetres });
    setSaid(fault ?? WORDS.placeKept(plain));
    if (!fault) setName('');
  };
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item label={WORDS.asKnown} htmlFor="map-known">
        <Input
          id="map-known"
          value={name}
          autoComplete="off"
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => void keep()}
        />
      </Form.Item>
      <PressButton disabled={plainName(name) === ''} onClick={() => void keep()}>
        {WORDS.save}
      </PressButton>
      <p role="status">{said}</p>
    </Form>
  );
}
