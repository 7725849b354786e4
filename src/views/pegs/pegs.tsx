'use client';
import { Input, Radio, Select } from 'antd';
import { useMemo, useState } from 'react';
import {
  groundLayout,
  layoutScale,
  PARTS,
  type GroundLayout,
  type LayoutEnds,
  type Parts,
} from '@/core/navigation/ground-layout';
import { way } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { NumberField } from '@/views/shared/fields/number-field';
import { PlainPage } from '@/views/shared/page/plain-page';
import { backToWayHome, Section, ViewPage } from '@/views/shared/page/view-page';
import { LayoutDrawing } from './layout-drawing';
import styles from './pegs.module.css';
import { bearingText, lengthText } from '@/ui/units/shown';
import { ownWords, WORDS } from './words';
import { visibleText } from '@/core/units/visible';

const USUAL_SPACE = 12;

/** The way home with pegs and string, for when there is no screen. */
export function Pegs() {
  const found = useNamedSolution();
  return 'solution' in found ? <PegsPage solution={found.solution} /> : <PlainPage {...found} />;
}

/** The stations of the first and the last peg, and what the layout is made with. */
function useLayout(solution: Solution) {
  const [ends, setEnds] = useState<LayoutEnds>({ from: 0, to: solution.current });
  const [unit, setUnit] = useState<string>(WORDS.units[0]);
  const [space, setSpace] = useState(USUAL_SPACE);
  const [own, setOwn] = useState<number | null>(null);
  const [parts, setParts] = useState<Parts>(4);
  const scale = own ?? layoutScale(solution, space, ends);
  const layout = useMemo(
    () => groundLayout(solution, scale, { ends, parts }),
    [solution, scale, ends, parts],
  );
  return { ends, setEnds, unit, setUnit, space, setSpace, own, setOwn, parts, setParts, layout };
}

function PegsPage({ solution }: { solution: Solution }) {
  const made = useLayout(solution);
  const { ends, unit, layout } = made;
  const { closing, pegs, scale } = layout;
  const { bearing, distanceMetres } = way(solution, ends.to, ends.from);
  const straight = { degrees: bearing.magnetic ?? 0, metres: distanceMetres };
  const string = { degrees: closing.bearingDegrees, metres: closing.metres };
  return (
    <ViewPage
      view="pegs"
      about={visibleText(solution.outing.name)}
      back={backToWayHome(solution.outing)}
      width="medium"
    >
      <p>{WORDS.how}</p>
      <div className={styles.asks}>
        <Ends solution={solution} ends={ends} onEnds={made.setEnds} />
        <UnitField unit={unit} onUnit={made.setUnit} />
        <NumberField
          id="space"
          label={WORDS.space}
          value={made.space}
          least={2}
          most={1000}
          help={made.own === null ? WORDS.scale(unit.trim(), scale) : WORDS.spaceUnused}
          onChange={made.setSpace}
        />
        <NumberField
          id="own-scale"
          label={WORDS.ownScale(unit.trim())}
          value={made.own}
          least={0.1}
          most={100_000}
          help={WORDS.ownScaleHelp}
          onChange={made.setOwn}
          onEmpty={() => made.setOwn(null)}
        />
        <div>
          <span id="parts">{WORDS.parts}</span>
          <Radio.Group
            aria-labelledby="parts"
            optionType="button"
            options={PARTS.map((value) => ({ value, label: WORDS.partNames[value] }))}
            value={made.parts}
            onChange={({ target }) => made.setParts(target.value as Parts)}
          />
        </div>
      </div>
      <div className={styles.columns}>
        <PegTable pegs={pegs} />
        <LayoutDrawing pegs={pegs} start={visibleText(stationName(solution, ends.from))} />
      </div>
      <p className={styles.answer} data-testid="closing">
        {WORDS.answer(string, closing.units, straight)}
      </p>
      <OwnLayout home={straight} scale={scale} />
    </ViewPage>
  );
}

interface EndsProps {
  solution: Solution;
  ends: LayoutEnds;
  onEnds: (ends: LayoutEnds) => void;
}

/** Between which stations: home by itself, or any two. */
function Ends({ solution, ends, onEnds }: EndsProps) {
  const options = solution.places.stations().map((station) => ({
    value: station,
    label: visibleText(stationName(solution, station)),
  }));
  return (['from', 'to'] as const).map((end) => (
    <div key={end}>
      <label htmlFor={`pegs-${end}`}>{WORDS.ends[end]}</label>
      <Select
        id={`pegs-${end}`}
        options={options}
        showSearch={{ optionFilterProp: 'label' }}
        value={ends[end]}
        onChange={(station: number) => onEnds({ ...ends, [end]: station })}
      />
    </div>
  ));
}

function UnitField({ unit, onUnit }: { unit: string; onUnit: (unit: string) => void }) {
  return (
    <div>
      <label htmlFor="unit">{WORDS.unit}</label>
      <Input
        id="unit"
        value={unit}
        list="units"
        onChange={(event) => onUnit(event.target.value)}
        autoComplete="off"
      />
      <datalist id="units">
        {WORDS.units.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </div>
  );
}

const PegTable = ({ pegs }: Pick<GroundLayout, 'pegs'>) => (
  <table className={styles.table} data-testid="pegs">
    <thead>
      <tr>
        {WORDS.columns.map((head) => (
          <th key={head} scope="col">
            {head}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {pegs.map((peg, index) => (
        <tr key={index}>
          <td>{visibleText(peg.from)}</td>
          <td>{bearingText(peg.bearingDegrees)}</td>
          <td>{lengthText(peg.metres)}</td>
          <td>{peg.units}</td>
          <td>{visibleText(peg.name)}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

interface OwnProps {
  home: { readonly degrees: number; readonly metres: number };
  scale: number;
}

/** What a person's own layout gave, beside the exact answer. */
function OwnLayout({ home, scale }: OwnProps) {
  const [bearing, setBearing] = useState<number | null>(null);
  const [units, setUnits] = useState<number | null>(null);
  return (
    <Section id="own" title={WORDS.own}>
      <div className={styles.asks}>
        <NumberField
          id="own-bearing"
          label={WORDS.ownBearing}
          value={bearing}
          least={0}
          most={360}
          onChange={setBearing}
        />
        <NumberField
          id="own-units"
          label={WORDS.ownUnits}
          value={units}
          least={0}
          most={10_000}
          onChange={setUnits}
        />
      </div>
      {bearing !== null && units !== null && (
        <p data-testid="own">{ownWords({ degrees: bearing, metres: units * scale }, home)}</p>
      )}
    </Section>
  );
}
