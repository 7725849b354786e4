'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback } from 'react';
import { mapPicture, pictureFile } from '@/store/pictures/pictures';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';
import { PlainPage } from '@/views/shared/page/plain-page';
import { MapPage } from './map-page';
import { PictureList } from './picture-list';
import { useTiles } from './use-tiles';
import { WORDS } from './words';

/** The picture of the address; without one, all of them. */
export function MapView() {
  const query = useSearchParams();
  const id = query.get('id');
  const [route, outing] = [query.get('route'), query.get('outing')];
  if (id === null) return <PictureList route={route} outing={outing} />;
  return <OnePicture key={id} id={id} route={route} outing={outing} />;
}

interface Props {
  id: string;
  route: string | null;
  outing: string | null;
}

function OnePicture({ id, route, outing }: Props) {
  const live = useLive(useCallback(() => mapPicture(browserDatabase(), id), [id]));
  const stored = useLive(useCallback(() => pictureFile(browserDatabase(), id), [id]));
  const file = stored && 'value' in stored ? (stored.value?.blob ?? null) : null;
  const { state, arrived } = useTiles(file);
  if (live && 'error' in live) {
    return <PlainPage words={STORE_MESSAGES[storeFault(live.error)]} alert />;
  }
  if (live && !live.value) return <PlainPage words={WORDS.missing} />;
  if (stored && 'value' in stored && !stored.value) return <PlainPage words={WORDS.missing} />;
  if (state.status === 'unreadable') return <PlainPage words={WORDS.unreadable} alert />;
  if (!live?.value || state.status !== 'ready') return <PlainPage words={WORDS.loading} />;
  const first = { route, outing };
  return <MapPage picture={live.value} tiles={state.tiles} arrived={arrived} first={first} />;
}
