import { documentStepWords } from '@/views/shared/words/history-words';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { AREA_FORMATS } from '@/formats/area';
import type { AreaFormat } from '@/formats/area/area-format';
import { jsonFormat } from '@/formats/json';
import { fileName } from '@/formats/zip';
import { logbookOf } from '@/core/model/logbook';
import { Menu } from '@/ui/controls/menu';
import { PressButton } from '@/ui/controls/press-button';
import { codedText } from '@/views/files/codes/coded-text';
import { save } from '@/views/shared/data/save-file';
import styles from '../area.module.css';
import type { OpenArea } from '../use-area';
import { areaEditWords, WORDS } from '../words';
import { DeleteDocument, PrintButton, UndoRedo } from '@/views/shared/page/document-page';

const ShowCodes = dynamic(
  () => import('@/views/files/codes/show-codes').then((it) => it.ShowCodes),
  { ssr: false },
);

/** Saves a text as a file that is named like the area. */
const saveAs = (name: string, ending: string, mediaType: string, text: string) =>
  void save(
    `${fileName(name || WORDS.untitled)}${ending}`,
    new Blob([text], { type: `${mediaType};charset=utf-8` }),
  );

/** What is done with the area as a whole: undo, print, export, delete. */
export function AreaTools({ open }: { open: OpenArea }) {
  const { area, state, answer, actions, correction } = open;
  const [fault, setFault] = useState<string | null>(null);
  const exportAs = (format: AreaFormat) => {
    if (!answer.joined.ok) return;
    const writtenAt = new Date().toISOString();
    const made = format.write({ name: area.name, writtenAt, survey: answer.joined.survey });
    setFault(made.ok ? null : made.fault);
    if (made.ok) saveAs(area.name, format.fileEnding, format.mediaType, made.value);
  };
  const [coded, setCoded] = useState<string | null>(null);
  const whole = () => {
    const members = open.outings.filter(({ id }) => area.outings.includes(id));
    return logbookOf(members, new Date().toISOString(), [], { areas: [area] });
  };
  const exportWhole = () => {
    const text = codedText(whole());
    if (text !== null) saveAs(area.name, jsonFormat.fileEnding, jsonFormat.mediaType, text);
  };
  return (
    <div className={styles.areaTools}>
      <div className={styles.tools}>
        <UndoRedo
          canUndo={state.undoable.length > 0 || correction?.isDone === true}
          canRedo={state.redoable.length > 0 || correction?.isDone === false}
          onStep={open.step}
          words={(step) =>
            correction?.isDone === (step === 'undo')
              ? `${step === 'undo' ? 'Undone' : 'Redone'}: ${correction.words}.`
              : documentStepWords(step, state, areaEditWords)
          }
        />
        <PrintButton label={WORDS.print} />
        <Menu label={WORDS.export} bordered>
          {answer.joined.ok &&
            AREA_FORMATS.map((format) => (
              <PressButton key={format.name} look="plain" onClick={() => exportAs(format)}>
                {WORDS[format.name]}
              </PressButton>
            ))}
          <PressButton look="plain" onClick={exportWhole}>
            {WORDS.whole}
          </PressButton>
        </Menu>
        <PressButton
          onClick={() => setCoded(coded ? null : codedText(whole()))}
          aria-pressed={coded !== null}
        >
          {coded ? WORDS.hideCodes : WORDS.showCodes}
        </PressButton>
        <DeleteDocument label={WORDS.remove} onDelete={() => void actions.discard()} />
      </div>
      {fault && <p role="alert">{fault}</p>}
      {coded && <ShowCodes text={coded} />}
    </div>
  );
}
