import { countryOf } from '../../core/practice/country/known-countries';
import { panoramaFrom } from '../../core/practice/country/panorama';
import { exerciseOf } from '../../core/practice/exercises';
import { walkLegs } from '../../core/practice/walk/walker';
import { countryDrawing } from '../../sketch/country-scene';
import type { PracticeWorker } from './practice-protocol';

export const runPractice: PracticeWorker = {
  questions: (exercise, seed) => exerciseOf(exercise)?.ask(seed) ?? [],
  drawing: (country) => countryDrawing(countryOf(country)),
  panorama: (country, at, fogMetres) => panoramaFrom(countryOf(country), at, fogMetres),
  walked: (walk) => walkLegs(countryOf(walk.country), walk),
  starts: (country) => countryOf(country).buildings,
};
