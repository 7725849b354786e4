'use client';
import { useSearchParams } from 'next/navigation';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PressButton } from '@/ui/controls/press-button';
import { PlainPage } from '@/views/shared/page/plain-page';
import { AreaPage } from './area-page';
import { NewArea } from './new-area';
import { useArea } from './use-area';
import { WORDS } from './words';

const NONE: readonly string[] = [];

/** The area of the address; without one, a new area is made. */
export function AreaView() {
  const query = useSearchParams();
  const id = query.get('id');
  if (id !== null) return <OneArea id={id} />;
  return <NewArea chosenFirst={query.get('with')?.split(' ') ?? NONE} />;
}

function OneArea({ id }: { id: string }) {
  const opening = useArea(id);
  switch (opening.status) {
    case 'ready':
      return <AreaPage open={opening.open} />;
    case 'failed':
      return <PlainPage words={STORE_MESSAGES[opening.fault]} alert />;
    case 'missing':
      return <PlainPage words={WORDS.missing} />;
    case 'discarded':
      return (
        <PlainPage words={WORDS.removed}>
          <PressButton onClick={() => void opening.recover()}>{WORDS.restore}</PressButton>
        </PlainPage>
      );
    case 'damaged':
      return <PlainPage words={WORDS.damaged} alert />;
    case 'adjusting':
      return (
        <PlainPage words={WORDS.adjusting(opening.round)}>
          <PressButton onClick={opening.stop}>{WORDS.stop}</PressButton>
        </PlainPage>
      );
    case 'loading':
      return <PlainPage words={WORDS.loading} />;
  }
}
