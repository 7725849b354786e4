'use client';
import { Button, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { takePaces } from '@/core/edit/set-up';
import { faultWords } from '@/core/fault-words';
import { paceLines } from '@/core/pace-calibration';
import { STORE_WORDS } from '@/ui/store-words';
import { useOuting } from '@/views/shared/use-outing';
import { ViewHeader } from '@/views/shared/view-header';
import { Calibrate } from './calibrate';
import { Doubt } from './doubt';
import styles from './paces.module.css';
import { ProfileTable } from './profile-table';
import { useProfiles } from './use-profiles';
import { WORDS } from './words';

const NameDialog = dynamic(() => import('./name-dialog').then((it) => it.NameDialog), {
  ssr: false,
});

/** How long someone's pace is, ground by ground; calibrations; and what the paces of an outing cost. */
export function Paces() {
  const id = useSearchParams().get('id') ?? '';
  const { solved, page, run } = useOuting(id);
  const { profiles, fault, chosen, choose, keep, name } = useProfiles();
  const [status, setStatus] = useState('');
  /** The profile being named: its id, null for a new one; undefined while none is. */
  const [naming, setNaming] = useState<string | null | undefined>(undefined);
  const outing = page?.outing;
  const solution = solved?.ok ? solved.value : null;

  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);

  const take = async () => {
    if (!chosen) return;
    const outcome = await run(takePaces(paceLines(chosen)));
    setStatus(
      outcome.kind === 'saved'
        ? WORDS.taken
        : outcome.kind === 'refused'
          ? faultWords(outcome.fault)
          : STORE_WORDS[outcome.fault],
    );
  };
  const usable = chosen && chosen.calibrations.length > 0;
  const back = outing
    ? { href: `/outing?id=${encodeURIComponent(outing.id)}`, words: WORDS.toOuting }
    : { href: '/', words: WORDS.toShelf };
  return (
    <div className={styles.page}>
      <ViewHeader title={WORDS.title} about={outing?.name} back={back} />
      <main className={styles.paper}>
        {profiles === undefined ? (
          <p role={fault ? 'alert' : 'status'}>{fault ? STORE_WORDS[fault] : WORDS.loading}</p>
        ) : (
          <div className={styles.columns}>
            <div>
              <section className={styles.part} aria-labelledby="profile">
                <h2 id="profile">{WORDS.profile}</h2>
                <div className={styles.row}>
                  {chosen && (
                    <Select
                      aria-label={WORDS.profile}
                      className={styles.grow}
                      value={chosen.id}
                      onChange={choose}
                      options={profiles.map((each) => ({ value: each.id, label: each.name }))}
                    />
                  )}
                  {chosen && <Button onClick={() => setNaming(chosen.id)}>{WORDS.rename}</Button>}
                  <Button onClick={() => setNaming(null)}>{WORDS.newProfile}</Button>
                </div>
                <ProfileTable profile={chosen} />
                {outing && usable && (
                  <>
                    <Button type="primary" onClick={take}>
                      {WORDS.take}
                    </Button>
                    <p className={styles.soft} role="status">
                      {status || WORDS.takeHint}
                    </p>
                  </>
                )}
              </section>
              {solution && solution.traverse.legs > 0 && <Doubt solution={solution} />}
              <section className={styles.part} aria-labelledby="advice">
                <h2 id="advice">{WORDS.advice}</h2>
                <ul className={styles.advice}>
                  {WORDS.advices.map((advice) => (
                    <li key={advice}>{advice}</li>
                  ))}
                </ul>
              </section>
            </div>
            <section className={styles.part} aria-labelledby="calibrate">
              <h2 id="calibrate">{WORDS.calibrate}</h2>
              <Calibrate onKeep={keep} />
            </section>
          </div>
        )}
      </main>
      {naming !== undefined && (
        <NameDialog
          name={naming === null ? '' : (chosen?.name ?? '')}
          onName={(wanted) => {
            const id = naming;
            setNaming(undefined);
            void name(id, wanted).then((fault) => setStatus(fault ? STORE_WORDS[fault] : ''));
          }}
          onClose={() => setNaming(undefined)}
        />
      )}
    </div>
  );
}
