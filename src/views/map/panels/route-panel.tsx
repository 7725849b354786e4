import type { Route } from '@/core/model/route';
import type { Plan } from '@/core/navigation/route/plan';
import { bearingText, lengthText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { WORDS } from '../words';
import { NameField } from './name-field';
import layout from '@/views/shared/page/layout.module.css';
import { SHARED_WORDS } from '@/views/shared/words/words';

interface Props {
  route: Route | null;
  plan: Plan | null;
  /** Resolves to why it was not written, or null. */
  onName: (name: string) => Promise<string | null>;
  onUndo: () => void;
  onStart: () => void;
}

/** The route's points are tapped one after another; the leg to the last one is reported at once. */
export function RoutePanel({ route, plan, onName, onUndo, onStart }: Props) {
  if (!route) {
    return (
      <>
        <p>{WORDS.noRoute}</p>
        <PressButton look="primary" large onClick={onStart}>
          {WORDS.startRoute}
        </PressButton>
      </>
    );
  }
  const leg = plan?.legs.at(-1);
  const last = route.points.at(-1);
  return (
    <>
      <p className={layout.soft}>{WORDS.routeHow}</p>
      <p className={styles.big} role="status" data-testid="last-leg">
        {WORDS.points(route.points.length)}
        {leg &&
          ` ${visibleText(leg.to)}: ${
            leg.set ? `${bearingText(leg.set.degrees)} ${leg.set.north}, ` : ''
          }${lengthText(leg.metres)}`}
      </p>
      {last && (
        <NameField
          key={`${route.points.length} ${last.name}`}
          id="map-point"
          label={WORDS.pointName}
          name={last.name}
          onName={onName}
        />
      )}
      <div className={styles.row}>
        <PressButton look="primary" large href={viewUrl('route', route.id)}>
          {WORDS.openRoute}
        </PressButton>
        <PressButton large disabled={!last} onClick={onUndo}>
          {SHARED_WORDS.undo}
        </PressButton>
      </div>
    </>
  );
}
