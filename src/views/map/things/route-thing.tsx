import type { RouteLeg } from '@/core/navigation/route/leg';
import { bearingText, lengthText } from '@/ui/units/shown';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { NameField } from '../panels/name-field';
import { WORDS } from '../words';
import type { ThingProps } from './thing-props';

/** A point or a leg of the route: moved, named, inserted, taken out. */
export function RouteThing(props: ThingProps) {
  const { thing, context, actions, onPlacing, onChoose } = props;
  const { plan, route } = context;
  if (!plan || !route) return null;
  if (thing.number !== null) {
    const leg = plan.legs[thing.number - 1];
    return leg ? <LegOfRoute {...props} leg={leg} route={route.id} /> : null;
  }
  const number = Number(thing.mark?.slice(1));
  const point = route.points[number];
  if (!point) return null;
  const remove = async () => {
    await actions.removePoint(number);
    onChoose(null);
  };
  return (
    <>
      <NameField
        key={`${number} ${point.name}`}
        label={WORDS.nameOfPoint}
        name={point.name}
        onName={(name) => actions.namePoint(number, name)}
      />
      <div className={styles.row}>
        <PressButton onClick={() => onPlacing({ does: 'move', point: number })}>
          {WORDS.movePoint}
        </PressButton>
        <PressButton onClick={() => void remove()}>{WORDS.takePoint}</PressButton>
        <PressButton look="plain" href={viewUrl('route', route.id)}>
          {WORDS.openRoute}
        </PressButton>
      </div>
    </>
  );
}

function LegOfRoute({ leg, route, onPlacing }: ThingProps & { leg: RouteLeg; route: string }) {
  const { set, metres, number } = leg;
  return (
    <>
      <p className={styles.big}>
        {set && `${bearingText(set.degrees)} ${set.north}, `}
        {lengthText(metres)}
      </p>
      <div className={styles.row}>
        <PressButton onClick={() => onPlacing({ does: 'insert', after: number - 1 })}>
          {WORDS.insertPoint}
        </PressButton>
        <PressButton look="plain" href={viewUrl('route', route)}>
          {WORDS.openRoute}
        </PressButton>
      </div>
    </>
  );
}
