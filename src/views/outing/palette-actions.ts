import type { PaletteAction } from '@/ui/controls/palette';
import { MENU_VIEWS, VIEWS, viewUrl, type ViewId } from '@/views/views';
import type { Dialog } from './dialogs/dialog';
import { LINE_FORMS } from './entry/line-forms';
import type { KeyActions } from './use-keys';
import { WORDS } from './words';
import { withAngleName } from '@/ui/units/shown';
import { leaveFor } from '@/store/browser-database';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** Other words of the field that people look for a view by. */
const ALSO: Partial<Record<ViewId, string>> = {
  declination: 'variation grid-magnetic angle GMA convergence compass north',
  route: 'route card handrail attack point catching feature tick timing plan',
  map: 'picture romer roamer protractor scale grid reference measure',
  fix: 'resection triangulation position known places',
  area: 'party survey loops network',
  'way-home': 'return bearing aim off retrace search',
  pacing: 'pace count steps footsteps stride beads',
  'step-off': 'leave the path',
  practice: 'exercises lessons course test learn',
  pegs: 'scale drawing layout plot',
  guide: 'help orient the map back bearing unsure lost',
};
/** Views that belong to no outing. */
const ELSEWHERE = VIEWS.filter(({ id, menu }) => menu === null && id !== 'outing');

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
  ...MENU_VIEWS.map((view) => ({
    name: `${withAngleName(view.title)}: ${view.menu}`,
    also: `${view.title} ${ALSO[view.id] ?? ''}`,
    keys: view.id === 'counter' ? 'C' : undefined,
    act: () => void leaveFor(viewUrl(view.id, id)),
  })),
  ...ELSEWHERE.map(({ id: view, title }) => ({
    name: title,
    also: ALSO[view],
    act: () => void leaveFor(viewUrl(view)),
  })),
  { name: 'Keyboard shortcuts', keys: '?', act: () => open('shortcuts') },
];
