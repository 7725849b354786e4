'use client';
import { useSearchParams } from 'next/navigation';
import { DocumentGate } from '@/views/shared/page/document-page';
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
  if (opening.status !== 'ready') return <DocumentGate opening={opening} words={WORDS} />;
  const { open } = opening;
  return outing === null ? (
    <RoutePage open={open} />
  ) : (
    <FollowedRoute open={open} outing={outing} />
  );
}
