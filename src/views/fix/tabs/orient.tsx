import { Form, Select } from 'antd';
import { useState } from 'react';
import { towardReference } from '@/core/north/norths';
import type { Solution } from '@/core/survey/solution';
import { normalised } from '@/core/units/angle';
import { polar } from '@/core/units/plane';
import { bearingText } from '@/ui/units/shown';
import styles from '../fix.module.css';
import { ORIENT_WORDS as WORDS } from '../words';

type MapKind = keyof typeof WORDS.maps;
const KINDS: readonly MapKind[] = ['grid', 'magnetic', 'none'];

/** Three steps to lay the map as the country lies, with the person's own declination. */
export function OrientTab({ solution }: { solution: Solution }) {
  const [kind, setKind] = useState<MapKind>('grid');
  const { norths } = solution.places.frame;
  const east = norths.declinationEast;
  // What the needle reads where true or grid north is.
  const trueByNeedle = east === null ? null : normalised(-east);
  const grid = towardReference('grid', norths);
  const gridByNeedle = east === null || grid === null ? null : normalised(grid - east);
  const words = (turn: number | null) => (turn === null ? WORDS.unknown : bearingText(turn));
  const steps = {
    grid: WORDS.steps.grid(words(gridByNeedle)),
    magnetic: WORDS.steps.magnetic(),
    none: WORDS.steps.none(words(trueByNeedle)),
  }[kind];
  return (
    <>
      <Form layout="vertical">
        <Form.Item label={WORDS.map} htmlFor="orient-map">
          <Select
            id="orient-map"
            value={kind}
            options={KINDS.map((value) => ({ value, label: WORDS.maps[value] }))}
            onChange={setKind}
          />
        </Form.Item>
      </Form>
      {east !== null && <NeedlePicture trueTurn={-east} gridTurn={(grid ?? 0) - east} />}
      <ol className={styles.steps}>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className={styles.warning}>{WORDS.trap}</p>
      {trueByNeedle !== null && (
        <>
          <h3>{WORDS.others}</h3>
          <p>
            {WORDS.otherWords(
              bearingText(normalised(trueByNeedle + 90)),
              bearingText(normalised(trueByNeedle + 180)),
              bearingText(normalised(trueByNeedle + 270)),
            )}
          </p>
        </>
      )}
    </>
  );
}

const RIM = 84;

/** The needle upright, true and grid north where they are beside it. */
function NeedlePicture({ trueTurn, gridTurn }: { trueTurn: number; gridTurn: number }) {
  const end = (turn: number, reach: number) => {
    const { east, north } = polar(turn, reach);
    return { x: 130 + east, y: 110 - north };
  };
  const arrow = (turn: number, name: string) => {
    const [tip, label] = [end(turn, RIM), end(turn, RIM + 16)];
    return (
      <g key={name}>
        <line x1={130} y1={110} x2={tip.x} y2={tip.y} />
        <text x={label.x} y={label.y + 4} textAnchor={anchorOf(label.x)}>
          {name}
        </text>
      </g>
    );
  };
  const apart = Math.abs(trueTurn - gridTurn) >= 1;
  return (
    <svg className={styles.orient} viewBox="0 0 260 226" role="img" aria-label={WORDS.picture}>
      <circle cx={130} cy={110} r={RIM} />
      <path
        data-needle=""
        d={`M130 ${110 + 60}V${110 - 70}M123 ${110 - 54}L130 ${110 - 72}L137 ${110 - 54}`}
      />
      <text x={130} y={RIM + 110 + 20} textAnchor="middle">
        needle
      </text>
      {apart ? [arrow(trueTurn, 'true'), arrow(gridTurn, 'grid')] : arrow(trueTurn, 'true, grid')}
    </svg>
  );
}

const anchorOf = (x: number) => (x < 120 ? 'end' : x > 140 ? 'start' : 'middle');
