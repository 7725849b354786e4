import { Form, Input } from 'antd';
import { useRef, useState, type ChangeEvent } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readPlace } from '@/core/place/place-text';
import { PressButton } from '@/ui/controls/press-button';
import { demoPicture } from './demo-map';
import { gridSheet } from './grid-sheet';
import styles from '../map.module.css';
import { useAddPicture, type Asked } from './use-add-picture';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

/** The files that were chosen; the same ones can be chosen again after that. */
function chosenFiles({ target }: ChangeEvent<HTMLInputElement>): File[] {
  const files = [...(target.files ?? [])];
  target.value = '';
  return files;
}

/** A picture from the camera or from a file, or the map of the demo. */
export function AddPicture({ onAdded }: { onAdded: (id: string) => void }) {
  const { busy, fault, asked, stop, takeFiles, take, agree, refuse } = useAddPicture(onAdded);
  const [noDemo, setNoDemo] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  const addDemo = async () => {
    const demo = await demoPicture();
    setNoDemo(demo === null);
    if (demo) await take(demo.file, null, false, demo.about);
  };
  return (
    <>
      <div className={styles.row}>
        <PressButton look="primary" large busy={busy} onClick={() => file.current?.click()}>
          {WORDS.add}
        </PressButton>
        <PressButton large busy={busy} onClick={() => camera.current?.click()}>
          {WORDS.camera}
        </PressButton>
        <PressButton large busy={busy} onClick={() => void addDemo()}>
          {WORDS.demo}
        </PressButton>
      </div>
      <input
        ref={file}
        type="file"
        hidden
        multiple
        aria-label={WORDS.add}
        accept="image/*,.tif,.tiff,.tfw,.jgw,.pgw,.wld"
        onChange={(event) => void takeFiles(chosenFiles(event))}
      />
      <input
        ref={camera}
        type="file"
        hidden
        capture="environment"
        aria-label={WORDS.camera}
        accept="image/*"
        onChange={(event) => void takeFiles(chosenFiles(event))}
      />
      <p className={layout.soft}>{WORDS.limit}</p>
      <BlankSheet onSheet={({ file: sheet, about }) => take(sheet, null, false, about)} />
      {busy && (
        <p role="status">
          {WORDS.reading} <PressButton onClick={stop}>{WORDS.stop}</PressButton>
        </p>
      )}
      {(fault ?? (noDemo ? WORDS.noDemo : null)) && (
        <p role="alert" className={styles.warning}>
          {fault ?? WORDS.noDemo}
        </p>
      )}
      {asked && <TooLarge asked={asked} onAgree={() => void agree()} onRefuse={refuse} />}
    </>
  );
}

/** A sheet with the grid alone, around a place that is typed. */
function BlankSheet({
  onSheet,
}: {
  onSheet: (sheet: NonNullable<Awaited<ReturnType<typeof gridSheet>>>) => Promise<void>;
}) {
  const [text, setText] = useState('');
  const read = text.trim() === '' ? null : readPlace(text);
  const wrong = read && !read.ok ? faultMessage(read.fault) : null;
  const make = async () => {
    const sheet = read?.ok ? await gridSheet(read.value) : null;
    if (sheet) await onSheet(sheet);
  };
  return (
    <details className={styles.details}>
      <summary>{WORDS.blank}</summary>
      <Form.Item
        label={WORDS.blankAround}
        htmlFor="grid-around"
        validateStatus={wrong ? 'error' : undefined}
        help={wrong ?? WORDS.blankHelp}
      >
        <Input
          id="grid-around"
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
          onPressEnter={() => void make()}
        />
      </Form.Item>
      <PressButton disabled={!read?.ok} onClick={() => void make()}>
        {WORDS.blankMake}
      </PressButton>
    </details>
  );
}

interface TooLargeProps {
  asked: Asked;
  onAgree: () => void;
  onRefuse: () => void;
}

/** A picture that is larger than is kept: it is scaled down only where that is agreed. */
const TooLarge = ({ asked: { answer }, onAgree, onRefuse }: TooLargeProps) => (
  <div role="alert">
    <p>{WORDS.tooLarge(answer.width, answer.height, answer.bytes, answer.scaled)}</p>
    <div className={styles.row}>
      <PressButton look="primary" onClick={onAgree}>
        {WORDS.scale}
      </PressButton>
      <PressButton onClick={onRefuse}>{WORDS.cancel}</PressButton>
    </div>
  </div>
);
