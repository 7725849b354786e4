import type { PaletteAction } from '@/ui/palette';
import { LINE_DIALOGS, type LineDialog } from './line-dialogs';
import type { KeyActions } from './use-keys';
import { WORDS } from './words';

type Open = (
  dialog: LineDialog | 'form' | 'pad' | 'settings' | 'ends' | 'history' | 'shortcuts',
) => void;

/** Everything that can be done on the spread, by name. */
export const paletteActions = (id: string, open: Open, keys: KeyActions): PaletteAction[] => {
  const view = (path: string) => () => location.assign(`${path}?id=${encodeURIComponent(id)}`);
  return [
    ...LINE_DIALOGS.map((dialog) => ({ name: dialog.title, act: () => open(dialog) })),
    { name: WORDS.pad, keys: 'D', act: () => open('pad') },
    { name: 'A leg in fields', act: () => open('form') },
    { name: WORDS.find, keys: '/', act: keys.find },
    { name: 'The way between two stations', act: () => open('ends') },
    { name: 'History of this outing', act: () => open('history') },
    { name: WORDS.undo, keys: 'Ctrl Z', act: () => keys.step('undo') },
    { name: WORDS.redo, keys: 'Ctrl Shift Z', act: () => keys.step('redo') },
    { name: WORDS.settings, act: () => open('settings') },
    { name: 'Counter', keys: 'C', act: keys.counter },
    { name: 'The ways home compared', act: view('/way') },
    { name: 'Walk home', act: view('/walk') },
    { name: 'Paper, to print', act: view('/paper') },
    { name: 'Pegs and string', act: view('/pegs') },
    { name: 'Guide and field checks', act: view('/guide') },
    { name: 'Files: hand out, take in, back up', act: view('/files') },
    { name: 'Norths', act: view('/norths') },
    { name: 'Paces', act: view('/paces') },
    { name: 'Keys', keys: '?', act: () => open('shortcuts') },
  ];
};
