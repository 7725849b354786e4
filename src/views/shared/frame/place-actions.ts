import type { PaletteAction } from '@/ui/controls/palette';
import { leaveFor } from '@/store/browser-database';
import { withAngleName } from '@/ui/units/shown';
import { MENU_VIEWS, VIEWS, viewUrl, type ViewId } from '@/views/views';

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

/** Every view as a command: those of an outing lead to the one in hand. */
export const placeActions = (outing: string | null): PaletteAction[] => [
  ...MENU_VIEWS.map((view) => ({
    name: `${withAngleName(view.title)}: ${view.menu}`,
    also: `${view.title} ${ALSO[view.id] ?? ''}`,
    keys: view.id === 'counter' ? 'C' : undefined,
    act: () => void leaveFor(viewUrl(view.id, outing ?? undefined)),
  })),
  ...ELSEWHERE.map(({ id: view, title }) => ({
    name: title,
    also: ALSO[view],
    act: () =>
      void leaveFor(
        view === 'map' && outing !== null ? viewUrl(view, undefined, { outing }) : viewUrl(view),
      ),
  })),
  {
    name: 'Settings of this device: light, units',
    also: 'theme dark night day feet mils',
    act: () => document.querySelector<HTMLElement>('[data-settings]')?.click(),
  },
];
