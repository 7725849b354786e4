'use client';
import { visibleText } from '@/core/units/visible';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef, type KeyboardEvent, type RefObject } from 'react';
import {
  backBearingWords,
  boxedWords,
  distanceWords,
  NORTH_WORDS,
  slopeWords,
} from '@/core/entries/describe';
import type { Entry, Leg } from '@/core/entries/entry';
import { alongOf } from '@/core/entries/kinds/at';
import { bearingDegrees } from '@/core/readings/bearing';
import { NORTH_LETTERS } from '@/core/units/bearing';
import type { Metres } from '@/core/units/units';
import { lineWords, WORDS } from '../words';
import styles from './log-pane.module.css';
import {
  bearingFigure,
  bearingSign,
  isInPaces,
  lengthText,
  lengthUnit,
  figureUnits,
} from '@/ui/units/shown';
import type { LogRow } from './log-rows';

const ROW_HEIGHT = 45;
/** Rows drawn beyond the edge, so that scrolling never shows an empty pane. */
const OVERSCAN = 8;

interface Props {
  rows: readonly LogRow[];
  selected: number | null;
  onSelect: (index: number | null) => void;
  onStrike: (index: number) => void;
  onEdit: (index: number) => void;
  /** Words that are searched for; empty for none. */
  sought: string;
  /** The next leg leaves from the station at the end of this one. */
  onLegFrom: (index: number) => void;
}

/** The numbers of so many rows need more room. */
const LEAST_LONG = 1000;

/** The log: a line a row, in the order in which it was written. */
export function LogPane(props: Props) {
  return (
    <div
      className={styles.pane}
      data-bearings={figureUnits().bearings}
      data-long={props.rows.length >= LEAST_LONG || undefined}
    >
      <div className={styles.head} aria-hidden="true">
        <span>{WORDS.columns.number}</span>
        <span>{bearingSign() || WORDS.columns.bearing}</span>
        <span>{WORDS.columns.count}</span>
        <span className={styles.metres}>{isInPaces() ? '' : lengthUnit().name}</span>
        <span>{WORDS.columns.note}</span>
      </div>
      {props.rows.length === 0 ? (
        <div className={styles.empty}>
          {props.sought ? (
            <p>{WORDS.notFound(props.sought)}</p>
          ) : (
            <>
              <p>{WORDS.emptyLog}</p>
              <p>{WORDS.emptyHow}</p>
              <p>{WORDS.emptyMark}</p>
            </>
          )}
        </div>
      ) : (
        <Rows {...props} />
      )}
    </div>
  );
}

/** Which row an arrow, Home or End goes to from the selected one (-1: none is selected). */
function rowAfterKey(key: string, place: number, count: number): number | null {
  const last = count - 1;
  switch (key) {
    case 'ArrowDown':
      return Math.min(last, place + 1);
    case 'ArrowUp':
      return place < 0 ? last : Math.max(0, place - 1);
    case 'Home':
      return 0;
    case 'End':
      return last;
    default:
      return null;
  }
}

function Rows({ rows, selected, onSelect, onEdit, onStrike, onLegFrom }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: OVERSCAN,
  });
  const place = selected === null ? -1 : rows.findIndex(({ index }) => index === selected);
  useScrolling(virtual, rows.length, place);
  useStillRow(scroller, virtual, place);
  const onKeyDown = (event: KeyboardEvent) => {
    const row = rows[rowAfterKey(event.key, place, rows.length) ?? -1];
    if (row) onSelect(row.index);
    else if (event.key === 'Escape') onSelect(null);
    else if (selected === null) return;
    else if (event.key === 'Enter') onEdit(selected);
    else if (event.key === 'Delete') onStrike(selected);
    else if (event.key === 'f') onLegFrom(selected);
    else return;
    event.preventDefault();
  };
  return (
    <div
      ref={scroller}
      className={styles.scroller}
      role="listbox"
      tabIndex={0}
      aria-label={WORDS.log}
      aria-activedescendant={drawnRow(virtual, place, selected)}
      onKeyDown={onKeyDown}
    >
      <div className={styles.all} style={{ height: virtual.getTotalSize() }} role="presentation">
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          if (!row) return null;
          return (
            <div
              key={item.key}
              ref={virtual.measureElement}
              data-index={item.index}
              className={styles.place}
              style={{ transform: `translateY(${item.start}px)` }}
              role="presentation"
            >
              <Row
                row={row}
                selected={row.index === selected}
                place={item.index + 1}
                count={rows.length}
                onSelect={onSelect}
              />
            </div>
          );
        })}
      </div>
    </div>
  );
}

/** The id of the selected row; a row out of view isn't drawn, and there is nothing to point to. */
const drawnRow = (virtual: Virtual, place: number, selected: number | null) =>
  virtual.getVirtualItems().some(({ index }) => index === place) ? `line-${selected}` : undefined;

type Virtual = ReturnType<typeof useVirtualizer<HTMLDivElement, Element>>;

