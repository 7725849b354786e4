'use client';
import { Button, Radio } from 'antd';
import { useState } from 'react';
import { backBearing, threeDigits } from '@/core/angle';
import { missAtHome, way } from '@/core/home';
import type { Entry, Leg } from '@/core/logbook';
import { bearingDegrees } from '@/core/reading';
import { stationName, type Solution } from '@/core/solve';
import { distanceWords, entryWords, slopeWords, windWords } from '@/views/shared/entry-words';
import { NORTH_WORDS, northsSentence } from '@/views/shared/norths/words';
import { PlainPage } from '@/views/shared/plain-page';
import { PlainSketch } from '@/views/shared/plain-sketch';
import { useNamedSolution } from '@/views/shared/use-solution';
import { ViewHeader } from '@/views/shared/view-header';
import styles from './paper.module.css';

type Size = 'a4' | 'a5';
/** Empty lines to go on by hand. */
const BLANK_LINES: Readonly<Record<Size, number>> = { a4: 6, a5: 4 };
const COLUMNS = 7;

/** One printed page for when the screen dies: log, sketch, way home, norths, cautions, and lines to go on by hand. */
export function Paper() {
  const found = useNamedSolution();
  return 'solution' in found ? <Sheet solution={found.solution} /> : <PlainPage {...found} />;
}

function Sheet({ solution }: { solution: Solution }) {
  const [size, setSize] = useState<Size>('a4');
  const { outing, norths, end, current } = solution;
  const home = way(solution, current, 0);
  const shown = home.bearing[outing.show.north] === null ? 'magnetic' : outing.show.north;
  const doubt = 5 * Math.ceil(missAtHome(solution, current, 0).semiMajorMetres / 5);
  const landmarks = outing.entries.filter((entry) => entry.kind === 'landmark');
  return (
    <div className={styles.page}>
      <div className={styles.screen}>
        <ViewHeader
          title="Paper"
          about={outing.name}
          back={{ href: `/way?id=${encodeURIComponent(outing.id)}`, words: 'Back to the way home' }}
        />
        <nav className={styles.choices} aria-label="Printing">
          <Radio.Group
            aria-label="Size of the paper"
            value={size}
            onChange={(event) => setSize(event.target.value as Size)}
            optionType="button"
            buttonStyle="solid"
            options={[
              { value: 'a4', label: 'A4' },
              { value: 'a5', label: 'A5' },
            ]}
          />
          <Button type="primary" onClick={() => window.print()}>
            Print
          </Button>
        </nav>
      </div>
      <main className={styles.sheet} data-size={size}>
        {/* The size of the sheet belongs to the print, and can only be said in a style of the page. */}
        <style>{`@page { size: ${size === 'a4' ? 'A4' : 'A5'}; margin: 10mm; }`}</style>
        <h2>{outing.name || 'Outing'}</h2>
        <p>
          {[outing.date?.day, outing.date?.time].filter(Boolean).join(' ')} ·{' '}
          {northsSentence(norths, end.read, outing.show.north)}
        </p>
        <p className={styles.home}>
          {home.distanceMetres < 1
            ? `At ${stationName(solution, 0)}.`
            : `Home: ${threeDigits(home.bearing[shown] ?? 0)} ${NORTH_WORDS[shown]}, ${Math.round(home.distanceMetres)} m${home.paces === null ? '' : `, ${Math.round(home.paces)} paces`}, ${windWords(home.wind)}, to ${stationName(solution, 0)}. Within ${doubt} m nineteen times in twenty.`}
        </p>
        {landmarks.length > 0 && (
          <p>You are back when you see: {landmarks.map(({ what }) => what).join('; ')}.</p>
        )}
        <div className={styles.both}>
          <table className={styles.log}>
            <thead>
              <tr>
                {['no.', 'from', 'bearing', 'back', 'counted', 'm', 'note'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {logRows(solution).map((cells, row) => (
                <tr key={row}>
                  {cells.length === 1 ? (
                    <>
                      <td />
                      <td colSpan={COLUMNS - 1}>{cells[0]}</td>
                    </>
                  ) : (
                    cells.map((cell, index) => <td key={index}>{cell}</td>)
                  )}
                </tr>
              ))}
              {Array.from({ length: BLANK_LINES[size] }, (_, index) => (
                <tr key={`blank-${index}`} className={styles.blank}>
                  {Array.from({ length: COLUMNS }, (_cell, cell) => (
                    <td key={cell} />
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <PlainSketch solution={solution} />
        </div>
        <p className={styles.small}>
          The straight line ignores cliffs, water and private land. Keep iron and phone away from
          the compass. Unsure: stop, sit down, think, look, plan. Lost at dusk: stay put. Local
          rules and the local rescue service come first.
        </p>
      </main>
    </div>
  );
}

/** Lines that the paper has elsewhere: in the column "from", at its head, or not at all. */
const ELSEWHERE: ReadonlySet<Entry['kind']> = new Set(['struck', 'right', 'from', 'landmark']);
/** What belongs to the leg before it, and stands in its note. */
const WITH_LEG: ReadonlySet<Entry['kind']> = new Set(['at', 'see', 'passed', 'box']);

/** The log as cells: a leg's number, from, bearing, back bearing, count, metres, name and note; of another line its words alone. */
function logRows(solution: Solution): string[][] {
  const rows: string[][] = [];
  let leg = 0;
  for (const entry of solution.outing.entries) {
    const before = rows.at(-1);
    if (ELSEWHERE.has(entry.kind)) continue;
    if (entry.kind === 'leg') rows.push(legCells(solution, entry, ++leg));
    else if (WITH_LEG.has(entry.kind) && before?.length === COLUMNS) {
      before[COLUMNS - 1] = [before.at(-1), lineWords(entry)].filter(Boolean).join('; ');
    } else rows.push([lineWords(entry)]);
  }
  return rows;
}

const lineWords = (entry: Entry): string =>
  [entryWords(entry, null), 'note' in entry ? entry.note : ''].filter(Boolean).join(', ');

function legCells(solution: Solution, entry: Leg, leg: number): string[] {
  const bearing = bearingDegrees(entry.bearing);
  const letter = { magnetic: '', true: ' T', grid: ' G' }[entry.bearing.north];
  const words = [entry.to, entry.ground, slopeWords(entry), entry.time, entry.note];
  return [
    String(leg),
    stationName(solution, solution.traverse.from[leg]!),
    threeDigits(bearing) + letter,
    threeDigits(backBearing(bearing)) + letter,
    distanceWords(entry.distance),
    String(Math.round(solution.traverse.lengthMetres[leg]!)),
    words.filter(Boolean).join(', '),
  ];
}
