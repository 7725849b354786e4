import DeleteOutlined from '@ant-design/icons-svg/es/asn/DeleteOutlined';
import PrinterOutlined from '@ant-design/icons-svg/es/asn/PrinterOutlined';
import RedoOutlined from '@ant-design/icons-svg/es/asn/RedoOutlined';
import UndoOutlined from '@ant-design/icons-svg/es/asn/UndoOutlined';
import type { StoreFault } from '@/store/store-fault';
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

interface HistoryProps {
  canUndo: boolean;
  canRedo: boolean;
  onStep: (step: 'undo' | 'redo') => void;
  /** What the printed sheet is called. */
  print: string;
}

/** Undo, redo and print, of an area or a route. */
export const DocumentHistory = ({ canUndo, canRedo, onStep, print }: HistoryProps) => (
  <>
    <ToolButton
      icon={UndoOutlined}
      label={SHARED_WORDS.undo}
      disabled={!canUndo}
      onClick={() => onStep('undo')}
    />
    <ToolButton
      icon={RedoOutlined}
      label={SHARED_WORDS.redo}
      disabled={!canRedo}
      onClick={() => onStep('redo')}
    />
    <ToolButton icon={PrinterOutlined} label={print} onClick={() => window.print()} />
  </>
);

/** Deletes a document; it can be restored from its page. */
export const DeleteDocument = ({ label, onDelete }: { label: string; onDelete: () => void }) => (
  <ToolButton icon={DeleteOutlined} label={label} plain onClick={onDelete} />
);
