'use client';
import { useSearchParams } from 'next/navigation';
import { PressButton } from '@/ui/controls/press-button';
import { DocumentGate } from '@/views/shared/page/document-page';
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
  if (opening.status === 'ready') return <AreaPage open={opening.open} />;
  if (opening.status === 'adjusting') {
    return (
      <PlainPage words={WORDS.adjusting(opening.round)}>
        <PressButton onClick={opening.stop}>{WORDS.stop}</PressButton>
      </PlainPage>
    );
  }
  return <DocumentGate opening={opening} words={WORDS} />;
}
