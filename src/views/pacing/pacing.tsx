'use client';
import { Button, Select } from 'antd';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { applyPaceProfile } from '@/core/edit/settings';
import type { PaceProfile } from '@/core/model/pace-profile';
import { paceLines } from '@/core/pacing/profile-paces';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOuting, type OpenOuting } from '@/views/shared/data/use-outing';
import { BACK_TO_OUTINGS, backToLog, Section, ViewPage } from '@/views/shared/page/view-page';
import { Calibrate } from './calibrate';
import styles from './pacing.module.css';
import { ProfileTable } from './profile-table';
import { UncertaintySplit } from './uncertainty-split';
import { useProfiles, type Profiles } from './use-profiles';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

const NameDialog = dynamic(() => import('./name-dialog').then((it) => it.NameDialog), {
  ssr: false,
});

/** The length of someone's pace, ground by ground; calibrations; and what the paces add. */
export function Pacing() {
  const id = useSearchParams().get('id') ?? '';
  const open = useOuting(id);
  const profiles = useProfiles();
  const outing = open.state?.document;
  const solution = open.solved?.ok ? open.solved.value : null;
  const back = outing ? backToLog(outing) : BACK_TO_OUTINGS;
  if (profiles.all === undefined) {
    return (
      <ViewPage view="pacing" about={outing?.name} back={back}>
        {profiles.fault ? (
          <p role="alert">{STORE_MESSAGES[profiles.fault]}</p>
        ) : (
          <p role="status">{WORDS.loading}</p>
        )}
      </ViewPage>
    );
  }
  return (
    <ViewPage view="pacing" about={outing?.name} back={back}>
      <div className={layout.columns}>
        <div>
          <Section id="profile" title={WORDS.profile}>
            <ProfileChoice profiles={profiles} all={profiles.all} />
            <ProfileTable profile={profiles.chosen} />
            {outing && profiles.chosen && profiles.chosen.calibrations.length > 0 && (
              <UseInOuting profile={profiles.chosen} run={open.run} />
            )}
          </Section>
          {solution && solution.legs.count > 0 && <UncertaintySplit solution={solution} />}
          <Section id="advice" title={WORDS.advice}>
            <ul className={styles.advice}>
              {WORDS.advices.map((advice) => (
                <li key={advice}>{advice}</li>
              ))}
            </ul>
          </Section>
        </div>
        <Section id="calibrate" title={WORDS.calibrate}>
          <Calibrate onSave={profiles.addCalibration} />
        </Section>
      </div>
    </ViewPage>
  );
}

interface ChoiceProps {
  profiles: Profiles;
  all: readonly PaceProfile[];
}

/** Which profile is in use; new ones, and names. */
function ProfileChoice({ profiles: { chosen, choose, rename, create }, all }: ChoiceProps) {
  const [naming, setNaming] = useState<'chosen' | 'new' | null>(null);
  const [status, setStatus] = useState('');
  const save = async (name: string) => {
    setNaming(null);
    const fault = naming === 'chosen' && chosen ? await rename(chosen, name) : await create(name);
    setStatus(fault ? STORE_MESSAGES[fault] : '');
  };
  return (
    <div className={styles.row}>
      {chosen && (
        <Select
          aria-label={WORDS.profile}
          className={styles.grow}
          value={chosen.id}
          onChange={choose}
          options={all.map((each) => ({ value: each.id, label: each.name }))}
        />
      )}
      {chosen && <Button onClick={() => setNaming('chosen')}>{WORDS.rename}</Button>}
      <Button onClick={() => setNaming('new')}>{WORDS.newProfile}</Button>
      {status && <span role="alert">{status}</span>}
      {naming !== null && (
        <NameDialog
          name={naming === 'chosen' ? (chosen?.name ?? '') : ''}
          onName={save}
          onClose={() => setNaming(null)}
        />
      )}
    </div>
  );
}

/** Puts the paces of a profile into the outing, for the legs from here on. */
function UseInOuting({ profile, run }: { profile: PaceProfile; run: OpenOuting['run'] }) {
  const [status, setStatus] = useState('');
  const use = async () => {
    const outcome = await run(applyPaceProfile(paceLines(profile)));
    setStatus(outcomeMessage(outcome) ?? WORDS.used);
  };
  return (
    <>
      <Button type="primary" onClick={use}>
        {WORDS.use}
      </Button>
      <p className={styles.soft} role="status">
        {status || WORDS.useHint}
      </p>
    </>
  );
}
