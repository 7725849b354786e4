import type { Correction } from '@/core/model/header';
import { northOfMethod } from '@/core/north/outing-norths';
import { gridsAt } from '@/core/place/national-grids';
import type { Position } from '@/core/readings/position';
import type { DeclinationDraft } from './draft';

interface Choice {
  readonly value: string;
  readonly label: string;
}
export type QuestionKey = 'map' | 'compass' | 'lines' | 'angle' | 'from';
export interface Question {
  readonly key: QuestionKey;
  readonly asks: string;
  readonly choices: readonly Choice[];
}
export type Answers = Partial<Record<QuestionKey, string>>;

const MAP: Question = {
  key: 'map',
  asks: 'Do you have a map, and do you take bearings from it?',
  choices: [
    { value: 'no', label: 'No, compass and paces only' },
    { value: 'yes', label: 'Yes' },
    { value: 'magnetic', label: 'Yes, and its north lines are magnetic' },
  ],
};
const COMPASS: Question = {
  key: 'compass',
  asks: 'What does your compass do about declination?',
  choices: [
    { value: 'by-sum', label: 'Nothing: it reads magnetic bearings' },
    { value: 'by-mark', label: 'It has a fixed declination scale in the housing' },
    { value: 'compass-set', label: 'It can be adjusted, and I have adjusted it' },
    { value: 'left-out', label: 'The declination is small here: I ignore it' },
  ],
};
const LINES: Question = {
  key: 'lines',
  asks: 'Which lines of the map do you measure bearings from?',
  choices: [
    { value: 'grid', label: 'The grid lines' },
    { value: 'true', label: 'The map’s edges, or lines that point true north' },
  ],
};
const ANGLE: Question = {
  key: 'angle',
  asks: 'How do you know the declination?',
  choices: [
    { value: 'model', label: 'I don’t: compute it from the place and the date' },
    { value: 'margin', label: 'It is printed on the map, with a year' },
    { value: 'typed', label: 'I was given it' },
  ],
};

const FROM: Question = {
  key: 'from',
  asks: 'From which north is that angle said?',
  choices: [
    { value: 'grid', label: 'Grid north: “magnetic north is … W of grid north”' },
    { value: 'true', label: 'True north, or it only says declination or variation' },
  ],
};

/** The questions that the answers so far call for. */
export function questionsFor({ map, compass, angle }: Answers): Question[] {
  if (map === 'no') return [MAP];
  // A map with magnetic meridians has no other grid; an angle that is ignored is small anyhow.
  if (map === 'magnetic') return [MAP, ANGLE];
  if (compass === 'left-out') return [MAP, COMPASS, ANGLE];
  // The model says it from true north; who was given it, or reads it, knows from which.
  const isSaid = angle === 'margin' || angle === 'typed';
  return [MAP, COMPASS, LINES, ANGLE, ...(isSaid ? [FROM] : [])];
}

const METHOD_OF_COMPASS: Readonly<Record<string, Correction>> = {
  'by-sum': 'by-sum',
  'by-mark': 'by-mark',
  'compass-set': 'compass-set',
  'left-out': 'left-out',
};
const SOURCE_OF_ANGLE: Readonly<Record<string, DeclinationDraft['source']>> = {
  model: 'model',
  margin: 'margin',
  typed: 'typed',
};

function methodOf({ map, compass }: Answers): Correction {
  if (map === 'no') return 'none';
  if (map === 'magnetic') return 'magnetic-map';
  return METHOD_OF_COMPASS[compass ?? ''] ?? 'by-sum';
}

/** The setting that the answers end in. */
export function settledDraft(
  draft: DeclinationDraft,
  answers: Answers,
  at: Position | null,
): DeclinationDraft {
  const correction = methodOf(answers);
  const lines = answers.lines === 'grid' ? 'grid' : 'true';
  const north = northOfMethod(correction, lines);
  const source = correction === 'none' ? 'none' : (SOURCE_OF_ANGLE[answers.angle ?? ''] ?? 'model');
  const ofGrid = answers.from === 'grid' && (source === 'margin' || source === 'typed');
  // An angle from grid north says where true north is only with the convergence of that grid.
  const usesGrid = correction !== 'none' && ((answers.map === 'yes' && lines === 'grid') || ofGrid);
  const usual = (at && gridsAt(at)[0]?.id) ?? 'model';
  const knownGrid = draft.grid === 'same' ? usual : draft.grid;
  const grid = usesGrid ? knownGrid : 'same';
  return { ...draft, correction, source, ofGrid, grid, read: north, show: north };
}
