import dynamic from 'next/dynamic';
import { isLeg } from '@/core/entries/entry';
import { stationName, type Solution } from '@/core/survey/solution';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { withFurniture } from '@/ui/theme/with-furniture';
import { paletteActions } from '../palette-actions';
import { SHORTCUTS, type KeyActions } from '../use-keys';
import type { OutingViewState } from '../use-outing-view';
import type { Dialog } from './dialog';
import type { WayEnds } from '../way-home-strip';
import { WORDS } from '../words';

const LegForm = dynamic(() => withFurniture(import('../entry/leg-form').then((it) => it.LegForm)), {
  ssr: false,
});
const LineForm = dynamic(
  () => withFurniture(import('../entry/line-form').then((it) => it.LineForm)),
  { ssr: false },
);
const Palette = dynamic(
  () => withFurniture(import('@/ui/controls/palette').then((it) => it.Palette)),
  { ssr: false },
);
const HistoryDrawer = dynamic(
  () => withFurniture(import('./history-drawer').then((it) => it.HistoryDrawer)),
  { ssr: false },
);
const ShortcutsDialog = dynamic(
  () =>
    withFurniture(import('@/views/shared/frame/shortcuts-dialog').then((it) => it.ShortcutsDialog)),
  { ssr: false },
);
const ReversedBearing = dynamic(
  () => withFurniture(import('./reversed-bearing').then((it) => it.ReversedBearing)),
  { ssr: false },
);
const SettingsDrawer = dynamic(
  () =>
    withFurniture(
      import('@/views/shared/settings/settings-drawer').then((it) => it.SettingsDrawer),
    ),
  { ssr: false },
);
const RenameDialog = dynamic(
  () => withFurniture(import('./rename-dialog').then((it) => it.RenameDialog)),
  { ssr: false },
);
const PasteLines = dynamic(
  () => withFurniture(import('./paste-lines').then((it) => it.PasteLines)),
  { ssr: false },
);
const WayEndsDialog = dynamic(
  () => withFurniture(import('./way-ends-dialog').then((it) => it.WayEndsDialog)),
  { ssr: false },
);

interface Props {
  dialog: Dialog;
  setDialog: (dialog: Dialog) => void;
  open: OpenOuting;
  solution: Solution;
  view: OutingViewState;
  keys: KeyActions;
  /** The station of the selected leg. */
  station: number;
  ends: WayEnds | null;
  setEnds: (ends: WayEnds) => void;
}

/** The dialogs of the outing view, each loaded when it is first asked for. */
export function OutingDialogs(props: Props) {
  const { dialog, setDialog, open, solution, view, keys } = props;
  const close = () => setDialog(null);
  if (dialog !== null && typeof dialog === 'object' && 'pasted' in dialog) {
    return (
      <PasteLines
        text={dialog.pasted}
        solution={solution}
        models={open.models}
        onLog={view.saveLines}
        onClose={close}
      />
    );
  }
  if (dialog !== null && typeof dialog === 'object') {
    const { key } = dialog;
    return (
      <LineForm
        key={key}
        form={dialog}
        solution={solution}
        onSave={view.saveLine}
        onClose={close}
      />
    );
  }
  switch (dialog) {
    case 'form':
      return <LegDialog {...props} onClose={close} />;
    case 'palette': {
      const actions = paletteActions(solution.outing.id, setDialog, keys);
      return <Palette title={WORDS.more} actions={actions} onClose={close} />;
    }
    case 'history':
      return <HistoryDrawer history={open.history} onClose={close} />;
    case 'shortcuts':
      return <ShortcutsDialog shortcuts={SHORTCUTS} onClose={close} />;
    case 'reversed':
      return <ReversedBearing onClose={close} />;
    case 'settings':
      return (
        <SettingsDrawer outing={solution.outing} onSave={view.changeSettings} onClose={close} />
      );
    case 'rename':
    case 'ends':
      return <StationDialog {...props} kind={dialog} onClose={close} />;
    default:
      return null;
  }
}

/** A leg by fields. */
function LegDialog({ solution, view, onClose }: Props & { onClose: () => void }) {
  const { editing, found } = view;
  const save = (entry: Parameters<typeof view.saveEntry>[0]) => {
    onClose();
    void view.saveEntry(entry);
  };
  const typed = found.kind === 'entry' ? found.entry : undefined;
  const edited = editing?.how === 'replace' ? editing.seen : typed;
  const leg = isLeg(edited) ? edited : isLeg(typed) ? typed : null;
  return <LegForm solution={solution} leg={leg} onSave={save} onClose={onClose} />;
}

/** The name of a station, or the way between two. */
function StationDialog({
  kind,
  solution,
  view,
  station,
  ends,
  setEnds,
  onClose,
}: Props & { kind: 'rename' | 'ends'; onClose: () => void }) {
  if (kind === 'rename') {
    const name = stationName(solution, station);
    return <RenameDialog name={name} onRename={(to) => view.rename(name, to)} onClose={onClose} />;
  }
  return (
    <WayEndsDialog
      solution={solution}
      ends={ends ?? { from: solution.current, to: 0 }}
      onChoose={(chosen) => {
        setEnds(chosen);
        onClose();
      }}
      onClose={onClose}
    />
  );
}
