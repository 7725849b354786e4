'use client';
import { useSearchParams } from 'next/navigation';
import { faultMessage } from '@/core/faults/messages';
import { writeLog } from '@/core/log-text/write-log';
import type { Damage } from '@/store/replay';
import { useOuting } from '@/views/shared/data/use-outing';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PlainPage } from '@/views/shared/page/plain-page';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { viewUrl } from '@/views/views';
import { OutingView } from './outing-view';
import { Rescue } from './rescue';
import { WORDS } from './words';

/** The outing of the address, or a message on why it can't be shown. */
export function OutingPage() {
  const id = useSearchParams().get('id') ?? '';
  const open = useOuting(id);
  const { session, solved, state } = open;
  switch (session.status) {
    case 'missing':
      return <PlainPage words={SHARED_WORDS.missing} />;
    case 'unavailable':
      return <PlainPage words={STORE_MESSAGES[session.fault]} alert />;
    case 'damaged':
      return <DamagedOuting damage={session.damage} />;
    default:
  }
  if (!solved || !state) return <PlainPage words={SHARED_WORDS.loadingLog} />;
  if (solved.ok) {
    return <OutingView key={id} open={open} outing={state.document} solution={solved.value} />;
  }
  const { fault } = solved.fault;
  if (fault.code === 'model-not-loaded') return <PlainPage words={SHARED_WORDS.loadingLog} />;
  return (
    <PlainPage words="">
      <Rescue words={`${WORDS.unsolved} ${faultMessage(fault)}`} text={writeLog(state.document)} />
    </PlainPage>
  );
}

/** What is left of an outing whose change log is damaged, to be saved as text. */
function DamagedOuting({ damage }: { damage: Damage }) {
  const readable = damage.state ? writeLog(damage.state.document) : '';
  const raw = JSON.stringify(damage.records, null, 2).replace(/^/gm, '# ');
  const text = `${readable}\n# ${WORDS.unreadable(damage.number)}\n${raw}\n`;
  return (
    <PlainPage words="">
      <Rescue words={WORDS.damaged} text={text} />
      <a href={viewUrl('files')}>{WORDS.toCopies}</a>
    </PlainPage>
  );
}
