import { Button } from 'antd';
import QRCode from 'qrcode';
import { useEffect, useMemo, useState } from 'react';
import { qrFrames } from '@/formats/qr-frames';
import styles from '../files.module.css';
import { WORDS } from '../words';

/** How long a code is shown: long enough for a slow camera to see it twice. */
const EVERY_MS = 450;

/** The frames of a file's text; null when there would be too many. */
function framesFor(text: string): Uint8Array[] | null {
  try {
    return qrFrames(text);
  } catch {
    return null;
  }
}

interface Drawing {
  readonly frame: Uint8Array;
  readonly svg: string;
}

/** The drawing of a frame; the one before it stays until the next is drawn. */
function useCodeDrawing(frame: Uint8Array | undefined): Drawing | null {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  useEffect(() => {
    if (!frame) return;
    let gone = false;
    void QRCode.toString([{ data: frame, mode: 'byte' }], {
      type: 'svg',
      errorCorrectionLevel: 'M',
      margin: 4,
    }).then((svg) => !gone && setDrawing({ frame, svg }));
    return () => {
      gone = true;
    };
  }, [frame]);
  return drawing;
}

/** Outings, or an area, as QR codes, one after the other, over and over. */
export function ShowCodes({ text }: { text: string }) {
  const frames = useMemo(() => framesFor(text), [text]);
  const [index, setIndex] = useState(0);
  const [runs, setRuns] = useState(true);
  const drawing = useCodeDrawing(frames?.[index]);
  const count = frames?.length ?? 0;
  useEffect(() => {
    if (!runs || count < 2) return;
    const timer = setInterval(() => setIndex((before) => (before + 1) % count), EVERY_MS);
    return () => clearInterval(timer);
  }, [runs, count]);
  if (!frames) return <p role="alert">{WORDS.tooLong}</p>;
  const step = (by: number) => {
    setRuns(false);
    setIndex((index + by + count) % count);
  };
  const words = WORDS.code(index + 1, count);
  return (
    <div className={styles.codes}>
      {/* The package makes this drawing; no text of the outing is in it. */}
      <div
        className={styles.code}
        role="img"
        aria-label={words}
        data-testid="code"
        data-number={index + 1}
        data-count={count}
        data-drawn={drawing?.frame === frames[index]}
        dangerouslySetInnerHTML={{ __html: drawing?.svg ?? '' }}
      />
      <p>{words}</p>
      {count > 1 && (
        <div className={styles.row}>
          <Button onClick={() => step(-1)}>{WORDS.previous}</Button>
          <Button onClick={() => setRuns(!runs)}>{runs ? WORDS.pause : WORDS.resume}</Button>
          <Button onClick={() => step(1)}>{WORDS.next}</Button>
        </div>
      )}
    </div>
  );
}
