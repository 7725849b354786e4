import { Form } from 'antd';
import { useState } from 'react';
import type { KnownPlace } from '@/core/model/known-place';
import { directionRead, lineOf, markOf } from '@/core/navigation/fix/fix-here';
import type { Position } from '@/core/readings/position';
import { inDirection, pathsHere } from '@/core/survey/fix/identify';
import type { Solution } from '@/core/survey/solution';
import { bearingText } from '@/ui/units/shown';
import styles from '../fix.module.css';
import { ReadingField } from '../reading-field';
import { IDENTIFY_WORDS as WORDS, WORDS as FIX_WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  /** Where one is; null while that is not known. */
  at: Position | null;
  solution: Solution;
  known: readonly KnownPlace[];
  lines: readonly KnownPlace[];
}

/** A direction is compared with places this far to its side. */
const MOST_OFF = 15;
/** Lines are looked for as near as this. */
const NEAR = { metres: 1000, degrees: 15 };

interface FieldProps {
  id: string;
  label: string;
  solution: Solution;
  children: (degrees: number) => React.ReactNode;
}

/** A bearing by itself, and what it tells. */
function AskedBearing({ id, label, solution, children }: FieldProps) {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? null : directionRead(text, solution);
  return (
    <>
      <Form layout="vertical">
        <ReadingField
          id={id}
          label={label}
          hint={FIX_WORDS.bearingHint}
          value={text}
          read={read}
          onChange={setText}
        />
      </Form>
      <div role="status">{read?.ok && children(read.value)}</div>
    </>
  );
}

/** Which known place may be what was sighted. */
export function IdentifyTab({ at, solution, known }: Props) {
  if (!at) return <p>{WORDS.needsFix}</p>;
  return (
    <>
      <p className={layout.soft}>{WORDS.why}</p>
      <AskedBearing id="identify-bearing" label={WORDS.bearing} solution={solution}>
        {(degrees) => {
          const found = inDirection(at, degrees, known.map(markOf), MOST_OFF);
          if (found.length === 0) return <p>{WORDS.nothing}</p>;
          return (
            <ol className={styles.rows}>
              {found.map(({ mark, offDegrees, metres }) => (
                <li key={mark.name}>{WORDS.found(mark.name, offDegrees, metres)}</li>
              ))}
            </ol>
          );
        }}
      </AskedBearing>
    </>
  );
}

/** Which path, river or ridge runs as the one underfoot. */
export function PathsTab({ at, solution, lines }: Props) {
  if (!at) return <p>{WORDS.needsFix}</p>;
  if (lines.length === 0) return <p>{WORDS.noLines}</p>;
  return (
    <>
      <p className={layout.soft}>{WORDS.pathWhy}</p>
      <AskedBearing id="path-bearing" label={WORDS.pathBearing} solution={solution}>
        {(degrees) => {
          const found = pathsHere(at, degrees, lines.map(lineOf), NEAR);
          if (found.length === 0) return <p>{WORDS.noPath}</p>;
          return (
            <ol className={styles.rows}>
              {found.map(({ line, metres, offDegrees, runsDegrees }) => {
                const runs = `${bearingText(runsDegrees)} or ${bearingText(runsDegrees + 180)}`;
                return <li key={line.name}>{WORDS.path(line.name, metres, offDegrees, runs)}</li>;
              })}
            </ol>
          );
        }}
      </AskedBearing>
    </>
  );
}
