import { visibleText } from '@/core/units/visible';
import { Button, Progress, Radio } from 'antd';
import { outingAbout } from '@/views/shared/words/outing-about';
import type { ConflictChoice } from '@/store/import';
import type { FileImporter } from '@/workers/files';
import type { FileSummary, OfferedOuting } from '@/workers/files-protocol';
import styles from '../files.module.css';
import { useImport, type Imported } from './use-import';
import { CONFLICT_WORDS, WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

/** More outings, or messages, of one file are reported by their number. */
const MOST_SHOWN = 100;
const MOST_MESSAGES = 12;

interface Props {
  name: string;
  isOne: boolean;
  summary: FileSummary;
  /** False while the file is being read again: what is shown can't be imported. */
  isCurrent: boolean;
  importer: FileImporter;
  onImported: (imported: Imported) => void;
  onCancel: () => void;
}

/** What would be imported, and what is there already. Nothing is written before that is chosen. */
export function Preview(props: Props) {
  const { name, isOne, summary, isCurrent, importer, onImported, onCancel } = props;
  const { outings, profiles, areas, routes, knownPlaces, practice, device, messages } = summary;
  const work = useImport(importer, name, summary, onImported);
  const others = profiles + areas + routes + knownPlaces + practice + device;
  const isNothing = work.count === 0 && others === 0;
  return (
    <>
      <p>{isOne ? WORDS.contents(name) : WORDS.contentsOfAll}</p>
      {work.clashes.length > 1 && (
        <Choice
          id="conflict-all"
          words={WORDS.conflicts(work.clashes.length)}
          value={sharedChoice(work.clashes.map(work.choiceAt))}
          onChoose={(choice) => work.choose(work.clashes, choice)}
        />
      )}
      <ul className={styles.candidates}>
        {outings.slice(0, MOST_SHOWN).map((outing, index) => (
          <Candidate
            key={index}
            id={`conflict-${index}`}
            outing={outing}
            choice={work.choiceAt(index)}
            onChoose={(choice) => work.choose([index], choice)}
          />
        ))}
        {outings.length > MOST_SHOWN && <li>{WORDS.moreOutings(outings.length - MOST_SHOWN)}</li>}
        {profiles > 0 && <li>{WORDS.profiles(profiles)}</li>}
        {areas > 0 && <li>{WORDS.areas(areas)}</li>}
        {routes > 0 && <li>{WORDS.routes(routes)}</li>}
        {knownPlaces > 0 && <li>{WORDS.knownPlaces(knownPlaces)}</li>}
        {practice > 0 && <li>{WORDS.practice(practice)}</li>}
        {device > 0 && <li>{WORDS.device}</li>}
      </ul>
      <Messages messages={messages} />
      {work.fault && (
        <p role="alert" className={styles.warning}>
          {work.fault}
        </p>
      )}
      {isNothing && <p>{WORDS.nothingNew}</p>}
      {work.share !== null && (
        <Progress percent={Math.floor(work.share * 100)} size="small" aria-label={WORDS.writing} />
      )}
      <div className={styles.row}>
        <Button
          type="primary"
          loading={work.share !== null}
          disabled={isNothing || !isCurrent}
          onClick={work.importAll}
        >
          {WORDS.importAll(work.count, profiles)}
        </Button>
        <Button onClick={onCancel}>{WORDS.cancel}</Button>
      </div>
    </>
  );
}

function Messages({ messages }: { messages: readonly string[] }) {
  const more = messages.length - MOST_MESSAGES;
  return (
    <>
      {messages.slice(0, MOST_MESSAGES).map((message, index) => (
        <p key={index} className={layout.soft}>
          {message}
        </p>
      ))}
      {more > 0 && <p className={layout.soft}>{WORDS.moreFaults(more)}</p>}
    </>
  );
}

/** What all have in common; undefined where they differ. */
const sharedChoice = (choices: readonly ConflictChoice[]): ConflictChoice | undefined =>
  choices.every((choice) => choice === choices[0]) ? choices[0] : undefined;

interface CandidateProps {
  id: string;
  outing: OfferedOuting;
  choice: ConflictChoice;
  onChoose: (choice: ConflictChoice) => void;
}

/** One outing of the file; where another is in its place, what to do with the two. */
function Candidate({ id, outing, choice, onChoose }: CandidateProps) {
  const about = [outingAbout(outing), CONFLICT_WORDS[outing.conflict]];
  return (
    <li>
      <b>{visibleText(outing.name) || WORDS.untitled}</b>{' '}
      <span className={layout.soft}>{about.filter(Boolean).join(' · ')}</span>
      {outing.conflict === 'other' && (
        <Choice id={id} words={WORDS.conflict} value={choice} onChoose={onChoose} />
      )}
    </li>
  );
}

interface ChoiceProps {
  id: string;
  words: string;
  value: ConflictChoice | undefined;
  onChoose: (choice: ConflictChoice) => void;
}

function Choice({ id, words, value, onChoose }: ChoiceProps) {
  return (
    <div className={styles.conflict}>
      <span id={id}>{words}</span>
      <Radio.Group
        aria-labelledby={id}
        value={value}
        onChange={(event) => onChoose(event.target.value as ConflictChoice)}
        optionType="button"
        buttonStyle="solid"
        options={[
          { value: 'keep-both', label: WORDS.keepBoth },
          { value: 'replace', label: WORDS.replace },
          { value: 'skip', label: WORDS.skip },
        ]}
      />
    </div>
  );
}
