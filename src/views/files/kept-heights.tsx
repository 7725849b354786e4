import { Popconfirm } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { Outing } from '@/core/model/outing';
import { utmDefinition } from '@/core/place/map-grid';
import { browserDatabase } from '@/store/browser-database';
import { heightSheets, removeSheet } from '@/store/heights/heights';
import { PressButton } from '@/ui/controls/press-button';
import { useLive } from '@/ui/use-live';
import { HeightChooser } from '@/views/shared/heights/height-chooser';
import { Section } from '@/views/shared/page/view-page';
import { keepHeightsInWorker } from '@/workers/heights/heights';
import type { KeepAnswer } from '@/workers/heights/heights-run';
import type { OneJob } from '@/workers/worker-call';
import styles from './files.module.css';
import { HEIGHT_WORDS as WORDS } from './height-words';
import layout from '@/views/shared/page/layout.module.css';

type State =
  | { readonly status: 'idle' | 'failed' }
  | { readonly status: 'reading'; readonly share: number }
  /** `isGuessed`: nothing but the outings says of which grid files without one are. */
  | { readonly status: 'done'; readonly answer: KeepAnswer; readonly isGuessed: boolean };

/** The grid where outings are, for files in metres that name none; empty where none has a place. */
const gridOf = (outings: readonly Outing[]): string => {
  const at = outings.find(({ start }) => start.position)?.start.position;
  return at ? utmDefinition(at) : '';
};

function useKeeping() {
  const [state, setState] = useState<State>({ status: 'idle' });
  const job = useRef<OneJob<KeepAnswer> | null>(null);
  const stop = useCallback(() => {
    const asked = job.current;
    job.current = null;
    asked?.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const keep = async (files: readonly File[], grid: string | undefined, near: string) => {
    setState({ status: 'reading', share: 0 });
    const named = files.map((file) => ({ name: file.name, content: file }));
    const asked = keepHeightsInWorker({ files: named, map: grid ?? near }, (share) => {
      if (job.current === asked) setState({ status: 'reading', share });
    });
    job.current = asked;
    try {
      const answer = await asked.answer;
      const isGuessed = grid === undefined;
      if (job.current === asked) setState({ status: 'done', answer, isGuessed });
    } catch (error) {
      console.error('Heights could not be kept:', error);
      if (job.current === asked) setState({ status: 'failed' });
    } finally {
      if (job.current === asked) job.current = null;
    }
  };
  const cancel = () => {
    stop();
    setState({ status: 'idle' });
  };
  return { state, keep, cancel };
}

/** The heights on this device: what contours are drawn from. */
export function KeptHeights({ outings }: { outings: readonly Outing[] }) {
  const live = useLive(useCallback(() => heightSheets(browserDatabase()), []));
  const sheets = live && 'value' in live ? live.value : [];
  const { state, keep, cancel } = useKeeping();
  return (
    <Section id="heights" title={WORDS.title}>
      <p className={layout.soft}>{WORDS.help}</p>
      <ul className={styles.copies}>
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            <span>{WORDS.sheet(sheet)}</span>
            <Popconfirm
              title={WORDS.removeSure(sheet.name)}
              okText={WORDS.remove}
              cancelText={WORDS.keep}
              onConfirm={() => void removeSheet(browserDatabase(), sheet.id)}
            >
              <PressButton aria-label={WORDS.removeThis(sheet.name)}>{WORDS.remove}</PressButton>
            </Popconfirm>
          </li>
        ))}
      </ul>
      <HeightChooser
        share={state.status === 'reading' ? state.share : null}
        onFiles={(files, grid) => void keep(files, grid, gridOf(outings))}
        onCancel={cancel}
      />
      <Said state={state} />
      <p className={layout.soft}>{WORDS.caution}</p>
    </Section>
  );
}

function Said({ state }: { state: State }) {
  if (state.status === 'failed') {
    return (
      <p role="alert" className={styles.warning}>
        {WORDS.failed}
      </p>
    );
  }
  if (state.status !== 'done') return <p role="status" />;
  const { answer, isGuessed } = state;
  if (answer.kind === 'unread') {
    return (
      <ul role="alert" className={styles.copies}>
        {answer.faults.map(({ line, fault }) => (
          <li key={`${line} ${faultMessage(fault)}`}>
            {WORDS.faultIn(answer.name, line, faultMessage(fault))}
          </li>
        ))}
      </ul>
    );
  }
  return (
    <>
      <p role="status">{WORDS.kept(answer.sheets)}</p>
      {answer.isOfMap && isGuessed && <p className={styles.warning}>{WORDS.ofMap}</p>}
    </>
  );
}
