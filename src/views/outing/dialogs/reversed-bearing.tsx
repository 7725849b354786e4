'use client';
import { Modal } from 'antd';
import { FaceNeedle } from '@/ui/compass/face';
import { WORDS } from '../words';
import styles from './reversed-bearing.module.css';

/** A map's sheet with an N at its top, and a base plate of a compass with its arrow up. */
const SHEET = <rect x="-40" y="-40" width="80" height="80" rx="2" className="thin" />;
const PLATE = <rect x="-13" y="-30" width="26" height="60" rx="5" />;
const ARROW = <path d="M0 -8V-24M-5 -19L0 -25L5 -19" />;

/** At a map a bearing is reversed by three things, and on the hill by one. */
const AT_THE_MAP = [
  {
    name: 'The plate is turned round',
    words:
      'Its direction-of-travel arrow lay from the goal back to you. It must point from where you ' +
      'are to where you go.',
    picture: (
      <>
        {SHEET}
        <circle cx="-26" cy="28" r="4" className="full" />
        <circle cx="26" cy="-28" r="4" />
        <g transform="rotate(223)">
          {PLATE}
          {ARROW}
        </g>
      </>
    ),
  },
  {
    name: 'The housing’s lines point to the map’s bottom',
    words:
      'Its N was turned to the south edge of the map. Turn the housing until its N and its lines ' +
      'point to the map’s north.',
    picture: (
      <>
        {SHEET}
        <text x="-32" y="-26">
          N
        </text>
        <circle r="24" />
        <path d="M-9 -18V18M0 -22V22M9 -18V18" className="thin" />
        <g transform="rotate(180)">
          <text y="-27" className="small">
            N
          </text>
        </g>
      </>
    ),
  },
  {
    name: 'The map is upside down',
    words: 'Its north was toward you. Its names must read upright with north away from you.',
    picture: (
      <>
        {SHEET}
        <g transform="rotate(180)">
          <path d="M0 30V-18M-7 -10L0 -20L7 -10" />
          <text y="-24">N</text>
        </g>
      </>
    ),
  },
] as const;

const ON_THE_HILL = [
  {
    name: 'The needle’s south end was used',
    words: 'The housing’s N was brought to the plain end. The marked end, north, belongs there.',
    picture: (
      <>
        <circle r="38" />
        <text y="-24">N</text>
        <FaceNeedle length={20} half={5} south="full" />
      </>
    ),
  },
] as const;

const Causes = ({ of }: { of: typeof AT_THE_MAP | typeof ON_THE_HILL }) => (
  <ul className={styles.ways}>
    {of.map(({ name, words, picture }) => (
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
);

/** How a bearing is wrong by exactly 180°, drawn: three causes at a map, one on the hill. */
export function ReversedBearing({ atMap = false, onClose }: Props) {
  return (
    <Modal open title={WORDS.reversed} footer={null} onCancel={onClose}>
      <p>
        Each of these turns a bearing by 180°. They feel right, since every step but one was right.
      </p>
      <h3 className={styles.part}>At the map</h3>
      <Causes of={AT_THE_MAP} />
      {!atMap && (
        <>
          <h3 className={styles.part}>On the hill</h3>
          <Causes of={ON_THE_HILL} />
        </>
      )}
      <p>The sun, the slope or a stream tells at once which is right: look before you walk on.</p>
    </Modal>
  );
}

interface Props {
  /** True where the bearing was taken off a map: the needle has no part in it. */
  atMap?: boolean;
  onClose: () => void;
}
