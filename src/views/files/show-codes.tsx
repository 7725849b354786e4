import { Button } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import QRCode from 'qrcode';
import type { Outing } from '@/core/logbook';
import { framesOf } from '@/formats/frames';
import { jsonFormat, logbookOf } from '@/formats/json';
import styles from './files.module.css';
import { WORDS } from './words';

/** A code stands this long: long enough for a slow camera to see it twice. */
const EVERY_MS = 450;

/** The frames of an outing; null when there would be too many. */
function framesFor(outing: Outing): Uint8Array[] | null {
  const written = jsonFormat.write(logbookOf([outing], new Date().toISOString()), null);
  try {
    return written.ok ? framesOf(written.value) : null;
  } catch {
    return null;
  }
}

/** An outing as codes, one after the other, over and over. */
export function ShowCodes({ outing }: { outing: Outing }) {
  const frames = useMemo(() => framesFor(outing), [outing]);
  const [number, setNumber] = useState(0);
  const [runs, setRuns] = useState(true);
  const [svg, setSvg] = useState('');
  const count = frames?.length ?? 0;
  useEffect(() => {
    if (!runs || count < 2) return;
    const timer = setInterval(() => setNumber((before) => (before + 1) % count), EVERY_MS);
    return () => clearInterval(timer);
  }, [runs, count]);
  useEffect(() => {
    const frame = frames?.[number];
    if (!frame) return;
    let gone = false;
    void QRCode.toString([{ data: frame, mode: 'byte' }], {
      type: 'svg',
      errorCorrectionLevel: 'M',
      margin: 4,
    }).then((drawn) => !gone && setSvg(drawn));
    return () => {
      gone = true;
    };
  }, [frames, number]);
  if (!frames) return <p role="alert">{WORDS.tooLong}</p>;
  const step = (by: number) => {
    setRuns(false);
    setNumber((number + by + count) % count);
  };
  return (
    <div className={styles.codes}>
      {/* The package draws the code; nothing of the outing stands in its text. */}
      <div
        className={styles.code}
        role="img"
        aria-label={WORDS.code(number + 1, count)}
        data-testid="code"
        data-number={number + 1}
        data-count={count}
        dangerouslySetInnerHTML={{ __html: svg }}
      />
      <p>{WORDS.code(number + 1, count)}</p>
      {count > 1 && (
        <div className={styles.row}>
          <Button onClick={() => step(-1)}>{WORDS.before}</Button>
          <Button onClick={() => setRuns(!runs)}>{runs ? WORDS.hold : WORDS.goOn}</Button>
          <Button onClick={() => step(1)}>{WORDS.after}</Button>
        </div>
      )}
    </div>
  );
}
