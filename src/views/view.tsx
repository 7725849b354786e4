'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import { withFurniture } from '@/ui/theme/with-furniture';
import { InUnits } from './in-units';
import type { ViewId } from './views';

type Loading = Promise<ComponentType>;

/** A view that uses the component library: it comes with its theme. */
const furnished = (load: () => Loading) => dynamic(() => withFurniture(load()));

/**
 * The component of each view; its code is loaded with its page. The pages that one begins with do
 * without the component library, which comes with their dialogs: the first second counts.
 */
const VIEW_COMPONENTS: Readonly<Record<Exclude<ViewId, 'home-now'>, ComponentType>> = {
  outings: dynamic(() => import('./outings/outings').then((it) => it.Outings)),
  outing: dynamic(() => import('./outing/outing').then((it) => it.OutingPage)),
  'way-home': furnished(() => import('./way-home/way-home').then((it) => it.WayHomeView)),
  walk: furnished(() => import('./walk/walk-home').then((it) => it.WalkHome)),
  fix: furnished(() => import('./fix/fix').then((it) => it.Fix)),
  counter: furnished(() => import('./counter/counter').then((it) => it.Counter)),
  declination: furnished(() => import('./declination/declination').then((it) => it.Declination)),
  uncertainty: furnished(() => import('./errors/errors').then((it) => it.Errors)),
  pacing: furnished(() => import('./pacing/pacing').then((it) => it.Pacing)),
  print: furnished(() => import('./print/print').then((it) => it.Print)),
  pegs: furnished(() => import('./pegs/pegs').then((it) => it.Pegs)),
  files: furnished(() => import('./files/files').then((it) => it.Files)),
  guide: furnished(() => import('./guide/guide').then((it) => it.Guide)),
  'step-off': furnished(() => import('./step-off/step-off').then((it) => it.StepOff)),
  area: furnished(() => import('./area/area').then((it) => it.AreaView)),
  route: furnished(() => import('./route/route').then((it) => it.RouteView)),
  map: furnished(() => import('./map/map').then((it) => it.MapView)),
  practice: furnished(() => import('./practice/practice').then((it) => it.PracticeView)),
};

export type TabledView = keyof typeof VIEW_COMPONENTS;

/** A view by its name. */
export function View({ id }: { id: TabledView }) {
  const Component = VIEW_COMPONENTS[id];
  return (
    <InUnits>
      <Component />
    </InUnits>
  );
}
