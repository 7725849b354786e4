'use client';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { groundLayout, layoutScale, type GroundLayout } from '@/core/navigation/ground-layout';
import { wayHome } from '@/core/navigation/ways/way';
import { stationName, type Solution } from '@/core/survey/solution';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { NumberField } from '@/views/shared/fields/number-field';
import { PlainPage } from '@/views/shared/page/plain-page';
import { backToWayHome, Section, ViewPage } from '@/views/shared/page/view-page';
import { LayoutDrawing } from './layout-drawing';
import styles from './pegs.module.css';
import { bearingText } from '@/core/units/shown';
import { ownWords, WORDS } from './words';
import { visibleText } from '@/core/units/visible';

const USUAL_SPACE = 12;

/** The way home with pegs and string, for when there is no screen. */
export function Pegs() {
  const found = useNamedSolution();
  return 'solution' in found ? <PegsPage solution={found.solution} /> : <PlainPage {...found} />;
}

function PegsPage({ solution }: { solution: Solution }) {
  const [unit, setUnit] = useState<string>(WORDS.units[0]);
  const [space, setSpace] = useState(USUAL_SPACE);
  const scale = layoutScale(solution, space);
  const layout = useMemo(() => groundLayout(solution, scale), [solution, scale]);
  const { closing, pegs } = layout;
  const { bearing, distanceMetres } = wayHome(solution);
  const home = { degrees: bearing.magnetic ?? 0, metres: distanceMetres };
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
        <UnitField unit={unit} onUnit={setUnit} />
        <NumberField
          id="space"
          label={WORDS.space}
          value={space}
          least={2}
          most={1000}
          help={WORDS.scale(unit.trim(), scale)}
          onChange={setSpace}
        />
      </div>
      <div className={styles.columns}>
        <PegTable pegs={pegs} />
        <LayoutDrawing pegs={pegs} start={visibleText(stationName(solution, 0))} />
      </div>
      <p className={styles.answer} data-testid="closing">
        {WORDS.answer(string, closing.units, home)}
      </p>
      <OwnLayout home={home} scale={scale} />
    </ViewPage>
  );
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
