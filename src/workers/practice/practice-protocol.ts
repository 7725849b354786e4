import type { NamedPoint } from '../../core/practice/country/country';
import type { Panorama } from '../../core/practice/country/panorama';
import type { Question } from '../../core/practice/question';
import type { BlindWalk, WalkedLeg } from '../../core/practice/walk/walker';
import type { PlanePoint } from '../../core/units/plane';
import type { Metres } from '../../core/units/units';
import type { CountryDrawing } from '../../sketch/country-scene';

/** What the worker of the trainer offers: all that takes longer than a frame. */
export interface PracticeWorker {
  questions(exercise: string, seed: number): readonly Question[];
  drawing(country: number): CountryDrawing;
  panorama(country: number, at: PlanePoint, fogMetres: Metres): Panorama;
  walked(walk: BlindWalk): WalkedLeg[];
  /** Places where a blind walk can begin. */
  starts(country: number): readonly NamedPoint[];
}
