import { Radio, Select } from 'antd';
import { useMemo, useState } from 'react';
import { areaWay, walkedWay, type Shortest } from '@/core/navigation/area-way';
import { compassPointWords, NORTH_WORDS, pacesWords } from '@/core/entries/describe';
import { shownBearing } from '@/core/north/norths';
import { bearingDigits } from '@/core/units/angle';
import { NORTH_LETTERS } from '@/core/units/bearing';
import { nameOf } from '@/core/survey/party/party';
import { nearestCompassPoint } from '@/core/units/angle';
import { northShown } from '@/core/survey/solution';
import type { Survey } from '@/core/survey/party/survey';
import { bearingText, distanceText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PressButton } from '@/ui/controls/press-button';
import page from '@/views/shared/page/layout.module.css';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from './area.module.css';
import { startFrom } from './start-from';
import type { OpenArea } from './use-area';
import { WORDS } from './words';
import { leaveFor } from '@/store/browser-database';
import { nth } from '@/core/units/nth';

/** The two places that a way is asked for. */
export interface WayEnds {
  readonly from: number | null;
  readonly to: number | null;
}

interface Props {
  open: OpenArea;
  survey: Survey;
  ends: WayEnds;
  onEnds: (ends: WayEnds) => void;
}

/** The name of a place; a number says whose log it is from. */
function placeName({ party }: Survey, node: number): string {
  const { name, stations } = nth(party.nodes.all, node);
  const [first] = stations;
  if (!/^\d+$/.test(name) || !first) return visibleText(name);
  return `${name} (${visibleText(nameOf(party, first.outing))})`;
}

/**
 * The way between any two places, no matter who found them: straight, and over legs that were
 * walked.
 */
export function WayBetween({ open, survey, ends, onEnds }: Props) {
  const { party } = survey;
  const [chosen, setWalker] = useState(0);
  const walker = Math.min(chosen, party.members.length - 1);
  const places = party.nodes.all.map((_, node) => ({
    value: node,
    label: placeName(survey, node),
  }));
  const choice = (end: keyof WayEnds, label: string) => (
    <label className={styles.end}>
      <span>{label}</span>
      <Select
        className={styles.select}
        aria-label={label}
        showSearch={{ optionFilterProp: 'label' }}
        value={ends[end]}
        options={places}
        onChange={(node: number | null) => onEnds({ ...ends, [end]: node })}
      />
    </label>
  );
  const { from, to } = ends;
  const [isUnsaved, setIsUnsaved] = useState(false);
  /** A new outing from here, and to its counter where it leads on to a place. */
  const start = async (toward: number | null) => {
    if (from === null) return;
    const id = await startFrom(open, survey, from, walker);
    if (id === null) return setIsUnsaved(true);
    if (toward === null) return void leaveFor(viewUrl('outing', id));
    void leaveFor(viewUrl('counter', id, toCount(survey, walker, from, toward)));
  };
  return (
    <Section id="area-way" title={WORDS.way}>
      {isUnsaved && <p role="alert">{STORE_MESSAGES.failed}</p>}
      <div className={styles.ends}>
        {choice('from', WORDS.from)}
        {choice('to', WORDS.to)}
      </div>
      <WalkerChoice survey={survey} walker={walker} onWalker={setWalker} />
      {from === null || to === null || from === to ? (
        <p className={styles.soft}>{WORDS.choose}</p>
      ) : (
        <Ways survey={survey} from={from} to={to} walker={walker} onWalk={start} />
      )}
      {from !== null && (
        <PressButton onClick={() => void start(null)}>
          {WORDS.startHere(placeName(survey, from))}
        </PressButton>
      )}
    </Section>
  );
}

interface WalkerProps {
  survey: Survey;
  walker: number;
  onWalker: (walker: number) => void;
}

/** Whose compass and pace the way is for. */
function WalkerChoice({ survey: { party }, walker, onWalker }: WalkerProps) {
  if (party.members.length < 2) return null;
  return (
    <label className={styles.end}>
      <span>{WORDS.walker}</span>
      <Select
        className={styles.select}
        aria-label={WORDS.walker}
        value={walker}
        options={party.members.map((_, outing) => ({
          value: outing,
          label: visibleText(nameOf(party, outing)),
        }))}
        onChange={onWalker}
      />
    </label>
  );
}

/** What the counter follows: the bearing, how far, and to what. */
function toCount(survey: Survey, walker: number, from: number, to: number) {
  const { bearing, distanceMetres } = areaWay(survey, walker, from, to);
  const { solution } = nth(survey.party.members, walker);
  const { degrees, north } = shownBearing(bearing, northShown(solution));
  return {
    follow: `${bearingDigits(degrees)}${NORTH_LETTERS[north]}`,
    metres: distanceMetres.toFixed(1),
    to: nth(survey.party.nodes.all, to).name,
  };
}

interface StretchProps {
  survey: Survey;
  from: number;
  to: number;
  walker: number;
}

interface WaysProps extends StretchProps {
  onWalk: (toward: number) => Promise<void>;
}

function Ways({ survey, from, to, walker, onWalk }: WaysProps) {
  const [by, setBy] = useState<Shortest>('metres');
  const walked = useMemo(() => walkedWay(survey, from, to, by), [survey, from, to, by]);
  const stretches = walked?.nodes.slice(1).map((node, i) => [nth(walked.nodes, i), node] as const);
  const straight = areaWay(survey, walker, from, to);
  return (
    <div data-testid="area-ways">
      <h3>{WORDS.straight}</h3>
      <p className={styles.answer} data-testid="straight">
        <WayWords survey={survey} from={from} to={to} walker={walker} />,{' '}
        {WORDS.within(straight.within95Metres)}
      </p>
      <p className={styles.soft}>{WORDS.straightCaution}</p>
      <PressButton onClick={() => void onWalk(to)}>{WORDS.walkStraight}</PressButton>
      <h3>{WORDS.alongLegs}</h3>
      {walked && stretches ? (
        <>
          <Radio.Group
            aria-label={WORDS.alongLegs}
            optionType="button"
            value={by}
            onChange={({ target }) => setBy(target.value as Shortest)}
            options={(['metres', 'minutes'] as const).map((each) => ({
              value: each,
              label: WORDS.shortest[each],
            }))}
          />
          <p>{WORDS.stretches(walked.metres, stretches.length, walked.minutes)}</p>
          <ol className={styles.rows} data-testid="walked">
            {stretches.map(([a, b]) => (
              <li key={`${a} ${b}`}>
                {placeName(survey, b)}: <WayWords survey={survey} from={a} to={b} walker={walker} />
              </li>
            ))}
          </ol>
          <PressButton onClick={() => void onWalk(nth(walked.nodes, 1))}>
            {WORDS.walkLegs}
          </PressButton>
        </>
      ) : (
        <p className={page.soft}>{WORDS.noWalked}</p>
      )}
    </div>
  );
}

function WayWords({ survey, from, to, walker }: StretchProps) {
  const way = areaWay(survey, walker, from, to);
  const { solution } = nth(survey.party.members, walker);
  const { degrees, north } = shownBearing(way.bearing, northShown(solution));
  return (
    <>
      <strong className={styles.figures}>{bearingText(degrees)}</strong> {NORTH_WORDS[north]},{' '}
      <strong className={styles.figures}>{distanceText(way.distanceMetres)}</strong>
      {way.paces !== null && `, ${pacesWords(Math.round(way.paces))}`},{' '}
      {compassPointWords(nearestCompassPoint(degrees))}
    </>
  );
}
