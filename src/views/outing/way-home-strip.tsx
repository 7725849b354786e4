'use client';
import HomeOutlined from '@ant-design/icons-svg/es/asn/HomeOutlined';
import SwapOutlined from '@ant-design/icons-svg/es/asn/SwapOutlined';
import { useState } from 'react';
import { compassPointWords, NORTH_WORDS } from '@/core/entries/describe';
import { positionErrorEllipse } from '@/core/navigation/position-error';
import { isThere, way, wayHome, wayPoint, type Way } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { northShown, stationName, type Solution } from '@/core/survey/solution';
import { visibleText } from '@/core/units/visible';
import { ToolButton } from '@/ui/controls/tool-button';
import type { North } from '@/core/units/bearing';
import { BigBearing } from '@/views/shared/ways/big-bearing';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { viewTitle, viewUrl } from '@/views/views';
import styles from './way-home-strip.module.css';
import { bearingText, distanceText } from '@/ui/units/shown';
import { WORDS } from './words';

export interface WayEnds {
  readonly from: number;
  readonly to: number;
}

interface Props {
  solution: Solution;
  ends: WayEnds | null;
  /** On a phone in two lines, where a map needs the room. */
  compact?: boolean;
  /** The way home after the leg that is being typed. */
  preview: Way | null;
  onChoose: () => void;
  onStraightHome: () => void;
  /** One is where the next leg leaves from. */
  onThere: () => void;
}

/** The answer: what to set on the compass, how far to walk, and how sure. Always in view. */
export function WayHomeStrip(props: Props) {
  const { solution, ends, preview, onChoose, onStraightHome } = props;
  const from = ends?.from ?? solution.current;
  const to = ends?.to ?? 0;
  const straight = preview ?? way(solution, from, to);
  const there = isThere(straight);
  const { degrees, north } = shownBearing(straight.bearing, northShown(solution));
  const bearing = bearingText(degrees);
  return (
    <section
      className={styles.strip}
      aria-label={WORDS.home.label}
      data-compact={props.compact || undefined}
    >
      <a
        href={viewUrl('home-now', solution.outing.id)}
        className={preview ? `${styles.bearing} ${styles.preview}` : styles.bearing}
        title={WORDS.home.nowAbout}
      >
        <span className={styles.figure} data-testid="home-bearing">
          {there ? '—' : <BigBearing degrees={degrees} />}
        </span>
        {!there && <span className={styles.north}>{NORTH_WORDS[north]}</span>}
      </a>
      <Announced solution={solution} />
      <div className={styles.words}>
        <Ends {...props} from={from} to={to} />
        <p className={styles.sentence} data-testid="home-sentence">
          {preview && <span className={styles.then}>{WORDS.home.preview} </span>}
          {!there && <span className="visually-hidden">{WORDS.home.set(bearing)} </span>}
          {walkWords(straight, northShown(solution), stationName(solution, to))}
        </p>
        {!preview && !there && <HowSure solution={solution} from={from} to={to} />}
      </div>
      <div className={styles.actions}>
        <a className={styles.now} href={viewUrl('home-now', solution.outing.id)}>
          {viewTitle('home-now')}
        </a>
        {ends && (
          <ToolButton
            icon={HomeOutlined}
            label={WORDS.home.straightHome}
            onClick={onStraightHome}
          />
        )}
        {solution.legs.count > 0 && (
          <span className={styles.other}>
            <ToolButton
              icon={SwapOutlined}
              label={WORDS.home.choose}
              about={WORDS.home.chooseAbout}
              onClick={onChoose}
            />
          </span>
        )}
      </div>
    </section>
  );
}

/** Between which stations, where some were chosen; or whether one is still where the log ends. */
function Ends({ solution, ends, from, to, onThere }: Props & WayEnds) {
  if (ends) {
    return (
      <p className={styles.between}>
        {WORDS.home.between(stationName(solution, from), stationName(solution, to))}
      </p>
    );
  }
  if (solution.leaving === solution.current) return null;
  return <StillHere solution={solution} onThere={onThere} />;
}

/** Asks where one is, where the next leg is to leave from elsewhere. */
function StillHere({ solution, onThere }: Pick<Props, 'solution' | 'onThere'>) {
  const [here, leaving] = [solution.current, solution.leaving].map((station) =>
    visibleText(stationName(solution, station)),
  ) as [string, string];
  return (
    <p className={styles.between} data-testid="still-here">
      {WORDS.home.still(here, leaving)}{' '}
      <button type="button" className={styles.there} onClick={onThere}>
        {WORDS.home.there(leaving)}
      </button>
    </p>
  );
}

/** Says the new way home to a screen reader whenever the log has changed. */
function Announced({ solution }: { solution: Solution }) {
  const [first] = useState(solution);
  const straight = wayHome(solution);
  const { degrees } = shownBearing(straight.bearing, northShown(solution));
  const words = [
    WORDS.home.label,
    ...(isThere(straight) ? [] : [WORDS.home.set(bearingText(degrees))]),
    walkWords(straight, northShown(solution), stationName(solution, 0)),
  ];
  return (
    <p className="visually-hidden" role="status" data-testid="announced">
      {solution === first ? '' : words.join(' ')}
    </p>
  );
}

function walkWords(straight: Way, wanted: North, place: string): string {
  if (isThere(straight)) return WORDS.home.arrived(place);
  const { distanceMetres, paces } = straight;
  const counted = paces === null ? null : Math.round(paces);
  const direction = compassPointWords(wayPoint(straight, wanted));
  return WORDS.home.walk(distanceText(distanceMetres), counted, direction, place);
}

function HowSure({ solution, from, to }: { solution: Solution; from: number; to: number }) {
  const { semiMajorMetres } = positionErrorEllipse(solution, from, to);
  return (
    <p className={styles.sure}>
      {SHARED_WORDS.within(semiMajorMetres, stationName(solution, to))}
      <span className={styles.means}>{WORDS.home.means}</span>.{' '}
      <span className={styles.caution}>{WORDS.home.caution}</span>
    </p>
  );
}
