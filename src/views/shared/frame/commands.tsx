'use client';
import { lastOuting } from '@/store/last-home';
import { Palette } from '@/ui/controls/palette';
import { Modal } from 'antd';
import { ThemeSwitch } from '@/ui/theme/theme-switch';
import { UnitsChoice } from '@/ui/units/units-choice';
import { Furnished } from '@/ui/theme/furnished';
import { viewTitle, viewUrl } from '@/views/views';
import { leaveFor } from '@/store/browser-database';
import { placeActions } from './place-actions';
import { ShortcutsDialog } from './shortcuts-dialog';

/** What the keys do on every page but the log, which has more. */
const KEYS = [
  { keys: 'Ctrl K', does: 'All places, by name' },
  { keys: '+ - 0', does: 'In a drawing: zoom in, zoom out, fit' },
  { keys: '← → ↑ ↓', does: 'In a drawing: move it. On a dial: turn by 1°, with Shift by 10°' },
  { keys: 'Enter', does: 'In a drawing that is tapped: tap its middle' },
  { keys: 'Page Up, Page Down', does: 'In a drawing: the leg before, the next leg' },
  { keys: 'Esc', does: 'Close what is open, choose nothing' },
  { keys: '?', does: 'This list' },
] as const;

export interface CommandsProps {
  shows: 'places' | 'keys' | 'settings';
  onClose: () => void;
}

/** All places by name, the keys of a page, or the settings of the device. */
export const Commands = (props: CommandsProps) => (
  <Furnished>
    {props.shows === 'keys' && <ShortcutsDialog shortcuts={KEYS} onClose={props.onClose} />}
    {props.shows === 'places' && <PlacesPalette onClose={props.onClose} />}
    {props.shows === 'settings' && <DeviceSettings onClose={props.onClose} />}
  </Furnished>
);

/** What holds for this device: its light, and the units of its figures. */
const DeviceSettings = ({ onClose }: Pick<CommandsProps, 'onClose'>) => (
  <Modal open title="Settings of this device" footer={null} onCancel={onClose}>
    <h3>Light</h3>
    <ThemeSwitch />
    <h3>Figures</h3>
    <UnitsChoice />
    <p>A log keeps what was written in it. What holds for one outing is in its own settings.</p>
  </Modal>
);

function PlacesPalette({ onClose }: Pick<CommandsProps, 'onClose'>) {
  const outing = lastOuting();
  const log = {
    name: viewTitle('outing'),
    also: 'log legs entry',
    act: () => void leaveFor(viewUrl('outing', outing ?? undefined)),
  };
  const actions = [...(outing === null ? [] : [log]), ...placeActions(outing)];
  return <Palette title="All places" actions={actions} onClose={onClose} />;
}
