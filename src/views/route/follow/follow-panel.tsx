import { useState } from 'react';
import { followLines, replannedFrom, type Followed } from '@/core/navigation/route/follow';
import { fixHere } from '@/core/navigation/fix/fix-here';
import { wayFromFix } from '@/core/navigation/fix/way-from';
import { shownBearing } from '@/core/north/norths';
import { planTime } from '@/core/navigation/route/clock';
import { catchingWords, legInWords } from '@/core/navigation/route/in-words';
import type { Plan } from '@/core/navigation/route/plan';
import { backHere } from '@/core/edit/back-here';
import { addEntries } from '@/core/edit/command';
import { northShown, type Solution } from '@/core/survey/solution';
import { bearingDigits } from '@/core/units/angle';
import { bearingText, lengthText, figureUnits, lengthUnit } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { routeLogs } from '@/store/documents/routes';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { useOnce } from '@/views/shared/data/use-once';
import { useKeptDraft } from '@/views/fix/use-draft';
import { useKnown } from '@/views/fix/use-known';
import { viewUrl } from '@/views/views';
import styles from '../route.module.css';
import { sideWords, WORDS } from '../words';
import { arrivalEntries, expectedEntry } from './arrival-entries';
import { keepDraft, ownLength, type Draft } from '@/views/outing/entry/keypad-draft';
import { contextAtEnd } from '@/core/log-text/interpret';
import { bearingKeys } from '@/views/outing/entry/bearing-keys';

/** The keypad with the way to the next point on it: bearing, and paces or metres. */
function keypadDraft(solution: Solution, { way, next }: Followed): Draft {
  const { north } = contextAtEnd(solution);
  const degrees = way?.bearing[north] ?? null;
  const paces = way?.paces ?? null;
  const count = paces ?? (way ? way.distanceMetres / lengthUnit().metres : 0);
  return {
    bearing: degrees === null ? '' : bearingKeys().ofDegrees(degrees),
    count: String(Math.max(1, Math.round(count))),
    unit: paces === null ? ownLength() : 'p',
    ground: paces === null ? undefined : next?.plan.ground,
    part: 'count',
  };
}

interface Props {
  plan: Plan;
  followed: Followed;
  solution: Solution;
  log: OpenOuting;
}

/** Nearer than this to the planned line one is on it, as far as anyone can tell. */
const ON_LINE_METRES = 10;

/** The way to the next point, what comes up, and planned beside walked. */
export function FollowPanel({ plan, followed, solution, log }: Props) {
  const [said, setSaid] = useState<string | null>(null);
  const { next, reached, here } = followed;
  const [arrive, isLogging] = useOnce(async () => {
    const entries = arrivalEntries(followed);
    if (entries)
      setSaid(outcomeMessage(await log.run(addEntries([...backHere(solution), ...entries]))));
  });
  const [replan] = useOnce(async () => {
    if (!here) return;
    const route = replannedFrom(plan, here, reached, crypto.randomUUID());
    await routeLogs.add(browserDatabase(), route, new Date());
    const failed = outcomeMessage(await log.run(addEntries(followLines(route))));
    if (failed !== null) return setSaid(failed);
    void leaveFor(viewUrl('route', route.id, { outing: solution.outing.id }));
  });
  return (
    <section aria-label={WORDS.following} data-testid="following">
      {next ? (
        <NextLeg plan={plan} followed={followed} solution={solution} log={log} />
      ) : (
        <p>{WORDS.done}</p>
      )}
      <div className={styles.row}>
        {next && followed.way && (
          <PressButton busy={isLogging} onClick={() => void arrive()} title={WORDS.thereHelp}>
            {WORDS.there(visibleText(next.to))}
          </PressButton>
        )}
        <PressButton href={viewUrl('outing', solution.outing.id)}>{WORDS.openLog}</PressButton>
        <PressButton href={viewUrl('fix', solution.outing.id)}>{WORDS.fix}</PressButton>
        <PressButton
          href={viewUrl('map', plan.route.picture, {
            route: plan.route.id,
            outing: solution.outing.id,
          })}
        >
          {WORDS.onMap}
        </PressButton>
        {next && here && <PressButton onClick={() => void replan()}>{WORDS.replan}</PressButton>}
      </div>
      <p role="status">{said}</p>
      {followed.compared.length > 0 && <ComparedTable followed={followed} />}
    </section>
  );
}

