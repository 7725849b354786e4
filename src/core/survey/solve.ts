import { ENTRIES, type EntryRegistry } from '../entries/entry';
import type { OutingFault } from '../faults/fault';
import { DEFAULT_ERRORS, withSigmas, type ErrorSettings } from '../model/error-settings';
import { linesAhead, type Outing } from '../model/outing';
import type { PaceReadings } from '../entries/reckoning';
import type { EarthModels } from '../north/earth-models';
import { outingNorths, type OutingNorths } from '../north/outing-norths';
import { lengthOf, vectorBetween } from '../units/plane';
import { fail, ok, type Result } from '../units/result';
import type { Metres } from '../units/units';
import { frameOf, LegsAsWalked, PlacesAsWalked } from './dead-reckoning/as-walked';
import { Reducer } from './dead-reckoning/reducer';
import type { Places } from './places';
import type { Closure, Legs, Solution, SurveyTools } from './solution';
import { computePoints, type Traverse } from './dead-reckoning/traverse';
import { nth } from '../units/nth';

/** What an outing is solved with, beside its own lines. */
export interface SolveOptions {
  /** The person's own; what the outing says of an error comes before it. */
  readonly errors?: ErrorSettings;
  /**
   * What adjusts it and places it by its fixes; without it one that asks to be adjusted is refused,
   * and known places are left out.
   */
  readonly tools?: SurveyTools | null;
  readonly entries?: EntryRegistry;
}

/**
 * The solution of an outing: what every screen, export and endpoint reads. Pure: the same outing
 * and models give the same solution. Fails with the first line that can't be used, or where what an
 * outing asks for isn't loaded yet.
 */
export function solve(
  outing: Outing,
  models: EarthModels | null = null,
  { errors: given = DEFAULT_ERRORS, tools = null, entries = ENTRIES }: SolveOptions = {},
): Result<Solution, OutingFault> {
  const errors = withSigmas(given, outing.errors?.sigmas);
  const { known, paces } = linesAhead(outing);
  const { position = known?.position } = outing.start;
  const norths = outingNorths(outing, models, position);
  if (!norths.ok) return fail({ fault: norths.fault.fault, at: { header: norths.fault.header } });
  const reduced = reduce(outing, norths.value, errors, paces, entries);
  if (!reduced.ok) return reduced;
  const { legs: count, entryOfLeg, stationOfLeg, paceOfLeg } = reduced.value;
  const { returns, shared, stations, state } = reduced.value;
  const traverse = { ...reduced.value.traverse, legs: count };
  computePoints(traverse);
  const frame = frameOf(outing, norths.value, state.unit ?? 'metre');
  const places = new PlacesAsWalked(frame, traverse, stationOfLeg, shared);
  const legs = new LegsAsWalked(outing, traverse, { entryOfLeg, stationOfLeg, paceOfLeg }, shared);
  const { closures, walkedMetres } = closuresOf(places, legs, traverse, returns);
  const alone: Solution = {
    outing,
    errors,
    places,
    legs,
    closures,
    names: stations,
    walkedMetres,
    current: reduced.value.current,
    leaving: reduced.value.leaving,
    end: state,
    tools,
  };
  const isPinned =
    outing.start.position === undefined && known !== undefined && frame.unit === 'metre';
  const origin = isPinned ? tools?.startOf(alone) : null;
  const walked = origin
    ? { ...alone, places: new PlacesAsWalked({ ...frame, origin }, traverse, stationOfLeg, shared) }
    : alone;
  const method = outing.adjust?.method ?? 'as-walked';
  if (method === 'as-walked') return ok(walked);
  if (tools) return ok(tools.adjusted(walked, method));
  return fail({ fault: { code: 'model-not-loaded' }, at: { header: 'adjust' } });
}

/** The same as walked, whatever method the outing asks for: an area has one of its own. */
export const solveAsWalked = (
  outing: Outing,
  models: EarthModels | null,
  options?: SolveOptions,
): Result<Solution, OutingFault> => solve({ ...outing, adjust: undefined }, models, options);

/** Why an outing can't be solved, whatever method it asks for; null where it can. */
export function unsolvable(outing: Outing, models: EarthModels | null): OutingFault | null {
  const solved = solveAsWalked(outing, models);
  return solved.ok ? null : solved.fault;
}

/** Applies the lines of an outing in their order. */
function reduce(
  outing: Outing,
  norths: OutingNorths,
  errors: ErrorSettings,
  paces: readonly PaceReadings[],
  kinds: EntryRegistry,
): Result<Reducer, OutingFault> {
  const reducer = new Reducer(outing, norths, errors, paces);
  const { entries } = outing;
  for (let index = 0; index < entries.length; index++) {
    const entry = nth(entries, index);
    reducer.entry = index;
    // Nearly every line is a leg: it is not looked up.
    const kind = entry.kind === 'leg' ? kinds.leg : kinds.of(entry);
    const wrong = kind.apply(entry, reducer);
    if (wrong) return fail({ fault: wrong.fault, at: { entry: index, field: wrong.field } });
  }
  return ok(reducer);
}

/** How far off each return to a station was, and what was walked in all. */
function closuresOf(
  places: Places,
  legs: Legs,
  { lengthMetres }: Traverse,
  returns: readonly number[],
): { closures: Closure[]; walkedMetres: Metres } {
  const closures: Closure[] = [];
  let walkedMetres = 0;
  let walked = 0;
  for (const k of returns) {
    while (walked < k) walkedMetres += nth(lengthMetres, ++walked);
    const { entry, reading, to, end } = legs.leg(k);
    const misclosure = vectorBetween(places.at(to), end);
    const metres = lengthOf(misclosure);
    const ofWalked = metres / walkedMetres;
    closures.push({ entry, leg: k, station: reading.to ?? '', misclosure, metres, ofWalked });
  }
  while (walked < legs.count) walkedMetres += nth(lengthMetres, ++walked);
  return { closures, walkedMetres };
}
