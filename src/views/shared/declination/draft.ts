import { faultMessage } from '@/core/faults/messages';
import { readingNorthAtEnd } from '@/core/edit/settings';
import { writeConvergence } from '@/core/log-text/header-lines/convergence';
import { writeDeclination } from '@/core/log-text/header-lines/declination';
import { readHeaderLine } from '@/core/log-text/read-line';
import type { Correction, DeclinationSetting, Header } from '@/core/model/header';
import type { Outing } from '@/core/model/outing';
import { correctionOf } from '@/core/north/outing-norths';
import { nationalGridOf } from '@/core/place/national-grids';
import { writeAngle } from '@/core/readings/angle';
import type { North } from '@/core/units/bearing';
import { marginSumWords } from './words';

/** The declination settings as a person edits them: text as typed, choices as chosen. */
export interface DeclinationDraft {
  correction: Correction;
  source: Outing['declination']['source'];
  angle: string;
  /** As the map's margin prints it: angle, date and annual change in one. */
  margin: string;
  /** True where the angle is said from grid north. */
  ofGrid: boolean;
  /** The name of a national grid, or where else the convergence is from. */
  grid: string;
  gridAngle: string;
  projection: string;
  read: North;
  show: North;
}

/** The fields of a draft that are typed. */
export type DraftField = 'angle' | 'margin' | 'gridAngle' | 'projection';

export function draftOf(outing: Outing): DeclinationDraft {
  const { declination, convergence } = outing;
  return {
    correction: correctionOf(outing),
    source: declination.source,
    angle: declination.source === 'typed' ? writeAngle(declination.angle) : '',
    margin:
      declination.source === 'margin' ? writeDeclination({ ...declination, of: undefined }) : '',
    ofGrid: 'of' in declination && declination.of === 'grid',
    grid: gridOf(convergence),
    gridAngle: convergence?.source === 'typed' ? writeConvergence(convergence) : '',
    projection: convergence?.source === 'projection' ? convergence.definition : '',
    read: readingNorthAtEnd(outing),
    show: outing.show.north,
  };
}

/** What a convergence is chosen by. */
function gridOf(convergence: Outing['convergence']): string {
  if (!convergence) return 'same';
  if (convergence.source !== 'projection') return convergence.source;
  return nationalGridOf(convergence.definition)?.id ?? 'projection';
}

/** The note of a line, which stays with it when its figure changes. */
export const noteOf = (line: { note?: string } | undefined): { note?: string } =>
  line?.note === undefined ? {} : { note: line.note };

type DeclinationHeader = Pick<Header, 'declination' | 'correction' | 'convergence' | 'show'>;
type Wrong = Partial<Record<DraftField, string>>;

export interface ReadDraft {
  /** Null while something can't be read. */
  readonly header: DeclinationHeader | null;
  readonly wrong: Wrong;
}

/** The field that a declination is typed in; null where none is. */
const fieldOf = ({ source }: DeclinationDraft): 'angle' | 'margin' | null =>
  source === 'typed' ? 'angle' : source === 'margin' ? 'margin' : null;

/** The declination that the draft states, or what is wrong with the field that it is typed in. */
function readDeclination(draft: DeclinationDraft): DeclinationSetting | Wrong {
  const field = fieldOf(draft);
  const read = readHeaderLine('declination', field ? draft[field].trim() || ';' : draft.source);
  if (!read.ok) return field ? { [field]: faultMessage(read.fault) } : {};
  const stated = read.value.declination;
  const isAngle = stated?.source === 'typed' || stated?.source === 'margin';
  // A margin in the field for an angle is taken as what it is; the words "none", "model" are not.
  if (field === 'angle' && !isAngle) return { angle: 'Expected an angle, as in 19.1 W.' };
  if (field === 'margin' && stated?.source !== 'margin') {
    return { margin: 'Expected its date and annual change too: 2°18’ W, July 2009, 9’ E a year.' };
  }
  if (!stated || !('angle' in stated)) return stated ?? {};
  // What is typed as of grid is so, whatever is chosen beside it.
  return draft.ofGrid ? { ...stated, of: 'grid' } : stated;
}

/** The declination of a margin on a day, as in 0°39′ W on 14 July 2020; null where none reads. */
export function marginSum(draft: DeclinationDraft, day: string | undefined): string | null {
  const stated = readDeclination(draft);
  if (!('source' in stated) || stated.source !== 'margin') return null;
  return marginSumWords(stated, day);
}

/** The convergence as what follows its keyword in a log; null for none. */
function convergenceText({ grid, gridAngle, projection }: DeclinationDraft): string | null {
  switch (grid) {
    case 'same':
      return null;
    case 'model':
      return 'model';
    case 'typed':
      return gridAngle.trim() || ';';
    case 'projection':
      return `proj ${projection.trim() || ';'}`;
    default:
      return grid;
  }
}

/** Reads a draft by the log's own reader; what can't be read is reported by its field. */
export function readDraft(draft: DeclinationDraft, outing: Outing): ReadDraft {
  const stated = readDeclination(draft);
  const wrong: Wrong = 'source' in stated ? {} : stated;
  const grid = convergenceText(draft);
  const convergence = grid === null ? null : readHeaderLine('convergence', grid);
  if (convergence && !convergence.ok) {
    const field = draft.grid === 'typed' ? 'gridAngle' : 'projection';
    wrong[field] = faultMessage(convergence.fault);
  }
  if (!('source' in stated) || (convergence && !convergence.ok)) return { header: null, wrong };
  const setting = convergence?.value.convergence;
  const header: DeclinationHeader = {
    declination: { ...stated, ...noteOf(outing.declination) },
    correction: { how: draft.correction, ...noteOf(outing.correction) },
    ...(setting ? { convergence: { ...setting, ...noteOf(outing.convergence) } } : {}),
    show: { ...outing.show, north: draft.show },
  };
  return { header, wrong };
}
