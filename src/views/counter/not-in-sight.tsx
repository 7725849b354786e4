import { Button } from 'antd';
import { nameKey } from '@/core/readings/name';
import { stationName, type Solution } from '@/core/survey/solution';
import { isEmpty, openBox, type Count } from '@/store/count';
import { leaveFor } from '@/store/browser-database';
import { useOnce } from '@/views/shared/data/use-once';
import { viewUrl } from '@/views/views';
import styles from './counter.module.css';
import { goalsOf } from './count/progress';
import type { CounterState } from './count/use-counter';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  counter: CounterState;
  count: Count;
}

/** So near the end of the count one stands still and looks. */
const NEAR_SHARE = 0.05;

/** At home by the count, and beyond: what is counted is logged, and the search begins there. */
export function NotInSight({ solution, counter, count }: Props) {
  const home = stationName(solution, 0);
  const goal = goalsOf(solution, count, counter.metres).find(({ name }) => name !== null);
  const isHome = nameKey(goal?.name ?? '') === nameKey(home);
  const [search] = useOnce(async () => {
    if (counter.bearing.trim() === '') return counter.setStatus(WORDS.whichBearing);
    // The leg that is logged now makes the station where the search begins.
    const from = solution.legs.count + 1;
    if ((await counter.log({ bearing: counter.bearing, station: '', note: '' })) !== null) return;
    const query = { search: String(from), pattern: 'square', walked: '0' };
    void leaveFor(viewUrl('walk', solution.outing.id, query));
  });
  const isThere = goal !== undefined && goal.leftMetres <= NEAR_SHARE * goal.metres;
  if (!isHome || !isThere || isEmpty(count) || openBox(count)) return null;
  return (
    <Button
      className={styles.notInSight}
      title={WORDS.notInSightAbout(home)}
      onClick={() => void search()}
    >
      {WORDS.notInSight}
    </Button>
  );
}
