'use client';
import { useSearchParams } from 'next/navigation';
import { useCallback, useMemo } from 'react';
import { tieOf } from '@/core/place/picture/tie';
import type { Solution } from '@/core/survey/solution';
import { mapPicture, pictureFile } from '@/store/pictures/pictures';
import { storeFault } from '@/store/store-fault';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { browserDatabase } from '@/store/browser-database';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import type { OpenedPicture } from './base';
import { useMapContext } from './layers/context';
import { useMapChoices } from './map-choices';
import { MapPage } from './map-page';
import { PictureList } from './picture-list';
import { useTiles } from './use-tiles';
import { WORDS } from './words';

/** The map of the outing in hand, or of a route or a picture alone; or the pictures to choose. */
export function MapView() {
  const query = useSearchParams();
  const asked = {
    id: query.get('id'),
    route: query.get('route'),
    outing: query.get('outing'),
    leg: query.get('leg'),
  };
  if (query.has('pictures') || Object.values(asked).every((each) => each === null)) {
    return <PictureList route={asked.route} outing={asked.outing} />;
  }
  return asked.outing === null ? (
    <MapOf key={asked.id ?? asked.route} asked={asked} solution={null} open={null} />
  ) : (
    <MapOfOuting key={asked.outing} asked={asked} outing={asked.outing} />
  );
}

interface Asked {
  readonly id: string | null;
  readonly route: string | null;
  /** The leg of the log that is chosen at first. */
  readonly leg: string | null;
}

function MapOfOuting({ asked, outing }: { asked: Asked; outing: string }) {
  const found = useNamedSolution(outing);
  if (!('solution' in found)) return <PlainPage {...found} />;
  return <MapOf asked={asked} solution={found.solution} open={found.open} />;
}

type Opening =
  | { readonly is: 'none' | 'loading' | 'missing' | 'unreadable' }
  | { readonly is: 'failed'; readonly words: string }
  | { readonly is: 'open'; readonly opened: OpenedPicture; readonly arrived: number };

/** The picture of an id with its tiles and what ties it; none for null. */
function usePicture(id: string | null): Opening {
  const database = browserDatabase();
  const live = useLive(
    useCallback(async () => (id === null ? undefined : mapPicture(database, id)), [database, id]),
  );
  const stored = useLive(
    useCallback(async () => (id === null ? undefined : pictureFile(database, id)), [database, id]),
  );
  const file = stored && 'value' in stored ? (stored.value?.blob ?? null) : null;
  const { state, arrived } = useTiles(file);
  const picture = live && 'value' in live ? (live.value ?? null) : null;
  const tie = useMemo(() => picture && tieOf(picture), [picture]);
  const tiles = state.status === 'ready' ? state.tiles : null;
  const opened = useMemo(
    () => (picture && tie && tiles ? { picture, tie, tiles } : null),
    [picture, tie, tiles],
  );
  if (id === null) return { is: 'none' };
  if (live && 'error' in live) {
    return { is: 'failed', words: STORE_MESSAGES[storeFault(live.error)] };
  }
  if ((live && !picture) || (stored && 'value' in stored && !stored.value)) {
    return { is: 'missing' };
  }
  if (state.status === 'unreadable') return { is: 'unreadable' };
  return opened ? { is: 'open', opened, arrived } : { is: 'loading' };
}

interface MapOfProps {
  asked: Asked;
  solution: Solution | null;
  open: OpenOuting | null;
}

function MapOf({ asked, solution, open }: MapOfProps) {
  const own = solution?.outing.id ?? '';
  const { choices, choose, show } = useMapChoices(own, {
    ...(asked.id !== null && { picture: asked.id }),
    ...(asked.route !== null && { route: asked.route }),
  });
  const context = useMapContext(solution, choices);
  const opening = usePicture(choices.picture);
  if (opening.is === 'failed') return <PlainPage words={opening.words} alert />;
  // A picture that was deleted is no reason to show no map.
  if (opening.is === 'missing' && asked.id !== null) return <PlainPage words={WORDS.missing} />;
  if (opening.is === 'unreadable') return <PlainPage words={WORDS.unreadable} alert />;
  if (opening.is === 'loading' || !context) return <PlainPage words={WORDS.loading} />;
  const { opened, arrived } = opening.is === 'open' ? opening : { opened: null, arrived: 0 };
  const shared = { context, open, opened, arrived, choices, choose, show };
  return (
    <MapPage
      key={opened?.picture.id ?? ''}
      {...shared}
      forRoute={asked.route !== null}
      firstLeg={asked.leg}
    />
  );
}
