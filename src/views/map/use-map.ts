import { useMemo, useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import type { MapPicture } from '@/core/model/map-picture';
import { followRoute } from '@/core/navigation/route/follow';
import type { RouteLeg } from '@/core/navigation/route/leg';
import { northEastOf } from '@/core/north/norths';
import { tieOf } from '@/core/place/picture/tie';
import { normalised } from '@/core/units/angle';
import { putKnownPlace } from '@/store/known/known-places';
import { changePicture } from '@/store/pictures/pictures';
import { browserDatabase } from '@/store/browser-database';
import type { Up } from './sheet';
import { useRoutePoints, written } from './use-route-points';
import { useLayers, type Chosen, type LayersState } from './use-layers';

/** What a tap on the picture means. */
export const MODES = ['look', 'tie', 'measure', 'route', 'line', 'protractor'] as const;
export type Mode = (typeof MODES)[number];

/** From magnetic to grid north of the map, east positive; null where no declination is known. */
function gridMagneticOf({ plan, solution }: LayersState): number | null {
  const norths = plan?.norths ?? solution?.places.frame.norths ?? null;
  if (!norths || norths.declinationEast === null) return null;
  const east = northEastOf('magnetic', 'grid', norths);
  return east === null ? null : -east;
}

/** The leg that is walked next; without an outing, the one that was planned last. */
const legAhead = ({ plan, solution }: LayersState): RouteLeg | null =>
  plan && ((solution && followRoute(solution, plan).next) ?? plan.legs.at(-1) ?? null);

/** Directions that can be up on the sheet. */
function upsOf(up: number | null, gridMagnetic: number | null, leg: number | null): Up[] {
  const turn = (azimuth: number) => normalised(azimuth - (up ?? 0));
  return [
    { key: 'picture', turn: 0 },
    ...(up === null ? [] : [{ key: 'grid' as const, turn: turn(0) }]),
    ...(up === null || gridMagnetic === null
      ? []
      : [{ key: 'magnetic' as const, turn: turn(gridMagnetic) }]),
    ...(up === null || leg === null ? [] : [{ key: 'leg' as const, turn: turn(leg) }]),
  ];
}

/** A picture that is open: what ties it, what is shown on it, and what changes them. */
export function useMap(picture: MapPicture, first: Pick<Chosen, 'route' | 'outing'>) {
  const [chosen, setChosen] = useState<Chosen>({ ...first, area: null, known: true });
  const [fault, setFault] = useState<string | null>(null);
  const layers = useLayers(chosen);
  const tie = useMemo(() => tieOf(picture), [picture]);
  const gridMagnetic = gridMagneticOf(layers);
  const leg = legAhead(layers)?.bearing.grid ?? null;
  const ups = upsOf(tie.ok ? tie.value.upDegrees : null, gridMagnetic, leg);
  const database = browserDatabase();
  const change = (make: (before: MapPicture) => MapPicture) =>
    void written(() => changePicture(database, picture.id, make)).then(setFault);
  const keepPlace = (place: Omit<KnownPlace, 'id'>) =>
    written(() => putKnownPlace(database, { ...place, id: crypto.randomUUID() }, new Date()));
  const choose = (part: Partial<Chosen>) => setChosen((before) => ({ ...before, ...part }));
  const points = useRoutePoints(picture, chosen.route, (route) => choose({ route }), setFault);
  return {
    chosen,
    choose,
    layers,
    tie,
    gridMagnetic,
    ups,
    fault,
    change,
    keepPlace,
    ...points,
  };
}
export type OpenMap = ReturnType<typeof useMap>;
