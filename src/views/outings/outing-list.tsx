'use client';
import { startTransition, useEffect, useMemo, useState } from 'react';
import type { StoredOuting } from '@/store/outings';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import { listed, ORDERS, useOrder, type Order } from './list-choices';
import { OutingRow, type ListActions } from './outing-row';
import styles from './outings.module.css';
import { WORDS } from './words';

/** Rows that fill the first screen with some to spare; more join them after it is painted. */
const FIRST_ROWS = 16;
const MORE_ROWS = 40;

/** How many of these rows to draw: the first screen at once, the rest when that is done. */
function useGrowing(count: number): number {
  const [drawn, setDrawn] = useState(FIRST_ROWS);
  useEffect(() => {
    if (drawn >= count) return;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + MORE_ROWS)));
    return () => clearTimeout(timer);
  }, [drawn, count]);
  return drawn;
}

interface ListProps {
  outings: readonly StoredOuting[];
  actions: ListActions;
}

/** All outings: sought, sorted, and several of them chosen. */
export function OutingList({ outings, actions }: ListProps) {
  const [sought, setSought] = useState('');
  const [{ order }, keep] = useOrder();
  /** Those that are chosen; null while none are to be. */
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const shown = useMemo(() => listed(outings, sought, order), [outings, sought, order]);
  const rows = useGrowing(shown.length);
  const choose = (id: string, isChosen: boolean) => {
    const after = new Set(chosen);
    if (isChosen) after.add(id);
    else after.delete(id);
    setChosen(after);
  };
  return (
    <>
      {outings.length > 1 && (
        <ListTools
          {...{ sought, order }}
          choosesSome={chosen !== null}
          onSeek={setSought}
          onOrder={(wanted) => void keep({ order: wanted })}
          onSome={() => setChosen(chosen ? null : new Set())}
        />
      )}
      {chosen && <WithChosen {...{ outings, chosen, actions }} onDone={() => setChosen(null)} />}
      {shown.length === 0 && <p role="status">{WORDS.noneFound(sought)}</p>}
      <ul className={styles.list}>
        {shown.slice(0, rows).map((stored) => {
          const { id } = stored.state.document;
          return (
            <OutingRow
              key={id}
              stored={stored}
              actions={actions}
              isChosen={chosen?.has(id) ?? null}
              onChoose={(isChosen) => choose(id, isChosen)}
            />
          );
        })}
      </ul>
    </>
  );
}

interface ToolsProps {
  sought: string;
  order: Order;
  choosesSome: boolean;
  onSeek: (words: string) => void;
  onOrder: (order: Order) => void;
  onSome: () => void;
}

/** What is sought, in which order, and whether several are chosen. */
const ListTools = ({ sought, order, choosesSome, onSeek, onOrder, onSome }: ToolsProps) => (
  <div className={styles.listTools} role="search">
    <input
      type="search"
      aria-label={WORDS.search}
      placeholder={WORDS.search}
      value={sought}
      onChange={({ target }) => onSeek(target.value)}
    />
    <select
      aria-label={WORDS.order}
      value={order}
      onChange={({ target }) => onOrder(target.value as Order)}
    >
      {(Object.keys(ORDERS) as Order[]).map((each) => (
        <option key={each} value={each}>
          {ORDERS[each]}
        </option>
      ))}
    </select>
    <PressButton aria-pressed={choosesSome} onClick={onSome}>
      {WORDS.several}
    </PressButton>
  </div>
);

interface WithChosenProps extends ListProps {
  chosen: ReadonlySet<string>;
  onDone: () => void;
}

/** What is done with those that are chosen. */
function WithChosen({ outings, chosen, actions, onDone }: WithChosenProps) {
  const documents = outings.map(({ state }) => state.document).filter(({ id }) => chosen.has(id));
  const ids = documents.map(({ id }) => id).join(' ');
  const isNone = documents.length === 0;
  return (
    <div className={styles.chosen} role="group" aria-label={WORDS.several}>
      <span role="status">{WORDS.chosen(documents.length)}</span>
      {!isNone && (
        <>
          <PressButton href={viewUrl('files', undefined, { only: ids })}>
            {WORDS.export}
          </PressButton>
          <PressButton href={viewUrl('area', undefined, { with: ids })}>
            {WORDS.newArea}
          </PressButton>
          <PressButton
            onClick={() => {
              actions.remove(documents);
              onDone();
            }}
          >
            {WORDS.remove}
          </PressButton>
        </>
      )}
    </div>
  );
}
