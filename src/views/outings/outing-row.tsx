'use client';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import type { Outing } from '@/core/model/outing';
import { solveAsWalked } from '@/core/survey/solve';
import { forPlane, lengthText } from '@/core/units/figures';
import { visibleText } from '@/core/units/visible';
import type { StoredOuting } from '@/store/outings';
import { Menu } from '@/ui/controls/menu';
import { PressButton } from '@/ui/controls/press-button';
import { figureUnits } from '@/ui/units/shown';
import { modelsNeeded, useEarthModels } from '@/views/shared/data/use-earth-models';
import { SmallSketch } from '@/views/shared/sketch/still-drawing';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { viewUrl } from '@/views/views';
import styles from './outings.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** What is done with outings of the list. */
export interface ListActions {
  readonly remove: (outings: readonly Outing[]) => void;
  /** Each resolves to why it was not done, or null. */
  readonly rename: (outing: Outing, name: string) => Promise<string | null>;
  readonly duplicate: (outing: Outing) => Promise<string | null>;
}

interface RowProps {
  stored: StoredOuting;
  actions: ListActions;
  /** Null while several are not chosen. */
  isChosen: boolean | null;
  onChoose: (isChosen: boolean) => void;
}

/** An outing of the list: its shape, what it is, and what is done with it. */
export function OutingRow({ stored, actions, isChosen, onChoose }: RowProps) {
  const { document: outing } = stored.state;
  const models = useEarthModels(modelsNeeded(outing));
  // Its shape as walked is enough here.
  const solved = useMemo(() => solveAsWalked(outing, models), [outing, models]);
  const name = visibleText(outing.name) || WORDS.untitled;
  const waits = !solved.ok && solved.fault.fault.code === 'model-not-loaded';
  return (
    <li className={styles.row}>
      {isChosen !== null && (
        <label className={styles.check}>
          <input
            type="checkbox"
            aria-label={WORDS.choose(name)}
            checked={isChosen}
            onChange={({ target }) => onChoose(target.checked)}
          />
        </label>
      )}
      <a className={styles.outing} href={viewUrl('outing', outing.id)}>
        <span className={styles.sketch}>
          {solved.ok && <SmallSketch solution={solved.value} />}
        </span>
        <span className={styles.words}>
          <span className={styles.name}>{name}</span>
          <span className={layout.soft}>
            {outing.date && dayjs(outing.date.day).format('D MMMM YYYY')}
            {outing.date?.time && `, ${outing.date.time}`}
            {outing.by && ` · ${WORDS.byWhom(visibleText(outing.by))}`}
          </span>
          {solved.ok && (
            <span className={styles.figures}>
              {WORDS.legs(solved.value.legs.count)} ·{' '}
              {WORDS.walked(
                lengthText(
                  solved.value.walkedMetres,
                  forPlane(figureUnits(), solved.value.places.frame.unit),
                ),
              )}
            </span>
          )}
          {stored.damaged && <span className={styles.warning}>{WORDS.damaged}</span>}
          {!solved.ok && !waits && <span className={styles.warning}>{WORDS.unsolved}</span>}
        </span>
      </a>
      <RowActions outing={outing} name={name} actions={actions} />
    </li>
  );
}

interface ActionsProps {
  outing: Outing;
  name: string;
  actions: ListActions;
}

/** Rename, duplicate, delete. */
function RowActions({ outing, name, actions }: ActionsProps) {
  const [isNaming, setNaming] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  if (isNaming) {
    return <NameForm {...{ outing, name, actions }} onDone={() => setNaming(false)} />;
  }
  return (
    <>
      <Menu label={WORDS.actions} about={WORDS.actionsOf(name)}>
        <PressButton look="plain" onClick={() => setNaming(true)}>
          {WORDS.rename}
        </PressButton>
        <PressButton look="plain" onClick={() => void actions.duplicate(outing).then(setSaid)}>
          {WORDS.duplicate}
        </PressButton>
        <PressButton
          look="plain"
          aria-label={WORDS.removeAbout(name)}
          onClick={() => actions.remove([outing])}
        >
          {WORDS.remove}
        </PressButton>
      </Menu>
      {said && <span role="alert">{said}</span>}
    </>
  );
}

interface FormProps extends ActionsProps {
  onDone: () => void;
}

/** Another name for an outing. */
function NameForm({ outing, name, actions, onDone }: FormProps) {
  const [said, setSaid] = useState<string | null>(null);
  const rename = async (form: HTMLFormElement) => {
    const wanted = String(new FormData(form).get('name')).trim();
    const fault = await actions.rename(outing, wanted);
    setSaid(fault);
    if (fault === null) onDone();
  };
  return (
    <form
      className={styles.naming}
      onSubmit={(event) => {
        event.preventDefault();
        void rename(event.currentTarget);
      }}
    >
      <input name="name" aria-label={WORDS.newNameOf(name)} defaultValue={outing.name} autoFocus />
      <PressButton onClick={(event) => event.currentTarget.form?.requestSubmit()}>
        {SHARED_WORDS.save}
      </PressButton>
      <PressButton look="plain" onClick={onDone}>
        {SHARED_WORDS.cancel}
      </PressButton>
      {said && <span role="alert">{said}</span>}
    </form>
  );
}
