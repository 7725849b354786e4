import type { KnownPlace } from '@/core/model/known-place';

/** Invented, like all of Ormsay Lake: what one might see from its shore. */
export const DEMO_PLACES: readonly KnownPlace[] = [
  place('bald-summit', 'Bald summit', 54.2126, -63.5209, '612 m'),
  place('island-beacon', 'Island beacon', 54.1962, -63.4871),
  place('hut', 'Trapper’s hut', 54.2053, -63.4905),
  place('notch', 'The Notch', 54.2148, -63.4993),
  place('dead-pine', 'Dead pine on the point', 54.1983, -63.5124),
  {
    id: 'demo-outlet',
    name: 'Outlet brook',
    positions: [
      { latitude: 54.1995, longitude: -63.4985 },
      { latitude: 54.2009, longitude: -63.5008 },
      { latitude: 54.2031, longitude: -63.5046 },
      { latitude: 54.2047, longitude: -63.5041 },
      { latitude: 54.2078, longitude: -63.5092 },
    ],
  },
];

function place(
  id: string,
  name: string,
  latitude: number,
  longitude: number,
  note?: string,
): KnownPlace {
  return { id: `demo-${id}`, name, positions: [{ latitude, longitude }], ...(note && { note }) };
}
