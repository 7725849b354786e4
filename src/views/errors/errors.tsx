'use client';
import { Button, Checkbox, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { changeHeader } from '@/core/edit/settings';
import type { LearnedSigma } from '@/core/learning/learn';
import { visibleText } from '@/core/units/visible';
import type { SigmaId, SigmaReading } from '@/core/model/error-settings';
import type { Header } from '@/core/model/header';
import { ownSigmas } from '@/store/own-errors';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { save } from '@/views/shared/data/save-file';
import { useOuting } from '@/views/shared/data/use-outing';
import { BACK_TO_OUTINGS, backToLog, Section, ViewPage } from '@/views/shared/page/view-page';
import styles from './errors.module.css';
import { SigmaTable } from './sigma-table';
import { useOwnErrors, type OwnErrorsState } from './use-own-errors';
import { SIGMA_WORDS, WORDS } from './words';

const LearnedChart = dynamic(() => import('./learned-chart').then((it) => it.LearnedChart), {
  ssr: false,
});

/** A header with other sigmas; without any it says nothing of errors. */
function withErrors(header: Header, sigmas: readonly SigmaReading[]): Header {
  const { errors, ...rest } = header;
  return sigmas.length === 0 ? rest : { ...rest, errors: { ...errors, sigmas: [...sigmas] } };
}

/** What each error is taken to be, where that comes from, and what was learned of the person. */
export function Errors() {
  const id = useSearchParams().get('id') ?? '';
  const open = useOuting(id);
  const state = useOwnErrors();
  const [status, setStatus] = useState('');
  const outing = open.state?.document;
  const sigmas = outing?.errors?.sigmas ?? [];
  const change = async (next: readonly SigmaReading[], words: string) => {
    const outcome = await open.run(changeHeader((header) => withErrors(header, next)));
    setStatus(outcomeMessage(outcome) ?? words);
  };
  const changeOne = (of: SigmaId, reading: SigmaReading | null) => {
    const others = sigmas.filter((each) => each.of !== of);
    void change(reading ? [...others, reading] : others, '');
  };
  const own = ownSigmas(state.own);
  return (
    <ViewPage
      view="uncertainty"
      about={outing?.name}
      back={outing ? backToLog(outing) : BACK_TO_OUTINGS}
    >
      <Section id="sigmas" title={WORDS.title}>
        <p>{WORDS.how}</p>
        <SigmaTable
          own={state.own}
          learned={state.record?.learned ?? []}
          onOwn={state.set}
          outing={outing ? sigmas : null}
          onOuting={changeOne}
        />
        {outing && own.length > 0 && (
          <Button onClick={() => change(own, WORDS.used)}>{WORDS.useOwn}</Button>
        )}
        <p role="status">{status}</p>
      </Section>
      <Learning state={state} />
    </ViewPage>
  );
}

/** Errors that the record can't tell apart, each pair once. */
function Alike({ learned }: { learned: readonly LearnedSigma[] }) {
  const pairs = learned.flatMap(({ id, alike }) => alike.filter((o) => o > id).map((o) => [id, o]));
  return pairs.map(([one, other]) => (
    <p key={`${one} ${other}`} className={styles.soft}>
      {WORDS.alike(SIGMA_WORDS[one as SigmaId], SIGMA_WORDS[other as SigmaId])}
    </p>
  ));
}

/** No name of an outing: a name is never empty. */
const NOBODY = '';

/** What was learned, how it came about, and how to switch it off or forget it. */
function Learning({ state }: { state: OwnErrorsState }) {
  const { own, record, fault } = state;
  const exported = () => {
    const text = JSON.stringify({ ...own, record }, null, 2);
    void save(WORDS.exportName, new Blob([text], { type: 'application/json' }));
  };
  return (
    <Section id="learning" title={WORDS.learning}>
      <Checkbox checked={own.learns} onChange={(event) => state.setLearns(event.target.checked)}>
        {WORDS.learns}
      </Checkbox>
      <p className={styles.soft}>{WORDS.learningHow}</p>
      {fault && <p role="alert">{STORE_MESSAGES[fault]}</p>}
      {!fault && (
        <p data-testid="record" role="status">
          {record === null
            ? WORDS.reading
            : record.steps.length + record.calibrations === 0
              ? WORDS.nothing
              : WORDS.learnedFrom(record.loops, record.calibrations)}
        </p>
      )}
      {record && record.people.length > 0 && (
        <label className={styles.whose}>
          {WORDS.whose}
          <Select
            className={styles.choice}
            aria-label={WORDS.whose}
            value={own.name ?? NOBODY}
            options={[
              { value: NOBODY, label: WORDS.unnamed },
              ...record.people.map((name) => ({ value: name, label: visibleText(name) })),
            ]}
            onChange={(name) => state.setName(name === NOBODY ? null : name)}
          />
        </label>
      )}
      {record && <Alike learned={record.learned} />}
      {record && record.steps.length > 0 && <LearnedChart steps={record.steps} />}
      {own.since !== null && (
        <p className={styles.soft}>{WORDS.forgotten(own.since.slice(0, 10))}</p>
      )}
      {record && (
        <div className={styles.row}>
          <Button onClick={exported}>{WORDS.export}</Button>
          {own.since === null ? (
            <Button onClick={state.forget}>{WORDS.forget}</Button>
          ) : (
            <Button onClick={state.remember}>{WORDS.remember}</Button>
          )}
        </div>
      )}
    </Section>
  );
}
