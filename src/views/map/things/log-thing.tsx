import { Input } from 'antd';
import { useState } from 'react';
import { correctEntry, insertEntry, strikeEntry } from '@/core/edit/ink';
import { writeEntry, type Entry } from '@/core/entries/entry';
import type { Command } from '@/core/edit/command';
import { faultMessage } from '@/core/faults/messages';
import { northShown, type Solution, type SolvedLeg } from '@/core/survey/solution';
import { fromEachNorth, shownBearing } from '@/core/north/norths';
import { visibleText } from '@/core/units/visible';
import { bearingText, lengthText } from '@/ui/units/shown';
import { PressButton } from '@/ui/controls/press-button';
import { northAt, strikeNow, usePlaceOf } from '@/views/outing/entry/correction';
import { useInterpretation } from '@/views/outing/entry/use-interpretation';
import { WORDS as LOG_WORDS } from '@/views/outing/words';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { interpretationWords } from '@/views/shared/words/entry-words';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { WORDS } from '../words';
import type { ThingProps } from './thing-props';

/** A leg or a station of the outing in hand: what was logged, and what can be done with it. */
export function LogThing(props: ThingProps) {
  const { thing, context, open } = props;
  const { solution } = context;
  if (!solution || !open) return null;
  const leg = thing.number === null ? null : solution.legs.leg(thing.number);
  return leg ? (
    <LegOfLog key={thing.key} {...props} open={open} solution={solution} leg={leg} />
  ) : (
    <StationOfLog {...props} solution={solution} />
  );
}

/** The station of a mark; null for one that marks none. */
function stationOf({ legs, current }: Solution, mark: string | null): number | null {
  if (mark === 'start') return 0;
  if (mark === 'you') return current;
  const entry = /^s(\d+)$/.exec(mark ?? '')?.[1];
  return entry === undefined ? null : (legs.atEntry(Number(entry))?.to ?? null);
}

function StationOfLog({ thing, solution, onEnds }: ThingProps & { solution: Solution }) {
  const station = stationOf(solution, thing.mark);
  if (station === null || station === solution.current) return null;
  const ends = { from: solution.current, to: station };
  return (
    <div className={styles.row}>
      <PressButton onClick={() => onEnds(station === 0 ? null : ends)}>{WORDS.wayHere}</PressButton>
    </div>
  );
}

interface LegProps extends ThingProps {
  open: OpenOuting;
  solution: Solution;
  leg: SolvedLeg;
}

/** What is being done with the leg. */
type Doing = 'correct' | 'insert' | null;

function LegOfLog({ solution, open, leg, onChoose }: LegProps) {
  const [doing, setDoing] = useState<Doing>(null);
  const [said, setSaid] = useState<string | null>(null);
  const { outing, places } = solution;
  const { entry: index, metres, bearingDegrees, reading } = leg;
  const bearing = { degrees: bearingDegrees, north: places.frame.north };
  const shown = shownBearing(fromEachNorth(bearing, places.frame.norths), northShown(solution));
  const run = async (command: Command, done: string) => {
    const failed = outcomeMessage(await open.run(command));
    setSaid(failed ?? done);
    if (failed === null) setDoing(null);
    return failed === null;
  };
  const strike = async () => {
    if (await run(strikeEntry(index, reading, strikeNow('')), '')) onChoose(null);
  };
  return (
    <>
      <p className={styles.big}>
        {`${bearingText(shown.degrees)} ${shown.north}, ${lengthText(metres)}`}
      </p>
      <p>
        <code>{writeEntry(reading, northAt(outing, index)).trim()}</code>
      </p>
      {doing === null ? (
        <div className={styles.row}>
          <PressButton onClick={() => setDoing('correct')}>{LOG_WORDS.edit}</PressButton>
          <PressButton onClick={() => setDoing('insert')}>{LOG_WORDS.insert}</PressButton>
          <PressButton onClick={() => void strike()}>{LOG_WORDS.strike}</PressButton>
          <PressButton look="plain" href={viewUrl('outing', outing.id, { leg: `${leg.number}` })}>
            {WORDS.inLog}
          </PressButton>
        </div>
      ) : (
        <LineField
          label={doing === 'correct' ? LOG_WORDS.edit : LOG_WORDS.insert}
          first={doing === 'correct' ? writeEntry(reading, northAt(outing, index)).trim() : ''}
          index={index}
          solution={solution}
          open={open}
          onCancel={() => setDoing(null)}
          onSave={(entry) =>
            run(
              doing === 'correct'
                ? correctEntry(index, reading, entry, strikeNow(''))
                : insertEntry(index, reading, entry),
              LOG_WORDS.saved(visibleText(writeEntry(entry, northAt(outing, index)).trim())),
            )
          }
        />
      )}
      <p role="status">{said}</p>
    </>
  );
}

interface FieldProps {
  label: string;
  first: string;
  /** The line that is written to. */
  index: number;
  solution: Solution;
  open: OpenOuting;
  onSave: (entry: Entry) => Promise<unknown>;
  onCancel: () => void;
}

/** A line of the log as it would be typed, read where it stands. */
function LineField({ label, first, index, solution, open, onSave, onCancel }: FieldProps) {
  const [text, setText] = useState(first);
  const place = usePlaceOf(index, solution, open.models);
  const { found, settled } = useInterpretation(text, place);
  const save = async () => {
    const read = await settled();
    if (read.kind === 'entry') await onSave(read.entry);
  };
  return (
    <div className={styles.form}>
      <label htmlFor="map-line">{label}</label>
      <Input
        id="map-line"
        value={text}
        autoFocus
        autoComplete="off"
        spellCheck={false}
        status={found.kind === 'fault' ? 'error' : ''}
        onChange={(event) => setText(event.target.value)}
        onPressEnter={() => void save()}
        onKeyDown={(event) => event.key === 'Escape' && onCancel()}
      />
      <p role={found.kind === 'fault' ? 'alert' : undefined}>
        {found.kind === 'fault' ? faultMessage(found.fault) : interpretationWords(found)}
      </p>
      <div className={styles.row}>
        <PressButton look="primary" disabled={found.kind !== 'entry'} onClick={() => void save()}>
          {LOG_WORDS.saveThis}
        </PressButton>
        <PressButton look="plain" onClick={onCancel}>
          {LOG_WORDS.cancel}
        </PressButton>
      </div>
    </div>
  );
}
