import { lengthText, uncertaintyText } from '@/ui/units/shown';
import type { Metres } from '@/core/units/units';

/** The words of the helps on the way. */
export const HELP_WORDS = {
  lostMark: 'Lost the mark?',
  unsure: 'No longer sure?',
  again: (bearing: string | null, back: string | null): string[] => [
    'Stop where you are, and keep the count.',
    back === null
      ? 'Look back: what you left should be on your back bearing.'
      : `Look back: what you left should be at ${back}.`,
    bearing === null
      ? 'Sight along your bearing again.'
      : `Sight along ${bearing} again. The mark may be just behind a rise.`,
    'Choose the next mark: nearer than the goal and not on the horizon, or one that stays in ' +
      'sight.',
  ],
  check: [
    'Stop; don’t run. After some 600 to 800 m most people no longer believe the needle.',
    'Put iron, phone and watch away, hold the compass level, and read again. Let a second person ' +
      'read it.',
  ],
  trust: [
    'Trust the figures more than the feeling: without them people walk in circles. Leave your ' +
      'bearing only for a cause that you can name.',
    'If nothing agrees, go back to the last mark that you know, or stay where you are.',
  ],
  after: (metres: Metres, within: Metres) =>
    `After ${lengthText(metres)} you may be ${uncertaintyText(within)} off your line (95 %).`,
  shouldHavePassed: (what: string, ago: Metres) =>
    `You should have passed ${what}, ${lengthText(ago)} ago.`,
} as const;
