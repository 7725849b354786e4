import { addEntries } from '@/core/edit/command';
import { addLines } from '@/core/edit/settings';
import type { DeclinationSetting } from '@/core/model/header';
import type { FixDeclination } from '@/core/navigation/fix/fix-declination';
import type { FixDraft, FixHere } from '@/core/navigation/fix/fix-here';
import { logLinesOf } from '@/core/navigation/fix/log-fix-lines';
import type { KnownPlace } from '@/core/model/known-place';
import { fromEachNorth, shownBearing } from '@/core/north/norths';
import { placeTexts } from '@/core/place/place-text';
import { lengthText, bearingText } from '@/ui/units/shown';
import { roundedPosition } from '@/core/readings/position';
import { northShown, type Solution } from '@/core/survey/solution';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { useOnce } from '@/views/shared/data/use-once';
import { DeclinationLine } from './declination-line';
import { startAt } from './start-at';
import { clearedDraft } from './use-draft';
import styles from './fix.module.css';
import { WayTo } from './way-to';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  here: FixHere;
  solution: Solution;
  draft: FixDraft;
  declination: FixDeclination;
  /** Resolves to why it was not set, or null. */
  onDeclination: (setting: DeclinationSetting) => Promise<string | null>;
  open: OpenOuting | null;
  known: readonly KnownPlace[];
  change: (change: Partial<FixDraft>) => void;
  /** The result of the last action. It stays when a logged fix has left no bearings. */
  said: string | null;
  say: (said: string | null) => void;
}

/** Where one is, how sure, what disagrees, and what to do with it. */
export function Answer(props: Props) {
  const { here, solution, known } = props;
  const { found, warnings } = here;
  return (
    <section className={styles.answer} aria-label="Fix">
      <DeclinationLine
        declination={props.declination}
        outing={solution.outing}
        onSet={props.onDeclination}
      />
      {found ? <Sentence found={found} /> : here.sights.length === 0 && <p>{WORDS.none}</p>}
      <Slips here={here} />
      {here.sights.length > 0 &&
        warnings.map(({ code, message }) => (
          <p key={message} className={styles.warning} data-code={code}>
            {message}
          </p>
        ))}
      <Notes here={here} solution={solution} />
      {found && <Actions {...props} />}
      <p role="status">{props.said}</p>
      {found && (
        <>
          <WayTo solution={solution} found={found} known={known} counts={props.open !== null} />
          <Notations position={found.position} />
        </>
      )}
    </section>
  );
}

function Sentence({ found }: { found: NonNullable<FixHere['found']> }) {
  const { ellipse } = found.fix;
  const words = WORDS.sentence(found.position, ellipse.semiMajorMetres);
  return (
    <p className={styles.sentence} role="status" data-testid="fix-sentence">
      {words.before}
      {words.within}
      {words.between}
      <b>{words.place}</b>
      {words.square && <small className={styles.square}> in {words.square}</small>}.
    </p>
  );
}

/** The slip of one bearing that would explain why they don't agree. */
const Slips = ({ here: { slips, sights } }: { here: FixHere }) => (
  <>
    {slips.map(({ sight, says, probability }, index) => (
      <p key={index} className={styles.warning}>
        {WORDS.slip(nameAt(sights, sight), says, probability)}
      </p>
    ))}
  </>
);

/** The compass, the log, crossings and the next place to sight. */
function Notes({ here, solution }: { here: FixHere; solution: Solution }) {
  const { found, next, reckoned, crossings, fromLog } = here;
  const compass = found?.fix.compass;
  return (
    <>
      {crossings.length > 1 && (
        <p>
          {WORDS.crossings}{' '}
          {crossings
            .map(({ position, fix }) => WORDS.crossing(position, fix.ellipse.semiMajorMetres))
            .join('; ')}
          . {WORDS.ahead(nth(crossings, 0).fix.bearings[0]?.readDegrees ?? 0)}
        </p>
      )}
      {compass && <p>{WORDS.compassHere(compass.degrees, compass.sigmaDegrees)}</p>}
      {fromLog > 0 && <p className={layout.soft}>{WORDS.fromLog(fromLog)}</p>}
      {reckoned && (
        <p className={reckoned.asExpected ? undefined : styles.warning}>
          {WORDS.apart(reckoned.apartMetres, reckoned.asExpected)}
        </p>
      )}
      {found?.fix.cuts && <p className={layout.soft}>{WORDS.cut(found.fix.cuts.best)}</p>}
      {next && (
        <p data-testid="next-mark">
          {WORDS.next(
            next.mark.name,
            shownWords(solution, next.bearingDegrees),
            next.semiMajorMetres,
          )}
        </p>
      )}
    </>
  );
}

/** A direction from true north in the north that the outing shows, with its name. */
function shownWords(solution: Solution, degrees: number): string {
  const each = fromEachNorth({ degrees, north: 'true' }, solution.places.frame.norths);
  const shown = shownBearing(each, northShown(solution));
  return `${bearingText(shown.degrees)} ${shown.north}`;
}

/** The name of the n-th sight that could be used. */
const nameAt = (sights: FixHere['sights'], index: number): string =>
  sights.filter(({ sight }) => sight !== null)[index]?.place?.name ?? '';

function Actions({ here, solution, draft, open, change, say }: Props) {
  const [log, busy] = useOnce(async () => {
    if (!open) return;
    const lines = logLinesOf(solution, draft, here);
    const refused = outcomeMessage(await open.run(addEntries(lines)));
    say(refused ?? WORDS.logged);
    if (!refused) change(clearedDraft(draft));
  });
  const [setHere] = useOnce(async () => {
    if (!open || !here.found) return;
    const start = { ...solution.outing.start, position: roundedPosition(here.found.position) };
    say(outcomeMessage(await open.run(addLines([], { start }))) ?? WORDS.hereSaved);
  });
  const [start, starting] = useOnce(async () => {
    if (here.found) say(await startAt(here.found.position, solution.outing.declination));
  });
  return (
    <div className={styles.row}>
      {open ? (
        <PressButton look="primary" large busy={busy} onClick={() => void log()}>
          {WORDS.log}
        </PressButton>
      ) : (
        <PressButton look="primary" large busy={starting} onClick={() => void start()}>
          {WORDS.startHere}
        </PressButton>
      )}
      {open && isAtStart(solution) && (
        <PressButton onClick={() => void setHere()}>{WORDS.here}</PressButton>
      )}
    </div>
  );
}

/** True at a start that has no position yet: a fix there can be its position. */
const isAtStart = ({ current, outing }: Solution) =>
  current === 0 && outing.start.position === undefined;

/** The place in every notation, with a name for each. */
function Notations({ position }: { position: Parameters<typeof placeTexts>[0] }) {
  return (
    <details className={styles.details}>
      <summary>{WORDS.notations}</summary>
      <dl className={styles.notations}>
        {placeTexts(position).map(({ name, text, withinMetres }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{visibleText(withinMetres ? `${text} (±${lengthText(withinMetres)})` : text)}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
