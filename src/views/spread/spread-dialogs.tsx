import dynamic from 'next/dynamic';
import type { Outing } from '@/core/logbook';
import { stationName, type Solution } from '@/core/solve';
import type { OpenOuting } from '@/views/shared/use-outing';
import { isLeg } from './leaf-rows';
import type { LineDialog } from './line-dialogs';
import { paletteActions } from './palette-actions';
import type { KeyActions } from './use-keys';
import type { SpreadState } from './use-spread';
import type { WayEnds } from './way-home-strip';
import { WORDS } from './words';

const LegPad = dynamic(() => import('./leg-pad').then((it) => it.LegPad), { ssr: false });
const Palette = dynamic(() => import('@/ui/palette').then((it) => it.Palette), { ssr: false });
const HistoryDrawer = dynamic(() => import('./history-drawer').then((it) => it.HistoryDrawer), {
  ssr: false,
});
const ShortcutsDialog = dynamic(
  () => import('./shortcuts-dialog').then((it) => it.ShortcutsDialog),
  { ssr: false },
);
const HalfCircle = dynamic(() => import('./half-circle').then((it) => it.HalfCircle), {
  ssr: false,
});
const LineForm = dynamic(() => import('./line-form').then((it) => it.LineForm), { ssr: false });
const LegForm = dynamic(() => import('./leg-form').then((it) => it.LegForm), { ssr: false });
const SettingsDrawer = dynamic(
  () => import('@/views/shared/settings-drawer').then((it) => it.SettingsDrawer),
  {
    ssr: false,
  },
);
const RenameDialog = dynamic(() => import('./rename-dialog').then((it) => it.RenameDialog), {
  ssr: false,
});
const WayEndsDialog = dynamic(() => import('./way-ends-dialog').then((it) => it.WayEndsDialog), {
  ssr: false,
});

export type Dialog =
  | 'form'
  | 'pad'
  | 'settings'
  | 'rename'
  | 'ends'
  | 'palette'
  | 'history'
  | 'shortcuts'
  | 'half-circle'
  | LineDialog
  | null;

interface Props {
  dialog: Dialog;
  setDialog: (dialog: Dialog) => void;
  open: OpenOuting;
  outing: Outing;
  solution: Solution;
  spread: SpreadState;
  keys: KeyActions;
  chosenStation: number;
  ends: WayEnds | null;
  setEnds: (ends: WayEnds) => void;
}

/** What stands over the spread, each loaded when it is first asked for. */
export function SpreadDialogs(props: Props) {
  const { dialog, setDialog, open, outing, solution, spread, keys, chosenStation } = props;
  const { editing, understanding } = spread;
  return (
    <>
      {dialog === 'form' && (
        <LegForm
          solution={solution}
          leg={
            editing?.how === 'replace' && isLeg(editing.seen)
              ? editing.seen
              : understanding.kind === 'entry' && isLeg(understanding.entry)
                ? understanding.entry
                : null
          }
          onSave={(entry) => {
            setDialog(null);
            void spread.saveEntry(entry);
          }}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'pad' && (
        <LegPad
          solution={solution}
          onSave={(entry) => {
            setDialog(null);
            void spread.saveEntry(entry);
          }}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'palette' && (
        <Palette
          title={WORDS.more}
          actions={paletteActions(outing.id, setDialog, keys)}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'history' && (
        <HistoryDrawer history={open.history} onClose={() => setDialog(null)} />
      )}
      {dialog === 'shortcuts' && <ShortcutsDialog onClose={() => setDialog(null)} />}
      {dialog === 'half-circle' && <HalfCircle onClose={() => setDialog(null)} />}
      {dialog !== null && typeof dialog === 'object' && (
        <LineForm
          key={dialog.key}
          dialog={dialog}
          solution={solution}
          onSave={spread.saveLine}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'settings' && (
        <SettingsDrawer outing={outing} onSave={spread.setUp} onClose={() => setDialog(null)} />
      )}
      {dialog === 'rename' && (
        <RenameDialog
          name={stationName(solution, chosenStation)}
          onRename={(to) => spread.rename(stationName(solution, chosenStation), to)}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'ends' && (
        <WayEndsDialog
          solution={solution}
          ends={props.ends ?? { from: solution.current, to: 0 }}
          onChoose={(chosenEnds) => {
            props.setEnds(chosenEnds);
            setDialog(null);
          }}
          onClose={() => setDialog(null)}
        />
      )}
    </>
  );
}
