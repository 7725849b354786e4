import type { Solution } from '@/core/survey/solution';
import styles from './print.module.css';
import { printRows } from './print-rows';
import { WORDS } from './words';

interface Props {
  solution: Solution;
  /** Empty lines to go on by hand. */
  blankLines: number;
}

/** The log as a table, with lines to go on by hand. */
export function LogTable({ solution, blankLines }: Props) {
  return (
    <div className={styles.scroll}>
      <table className={styles.log}>
        <thead>
          <tr>
            {WORDS.columns().map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {printRows(solution).map((row, index) =>
            'words' in row ? (
              <tr key={index}>
                <td />
                <td colSpan={WORDS.columns().length - 1}>{row.words}</td>
              </tr>
            ) : (
              <tr key={index}>
                {[...row.cells, row.notes.join('; ')].map((cell, column) => (
                  <td key={column}>{cell}</td>
                ))}
              </tr>
            ),
          )}
          {Array.from({ length: blankLines }, (_, index) => (
            <tr key={`blank-${index}`} className={styles.blank}>
              {WORDS.columns().map((head) => (
                <td key={head} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
