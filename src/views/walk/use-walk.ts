import { useState } from 'react';
import { addEntry, type Command } from '@/core/edit/command';
import { writeEntry, type Entry, type Leg } from '@/core/entries/entry';
import { shownBearing } from '@/core/north/norths';
import { homeMeans, type HomeMeans } from '@/core/survey/home-means';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import type { Bearing } from '@/core/units/bearing';
import type { Outcome } from '@/store/outing-session';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOnce } from '@/views/shared/data/use-once';
import { stageOf, stationsLeft } from './chosen-way';
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

/** The walk home by the chosen way: the bearing to follow, and what is logged on it. */
export function useWalk(
  solution: Solution,
  run: (command: Command) => Promise<Outcome>,
  address: Address,
) {
  const { end } = solution;
  const [count, setCount] = useState('');
  const [status, setStatus] = useState('');
  const stage = stageOf(address.query, solution);
  const follow = shownBearing(stage.bearing, northShown(solution));
  const means = homeMeans(end);
  const unit: Unit =
    means.kilometresPerHour !== null ? 'minutes' : means.paceMetres === null ? 'metres' : 'paces';

  /** Resolves to why the line was not logged, or null. */
  const save = async (entry: Entry): Promise<string | null> => {
    const failed = outcomeMessage(await run(addEntry(entry)));
    if (failed === null) setStatus(WORDS.logged(writeEntry(entry, 'magnetic').trim()));
    return failed;
  };
  /** Logs a leg by the means of the walk home; resolves to whether it was. */
  const logLeg = async (bearing: Bearing, value: number, to?: string): Promise<boolean> => {
    const failed = await save(legBy(means, unit, bearing, value, to));
    if (failed) setStatus(failed);
    return failed === null;
  };
  const wanted = () => {
    const value = Number(count);
    const good = count.trim() !== '' && value > 0 && value <= MOST_METRES;
    if (!good) setStatus(WORDS.number);
    return good ? value : null;
  };
  /** Logs what was walked on the bearing, and goes on to what follows where it ends. */
  const [logStretch] = useOnce(async (ending: End) => {
    const value = wanted();
    if (value === null) return;
    const { target } = stage;
    const to = ending === 'station' && target !== null ? stationName(solution, target) : undefined;
    if (!(await logLeg(follow, value, to))) return;
    setCount('');
    if (ending === 'line') address.change({ line: null, side: null, met: stage.met });
    if (ending === 'station') {
      const left = stationsLeft(address.query, solution).filter((each) => each !== target);
      address.change({ via: left.length > 0 ? left.join(',') : null, met: null });
    }
  });
  return {
    stage,
    follow,
    unit,
    means,
    count,
    setCount,
    status,
    setStatus,
    save,
    logLeg,
    logStretch,
  };
}

export type Walk = ReturnType<typeof useWalk>;
