import type { WayHome } from '@/core/navigation/ways/ways-home';
import type { Solution } from '@/core/survey/solution';
import type { WayChoices } from './way-choices';

type Fields = Pick<WayChoices, 'line' | 'side' | 'via'>;

/** What the address of the guided walk says of a chosen way. */
export function walkQuery(
  { legs, current }: Solution,
  kind: WayHome['kind'],
  { line, side, via }: Fields,
): Record<string, string> {
  if (kind === 'aim-off') return { line, side };
  if (kind === 'via-station' && via !== null) return { via: String(via) };
  if (kind !== 'retrace') return {};
  const back = legs.pathTo(current).map(({ from }) => from);
  return {
    via: back
      .filter((station) => station !== 0)
      .reverse()
      .join(','),
  };
}
