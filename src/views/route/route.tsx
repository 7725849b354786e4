'use client';
import { useSearchParams } from 'next/navigation';
import { PressButton } from '@/ui/controls/press-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PlainPage } from '@/views/shared/page/plain-page';
import { FollowedRoute } from './follow/followed-route';
import { RouteList } from './route-list';
import { RoutePage } from './route-page';
import { useRoute } from './use-route';
import { WORDS } from './words';

/** The route of the address; without one, all of them. */
export function RouteView() {
  const query = useSearchParams();
  const id = query.get('id');
  if (id === null) return <RouteList />;
  return <OneRoute key={id} id={id} outing={query.get('outing')} />;
}

function OneRoute({ id, outing }: { id: string; outing: string | null }) {
  const opening = useRoute(id);
  switch (opening.status) {
    case 'ready':
      return outing === null ? (
        <RoutePage open={opening.open} />
      ) : (
        <FollowedRoute open={opening.open} outing={outing} />
      );
    case 'failed':
      return <PlainPage words={STORE_MESSAGES[opening.fault]} alert />;
    case 'missing':
      return <PlainPage words={WORDS.missing} />;
    case 'discarded':
      return (
        <PlainPage words={WORDS.deleted}>
          <PressButton onClick={() => void opening.recover()}>{WORDS.restore}</PressButton>
        </PlainPage>
      );
    case 'damaged':
      return <PlainPage words={WORDS.damaged} alert />;
    case 'loading':
      return <PlainPage words={WORDS.loading} />;
  }
}
