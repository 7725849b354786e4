'use client';
import type { StoredOuting } from '@/store/outings';
import { useKept } from '@/views/shared/data/use-kept';

/** Orders of the list, each with what it is called. */
export const ORDERS = {
  changed: 'Last changed',
  day: 'Day',
  name: 'Name',
  legs: 'Most legs',
} as const;
export type Order = keyof typeof ORDERS;

const remembered = ({ order }: Record<string, unknown>): { readonly order: Order } => ({
  order: (Object.keys(ORDERS) as Order[]).find((each) => each === order) ?? 'changed',
});

/** The order of the list, remembered on the device. */
export const useOrder = () => useKept('cairn-outings', remembered);

const dayOf = ({ state: { document } }: StoredOuting) =>
  `${document.date?.day ?? ''} ${document.date?.time ?? ''}`;

const COMPARED: Readonly<Record<Order, (a: StoredOuting, b: StoredOuting) => number>> = {
  // As they come from the store.
  changed: () => 0,
  day: (a, b) => dayOf(b).localeCompare(dayOf(a)),
  name: (a, b) =>
    a.state.document.name.localeCompare(b.state.document.name, 'en', { numeric: true }),
  legs: (a, b) => b.state.document.entries.length - a.state.document.entries.length,
};

/** The outings with all the words that are sought, in their name, their person or their day. */
export function listed(
  outings: readonly StoredOuting[],
  sought: string,
  order: Order,
): StoredOuting[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  return outings
    .filter(({ state: { document } }) => {
      const text =
        `${document.name} ${document.by ?? ''} ${document.date?.day ?? ''}`.toLowerCase();
      return words.every((word) => text.includes(word));
    })
    .sort(COMPARED[order]);
}
