import { useEffect, useRef, type ComponentType } from 'react';
import { shownBearing } from '@/core/north/norths';
import { isThere } from '@/core/navigation/ways/way';
import { northShown } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import { bearingText, distanceText } from '@/ui/units/shown';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import type { MapBase } from '../base';
import type { MapLayerId } from '../layers';
import type { MapContext } from '../layers/context';
import styles from '../map.module.css';
import { WORDS } from '../words';
import { FixThing } from './fix-thing';
import { KnownThing } from './known-thing';
import { LogThing } from './log-thing';
import { RouteThing } from './route-thing';
import { wayFromYou } from './thing';
import type { ThingProps } from './thing-props';

/** What can be done with the things of a layer; the others only have the way to them. */
const THING_PANELS: Partial<Record<MapLayerId, ComponentType<ThingProps>>> = {
  known: KnownThing,
  route: RouteThing,
  log: LogThing,
  fix: FixThing,
};

/** What was chosen on the map: what it is, the way to it, and what can be done with it. */
export function ThingPanel(props: ThingProps) {
  const { thing, base, context, onChoose } = props;
  const Actions = THING_PANELS[thing.layer];
  const head = useRef<HTMLHeadingElement>(null);
  // What can be done next is here: keys go on from the head of the panel.
  useEffect(() => head.current?.focus({ preventScroll: true }), [thing.key]);
  return (
    <section aria-labelledby="chosen-thing" data-testid="thing">
      <div className={styles.thingHead}>
        <h2 id="chosen-thing" ref={head} tabIndex={-1}>
          {thing.name}
        </h2>
        <PressButton look="plain" onClick={() => onChoose(null)}>
          {WORDS.close}
        </PressButton>
      </div>
      {Actions && <Actions {...props} />}
      <WayHere base={base} context={context} at={thing.at} to={thing.name} />
    </section>
  );
}

interface WayProps {
  base: MapBase;
  context: MapContext;
  at: Pixel;
  to: string;
}

/** The way from the traveller to a place of the map, and the counter for it. */
export function WayHere({ base, context: { solution }, at, to }: WayProps) {
  const way = solution && wayFromYou(solution, base, at);
  if (!way || isThere(way)) return null;
  const { degrees, north } = shownBearing(way.bearing, northShown(solution));
  return (
    <>
      <p className={styles.fromYou} data-testid="from-you">
        {WORDS.fromYou(`${bearingText(degrees)} ${north}`, distanceText(way.distanceMetres))}
        {way.paces !== null && WORDS.paces(Math.round(way.paces))}
      </p>
      <PressButton
        look="plain"
        href={viewUrl('counter', solution.outing.id, {
          follow: bearingDigits(degrees),
          metres: way.distanceMetres.toFixed(0),
          to,
        })}
      >
        {WORDS.walkThere}
      </PressButton>
    </>
  );
}
