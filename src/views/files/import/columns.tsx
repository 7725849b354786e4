import { Select } from 'antd';
import {
  CSV_FIELDS,
  DISTANCE_SYMBOLS,
  type CsvField,
  type CsvMapping,
} from '@/formats/import/table-heads';
import type { TableHead } from '@/workers/files-protocol';
import styles from '../files.module.css';
import { FIELD_WORDS, UNIT_WORDS, WORDS } from '../words';

/** The value of a column that is ignored. */
const NOTHING = '';
const CHOICES: { value: string; label: string }[] = [
  { value: NOTHING, label: WORDS.ignored },
  ...CSV_FIELDS.map((field) => ({ value: field, label: FIELD_WORDS[field] })),
];

const fieldOf = (value: string): CsvField | null =>
  CSV_FIELDS.find((field) => field === value) ?? null;

interface Props {
  /** Of this table among those of the files, and its name where there are several files. */
  id: string;
  name: string | null;
  table: TableHead;
  /** What the distances are in, as chosen; null for not yet. */
  unit: string | null;
  onMapping: (mapping: CsvMapping) => void;
  onUnit: (unit: string) => void;
}

/** What each column of a table is taken for, with its first row; it can be changed. */
export function Columns({ id, name, table, unit, onMapping, onUnit }: Props) {
  const choose = (column: number, field: CsvField | null) =>
    onMapping(
      // A field has one column: the one that had it before is ignored from now on.
      table.mapping.map((each, index) => (index === column ? field : each === field ? null : each)),
    );
  return (
    <fieldset className={styles.mapping}>
      <legend>{name === null ? WORDS.columns : `${name}: ${WORDS.columns}`}</legend>
      {table.head.map((head, column) => (
        <div key={column}>
          <label htmlFor={`${id}-column-${column}`}>
            <b>{head || WORDS.column(column + 1)}</b> {table.firstRow[column]}
          </label>
          <Select
            id={`${id}-column-${column}`}
            value={table.mapping[column] ?? NOTHING}
            onChange={(value: string) => choose(column, fieldOf(value))}
            options={CHOICES}
          />
        </div>
      ))}
      {table.asksUnit && (
        <div>
          <label htmlFor={`${id}-unit`}>
            <b>{WORDS.distanceUnit}</b>
          </label>
          <Select
            id={`${id}-unit`}
            value={unit}
            placeholder={WORDS.choose}
            onChange={onUnit}
            options={DISTANCE_SYMBOLS.map((value) => ({ value, label: UNIT_WORDS[value] }))}
          />
        </div>
      )}
    </fieldset>
  );
}
