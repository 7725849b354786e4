import { useState } from 'react';
import { addEntry, type Command } from '@/core/edit/command';
import { writeEntry, type Entry, type Leg } from '@/core/entries/entry';
import { wayHome } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { generalPace } from '@/core/survey/log-state';
import { northShown, type Solution } from '@/core/survey/solution';
import type { Outcome } from '@/store/outing-session';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useOnce } from '@/views/shared/data/use-once';
import { WORDS } from './words';

const MOST_METRES = 1e6;

/** The walk home: the bearing to follow, and what is logged on it. */
export function useWalk(solution: Solution, run: (command: Command) => Promise<Outcome>) {
  const { outing, end } = solution;
  const [count, setCount] = useState('');
  const [status, setStatus] = useState('');
  const home = wayHome(solution);
  const follow = shownBearing(home.bearing, northShown(solution));
  const unit = generalPace(end) === null ? 'metres' : 'paces';

  /** Resolves to why the line was not logged, or null. */
  const save = async (entry: Entry): Promise<string | null> => {
    const failed = outcomeMessage(await run(addEntry(entry)));
    if (failed === null) setStatus(WORDS.logged(writeEntry(entry, 'magnetic').trim()));
    return failed;
  };
  /** Logs what was walked on the bearing: on the way, or as the stretch that ends at home. */
  const [logStretch] = useOnce(async (arrived: boolean) => {
    const value = Number(count);
    if (count.trim() === '' || !(value > 0 && value <= MOST_METRES)) {
      return setStatus(WORDS.number);
    }
    const leg: Leg = {
      kind: 'leg',
      bearing: { unit: 'degrees', value: Math.round(follow.degrees) % 360, north: follow.north },
      distance: { unit, value },
      ...(arrived ? { to: outing.start.name } : {}),
    };
    const failed = await save(leg);
    if (failed) setStatus(failed);
    else setCount('');
  });
  return { home, follow, unit, count, setCount, status, save, logStretch };
}

export type Walk = ReturnType<typeof useWalk>;
