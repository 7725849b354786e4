import type { PartyFault } from './party';

const list = (names: readonly string[]) => names.join(', ');

/** Why outings are no survey, in words. `nameOf` tells what an outing is called. */
export function partyFaultText(fault: PartyFault, nameOf: (outing: number) => string): string {
  switch (fault.code) {
    case 'no-outings':
      return 'There is no outing.';
    case 'mixed-norths':
      return (
        'Some outings know their declination and some do not. ' +
        `Set one for: ${list(fault.magnetic.map(nameOf))}.`
      );
    case 'in-paces':
      return (
        'The lengths of these outings are in paces, and no length of a pace is given: ' +
        `${list(fault.outings.map(nameOf))}. Give one in each, as in: pace 65 per 100 m.`
      );
    case 'not-joined':
      return (
        'These outings share no station: ' +
        `${fault.parts.map((part) => list(part.map(nameOf))).join(' — ')}.`
      );
  }
}
