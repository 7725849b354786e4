import { Form, Input } from 'antd';
import { useState } from 'react';
import type { Route } from '@/core/model/route';
import type { Plan } from '@/core/navigation/route/plan';
import type { PictureTie } from '@/core/place/picture/tie';
import { roundedPosition } from '@/core/readings/position';
import { bearingText, lengthText } from '@/core/units/shown';
import { visibleText } from '@/core/units/visible';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { WORDS } from '../words';

interface Props {
  tie: PictureTie;
  route: Route | null;
  plan: Plan | null;
  at: Pixel | null;
  onAdd: (point: Route['points'][number]) => Promise<string | null>;
  onStart: () => void;
}

/** The route's points are tapped one after another; the leg to the last one is told at once. */
export function RoutePanel({ tie, route, plan, at, onAdd, onStart }: Props) {
  const [name, setName] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  if (!route) {
    return (
      <>
        <p>{WORDS.noRoute}</p>
        <PressButton look="primary" large onClick={onStart}>
          {WORDS.startRoute}
        </PressButton>
      </>
    );
  }
  const position = at && tie.positionOf(at);
  const plain = name.replace(/[\s;]+/g, ' ').trim() || `Point ${route.points.length}`;
  const add = async () => {
    if (!at || !position) return;
    const withinMetres = Math.max(1, Math.round(2 * tie.finenessMetres(at)));
    setSaid(await onAdd({ name: plain, position: roundedPosition(position), withinMetres }));
    // What was typed while it was written is the next name.
    setName((now) => (now === name ? '' : now));
  };
  const last = plan?.legs.at(-1);
  return (
    <>
      <p className={styles.soft}>{WORDS.routeHow}</p>
      {last && (
        <p className={styles.big} data-testid="last-leg">
          {visibleText(last.to)}:{' '}
          {last.set && `${bearingText(last.set.degrees)} ${last.set.north}, `}
          {lengthText(last.metres)}
        </p>
      )}
      <Form layout="vertical" className={styles.form}>
        <Form.Item label={WORDS.pointName} htmlFor="map-point">
          <Input
            id="map-point"
            value={name}
            placeholder={`Point ${route.points.length}`}
            autoComplete="off"
            onChange={(event) => setName(event.target.value)}
            onPressEnter={() => void add()}
          />
        </Form.Item>
      </Form>
      <div className={styles.row}>
        <PressButton look="primary" large disabled={!position} onClick={() => void add()}>
          {WORDS.addToRoute}
        </PressButton>
        <PressButton href={viewUrl('route', route.id)}>{WORDS.openRoute}</PressButton>
      </div>
      <p role="status">{said}</p>
    </>
  );
}
