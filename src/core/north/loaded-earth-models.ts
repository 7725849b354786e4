import type { EarthModels } from './earth-models';
import { fieldModel } from './field-model';
import { gridModel } from './grid-model';

/** The World Magnetic Model and map grids, whole. */
export const earthModels: EarthModels = { ...fieldModel, ...gridModel };
