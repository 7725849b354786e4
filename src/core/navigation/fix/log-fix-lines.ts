import type { Entry } from '../../entries/entry';
import { roundedPosition } from '../../readings/position';
import { nameKey } from '../../readings/name';
import { stationName, type Solution } from '../../survey/solution';
import type { FixDraft, FixHere } from './fix-here';
import { nth } from '../../units/nth';

/**
 * The lines that a fix adds to a log: the places that were sighted, and the sightings, which give
 * it again. A fix that used a line or a distance, or solved for the compass, is logged as the place
 * that it gave, with how well it is known.
 */
export function logLinesOf(solution: Solution, draft: FixDraft, here: FixHere): Entry[] {
  const byBearings =
    draft.line === null &&
    !draft.solveCompass &&
    here.sights.every(({ sight }) => sight === null || sight.metres === null);
  if (!byBearings) return here.found ? [stationLine(solution, here.found)] : [];
  const { entries } = solution.outing;
  const { current, leaving } = solution;
  const from = current === leaving ? {} : { from: stationName(solution, current) };
  const isKnown = new Set(
    entries.flatMap((entry) => (entry.kind === 'known' ? [nameKey(entry.name)] : [])),
  );
  return here.sights.flatMap(({ sight, place, bearing, draft: { back } }): Entry[] => {
    if (!sight || !place || !bearing) return [];
    const key = nameKey(place.name);
    const { withinMetres } = place;
    const position = nth(place.positions, 0);
    const known: Entry[] = isKnown.has(key)
      ? []
      : [
          {
            kind: 'known',
            name: place.name,
            position,
            ...(withinMetres !== undefined && { withinMetres }),
          },
        ];
    isKnown.add(key);
    return [...known, { kind: 'see', bearing, ...(back && { back }), ...from, what: place.name }];
  });
}

/** The station where one is, as a place on the map; a square as wide as the ellipse is long. */
function stationLine(solution: Solution, { position, fix }: NonNullable<FixHere['found']>): Entry {
  // A square of a width has a sigma of its width over the root of 12; the ellipse is 2.45 sigmas.
  const sigma = fix.ellipse.semiMajorMetres / Math.sqrt(-2 * Math.log(0.05));
  return {
    kind: 'known',
    name: stationName(solution, solution.current),
    position: roundedPosition(position),
    withinMetres: Math.max(1, Math.ceil(sigma * Math.sqrt(12))),
  };
}
