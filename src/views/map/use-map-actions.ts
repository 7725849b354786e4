import { useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { MapPicture } from '@/core/model/map-picture';
import { changePicture } from '@/store/pictures/pictures';
import { putKnownPlace } from '@/store/known/known-places';
import { browserDatabase } from '@/store/browser-database';
import { useDraft } from '@/views/fix/use-draft';
import type { MapContext } from './layers/context';
import type { MapChoices } from './map-choices';
import { useRoutePoints, written } from './use-route-points';

/** What is done on the map, each durable when it resolves; and why the last thing was not. */
export function useMapActions(
  context: MapContext,
  picture: { readonly id: string; readonly name: string } | null,
  choose: (change: Partial<MapChoices>) => unknown,
) {
  const [fault, setFault] = useState<string | null>(null);
  const { plan, route, solution } = context;
  const [draft, changeDraft] = useDraft(solution?.outing.id ?? '');
  const points = useRoutePoints({
    picture,
    route: route?.id ?? null,
    positions: plan?.positions ?? [],
    onStarted: (started) => void choose({ route: started }),
    onFault: setFault,
  });
  return {
    fault,
    setFault,
    /** Resolves to why it was not written, or null. */
    keepPlace: (place: Omit<KnownPlace, 'id'>) =>
      written(() =>
        putKnownPlace(browserDatabase(), { ...place, id: crypto.randomUUID() }, new Date()),
      ),
    changePicture: (make: (before: MapPicture) => MapPicture) =>
      void written(() => changePicture(browserDatabase(), picture?.id ?? '', make)).then(setFault),
    /** Adds a bearing to a known place to what the fix is found by. */
    sight: (place: string, bearing: string) =>
      changeDraft({
        sights: [
          ...draft.sights.filter((each) => each.place !== place),
          { place, bearing, back: false, distance: '' },
        ],
      }),
    /** The bearing to a known place that the fix has already; empty for none. */
    sighted: (place: string) => draft.sights.find((each) => each.place === place)?.bearing ?? '',
    ...points,
  };
}
export type MapActions = ReturnType<typeof useMapActions>;
