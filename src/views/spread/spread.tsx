'use client';
import { useSearchParams } from 'next/navigation';
import { faultWords } from '@/core/fault-words';
import { writeLog } from '@/core/log-text/write-log';
import { STORE_WORDS } from '@/ui/store-words';
import { PlainPage } from '@/views/shared/plain-page';
import { Rescue } from './rescue';
import { SpreadBook } from './spread-book';
import { useOuting } from '@/views/shared/use-outing';
import { WORDS } from './words';

/** The outing that the address names, or a plain word on why it can't be shown. */
export function Spread() {
  const id = useSearchParams().get('id') ?? '';
  const open = useOuting(id);
  const { state, solved, page } = open;

  if (state.status === 'loading') return <PlainPage words={WORDS.loading} />;
  if (state.status === 'missing') return <PlainPage words={WORDS.missing} />;
  if (state.status === 'unavailable') return <PlainPage words={STORE_WORDS[state.fault]} alert />;
  if (state.status === 'damaged') {
    const raw = JSON.stringify(state.damage.records, null, 2);
    const readable = state.damage.page ? writeLog(state.damage.page.outing) : '';
    return (
      <PlainPage words="">
        <Rescue
          words="Part of this log is damaged on this device. Below is all that can be read, and after it what can’t, as it stands. Save it before anything else."
          text={`${readable}\n# What could not be read, from change ${state.damage.number} on:\n${raw.replace(/^/gm, '# ')}\n`}
        />
        <a href="/files">{WORDS.toCopies}</a>
      </PlainPage>
    );
  }
  if (!solved || !page) return <PlainPage words={WORDS.loading} />;
  if (!solved.ok) {
    if (solved.fault.fault.code === 'model-not-loaded') return <PlainPage words={WORDS.loading} />;
    return (
      <PlainPage words="">
        <Rescue
          words={`${WORDS.unsolved} ${faultWords(solved.fault.fault)}`}
          text={writeLog(page.outing)}
        />
      </PlainPage>
    );
  }
  return <SpreadBook key={id} open={open} outing={page.outing} solution={solved.value} />;
}
