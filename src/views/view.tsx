'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { ViewId } from './views';

/** The component of each view; its code is loaded with its page. */
const VIEW_COMPONENTS: Readonly<Record<ViewId, ComponentType>> = {
  outings: dynamic(() => import('./outings/outings').then((it) => it.Outings)),
  outing: dynamic(() => import('./outing/outing').then((it) => it.OutingPage)),
  'way-home': dynamic(() => import('./way-home/way-home').then((it) => it.WayHomeView)),
  walk: dynamic(() => import('./walk/walk-home').then((it) => it.WalkHome)),
  counter: dynamic(() => import('./counter/counter').then((it) => it.Counter)),
  declination: dynamic(() => import('./declination/declination').then((it) => it.Declination)),
  uncertainty: dynamic(() => import('./errors/errors').then((it) => it.Errors)),
  pacing: dynamic(() => import('./pacing/pacing').then((it) => it.Pacing)),
  print: dynamic(() => import('./print/print').then((it) => it.Print)),
  pegs: dynamic(() => import('./pegs/pegs').then((it) => it.Pegs)),
  files: dynamic(() => import('./files/files').then((it) => it.Files)),
  guide: dynamic(() => import('./guide/guide').then((it) => it.Guide)),
  'step-off': dynamic(() => import('./step-off/step-off').then((it) => it.StepOff)),
};

/** A view by its name. */
export function View({ id }: { id: ViewId }) {
  const Component = VIEW_COMPONENTS[id];
  return <Component />;
}
