'use client';
import { Button, Input } from 'antd';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState } from 'react';
import { threeDigits } from '@/core/angle';
import { addEntries, type Command } from '@/core/edit/command';
import { faultWords } from '@/core/fault-words';
import { way } from '@/core/home';
import { writeEntry } from '@/core/log-text/write-log';
import type { Entry, Leg } from '@/core/logbook';
import { onTheWay } from '@/core/on-the-way';
import { stationName, type Solution } from '@/core/solve';
import type { Outcome } from '@/store/outing-session';
import { STORE_WORDS } from '@/ui/store-words';
import { NORTH_WORDS } from '@/views/shared/norths/words';
import { ViewHeader } from '@/views/shared/view-header';
import { LINE_DIALOGS } from '@/views/spread/line-dialogs';
import { Search } from './search';
import styles from './walk.module.css';
import { passedWords, WORDS } from './words';

const LineForm = dynamic(() => import('@/views/spread/line-form').then((it) => it.LineForm), {
  ssr: false,
});
const BOX = LINE_DIALOGS.find(({ key }) => key === 'box')!;

const LETTER = { magnetic: 'M', true: 'T', grid: 'G' } as const;

interface Props {
  solution: Solution;
  run: (command: Command) => Promise<Outcome>;
}

/** The guided walk: bearing to hold, what to pass, stretches logged and the way worked out anew, arrival or search. */
export function WalkPage({ solution, run }: Props) {
  const { outing, current, end } = solution;
  const [count, setCount] = useState('');
  const [status, setStatus] = useState('');
  const [searching, setSearching] = useState(false);
  const [boxing, setBoxing] = useState(false);
  const home = way(solution, current, 0);
  const place = stationName(solution, 0);
  const shown = home.bearing[outing.show.north] === null ? 'magnetic' : outing.show.north;
  const bearing = home.bearing[shown] ?? 0;
  const paced = !Number.isNaN(end.paceLength);
  const passed = useMemo(() => onTheWay(solution, current, 0), [solution, current]);
  const atHome = current === 0;
  const closure = solution.closures.findLast(({ station }) => station === place);
  useEffect(() => {
    document.title = `${WORDS.title} · Cairn Back`;
  }, []);

  const save = async (entry: Entry): Promise<string | null> => {
    const outcome = await run(addEntries([entry]));
    if (outcome.kind === 'refused') return faultWords(outcome.fault);
    if (outcome.kind === 'unsaved') return STORE_WORDS[outcome.fault];
    setStatus(WORDS.logged(writeEntry(entry, 'magnetic').trim()));
    return null;
  };
  const stretch = async (arrived: boolean) => {
    const value = Number(count);
    if (count.trim() === '' || !(value > 0 && value <= 1e6)) return setStatus(WORDS.number);
    const leg: Leg = {
      kind: 'leg',
      bearing: { unit: 'degrees', value: Math.round(bearing) % 360, north: shown },
      distance: { unit: paced ? 'paces' : 'metres', value },
      ...(arrived ? { to: outing.start.name } : {}),
    };
    const fault = await save(leg);
    if (fault) setStatus(fault);
    else setCount('');
  };
  return (
    <div className={styles.page}>
      <ViewHeader
        title={WORDS.title}
        about={outing.name}
        back={{ href: `/way?id=${encodeURIComponent(outing.id)}`, words: WORDS.back }}
      />
      <main className={styles.main}>
        {atHome ? (
          <section className={styles.strip}>
            <p className={styles.sentence}>{WORDS.arrived(place)}</p>
            {closure && (
              <p data-testid="closed">
                {WORDS.closed(Math.round(closure.metres), (100 * closure.ofWalked).toFixed(1))}
              </p>
            )}
          </section>
        ) : (
          <section className={styles.strip} aria-label="Bearing to hold">
            <p className={styles.figure} data-testid="hold">
              {threeDigits(bearing)}
            </p>
            <p>{NORTH_WORDS[shown]}</p>
            <p className={styles.sentence} data-testid="left">
              {WORDS.left(
                Math.round(home.distanceMetres),
                home.paces === null ? null : Math.round(home.paces),
                place,
              )}
            </p>
          </section>
        )}
        {!atHome && !searching && (
          <>
            <p>{WORDS.hold}</p>
            <section aria-labelledby="passes">
              <h2 id="passes">{WORDS.passes}</h2>
              {passed.length === 0 ? (
                <p className={styles.soft}>{WORDS.nothing}</p>
              ) : (
                <ol className={styles.passes} data-testid="passes">
                  {passed.map((each) => (
                    <li key={each.what + each.alongMetres}>{passedWords(each, end.paceLength)}</li>
                  ))}
                </ol>
              )}
            </section>
            <label htmlFor="walked">{WORDS.walked(paced ? 'paces' : 'metres')}</label>
            <Input
              id="walked"
              value={count}
              onChange={(event) => setCount(event.target.value)}
              inputMode="decimal"
              autoComplete="off"
            />
            <div className={styles.actions}>
              <Button onClick={() => stretch(false)}>{WORDS.log}</Button>
              <Button type="primary" onClick={() => stretch(true)}>
                {WORDS.there}
              </Button>
              <Button
                href={`/count?id=${encodeURIComponent(outing.id)}&hold=${threeDigits(bearing).slice(0, 3)}${LETTER[shown]}`}
              >
                {WORDS.count}
              </Button>
              <Button disabled={solution.traverse.legs === 0} onClick={() => setBoxing(true)}>
                {WORDS.box}
              </Button>
              <Button href={`/outing?id=${encodeURIComponent(outing.id)}`}>{WORDS.detour}</Button>
              <Button onClick={() => setSearching(true)}>{WORDS.search}</Button>
            </div>
          </>
        )}
        <p role="status">{status}</p>
        {searching && !atHome && <Search solution={solution} onStop={() => setSearching(false)} />}
        <p className={styles.caution}>{WORDS.caution}</p>
      </main>
      {boxing && (
        <LineForm dialog={BOX} solution={solution} onSave={save} onClose={() => setBoxing(false)} />
      )}
    </div>
  );
}
