import { figureUnits } from '@/ui/units/shown';
import { describeEntry, type Entry } from '@/core/entries/entry';
import { describeLeg } from '@/core/entries/describe';
import type { Interpretation } from '@/core/log-text/interpret';
import { marginSumWords } from '@/views/shared/declination/words';

/** How a line that is being typed was read. */
export function interpretationWords(found: Interpretation): string {
  switch (found.kind) {
    case 'entry':
      return found.entry.kind === 'leg'
        ? describeLeg(found.entry, found.preview?.lengthMetres ?? null, figureUnits())
        : describeEntry(found.entry, figureUnits());
    case 'header':
      return [`For the whole outing: ${Object.keys(found.header).join(', ')}`, marginWords(found)]
        .filter(Boolean)
        .join(' · ');
    default:
      return '';
  }
}

/** The declination of a margin on the outing's day: the sum that the person would do. */
function marginWords({ header, day }: Extract<Interpretation, { kind: 'header' }>): string {
  const { declination } = header;
  return declination?.source === 'margin' ? marginSumWords(declination, day) : '';
}

/** An entry with its note, as on a printed page. */
export const entryWithNote = (entry: Entry): string =>
  [describeEntry(entry, figureUnits()), 'note' in entry ? entry.note : '']
    .filter(Boolean)
    .join(', ');
