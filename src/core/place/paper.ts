import type { PaperMeasure } from '../model/route';
import { METRES_PER_FOOT, type Metres } from '../units/units';

const METRES_PER_PAPER_UNIT: Readonly<Record<PaperMeasure['unit'], Metres>> = {
  mm: 0.001,
  cm: 0.01,
  in: METRES_PER_FOOT / 12,
};

/** Metres of the map's grid for a length on paper: the length times n, at a scale of 1:n. */
export const gridMetresOf = ({ length, unit, scale }: Omit<PaperMeasure, 'bearing'>): Metres =>
  length * METRES_PER_PAPER_UNIT[unit] * scale;
