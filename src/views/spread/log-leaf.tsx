'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef, type KeyboardEvent } from 'react';
import { threeDigits } from '@/core/angle';
import { bearingDegrees } from '@/core/reading';
import type { LeafRow } from './leaf-rows';
import { NORTH_WORDS } from '@/views/shared/norths/words';
import styles from './log-leaf.module.css';
import { backWords, distanceWords, slopeWords } from '@/views/shared/entry-words';
import { lineWords, WORDS } from './words';

const ROW_HEIGHT = 45;
/** Rows drawn beyond the edge, so that scrolling never shows an empty page. */
const OVERSCAN = 8;

interface Props {
  rows: readonly LeafRow[];
  selected: number | null;
  onSelect: (index: number | null) => void;
  onEdit: (index: number) => void;
  onStrike: (index: number) => void;
  /** The next leg leaves from the station at the end of this one. */
  onLegFrom: (index: number) => void;
}

/** The page of the field book: a line a row, in the order in which it was written. */
export function LogLeaf({ rows, selected, onSelect, onEdit, onStrike, onLegFrom }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: OVERSCAN,
  });

  const counted = useRef(0);
  useEffect(() => {
    if (rows.length > counted.current) {
      virtual.scrollToIndex(rows.length - 1, { align: 'end' });
    }
    counted.current = rows.length;
  }, [rows.length, virtual]);
  const place = selected === null ? -1 : rows.findIndex(({ index }) => index === selected);
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place);
  }, [place, virtual]);

  const onKeyDown = (event: KeyboardEvent) => {
    const at = place >= 0 ? place : event.key === 'ArrowDown' ? -1 : rows.length;
    const moves: Record<string, number> = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      Home: 0,
      End: rows.length - 1,
    };
    const to = moves[event.key];
    if (to !== undefined) onSelect(rows[Math.min(rows.length - 1, Math.max(0, to))]!.index);
    else if (event.key === 'Enter' && selected !== null) onEdit(selected);
    else if (event.key === 'Delete' && selected !== null) onStrike(selected);
    else if (event.key === 'f' && selected !== null) onLegFrom(selected);
    else if (event.key === 'Escape') onSelect(null);
    else return;
    event.preventDefault();
  };

  return (
    <div className={styles.leaf}>
      <div className={styles.head} aria-hidden="true">
        <span>{WORDS.columns.number}</span>
        <span>{WORDS.columns.bearing}</span>
        <span>{WORDS.columns.counted}</span>
        <span className={styles.is}>{WORDS.columns.is}</span>
        <span>{WORDS.columns.note}</span>
      </div>
      {rows.length === 0 ? (
        <div className={styles.empty}>
          <p>{WORDS.emptyPage}</p>
          <p>{WORDS.emptyHow}</p>
        </div>
      ) : (
        <div
          ref={scroller}
          className={styles.scroller}
          role="listbox"
          tabIndex={0}
          aria-label={WORDS.log}
          aria-activedescendant={selected === null ? undefined : `line-${selected}`}
          onKeyDown={onKeyDown}
        >
          <div
            className={styles.all}
            style={{ height: virtual.getTotalSize() }}
            role="presentation"
          >
            {virtual.getVirtualItems().map((item) => (
              <div
                key={item.key}
                ref={virtual.measureElement}
                data-index={item.index}
                className={styles.place}
                style={{ transform: `translateY(${item.start}px)` }}
                role="presentation"
              >
                <Row
                  row={rows[item.index]!}
                  selected={rows[item.index]!.index === selected}
                  place={item.index + 1}
                  count={rows.length}
                  onSelect={onSelect}
                  onEdit={onEdit}
                />
              </div>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}

interface RowProps {
  row: LeafRow;
  selected: boolean;
  /** Which row it is, from 1. */
  place: number;
  count: number;
  onSelect: (index: number) => void;
  onEdit: (index: number) => void;
}

const Row = memo(function Row({ row, selected, place, count, onSelect, onEdit }: RowProps) {
  return (
    <div
      id={`line-${row.index}`}
      role="option"
      aria-selected={selected}
      aria-setsize={count}
      aria-posinset={place}
      tabIndex={-1}
      className={selected ? `${styles.row} ${styles.chosen}` : styles.row}
      onClick={() => onSelect(row.index)}
      onDoubleClick={() => onEdit(row.index)}
      onKeyDown={undefined}
    >
      {row.leg > 0 ? <LegCells row={row} /> : <LineCells row={row} />}
      {row.remarks.map(({ text, warns }) => (
        <span key={text} className={warns ? styles.warning : styles.remark}>
          {text}
        </span>
      ))}
    </div>
  );
});

function LegCells({ row }: { row: LeafRow }) {
  const leg = row.entry;
  if (leg.kind !== 'leg') return null;
  const [count, unit] = splitCount(distanceWords(leg.distance));
  return (
    <span className={styles.cells}>
      <span className={styles.number}>{row.leg}</span>
      <span className={styles.bearing}>
        {threeDigits(bearingDegrees(leg.bearing))}
        {leg.bearing.north !== 'magnetic' && (
          <abbr title={NORTH_WORDS[leg.bearing.north]}>
            {leg.bearing.north === 'true' ? 'T' : 'G'}
          </abbr>
        )}
      </span>
      <span className={styles.counted}>
        {count} <small>{unit}</small>
      </span>
      <span className={styles.is}>{Math.round(row.metres ?? 0)} m</span>
      <span className={styles.note}>
        {leg.to && <b>{leg.to}</b>} {leg.note}
        {leg.back && <small> {backWords(leg)}</small>}
        {leg.ground && <small> {leg.ground}</small>}
        {slopeWords(leg) && <small> {slopeWords(leg)}</small>}
        {leg.time && <small> {leg.time}</small>}
      </span>
    </span>
  );
}

/** The figure of a distance in words, and the rest. */
function splitCount(words: string): [string, string] {
  const space = words.indexOf(' ');
  return space < 0 ? [words, ''] : [words.slice(0, space), words.slice(space + 1)];
}

function LineCells({ row }: { row: LeafRow }) {
  const { entry } = row;
  return (
    <span className={lineClass(entry)}>
      {entry.kind === 'at' && <span className={styles.metre}>{entry.metres} m</span>}
      {lineWords(entry)}
      {'note' in entry && entry.note ? ` · ${entry.note}` : ''}
    </span>
  );
}

function lineClass({ kind }: LeafRow['entry']): string {
  if (kind === 'struck') return `${styles.line} ${styles.struck}`;
  const seen = kind === 'at' || kind === 'see' || kind === 'landmark';
  return seen ? `${styles.line} ${styles.seen}` : styles.line!;
}
