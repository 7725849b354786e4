import { useState } from 'react';
import { addEntries, type Command } from '@/core/edit/command';
import { countedAfterwards, uncountedArrival } from '@/core/edit/counted-afterwards';
import { way } from '@/core/navigation/ways/way';
import { writeEntry, type Entry, type Leg } from '@/core/entries/entry';
import { shownBearing } from '@/core/north/norths';
import { homeMeans, type HomeMeans } from '@/core/survey/home-means';
import { backHere } from '@/core/edit/back-here';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import type { Bearing } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import type { Outcome } from '@/store/outing-session';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOnce } from '@/views/shared/data/use-once';
import { stageOf, stationsLeft } from '@/views/shared/ways/chosen-way';
import type { Address } from './use-address';
import { WORDS } from './words';

const MOST_METRES = 1e6;

/** What ends a stretch: nothing yet, the line, or the station that it leads to. */
export type End = 'on-the-way' | 'line' | 'station';

type Unit = 'minutes' | 'metres' | 'paces';

/** A leg on a bearing, by the means of the walk home. */
function legBy(
  { ground, kilometresPerHour }: HomeMeans,
  unit: Unit,
  { degrees, north }: Bearing,
  value: number,
  to?: string,
): Leg {
  return {
    kind: 'leg',
    bearing: { unit: 'degrees', value: Math.round(degrees) % 360, north },
    distance:
      unit === 'minutes'
        ? { unit, value, kilometresPerHour: kilometresPerHour ?? 0 }
        : { unit, value },
    ...(ground !== undefined && unit === 'paces' ? { ground } : {}),
    ...(to === undefined ? {} : { to }),
  };
}

/** Metres as a count in the unit of the walk home, to a tenth. */
export function countInUnit(metres: Metres, unit: Unit, means: HomeMeans): number {
  const tenths = (value: number) => Math.round(10 * value) / 10;
  if (unit === 'paces') return Math.round(metres / (means.paceMetres ?? 1));
  if (unit === 'minutes') return tenths((60 * metres) / 1000 / (means.kilometresPerHour ?? 1));
  return tenths(metres);
}

/** Logs lines, and keeps what is said of them. */
function useLines(
  solution: Solution,
  run: (command: Command) => Promise<Outcome>,
  means: HomeMeans,
  unit: Unit,
) {
  const [status, setStatus] = useState('');
  /** Resolves to why the line was not logged, or null. */
  const save = async (entry: Entry): Promise<string | null> => {
    const failed = outcomeMessage(
      await run(addEntries([...(entry.kind === 'leg' ? backHere(solution) : []), entry])),
    );
    if (failed === null) setStatus(WORDS.logged(writeEntry(entry, 'magnetic').trim()));
    return failed;
  };
  /** Logs a leg by the means of the walk home; resolves to whether it was. */
  const logLeg = async (
    bearing: Bearing,
    value: number,
    { to, note }: { to?: string | undefined; note?: string } = {},
  ): Promise<boolean> => {
    const leg = legBy(means, unit, bearing, value, to);
    const failed = await save({ ...leg, ...(note !== undefined && { note }) });
    if (failed) setStatus(failed);
    return failed === null;
  };
  return { status, setStatus, save, logLeg };
}

/** The count of a way whose end was said before: the leg takes the place of that line. */
function useAfterwards(
  solution: Solution,
  run: (command: Command) => Promise<Outcome>,
  unit: Unit,
  setStatus: (words: string) => void,
  wanted: () => number | null,
  setCount: (text: string) => void,
) {
  const uncounted = uncountedArrival(solution);
  const [logAfterwards] = useOnce(async () => {
    const value = wanted();
    if (!uncounted || value === null) return;
    const { bearing } = way(solution, uncounted.from, solution.current);
    const to = stationName(solution, solution.current);
    const set = shownBearing(bearing, northShown(solution));
    const leg = legBy(homeMeans(solution.end), unit, set, value, to);
    const failed = outcomeMessage(await run(countedAfterwards(uncounted, leg)));
    setStatus(failed ?? WORDS.logged(writeEntry(leg, 'magnetic').trim()));
    if (failed === null) setCount('');
  });
  return { uncounted, logAfterwards };
}

/** The walk home by the chosen way: the bearing to follow, and what is logged on it. */
export function useWalk(
  solution: Solution,
  run: (command: Command) => Promise<Outcome>,
  address: Address,
) {
  const { end } = solution;
  const [count, setCount] = useState('');
  const stage = stageOf(address.query, solution);
  const follow = shownBearing(stage.bearing, northShown(solution));
  const means = homeMeans(end);
  const unit: Unit =
    means.kilometresPerHour !== null ? 'minutes' : means.paceMetres === null ? 'metres' : 'paces';

  const lines = useLines(solution, run, means, unit);
  const { setStatus, save, logLeg } = lines;
  const wanted = () => {
    const value = Number(count);
    const good = count.trim() !== '' && value > 0 && value <= MOST_METRES;
    if (!good) setStatus(WORDS.number);
    return good ? value : null;
  };
  /** Logs what was walked on the bearing, and goes on to what follows where it ends. */
  const [logStretch] = useOnce(async (ending: End) => {
    const { target } = stage;
    const to = ending === 'station' && target !== null ? stationName(solution, target) : undefined;
    const isUncounted = count.trim() === '' && ending !== 'on-the-way';
    if (isUncounted) {
      // No figure was read, so none is written: the log says where one is, and does not close.
      const failed = to === undefined ? null : await save({ kind: 'here', station: to });
      if (failed !== null) return setStatus(failed);
      setStatus(WORDS.uncounted);
    } else {
      const value = wanted();
      if (value === null || !(await logLeg(follow, value, { to }))) return;
      setCount('');
    }
    if (ending === 'line') address.change({ line: null, side: null, met: stage.met });
    if (ending === 'station') {
      const left = stationsLeft(address.query, solution).filter((each) => each !== target);
      address.change({ via: left.length > 0 ? left.join(',') : null, met: null });
    }
  });
  const afterwards = useAfterwards(solution, run, unit, lines.setStatus, wanted, setCount);
  const planned = countInUnit(stage.distanceMetres, unit, means);
  /** Logs the stretch as far as it was counted, or as was planned where nobody did: it says so. */
  const [logUnseen] = useOnce(async (isCounted: boolean): Promise<boolean> => {
    const value = isCounted ? wanted() : planned;
    const note = isCounted ? {} : { note: WORDS.assumed };
    if (value === null || !(await logLeg(follow, value, note))) return false;
    setCount('');
    return true;
  });
  const logs = { logStretch, logUnseen, planned, ...afterwards };
  return { stage, follow, unit, means, count, setCount, ...lines, ...logs };
}

export type Walk = ReturnType<typeof useWalk>;
