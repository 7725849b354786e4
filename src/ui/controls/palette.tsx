'use client';
import { Input, Modal } from 'antd';
import { useId, useState, type KeyboardEvent } from 'react';
import styles from './palette.module.css';

/** An action by its name; `keys` is its shortcut, shown beside it. */
export interface PaletteAction {
  readonly name: string;
  /** Other words that it is looked for by. */
  readonly also?: string;
  readonly keys?: string;
  readonly act: () => void;
}

interface Props {
  title: string;
  actions: readonly PaletteAction[];
  onClose: () => void;
}

/** All actions, found by a few letters; arrows choose, Enter runs one. */
export function Palette({ title, actions, onClose }: Props) {
  const [words, setWords] = useState('');
  const [chosen, setChosen] = useState(0);
  const id = useId();
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = actions.filter(({ name, also = '' }) =>
    wanted.every((word) => `${name} ${also}`.toLowerCase().includes(word)),
  );
  const at = Math.min(chosen, shown.length - 1);
  const run = (action: PaletteAction | undefined) => {
    if (!action) return;
    onClose();
    action.act();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setChosen(Math.min(shown.length - 1, at + 1));
    else if (event.key === 'ArrowUp') setChosen(Math.max(0, at - 1));
    else if (event.key === 'Enter') run(shown[at]);
    else return;
    event.preventDefault();
  };
  return (
    <Modal open title={title} footer={null} onCancel={onClose}>
      <Input
        role="combobox"
        aria-label={title}
        aria-expanded
        aria-controls={id}
        aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setChosen(0);
        }}
        onKeyDown={onKeyDown}
        autoFocus
        autoComplete="off"
      />
      <div id={id} role="listbox" aria-label={title} className={styles.list} tabIndex={0}>
        {shown.map((action, index) => (
          <div
            key={action.name}
            id={`${id}-${index}`}
            role="option"
            aria-selected={index === at}
            className={styles.action}
            onClick={() => run(action)}
          >
            {action.name}
            {action.keys && <kbd>{action.keys}</kbd>}
          </div>
        ))}
      </div>
    </Modal>
  );
}
