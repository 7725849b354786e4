import { Button, Progress } from 'antd';
import { useState } from 'react';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { NumberField } from '@/views/shared/fields/number-field';
import { Columns } from './columns';
import { Faults } from './faults';
import styles from '../files.module.css';
import type { OfferedFile } from './offered-file';
import { Preview } from './preview';
import type { Imported } from './use-import';
import { useImporter, useReading, type ReadingChoices } from './use-reading';
import { ENDED_WORDS, WORDS } from '../words';

const USUAL: ReadingChoices = { toleranceMetres: 10, mapping: null, distanceUnit: null };

interface Props {
  offered: OfferedFile;
  onImported: (imported: Imported) => void;
  onCancel: () => void;
}

/** The contents of a file, read with the choices made so far, or why it can't be read. */
export function OfferedPreview({ offered, onImported, onCancel }: Props) {
  const [choices, setChoices] = useState(USUAL);
  const importer = useImporter();
  const { share, answer: read } = useReading(importer, offered, choices);
  if (!read) return <Reading share={share ?? 0} onCancel={onCancel} />;
  if (read.kind === 'store-fault') {
    return <NotRead words={STORE_MESSAGES[read.fault]} onCancel={onCancel} />;
  }
  if (read.kind !== 'read' && read.kind !== 'unread') {
    return <NotRead words={ENDED_WORDS[read.kind](offered.name)} onCancel={onCancel} />;
  }
  const table = read.kind === 'read' ? read.summary.table : read.table;
  return (
    <div className={styles.preview} data-testid="preview" aria-busy={share !== null}>
      {share !== null && <Reading share={share} />}
      {table && (
        <Columns
          table={table}
          unit={choices.distanceUnit}
          onMapping={(mapping) => setChoices({ ...choices, mapping })}
          onUnit={(distanceUnit) => setChoices({ ...choices, distanceUnit })}
        />
      )}
      {read.kind === 'read' && read.summary.thinned && (
        <NumberField
          id="tolerance"
          label={WORDS.tolerance}
          value={choices.toleranceMetres}
          least={0.1}
          most={1000}
          onChange={(toleranceMetres) => setChoices({ ...choices, toleranceMetres })}
        />
      )}
      {read.kind === 'read' ? (
        <Preview
          name={offered.name}
          summary={read.summary}
          isCurrent={share === null}
          importer={importer}
          onImported={onImported}
          onCancel={onCancel}
        />
      ) : (
        <Faults name={offered.name} faults={read.faults} onCancel={onCancel} />
      )}
    </div>
  );
}

/** How far the reading is, and a way out. */
function Reading({ share, onCancel }: { share: number; onCancel?: () => void }) {
  return (
    <div className={styles.row}>
      <span role="status">{WORDS.reading}</span>
      <Progress
        percent={Math.floor(share * 100)}
        size="small"
        className={styles.progress}
        aria-label={WORDS.reading}
      />
      {onCancel && <Button onClick={onCancel}>{WORDS.cancel}</Button>}
    </div>
  );
}

function NotRead({ words, onCancel }: { words: string; onCancel: () => void }) {
  return (
    <div role="alert" data-testid="preview">
      <p className={styles.warning}>{words}</p>
      <Button onClick={onCancel}>{WORDS.cancel}</Button>
    </div>
  );
}
