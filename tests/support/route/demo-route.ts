import { readRouteText } from '@/core/log-text/route/route-text';
import { earthModels } from '@/core/north/loaded-earth-models';
import { planOf, type Plan } from '@/core/navigation/route/plan';
import type { Route } from '@/core/model/route';

/** A route over the plateau of Ormsay Lake with everything that a plan can hold. */
export const ROUTE_TEXT = `cairn-back route 1
route Gauges over the plateau
date 2026-08-14 09:00
declination model
pace 65 per 100 m
pace bog 78 per 100 m spread 6% of 5 walks
speed 4 kmh
timing langmuir
sight 60m
party two of us, red jackets
tell the warden at the dock
turn-back 13:00
back 17:30
point Dock at 54.2 -63.5
point Gauge 1 at 54.2062 -63.5105 within 10m ; in the hollow
  ground bog
  climb 40m down 5m
  expect NW uphill
  handrail the stream on the left
  catch 120m the shore of the upper pond
  danger soft ground by the stream
  tick 200m left big boulder
  tick 450m path
attack Cairn by 060G 24mm on 1:25000
point Gauge 2 at 54.2115 -63.5009
  aim left 010T the burnt edge
`;

export function routeOf(text: string): Route {
  const read = readRouteText(text, 'route');
  if (!read.ok) throw new Error(JSON.stringify(read.fault));
  return read.value;
}

export const planOfText = (text: string) => planOf(routeOf(text), earthModels);

export function planned(text: string): Plan {
  const plan = planOfText(text);
  if (!plan.ok) throw new Error(JSON.stringify(plan.fault));
  return plan.value;
}
