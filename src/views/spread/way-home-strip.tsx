'use client';
import { HomeOutlined, SwapOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { threeDigits } from '@/core/angle';
import { missAtHome, way, type Way } from '@/core/home';
import { stationName, type Solution } from '@/core/solve';
import { NORTH_SHORT, NORTH_WORDS } from '@/views/shared/norths/words';
import styles from './way-home-strip.module.css';
import { windWords } from '@/views/shared/entry-words';
import { doubtMetres, metresText, WORDS } from './words';

/** Nearer than this a bearing says nothing: one stands there. */
const THERE_METRES = 0.5;

export interface WayEnds {
  readonly from: number;
  readonly to: number;
}

interface Props {
  solution: Solution;
  ends: WayEnds | null;
  ghost: Way | null;
  onChoose: () => void;
  onStraightHome: () => void;
}

/** The answer: what to set on the compass, how far to walk, and how sure. Always in view. */
export function WayHomeStrip({ solution, ends, ghost, onChoose, onStraightHome }: Props) {
  const from = ends?.from ?? solution.current;
  const to = ends?.to ?? 0;
  const straight = ghost ?? way(solution, from, to);
  const toName = stationName(solution, to);
  const there = straight.distanceMetres < THERE_METRES;
  // The north that answers are given in may need a declination that is not known: then the needle's.
  const wanted = solution.outing.show.north;
  const north = straight.bearing[wanted] === null ? 'magnetic' : wanted;
  const bearing = threeDigits(straight.bearing[north] ?? 0);
  const paces = straight.paces === null ? null : Math.round(straight.paces);
  const sentence = there
    ? WORDS.home.arrived(toName)
    : WORDS.home.walk(metresText(straight.distanceMetres), paces, windWords(straight.wind), toName);
  const doubt = doubtMetres(missAtHome(solution, from, to).semiMajorMetres);

  return (
    <section className={styles.strip} aria-label="Way home">
      <p className={ghost ? `${styles.bearing} ${styles.ghost}` : styles.bearing}>
        <span className={styles.figure} data-testid="home-bearing">
          {there ? '—' : bearing}
        </span>
        {!there && (
          <>
            <span className={styles.north}>{NORTH_WORDS[north]}</span>
            <span className={styles.northShort} aria-hidden="true">
              {NORTH_SHORT[north]}
            </span>
          </>
        )}
      </p>
      <div className={styles.words}>
        {ends && (
          <p className={styles.between}>
            {WORDS.home.between(stationName(solution, from), toName)}
          </p>
        )}
        <p className={styles.sentence} data-testid="home-sentence">
          {ghost && <span className={styles.then}>{WORDS.home.ghost} </span>}
          {!there && <span className="visually-hidden">{WORDS.home.set(bearing)} </span>}
          {sentence}
        </p>
        {!ghost && !there && (
          <p className={styles.doubt}>
            {WORDS.home.doubt(doubt, toName)}{' '}
            <span className={styles.caution}>{WORDS.home.caution}</span>
          </p>
        )}
      </div>
      <div className={styles.actions}>
        {ends && (
          <Button
            ghost
            shape="round"
            icon={<HomeOutlined aria-hidden="true" />}
            onClick={onStraightHome}
          >
            <span className={styles.actionWords}>{WORDS.home.straightHome}</span>
          </Button>
        )}
        {solution.traverse.legs > 0 && (
          <Button ghost shape="round" icon={<SwapOutlined aria-hidden="true" />} onClick={onChoose}>
            <span className={styles.actionWords}>{WORDS.home.choose}</span>
          </Button>
        )}
      </div>
    </section>
  );
}