/** Keeps a new last line and the selected row in view. */
function useScrolling(virtual: Virtual, count: number, place: number): void {
  const before = useRef(0);
  useEffect(() => {
    if (count > before.current) virtual.scrollToIndex(count - 1, { align: 'end' });
    before.current = count;
  }, [count, virtual]);
  useEffect(() => {
    if (place >= 0) virtual.scrollToIndex(place);
  }, [place, virtual]);
}

/**
 * When what is below needs more room, or less: the selected row stays where it is as long as that
 * is in view; without one, the lowest row in view stays the lowest.
 */
function useStillRow(
  scroller: RefObject<HTMLElement | null>,
  virtual: Virtual,
  place: number,
): void {
  const selected = useRef(place);
  useEffect(() => {
    selected.current = place;
  }, [place]);
  useEffect(() => {
    const element = scroller.current;
    if (!element) return;
    let height = element.clientHeight;
    const observer = new ResizeObserver(() => {
      if (selected.current >= 0) virtual.scrollToIndex(selected.current);
      else element.scrollTop += height - element.clientHeight;
      height = element.clientHeight;
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [scroller, virtual]);
}

interface RowProps {
  row: LogRow;
  selected: boolean;
  /** Which row it is, from 1. */
  place: number;
  count: number;
  onSelect: (index: number) => void;
}

const Row = memo(function Row({ row, selected, place, count, onSelect }: RowProps) {
  const { entry, index, leg, metres, alongs, remarks } = row;
  return (
    <div
      id={`line-${index}`}
      role="option"
      aria-selected={selected}
      aria-setsize={count}
      aria-posinset={place}
      tabIndex={-1}
      className={selected ? `${styles.row} ${styles.selected}` : styles.row}
      data-entry-index={index}
      onClick={() => onSelect(index)}
      onKeyDown={undefined}
    >
      {entry.kind === 'leg' ? (
        <LegCells leg={entry} number={leg} metres={metres ?? 0} alongs={alongs} />
      ) : (
        <LineCells entry={entry} />
      )}
      {remarks.map(({ text, warns }) => (
        <span key={text} className={warns ? styles.warning : styles.remark}>
          {text}
        </span>
      ))}
    </div>
  );
});

interface CellProps extends Pick<LogRow, 'alongs'> {
  leg: Leg;
  number: number;
  metres: Metres;
}

function LegCells({ leg, number, metres, alongs }: CellProps) {
  const { north } = leg.bearing;
  // What was counted; the length beside it is in the column of metres.
  const [count, unit] = splitCount(boxedWords(leg.counted ?? leg.distance, alongs, figureUnits()));
  const small = [
    backBearingWords(leg, figureUnits()),
    leg.ground,
    slopeWords(leg),
    leg.time,
  ].filter(Boolean);
  return (
    <span className={styles.cells}>
      <span className={styles.number}>{number}</span>
      <span className={styles.bearing}>
        {bearingFigure(bearingDegrees(leg.bearing))}
        {north !== 'magnetic' && <abbr title={NORTH_WORDS[north]}>{NORTH_LETTERS[north]}</abbr>}
      </span>
      <span className={styles.count}>
        {count} <small>{unit}</small>
      </span>
      <span className={styles.metres}>{isSaid(leg) ? '' : lengthText(metres)}</span>
      <span className={styles.note}>
        {leg.to && <b>{visibleText(leg.to)}</b>} {visibleText(leg.note ?? '')}
        {small.map((words) => (
          <small key={words}> {words}</small>
        ))}
      </span>
    </span>
  );
}

/** True where what was counted is the length itself. */
const isSaid = ({ distance }: Leg) => isInPaces() && distance.unit === 'paces';

/** What the words of an estimated distance begin with. */
const ABOUT = 'about ';

/** The figure of a distance in words, and the rest. */
function splitCount(words: string): [string, string] {
  if (words.startsWith(ABOUT)) {
    const [figure, rest] = splitCount(words.slice(ABOUT.length));
    return [`~${figure}`, rest];
  }
  const space = words.indexOf(' ');
  return space < 0 ? [words, ''] : [words.slice(0, space), words.slice(space + 1)];
}

function LineCells({ entry }: { entry: Entry }) {
  return (
    <span className={lineClass(entry)}>
      {entry.kind === 'at' && (
        <span className={styles.metre}>{distanceWords(alongOf(entry), figureUnits())}</span>
      )}
      {lineWords(entry)}
      {'note' in entry && entry.note ? ` · ${visibleText(entry.note)}` : ''}
    </span>
  );
}

const SEEN: ReadonlySet<Entry['kind']> = new Set(['at', 'see', 'landmark', 'mark']);

function lineClass({ kind }: Entry): string {
  if (kind === 'struck') return `${styles.line} ${styles.struck}`;
  return SEEN.has(kind) ? `${styles.line} ${styles.seen}` : `${styles.line}`;
}
