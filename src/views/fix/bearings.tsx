import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { isLine, type KnownPlace } from '@/core/model/known-place';
import type { DraftSight, FixDraft, FixHere, SightRead } from '@/core/navigation/fix/fix-here';
import type { FixedBearing } from '@/core/survey/fix/point/fix';
import type { Solution } from '@/core/survey/solution';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { DEMO_PLACES } from './demo-places';
import styles from './fix.module.css';
import { clearedDraft } from './use-draft';
import { SightForm } from './sight-form';
import type { Known } from './use-known';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  draft: FixDraft;
  here: FixHere;
  change: (change: Partial<FixDraft>) => void;
  known: Known;
  solution: Solution;
  /** The known places, as they are offered. */
  points: readonly KnownPlace[];
  hasLog: boolean;
}

/** What was read, each with how it fits, and the form for the next. */
export function Bearings(props: Props) {
  const { draft, here, change, known, solution, points, hasLog } = props;
  const [editing, setEditing] = useState<number | null>(null);
  const lines = known.places.filter(isLine);
  // Another tab or Clear may have taken away the one that was being changed.
  const edited = editing === null ? null : (draft.sights[editing] ?? null);
  const save = (sight: DraftSight) => {
    const sights =
      edited === null ? [...draft.sights, sight] : draft.sights.toSpliced(editing ?? 0, 1, sight);
    setEditing(null);
    change({ sights });
  };
  return (
    <section className={styles.bearings} aria-label={WORDS.bearings}>
      <ol className={styles.rows}>
        {here.sights.map((read, index) => (
          <SightRow
            key={index}
            read={read}
            fit={fitOf(here, index)}
            isChecked={here.found?.fix.test !== null}
            onChange={() => setEditing(index)}
            onRemove={() => {
              setEditing(null);
              change({ sights: draft.sights.toSpliced(index, 1) });
            }}
          />
        ))}
      </ol>
      {draft.sights.length > 0 && (
        <PressButton onClick={() => change(clearedDraft(draft))}>{WORDS.clear}</PressButton>
      )}
      {points.length === 0 ? (
        <>
          <p>{WORDS.noPlaces}</p>
          <PressButton onClick={() => void known.addAll(DEMO_PLACES)}>{WORDS.demo}</PressButton>
        </>
      ) : (
        <SightForm
          key={`${editing} ${draft.sights.length}`}
          places={points}
          sight={edited}
          taken={draft.sights.map(({ place }) => place)}
          north={solution.end.readingNorth}
          onSave={save}
        />
      )}
      <Options draft={draft} change={change} lines={lines} hasLog={hasLog} />
    </section>
  );
}

interface OptionProps extends Pick<Props, 'draft' | 'change' | 'hasLog'> {
  lines: readonly KnownPlace[];
}

/** The line that one is on, the compass in question, and the log. */
function Options({ draft, change, lines, hasLog }: OptionProps) {
  return (
    <div className={styles.row}>
      {lines.length > 0 && (
        <label className={styles.onLine}>
          {WORDS.onLine}
          <Select
            className={styles.select}
            aria-label={WORDS.onLine}
            showSearch={{ optionFilterProp: 'label' }}
            value={draft.line ?? ''}
            options={[
              { value: '', label: WORDS.noLine },
              ...lines.map(({ id, name }) => ({ value: id, label: visibleText(name) })),
            ]}
            onChange={(line) => change({ line: line === '' ? null : line })}
          />
        </label>
      )}
      <Checkbox
        checked={draft.solveCompass}
        onChange={(event) => change({ solveCompass: event.target.checked })}
      >
        {WORDS.solve}
      </Checkbox>
      {hasLog && (
        <Checkbox
          checked={draft.withLog}
          onChange={(event) => change({ withLog: event.target.checked })}
        >
          {WORDS.withLog}
        </Checkbox>
      )}
    </div>
  );
}

/** How the n-th sight of the draft fits; those of the log come after them. */
function fitOf({ sights, found }: FixHere, index: number): FixedBearing | null {
  const own = sights[index]?.sight;
  if (!found || !own || own.bearingDegrees === null) return null;
  const before = sights
    .slice(0, index)
    .filter(({ sight }) => sight !== null && sight.bearingDegrees !== null).length;
  return found.fix.bearings[before] ?? null;
}

interface RowProps {
  read: SightRead;
  fit: FixedBearing | null;
  /** True where residuals say something. */
  isChecked: boolean;
  onChange: () => void;
  onRemove: () => void;
}

function SightRow({ read: { draft, place, fault }, fit, isChecked, onChange, onRemove }: RowProps) {
  const name = visibleText(place?.name ?? '?');
  return (
    <li>
      <span className={styles.sight}>
        <b>{name}</b>
        <span className={styles.figure}>
          {draft.bearing} {draft.distance}
        </span>
        {draft.back && <small>{WORDS.toMe}</small>}
        {fit && (
          <small className={layout.soft}>
            {WORDS.away(fit.metres)}
            {isChecked && `, ${WORDS.residual(fit.residualDegrees)}`}
          </small>
        )}
      </span>
      <PressButton look="plain" onClick={onChange} aria-label={WORDS.changeOf(name)}>
        {WORDS.change}
      </PressButton>
      <PressButton look="plain" onClick={onRemove} aria-label={WORDS.removeOf(name)}>
        {WORDS.remove}
      </PressButton>
      {fault && <p className={styles.warning}>{faultMessage(fault.fault)}</p>}
    </li>
  );
}
