import type { Degrees } from '../../../units/units';

interface Suspect {
  readonly name: string;
  readonly offDegrees: Degrees;
}

/** What is wrong with a fix, or what to mind. */
type FixProblem =
  | { readonly code: 'too-few' }
  | { readonly code: 'too-many'; readonly most: number }
  | { readonly code: 'same-mark'; readonly name: string; readonly second: string }
  | { readonly code: 'bearings-alike'; readonly names: readonly string[] }
  | { readonly code: 'no-crossing' }
  | { readonly code: 'no-bound' }
  | { readonly code: 'behind'; readonly names: readonly string[] }
  | { readonly code: 'cut-flat'; readonly cutDegrees: Degrees; readonly refused: boolean }
  | { readonly code: 'danger-circle' }
  | { readonly code: 'at-mark'; readonly name: string }
  | {
      readonly code: 'bearing-disagrees';
      /** Which it may be, likeliest first; none where the readings don't tell. */
      readonly suspects: readonly Suspect[];
      /** True where the place was found without it. */
      readonly isLeftOut?: boolean;
    };

type FixWarningCode = FixProblem['code'];

export interface FixWarning {
  readonly code: FixWarningCode;
  readonly message: string;
}

const listed = (names: readonly string[]) => names.join(' and ');

function messageOf(problem: FixProblem): string {
  switch (problem.code) {
    case 'too-few':
      return (
        'One line is not a place yet. Add a bearing to another known place, a line that you ' +
        'are on, or a distance.'
      );
    case 'too-many':
      return `One place is found from at most ${problem.most} readings.`;
    case 'same-mark': {
      const { name, second } = problem;
      return name === second
        ? `There are two bearings to ${name}. Keep one.`
        : `${name} and ${second} are the same place: two bearings to it cross nowhere.`;
    }
    case 'bearings-alike':
      return `The bearings to ${listed(problem.names)} are alike: they cross nowhere.`;
    case 'no-crossing':
      return 'These lines do not cross. Check each bearing, and that each place is the right one.';
    case 'no-bound':
      return (
        'These readings leave the place open: it may be much farther along their lines. Sight ' +
        'another place to the side of these, or nearer.'
      );
    case 'behind':
      return (
        `The lines cross behind you: the bearing to ${listed(problem.names)} points away from ` +
        'it. A 180° error, or another place than you think.'
      );
    case 'cut-flat': {
      const cut = `The lines cross at ${Math.round(problem.cutDegrees)}°`;
      return problem.refused
        ? `${cut}: too flat to tell a place. Sight something to the side of these.`
        : `${cut}: flat, so that a small error moves the place far. Sight something to the side.`;
    }
    case 'danger-circle':
      return (
        'You are near the circle through these places: there an error of the compass and a ' +
        'move along the circle look alike. Sight another place, inside the circle or far off it.'
      );
    case 'at-mark':
      return `You are at ${problem.name}: a bearing to what is so near says little.`;
    case 'bearing-disagrees':
      return disagreementText(problem.suspects) + (problem.isLeftOut ? LEFT_OUT : '');
  }
}

const LEFT_OUT = ' The place is by the others alone.';

function disagreementText([first, ...others]: readonly Suspect[]): string {
  if (!first) {
    return 'The bearings do not meet as they should: one of them is off, or one place is another.';
  }
  const by = ({ offDegrees }: Suspect) => `by ${Math.abs(Math.round(offDegrees))}°`;
  const or = others.map((other) => `, or ${other.name} ${by(other)}`).join('');
  return (
    `${first.name} disagrees ${by(first)}${or}: read it again, and check that it is the right ` +
    'place.'
  );
}

export const warningOf = (problem: FixProblem): FixWarning => ({
  code: problem.code,
  message: messageOf(problem),
});
