import type { PaletteAction } from '@/ui/controls/palette';
import type { Dialog } from './dialogs/dialog';
import { LINE_FORMS } from './entry/line-forms';
import type { KeyActions } from './use-keys';
import { WORDS } from './words';
import { placeActions } from '@/views/shared/frame/place-actions';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** All actions of the outing view, by name. */
export const paletteActions = (
  id: string,
  open: (dialog: Dialog) => void,
  keys: KeyActions,
): PaletteAction[] => [
  ...LINE_FORMS.map((form) => ({ name: form.title, act: () => open(form) })),
  { name: `${WORDS.keypad}: dial and number keys`, keys: 'D', act: keys.keypad },
  { name: `${WORDS.form}: a leg in fields`, act: () => open('form') },
  { name: WORDS.pasteAbout, act: () => open({ pasted: '' }) },
  { name: WORDS.find, keys: '/', act: keys.find },
  { name: WORDS.home.chooseAbout, act: () => open('ends') },
  { name: 'History of this outing', act: () => open('history') },
  { name: SHARED_WORDS.undo, keys: 'Ctrl Z', act: () => keys.step('undo') },
  { name: SHARED_WORDS.redo, keys: 'Ctrl Shift Z', act: () => keys.step('redo') },
  { name: WORDS.settings, act: () => open('settings') },
  ...placeActions(id),
  { name: 'Keyboard shortcuts', keys: '?', act: () => open('shortcuts') },
];
