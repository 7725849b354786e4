import type { Fault, Field } from '../faults';
import { bearingFault } from '../leg-row';
import type { Entry, Header } from '../logbook';
import { ghostLeg, type GhostLeg } from '../preview';
import type { Solution } from '../solve';
import { nearestName } from '../suggest';
import { readLine } from './read-line';

/** How a line that is being typed is understood, before it is saved. Columns count from 1. */
export type Understanding =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'fault'; readonly fault: Fault; readonly column: number }
  | { readonly kind: 'entry'; readonly entry: Entry; readonly ghost: GhostLeg | null }
  | { readonly kind: 'header'; readonly header: Partial<Header> };

/** Reads one line as the next on the page of a solution, at a cost that does not grow with the page. */
export function understand(text: string, solution: Solution): Understanding {
  if (text.trim() === '') return { kind: 'nothing' };
  const line = readLine(text, solution.end.read);
  if (!line.ok) return { kind: 'fault', ...line.fault };
  const { entry, header, columns } = line.value;
  const refuse = (fault: Fault, field: Field): Understanding => ({
    kind: 'fault',
    fault,
    column: (columns[field] ?? columns.whole ?? 0) + 1,
  });
  if (header) return { kind: 'header', header };
  if (!entry) return { kind: 'nothing' };
  if (entry.kind === 'leg') {
    const ghost = ghostLeg(solution, entry);
    if (!ghost.ok) return refuse(ghost.fault.fault, ghost.fault.field);
    return { kind: 'entry', entry, ghost: ghost.value };
  }
  if (entry.kind === 'from') {
    const { stations, traverse } = solution;
    if (stations.find(entry.station, traverse.legs) === undefined) {
      const nearest = nearestName(entry.station, stations.names());
      return refuse({ code: 'unknown-station', name: entry.station, nearest }, 'station');
    }
  }
  if ((entry.kind === 'at' || entry.kind === 'box') && solution.traverse.legs === 0) {
    return refuse({ code: 'no-leg-yet' }, 'whole');
  }
  if (entry.kind === 'see' || entry.kind === 'out') {
    const wrong = bearingFault(solution.end, entry.bearing, 'bearing');
    if (wrong) return refuse(wrong.fault, wrong.field);
  }
  return { kind: 'entry', entry, ghost: null };
}
