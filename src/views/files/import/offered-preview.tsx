import { Button, Progress } from 'antd';
import { useState } from 'react';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { NumberField } from '@/views/shared/fields/number-field';
import type { OfferedTable } from '@/workers/files-protocol';
import { Columns } from './columns';
import { Faults } from './faults';
import styles from '../files.module.css';
import { nameOfOffered, type Offered } from './offered-file';
import { Preview } from './preview';
import type { Imported } from './use-import';
import {
  AS_RECOGNISED,
  useImporter,
  useReading,
  type ReadingChoices,
  type TableChoices,
} from './use-reading';
import { ENDED_WORDS, WORDS } from '../words';

const USUAL: ReadingChoices = { toleranceMetres: 10, tables: new Map() };

interface Props {
  offered: Offered;
  onImported: (imported: Imported) => void;
  onCancel: () => void;
}

/** What files hold, read with the choices made so far, and why some of them can't be read. */
export function OfferedPreview({ offered, onImported, onCancel }: Props) {
  const [choices, setChoices] = useState(USUAL);
  const importer = useImporter();
  const { share, answer: read } = useReading(importer, offered, choices);
  const name = nameOfOffered(offered);
  if (!read) return <Reading share={share ?? 0} onCancel={onCancel} />;
  if (read.kind === 'store-fault') {
    return <NotRead words={STORE_MESSAGES[read.fault]} onCancel={onCancel} />;
  }
  if (read.kind !== 'read')
    return <NotRead words={ENDED_WORDS[read.kind](name)} onCancel={onCancel} />;
  const { summary, unread, tables } = read;
  return (
    <div className={styles.preview} data-testid="preview" aria-busy={share !== null}>
      {share !== null && <Reading share={share} />}
      <Tables offered={offered} tables={tables} choices={choices} onChoices={setChoices} />
      {summary.thinned && (
        <NumberField
          id="tolerance"
          label={WORDS.tolerance}
          value={choices.toleranceMetres}
          least={0.1}
          most={1000}
          onChange={(toleranceMetres) => setChoices({ ...choices, toleranceMetres })}
        />
      )}
      {unread.map((each) => (
        <Faults
          key={each.file}
          name={each.name}
          faults={each.faults}
          waits={tables.some(({ file }) => file === each.file)}
        />
      ))}
      {unread.length < offered.files.length ? (
        <Preview
          name={name}
          isOne={offered.files.length === 1}
          summary={summary}
          isCurrent={share === null}
          importer={importer}
          onImported={onImported}
          onCancel={onCancel}
        />
      ) : (
        <Button onClick={onCancel}>{WORDS.cancel}</Button>
      )}
    </div>
  );
}

interface TablesProps {
  offered: Offered;
  tables: readonly OfferedTable[];
  choices: ReadingChoices;
  onChoices: (choices: ReadingChoices) => void;
}

/** What the columns of each table mean. */
function Tables({ offered, tables, choices, onChoices }: TablesProps) {
  const change = (file: number, more: Partial<TableChoices>) => {
    const before = choices.tables.get(file) ?? AS_RECOGNISED;
    onChoices({ ...choices, tables: new Map(choices.tables).set(file, { ...before, ...more }) });
  };
  return tables.map(({ file, name: of, table }) => (
    <Columns
      key={file}
      id={`table-${file}`}
      name={offered.files.length > 1 ? of : null}
      table={table}
      unit={choices.tables.get(file)?.distanceUnit ?? null}
      onMapping={(mapping) => change(file, { mapping })}
      onUnit={(distanceUnit) => change(file, { distanceUnit })}
    />
  ));
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
