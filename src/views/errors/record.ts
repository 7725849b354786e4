import { learn, type LearnedSigma } from '@/core/learning/learn';
import {
  observationsOf,
  observationsOfCalibrations,
  type Observation,
} from '@/core/learning/observations';
import { DEFAULT_ERRORS } from '@/core/model/error-settings';
import type { Outing } from '@/core/model/outing';
import { needsEarthModels } from '@/core/north/outing-norths';
import { solveAsWalked } from '@/core/survey/solve';
import { areaLogs } from '@/store/documents/areas';
import { ownOutings } from '@/store/own-outings';
import { storedOutings } from '@/store/outings';
import { paceProfiles } from '@/store/profiles';
import { browserDatabase } from '@/store/browser-database';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';

/** What a person's outings tell, one after another. */
export interface RecordStep {
  readonly outing: string;
  readonly day: string;
  /** What is learned from all up to this one. */
  readonly learned: readonly LearnedSigma[];
}

export interface OwnRecord {
  readonly steps: readonly RecordStep[];
  readonly learned: readonly LearnedSigma[];
  readonly loops: number;
  readonly calibrations: number;
  /** Everyone whom an outing of this device is by. */
  readonly people: readonly string[];
}

/** So many points of the chart, the last outing among them. */
const MOST_STEPS = 12;
/** More outings than this are not looked back on: who walks changes too. */
const MOST_OUTINGS = 100;
/** A breath for the page between two outings. */
const breath = () => new Promise((resolve) => setTimeout(resolve));

const dayOf = ({ date }: Outing, changedAt: string) => date?.day ?? changedAt.slice(0, 10);

/** What a person's outings and calibrations on this device tell, from a moment on. */
export async function ownRecord(since: string | null, name: string | null): Promise<OwnRecord> {
  const database = browserDatabase();
  const [stored, profiles] = [await storedOutings(database), await paceProfiles(database)];
  const isNew = (at: string) => since === null || at > since;
  const calibrations = profiles.flatMap((profile) =>
    profile.calibrations.filter(({ at }) => isNew(at)),
  );
  calibrations.sort((a, b) => a.at.localeCompare(b.at));
  const days = new Map(
    stored.map(({ state }) => [state.document.id, dayOf(state.document, state.changedAt)]),
  );
  const fresh = stored.filter(({ state, damaged }) => !damaged && isNew(state.changedAt));
  const areas = (await areaLogs.all(database)).map(({ document }) => document);
  const all = fresh.map(({ state }) => state.document);
  const people = [...new Set(stored.flatMap(({ state }) => state.document.by ?? []))].sort();
  const outings = ownOutings(all, areas, name)
    .map((outing) => ({ outing, day: days.get(outing.id) ?? '' }))
    .sort((a, b) => a.day.localeCompare(b.day))
    .slice(-MOST_OUTINGS);
  const observations: Observation[] = observationsOfCalibrations(calibrations);
  const steps: RecordStep[] = [];
  let loops = 0;
  const stepLength = Math.ceil(outings.length / MOST_STEPS);
  for (const [index, { outing, day }] of outings.entries()) {
    await breath();
    const models = needsEarthModels(outing) ? await loadEarthModels() : null;
    // What the outing itself says of its errors is no reason to learn otherwise.
    const solved = solveAsWalked({ ...outing, errors: undefined }, models);
    if (!solved.ok) continue;
    const found = observationsOf(solved.value);
    if (found.length === 0) continue;
    loops += solved.value.closures.length;
    observations.push(...found);
    if ((outings.length - 1 - index) % stepLength !== 0) continue;
    steps.push({ outing: outing.name, day, learned: learn(DEFAULT_ERRORS, observations) });
  }
  const learned = learn(DEFAULT_ERRORS, observations);
  return { steps, learned, loops, calibrations: calibrations.length, people };
}
