import { Select } from 'antd';
import { CSV_FIELDS, type CsvField, type CsvMapping, type CsvTable } from '@/formats/read-csv';
import styles from './files.module.css';
import { FIELD_WORDS, WORDS } from './words';

const NOTHING = '';
const CHOICES = [
  { value: NOTHING, label: WORDS.passOver },
  ...CSV_FIELDS.map((field) => ({ value: field as string, label: FIELD_WORDS[field] })),
];

/** What each column of a table was taken for, with its first row beside it; another meaning can be chosen. */
export function Columns({
  table,
  onMapping,
}: {
  table: CsvTable;
  onMapping: (mapping: CsvMapping) => void;
}) {
  const choose = (column: number, field: CsvField | null) =>
    onMapping(
      // A field has one column: the one that had it before is passed over from now on.
      table.mapping.map((each, index) => (index === column ? field : each === field ? null : each)),
    );
  return (
    <fieldset className={styles.columnsOf}>
      <legend>{WORDS.columns}</legend>
      {table.head.map((head, column) => (
        <div key={column}>
          <label htmlFor={`column-${column}`}>
            <b>{head || `column ${column + 1}`}</b> {table.rows[0]?.[column]}
          </label>
          <Select
            id={`column-${column}`}
            value={(table.mapping[column] as string | null) ?? NOTHING}
            onChange={(value: string) =>
              choose(column, value === NOTHING ? null : (value as CsvField))
            }
            options={CHOICES}
          />
        </div>
      ))}
    </fieldset>
  );
}
