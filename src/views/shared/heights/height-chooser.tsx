import { Progress } from 'antd';
import { useRef, useState, type ChangeEvent } from 'react';
import { HEIGHT_ENDINGS } from '@/formats/heights/endings';
import { PressButton } from '@/ui/controls/press-button';
import pageStyles from '@/views/shared/page/layout.module.css';
import { DEMO_GRID, demoHeights } from './demo-heights';
import { CHOOSER_WORDS as WORDS } from './words';

interface Props {
  /** The share that is done; null while nothing is read. */
  share: number | null;
  /** Files to read; with the grid that they are of, where that is known. */
  onFiles: (files: readonly File[], grid?: string) => void;
  onCancel: () => void;
}

/** Files of heights, chosen on the device or from the demo, and how far they are read. */
export function HeightChooser({ share, onFiles, onCancel }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const [noDemo, setNoDemo] = useState(false);
  const isReading = share !== null;
  const chosen = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const files = [...(target.files ?? [])];
    // The same files can be chosen again after that.
    target.value = '';
    if (files.length > 0) onFiles(files);
  };
  const addDemo = async () => {
    const demo = await demoHeights();
    setNoDemo(demo === null);
    if (demo) onFiles([demo], DEMO_GRID);
  };
  return (
    <>
      <div className={pageStyles.row}>
        <PressButton look="primary" large busy={isReading} onClick={() => file.current?.click()}>
          {WORDS.choose}
        </PressButton>
        <PressButton large disabled={isReading} onClick={() => void addDemo()}>
          {WORDS.demo}
        </PressButton>
        {isReading && (
          <PressButton large onClick={onCancel}>
            {WORDS.cancel}
          </PressButton>
        )}
      </div>
      <input
        ref={file}
        type="file"
        hidden
        multiple
        aria-label={WORDS.choose}
        accept={HEIGHT_ENDINGS}
        onChange={chosen}
      />
      {noDemo && (
        <p role="alert" className={pageStyles.warning}>
          {WORDS.noDemo}
        </p>
      )}
      {isReading && <Progress percent={Math.floor(100 * share)} aria-label={WORDS.reading} />}
    </>
  );
}
