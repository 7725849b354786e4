import DeleteOutlined from '@ant-design/icons-svg/es/asn/DeleteOutlined';
import PrinterOutlined from '@ant-design/icons-svg/es/asn/PrinterOutlined';
import RedoOutlined from '@ant-design/icons-svg/es/asn/RedoOutlined';
import UndoOutlined from '@ant-design/icons-svg/es/asn/UndoOutlined';
import { useState } from 'react';
import type { DocumentState } from '@/store/documents/change';
import type { DocumentActions } from '@/store/documents/document-log';
import type { StoreFault } from '@/store/store-fault';
import { documentStepWords } from '@/views/shared/words/history-words';
import { PressButton } from '@/ui/controls/press-button';
import { ToolButton } from '@/ui/controls/tool-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { SHARED_WORDS } from '@/views/shared/words/words';
import { PlainPage } from './plain-page';

/** A document that can't be shown: not yet, or not any more. */
export type Unopened =
  | { readonly status: 'loading' | 'missing' | 'damaged' }
  | { readonly status: 'discarded'; readonly recover: () => unknown }
  | { readonly status: 'failed'; readonly fault: StoreFault };

interface GateProps {
  opening: Unopened;
  /** What is said of each, for this kind of document. */
  words: Readonly<Record<'loading' | 'missing' | 'damaged' | 'discarded', string>>;
}

/** The page of a document, an area or a route, that can't be shown. */
export function DocumentGate({ opening, words }: GateProps) {
  const { status } = opening;
  if (status === 'failed') return <PlainPage words={STORE_MESSAGES[opening.fault]} alert />;
  if (status !== 'discarded') {
    return <PlainPage words={words[status]} alert={status === 'damaged'} />;
  }
  return (
    <PlainPage words={words.discarded}>
      <PressButton onClick={() => void opening.recover()}>{SHARED_WORDS.restore}</PressButton>
    </PlainPage>
  );
}

type Step = 'undo' | 'redo';

interface StepsProps {
  canUndo: boolean;
  canRedo: boolean;
  /** Resolves to why it failed, or null. */
  onStep: (step: Step) => Promise<string | null>;
  /** What the next step will have done. */
  words: (step: Step) => string;
}

/** Undo and redo of the document in view, saying what was undone. */
export function UndoRedo({ canUndo, canRedo, onStep, words }: StepsProps) {
  const [said, setSaid] = useState('');
  const step = async (kind: Step) => {
    const done = words(kind);
    setSaid((await onStep(kind)) ?? done);
  };
  return (
    <>
      <ToolButton
        icon={UndoOutlined}
        label={SHARED_WORDS.undo}
        disabled={!canUndo}
        onClick={() => void step('undo')}
      />
      <ToolButton
        icon={RedoOutlined}
        label={SHARED_WORDS.redo}
        disabled={!canRedo}
        onClick={() => void step('redo')}
      />
      <span role="status">{said}</span>
    </>
  );
}

/** What undo and redo of an area or a route need of it. */
export const documentSteps = <Document extends { readonly id: string }>(
  state: DocumentState<Document>,
  actions: Pick<DocumentActions<Document>, Step>,
  say: (before: Document, after: Document) => string,
): StepsProps => ({
  canUndo: state.undoable.length > 0,
  canRedo: state.redoable.length > 0,
  onStep: async (step) => {
    const outcome = await actions[step]();
    return outcome.kind === 'unsaved' ? STORE_MESSAGES[outcome.fault] : null;
  },
  words: (step) => documentStepWords(step, state, say),
});

/** Prints the page. */
export const PrintButton = ({ label }: { label: string }) => (
  <ToolButton icon={PrinterOutlined} label={label} onClick={() => window.print()} />
);

/** Deletes a document; it can be restored from its page. */
export const DeleteDocument = ({ label, onDelete }: { label: string; onDelete: () => void }) => (
  <ToolButton icon={DeleteOutlined} label={label} plain onClick={onDelete} />
);
