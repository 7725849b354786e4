'use client';
import { Modal } from 'antd';
import { WORDS } from '../words';
import styles from './reversed-bearing.module.css';

const WAYS = [
  {
    name: 'Map upside down',
    words: 'The map’s north was toward you. Turn its writing upright to the north, and read again.',
    picture: (
      <>
        <rect x="-30" y="-38" width="60" height="76" rx="3" />
        <path d="M0 24V-14M-7 -6L0 -16L7 -6" transform="rotate(180)" />
        <text y="30" transform="rotate(180)">
          N
        </text>
      </>
    ),
  },
  {
    name: 'Arrow reversed',
    words:
      'The compass’s direction-of-travel arrow pointed back at you. It must point away from you, ' +
      'the way you go.',
    picture: (
      <>
        <rect x="-24" y="-40" width="48" height="80" rx="8" />
        <circle r="17" cy="10" />
        <path d="M0 -30V-12M-6 -18L0 -11L6 -18" />
      </>
    ),
  },
  {
    name: 'Housing reversed',
    words: 'The needle’s south end was at the housing’s N. Its marked north end belongs there.',
    picture: (
      <>
        <circle r="38" />
        <text y="-24">N</text>
        <path d="M0 -20L5 0H-5Z" />
        <path d="M0 20L5 0H-5Z" className="full" />
      </>
    ),
  },
] as const;

/** The three ways of being exactly wrong by 180°, drawn. */
export function ReversedBearing({ onClose }: { onClose: () => void }) {
  return (
    <Modal open title={WORDS.reversed} footer={null} onCancel={onClose}>
      <p>
        Each of these turns a bearing by 180°. They feel right, since every step but one was right.
      </p>
      <ul className={styles.ways}>
        {WAYS.map(({ name, words, picture }) => (
          <li key={name}>
            <svg viewBox="-48 -48 96 96" className={styles.picture} aria-hidden="true">
              {picture}
            </svg>
            <span>
              <b>{name}.</b> {words}
            </span>
          </li>
        ))}
      </ul>
      <p>The sun, the slope or a stream tells at once which is right: look before you walk on.</p>
    </Modal>
  );
}