/** What to set and how far to walk, how far off the line one is, and what is passed. */
function NextLeg({ plan, followed, solution, log }: Props) {
  const { next, way, set, alongMetres, rightMetres, within95Metres, reached } = followed;
  if (!next) return null;
  const isOff = Math.abs(rightMetres) > ON_LINE_METRES;
  const ahead = next.ticks.filter(({ metres }) => metres > alongMetres);
  const catching = catchingWords(next, figureUnits());
  return (
    <>
      <h2>{WORDS.nextPoint(visibleText(next.to))}</h2>
      {way && set ? (
        <p className={styles.next} data-testid="next-way">
          {WORDS.wayTo(
            `${bearingText(set.degrees)} ${set.north}`,
            lengthText(way.distanceMetres),
            way.paces === null ? '' : `: ${WORDS.paces(way.paces)}`,
          )}
        </p>
      ) : (
        <p className={styles.warning}>{WORDS.nowhere}</p>
      )}
      {way && (
        <p>
          {WORDS.within(within95Metres)}. {WORDS.inWords(legInWords(next))}
        </p>
      )}
      <Aimed followed={followed} />
      <ByFix plan={plan} followed={followed} solution={solution} />
      {way && solution.current !== 0 && reached >= 0 && (
        <p data-testid="off-line">
          {isOff
            ? WORDS.offLine(
                lengthText(Math.abs(rightMetres)),
                rightMetres > 0 ? WORDS.sides.right : WORDS.sides.left,
              )
            : WORDS.onLine}
        </p>
      )}
      {ahead.length > 0 && (
        <ul className={styles.ticks} aria-label={WORDS.ticks}>
          {ahead.map(({ metres, side, what, minutesFromStart }, index) => (
            <li key={index}>
              {WORDS.tick(
                lengthText(metres - alongMetres),
                '',
                sideWords(side),
                visibleText(what),
                planTime(plan, minutesFromStart),
              )}
            </li>
          ))}
        </ul>
      )}
      {catching && <p>{visibleText(catching)}</p>}
      <CountTo followed={followed} solution={solution} log={log} />
    </>
  );
}

/** What is met beside the point, where the leg aims off on purpose. */
function Aimed({ followed: { next, set } }: Pick<Props, 'followed'>) {
  const { aimOff } = next?.plan ?? {};
  if (!next?.aim?.ok || !aimOff || set !== next.set) return null;
  const { turn, alongMetres } = next.aim.aim;
  return (
    <p data-testid="aimed">
      {WORDS.aimedOff(aimOff.side, visibleText(aimOff.what), turn, lengthText(alongMetres))}
    </p>
  );
}

/** The way from a fix that was taken on this outing, beside the one from the log. */
function ByFix({ plan, followed: { next }, solution }: Omit<Props, 'log'>) {
  const known = useKnown();
  const draft = useKeptDraft(solution.outing.id);
  const { found } = fixHere(solution, draft, known.places);
  const position = next && plan.positions[next.number];
  if (!found || !next || !position) return null;
  const way = wayFromFix(solution, found, { name: next.to, position });
  const set = shownBearing(way.bearing, northShown(solution));
  return (
    <p data-testid="by-fix">
      {WORDS.byFix(
        `${bearingText(set.degrees)} ${set.north}`,
        lengthText(way.distanceMetres),
        WORDS.within(way.within95Metres),
      )}
    </p>
  );
}

/** To the counter or the keypad, set for the way; the log notes which way the leg should go. */
function CountTo({ followed, solution, log }: Omit<Props, 'plan'>) {
  const { next, way, set } = followed;
  if (!next || !way || !set) return null;
  const { id, entries } = solution.outing;
  const expectFirst = async () => {
    if (entries.at(-1)?.kind !== 'expect') await log.run(addEntries([expectedEntry(next)]));
  };
  const count = async () => {
    await expectFirst();
    const follow = `${bearingDigits(set.degrees)}${set.north === 'magnetic' ? '' : set.north[0]}`;
    // A counter of paces alone has no use for metres.
    const counts = solution.places.frame.unit === 'metre';
    const goal = counts ? { metres: way.distanceMetres.toFixed(0) } : null;
    void leaveFor(viewUrl('counter', id, { follow, ...goal, to: next.to }));
  };
  const keyIn = async () => {
    await expectFirst();
    keepDraft(id, keypadDraft(solution, followed));
    void leaveFor(`${viewUrl('outing', id)}#keypad`);
  };
  return (
    <div className={styles.row}>
      <PressButton look="primary" large onClick={() => void count()}>
        {WORDS.count}
      </PressButton>
      <PressButton large onClick={() => void keyIn()}>
        {WORDS.keypad}
      </PressButton>
    </div>
  );
}

const ComparedTable = ({ followed: { compared } }: { followed: Followed }) => (
  <details className={styles.details} open>
    <summary>{WORDS.walked}</summary>
    <div className={styles.scroll}>
      <table className={styles.compared}>
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">{WORDS.plannedColumn}</th>
            <th scope="col">{WORDS.walkedColumn}</th>
            <th scope="col">{WORDS.offColumn}</th>
          </tr>
        </thead>
        <tbody>
          {compared.map(({ leg, walkedMetres, walkedTrueDegrees, offMetres }) => (
            <tr key={leg.number}>
              <th scope="row">{visibleText(leg.to)}</th>
              <td className={styles.figure}>
                {leg.bearing.true !== null && `${bearingDigits(leg.bearing.true)} T `}
                {lengthText(leg.metres)}
              </td>
              <td className={styles.figure}>
                {walkedTrueDegrees !== null && `${bearingDigits(walkedTrueDegrees)} T `}
                {lengthText(walkedMetres)}
              </td>
              <td className={styles.figure}>{lengthText(offMetres)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  </details>
);
