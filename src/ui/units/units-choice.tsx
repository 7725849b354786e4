'use client';
import type { AngleName, BearingSystem, LengthSystem } from '@/core/units/figures';
import { NATIONAL_GRIDS } from '@/core/place/national-grids';
import { keepChoice } from '@/store/keep-choice';
import { chooseUnits, GRID_KEY, useGrid, useUnits } from './chosen-units';
import styles from './units-choice.module.css';

const LENGTHS: Readonly<Record<LengthSystem, string>> = {
  metric: 'metres',
  feet: 'feet and miles',
  chains: 'chains (66 ft) and miles',
};
const BEARINGS: Readonly<Record<BearingSystem, string>> = {
  degrees: 'degrees: 228°',
  mils: 'mils: 4053',
  quadrants: 'quadrants: S48°W',
};

const ANGLES: Readonly<Record<AngleName, string>> = {
  declination: 'declination',
  variation: 'magnetic variation',
};
/** Stands for no choice: each place by its own country's grid. */
const NATIONAL = 'national';
const GRIDS: Readonly<Record<string, string>> = {
  [NATIONAL]: 'the national grid, else degrees and UTM',
  utm: 'UTM and its squares',
  ...Object.fromEntries(NATIONAL_GRIDS.map(({ id, name }) => [id, name])),
};

interface Props<Value extends string> {
  label: string;
  names: Readonly<Record<Value, string>>;
  value: Value;
  onChoose: (value: Value) => void;
}

/** A native choice: it opens large on a phone, and works in gloves. */
function Choice<Value extends string>({ label, names, value, onChoose }: Props<Value>) {
  return (
    <label className={styles.choice}>
      {label}
      <select value={value} onChange={(event) => onChoose(event.target.value as Value)}>
        {(Object.keys(names) as Value[]).map((each) => (
          <option key={each} value={each}>
            {names[each]}
          </option>
        ))}
      </select>
    </label>
  );
}

/** In which units figures are shown. A log keeps what was written in it. */
export function UnitsChoice() {
  const { lengths, bearings, angle } = useUnits();
  const grid = useGrid();
  return (
    <div className={styles.units} role="group" aria-label="Units of figures">
      <Choice
        label="Lengths in"
        names={LENGTHS}
        value={lengths}
        onChoose={(value) => chooseUnits({ lengths: value })}
      />
      <Choice
        label="Bearings in"
        names={BEARINGS}
        value={bearings}
        onChoose={(value) => chooseUnits({ bearings: value })}
      />
      <Choice
        label="True to magnetic north is"
        names={ANGLES}
        value={angle}
        onChoose={(value) => chooseUnits({ angle: value })}
      />
      <Choice
        label="Places in"
        names={GRIDS}
        value={grid}
        onChoose={(value) => void keepChoice(GRID_KEY, value === NATIONAL ? null : value)}
      />
    </div>
  );
}
