import type { Fault } from '@/core/faults';
import { faultWords } from '@/core/fault-words';
import { readLine } from '@/core/log-text/read-line';
import { writeAngle, writeConvergence } from '@/core/log-text/write-log';
import type { Correction, Header, Outing } from '@/core/logbook';
import type { North } from '@/core/north';
import { readNorthAtEnd } from '@/core/edit/set-up';
import { correctionOf } from '@/core/norths-of';

/** The norths of an outing as a person edits them: text as typed, choices as chosen. */
export interface NorthsDraft {
  correction: Correction;
  source: Outing['declination']['source'];
  angle: string;
  marginDate: string;
  marginChange: string;
  grid: 'same' | 'model' | 'projection' | 'typed';
  gridAngle: string;
  projection: string;
  read: North;
  show: North;
}

export type DraftField = 'angle' | 'marginDate' | 'marginChange' | 'gridAngle' | 'projection';

export function draftOf(outing: Outing): NorthsDraft {
  const { declination, convergence } = outing;
  const margin = declination.source === 'margin' ? declination : null;
  return {
    correction: correctionOf(outing),
    source: declination.source,
    angle: 'angle' in declination ? writeAngle(declination.angle) : '',
    marginDate: margin
      ? `${margin.year}${margin.month ? `-${String(margin.month).padStart(2, '0')}` : ''}`
      : '',
    marginChange: margin ? writeAngle(margin.changePerYear) : '',
    grid: convergence?.source ?? 'same',
    gridAngle: convergence?.source === 'typed' ? writeConvergence(convergence) : '',
    projection: convergence?.source === 'projection' ? convergence.definition : '',
    read: readNorthAtEnd(outing),
    show: outing.show.north,
  };
}

/** The note of a line, which stays with it when its figure changes. */
export const noteOf = (line: { note?: string } | undefined): { note?: string } =>
  line?.note === undefined ? {} : { note: line.note };

type Norths = Pick<Header, 'declination' | 'correction' | 'convergence' | 'show'>;
export interface ReadDraft {
  readonly norths: Norths | null;
  readonly wrong: Partial<Record<DraftField, string>>;
}

/** Which of a margin's three fields a fault of its line is about. */
function marginField(fault: Fault): DraftField {
  const about =
    fault.code === 'unexpected' ? fault.expected : fault.code === 'out-of-range' ? fault.what : '';
  if (about === 'margin-date' || about === 'month' || about === 'year') return 'marginDate';
  return about === 'margin-change' || about === 'line-end' ? 'marginChange' : 'angle';
}

/** Reads a draft by the log's own reader; what can't be read is said beside its field. */
export function readDraft(draft: NorthsDraft, outing: Outing): ReadDraft {
  const wrong: ReadDraft['wrong'] = {};
  const read = (keyword: string, text: string, field: (fault: Fault) => DraftField) => {
    const line = readLine(`${keyword} ${text}`, 'magnetic');
    if (line.ok) return line.value.header;
    const { fault } = line.fault;
    wrong[field(fault)] = faultWords(fault);
    return undefined;
  };
  const angle = draft.angle.trim();
  const stated =
    draft.source === 'typed'
      ? angle
      : draft.source === 'margin'
        ? `${angle} in ${draft.marginDate.trim()} change ${draft.marginChange.trim()} a year`
        : draft.source;
  if (draft.source === 'typed' || draft.source === 'margin') {
    const alone = read('declination', angle || ';', () => 'angle')?.declination;
    // "none" and "model" are words of the line, and no angle.
    if (alone && alone.source !== 'typed')
      wrong.angle = 'Expected an angle with its letter, as in 19.1 W.';
  }
  if (draft.source === 'margin' && !wrong.angle) {
    if (!/^\d{4}(-\d{2})?$/.test(draft.marginDate.trim()))
      wrong.marginDate = 'Expected the year or month of the map, as in 2009 or 2009-07.';
    else if (draft.marginChange.trim() === '')
      wrong.marginChange = 'Expected the change a year, as in 9’ E; 0 E for none.';
  }
  const declination =
    Object.keys(wrong).length > 0
      ? undefined
      : read('declination', stated, marginField)?.declination;
  const grid =
    draft.grid === 'same'
      ? undefined
      : draft.grid === 'model'
        ? 'model'
        : draft.grid === 'typed'
          ? draft.gridAngle.trim() || ';'
          : `proj ${draft.projection.trim() || ';'}`;
  const convergence =
    grid === undefined
      ? undefined
      : read('convergence', grid, () => (draft.grid === 'typed' ? 'gridAngle' : 'projection'))
          ?.convergence;
  if (Object.keys(wrong).length > 0 || !declination) return { norths: null, wrong };
  return {
    norths: {
      declination: { ...declination, ...noteOf(outing.declination) },
      correction: { how: draft.correction, ...noteOf(outing.correction) },
      ...(convergence ? { convergence: { ...convergence, ...noteOf(outing.convergence) } } : {}),
      show: { ...outing.show, north: draft.show },
    },
    wrong,
  };
}

/** The north that the compass itself reads from, under each school; the map's north is true or grid. */
export const compassNorth = (correction: Correction, map: North): North =>
  correction === 'compass-set' || correction === 'by-mark' ? map : 'magnetic';
