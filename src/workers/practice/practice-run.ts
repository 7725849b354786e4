import { countryOf } from '../../core/practice/country/known-countries';
import { panoramaFrom, type Panorama } from '../../core/practice/country/panorama';
import { exerciseOf } from '../../core/practice/exercises';
import { walkLegs, type BlindWalk, type WalkedLeg } from '../../core/practice/walk/walker';
import { countryDrawing, type CountryDrawing } from '../../sketch/country-scene';
import type { NamedPoint } from '../../core/practice/country/country';
import type { Question } from '../../core/practice/question';
import type { PlanePoint } from '../../core/units/plane';
import type { Metres } from '../../core/units/units';

/** What the worker of the trainer offers: all that takes longer than a frame. */
export interface PracticeWorker {
  questions(exercise: string, seed: number): readonly Question[];
  drawing(country: number): CountryDrawing;
  panorama(country: number, at: PlanePoint, fogMetres: Metres): Panorama;
  walked(walk: BlindWalk): WalkedLeg[];
  /** Places where a blind walk can begin. */
  starts(country: number): readonly NamedPoint[];
}

export const runPractice: PracticeWorker = {
  questions: (exercise, seed) => exerciseOf(exercise)?.ask(seed) ?? [],
  drawing: (country) => countryDrawing(countryOf(country)),
  panorama: (country, at, fogMetres) => panoramaFrom(countryOf(country), at, fogMetres),
  walked: (walk) => walkLegs(countryOf(walk.country), walk),
  starts: (country) => countryOf(country).buildings,
};
