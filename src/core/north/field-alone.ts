import { fail } from '../units/result';
import type { EarthModels } from './earth-models';
import { fieldModel } from './field-model';

/** The World Magnetic Model without map grids, which are four times as heavy to load. */
export const fieldAlone: EarthModels = {
  ...fieldModel,
  convergence: () => fail({ code: 'model-not-loaded' }),
};
