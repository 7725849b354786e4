import type { RouteWarning } from '@/core/checks/route/route-check';
import { planTime } from '@/core/navigation/route/clock';
import { catchingWords, legInWords } from '@/core/navigation/route/in-words';
import type { PlannedAim, RouteLeg } from '@/core/navigation/route/leg';
import type { Plan } from '@/core/navigation/route/plan';
import { bearingText, lengthText, figureUnits } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { sumLines } from '@/views/declination/words';
import styles from '../route.module.css';
import { sideWords, WORDS } from '../words';

interface Props {
  plan: Plan;
  leg: RouteLeg;
  warnings: readonly RouteWarning[];
}

const setText = ({ set }: RouteLeg) =>
  set ? `${bearingText(set.degrees)} ${set.north}` : WORDS.noBearing;

/** A leg in one line: bearing to set, metres, paces, and the time of arrival. */
export const LegLine = ({ plan, leg }: Omit<Props, 'warnings'>) => (
  <span className={styles.legLine}>
    <b className={styles.figure}>{setText(leg)}</b>
    {leg.aim?.ok && leg.direct && (
      <span className={styles.soft}>{WORDS.direct(bearingText(leg.direct.degrees))}</span>
    )}
    <span className={styles.figure}>{lengthText(leg.metres)}</span>
    {leg.paces !== null && <span>{WORDS.paces(leg.paces)}</span>}
    <span className={styles.soft}>{WORDS.by(planTime(plan, leg.minutesFromStart))}</span>
  </span>
);

/** All that is planned for a leg, and all that follows from it. */
export function LegAbout({ plan, leg, warnings }: Props) {
  const { handrail, dangers = [], aimOff, ground } = leg.plan;
  const catching = catchingWords(leg, figureUnits());
  return (
    <div className={styles.about}>
      <p>
        {WORDS.inWords(legInWords(leg))} {ground && `${WORDS.ground(ground)}.`}
      </p>
      <p>
        {WORDS.within(leg.ellipse.semiMajorMetres)}, {WORDS.sight(leg.chance)}.{' '}
        {leg.number > 1 && `${WORDS.withinFromStart(leg.ellipseFromStart.semiMajorMetres)}.`}
      </p>
      {handrail && (
        <p>
          <b>{WORDS.handrail}:</b> {visibleText(handrail)}
        </p>
      )}
      {leg.ticks.length > 0 && (
        <ul className={styles.ticks} aria-label={WORDS.ticks}>
          {leg.ticks.map(({ metres, side, what, paces, minutesFromStart }, index) => (
            <li key={index}>
              {WORDS.tick(
                lengthText(metres),
                paces === null ? '' : ` (${WORDS.paces(paces)})`,
                sideWords(side),
                visibleText(what),
                planTime(plan, minutesFromStart),
              )}
            </li>
          ))}
        </ul>
      )}
      {leg.aim?.ok && aimOff && <AimLine aim={leg.aim} what={aimOff.what} side={aimOff.side} />}
      {catching && (
        <p>
          <b>{WORDS.catching}:</b> {visibleText(catching)}
        </p>
      )}
      {dangers.map((danger, index) => (
        <p key={index} className={styles.warning}>
          <b>{WORDS.danger}:</b> {visibleText(danger)}
        </p>
      ))}
      {warnings.map(({ code, message }) => (
        <p key={`${code} ${message}`} className={styles.warning} data-code={code}>
          {visibleText(message)}
        </p>
      ))}
      <GridSum leg={leg} />
    </div>
  );
}

function AimLine({
  aim: { aim, set, along },
  what,
  side,
}: {
  aim: PlannedAim & { ok: true };
  what: string;
  side: string;
}) {
  const bearing = `${bearingText(along.degrees)} ${along.north}`;
  const to = set ? `${bearingText(set.degrees)} ${set.north}` : WORDS.noBearing;
  return (
    <p>
      <b>{WORDS.aim}:</b>{' '}
      {WORDS.aimWords(side, visibleText(what), bearing, lengthText(aim.alongMetres), aim.turn, to)}
    </p>
  );
}

/** The sum from the map's bearing to the compass's, as it is done by hand. */
function GridSum({ leg: { gridToMagnetic } }: { leg: RouteLeg }) {
  if (!gridToMagnetic) return null;
  return (
    <details className={styles.details}>
      <summary>{WORDS.sumWords}</summary>
      <table className={styles.sum}>
        <tbody>
          {sumLines(gridToMagnetic).map(({ sign, figure, words }) => (
            <tr key={words}>
              <td>{sign}</td>
              <td className={styles.figure}>{figure}</td>
              <td>{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
