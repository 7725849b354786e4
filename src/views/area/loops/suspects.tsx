import { sum } from 'd3-array';
import { useState } from 'react';
import { correctEntry } from '@/core/edit/ink';
import { writeBearing } from '@/core/readings/bearing';
import { writeDistance } from '@/core/readings/distance';
import { nameOf } from '@/core/survey/party/party';
import { outstanding } from '@/core/survey/party/outstanding';
import type { Survey } from '@/core/survey/party/survey';
import type { Suspect } from '@/core/survey/blunder/suspects';
import { visibleText } from '@/core/units/visible';
import { OutingSession } from '@/store/outing-session';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase } from '@/store/browser-database';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';
import page from '@/views/shared/page/layout.module.css';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import styles from '../area.module.css';
import type { OpenArea } from '../use-area';
import { WORDS } from '../words';
import { UNEXPLAINED } from './unexplained';
import { nth } from '@/core/units/nth';

/** A single loop is reported as one of so many; what is less likely than this is not said. */
const MOST_SHOWN = 3;
const LEAST_SHOWN = 0.01;

/** Mistakes are called probable only where, together, they are. */
function headingOf(shown: readonly Suspect[]): string {
  const [first] = shown;
  if (!first) return WORDS.noneExplains;
  if (first.second) return WORDS.together;
  const isLikely = sum(shown, ({ probability }) => probability) >= 0.5;
  return isLikely ? WORDS.oneOf(shown.length) : WORDS.leastUnlikely;
}

interface Props {
  open: OpenArea;
  survey: Survey;
  suspects: readonly Suspect[];
}

/** The reading that disagrees: what it may have been, and its correction, in ink. */
export function Suspects({ open, survey, suspects }: Props) {
  const [message, setMessage] = useState<string | null>(null);
  const { correction, setCorrection, state } = open;
  const { found } = open.answer;
  const shown = suspects
    .slice(0, MOST_SHOWN)
    .filter(({ probability }, index) => index === 0 || probability >= LEAST_SHOWN);
  const correct = async ({ source, instead, message: says }: Suspect) => {
    const { solution } = nth(survey.party.members, source.outing);
    const seen = solution.outing.entries[source.entry];
    if (!seen || !instead.suggested) return;
    const outing = nth(found.ids, source.outing);
    const strike = { at: new Date().toISOString(), reason: WORDS.reason(says) };
    const command = correctEntry(source.entry, seen, instead.suggested, strike);
    const session = new OutingSession(browserDatabase(), outing);
    const words = WORDS.corrected(source.leg ?? 0, visibleText(nameOf(found, source.outing)));
    const failed = outcomeMessage(await session.run(command, await loadEarthModels()));
    setMessage(failed);
    const step = async (kind: 'undo' | 'redo') =>
      outcomeMessage(await new OutingSession(browserDatabase(), outing)[kind]());
    if (failed === null) setCorrection({ words, at: state.number, isDone: true, step });
  };
  const isUnexplained = survey.test !== null && survey.test.p < UNEXPLAINED;
  const worst = outstanding(survey);
  if (!isUnexplained && !worst && !correction?.isDone && !message) return null;
  return (
    <Section id="area-suspects" title={WORDS.disagrees}>
      {message && <p role="alert">{message}</p>}
      {correction?.isDone && (
        <p role="status">
          {correction.words}{' '}
          <PressButton look="plain" onClick={() => void open.step('undo').then(setMessage)}>
            {WORDS.undoIt}
          </PressButton>
        </p>
      )}
      {isUnexplained && <p className={page.warning}>{headingOf(shown)}</p>}
      {worst && (
        <p data-testid="stands-out">
          {WORDS.standsOut(
            visibleText(nameOf(found, worst.outing)),
            shareText(worst.ofWalked),
            shareText(worst.others),
          )}
        </p>
      )}
      <ol className={styles.rows} data-testid="suspects">
        {shown.map((suspect) => (
          <SuspectRow
            key={`${suspect.slip} ${suspect.message}`}
            suspect={suspect}
            outing={nth(found.ids, suspect.source.outing)}
            onCorrect={() => void correct(suspect)}
          />
        ))}
      </ol>
    </Section>
  );
}

const shareText = (share: number) => `${(100 * share).toFixed(1)} %`;

interface RowProps {
  suspect: Suspect;
  outing: string;
  onCorrect: () => void;
}

function SuspectRow({ suspect, outing, onCorrect }: RowProps) {
  const { message, probability, metresLeft, lookAt, instead } = suspect;
  const leg = instead.suggested;
  return (
    <li className={styles.suspect}>
      <p>
        <strong>{WORDS.probability(probability)}</strong> {visibleText(message)}
      </p>
      <p className={styles.soft}>
        {leg &&
          `${WORDS.suggested(
            `${writeBearing(leg.bearing, 'magnetic')} ${writeDistance(leg.distance)}`,
          )} `}
        {WORDS.left(metresLeft)}. {WORDS.lookAt(lookAt)}
      </p>
      <div className={page.row}>
        {leg && <PressButton onClick={onCorrect}>{WORDS.correct}</PressButton>}
        <PressButton look="plain" href={viewUrl('outing', outing)}>
          {WORDS.openLog}
        </PressButton>
      </div>
    </li>
  );
}
