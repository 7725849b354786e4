import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the step-off. */
export const WORDS = {
  bearing: 'Which way are you going? Turn the dial to the bearing on your compass, or type it.',
  dial: 'Bearing out',
  place: 'First look round. What does this place look like? How will you know it?',
  path: 'The path runs, if you leave one',
  pathWrong: 'Degrees, as in 060; leave it empty where there is no path.',
  bothSides: (left: string, right: string) =>
    `When you meet the path, the place may be on either side: the path runs ${left} to your left ` +
    `and ${right} to your right.`,
  aimed: (bearing: string, right: string) =>
    `To know the side, follow ${bearing} instead: you meet the path left of the place. Turn ` +
    `right, ${right}, and look for it.`,
  placeHint: 'Cairn on the left of the path, dead birch',
  turn: 'Dial for the bearing out',
  ask: 'Which bearing? Without it there is no way back: read it off your compass first.',
  go: (bearing: string | null) => (bearing === null ? 'Go' : `Go: ${bearing}`),
  out: (bearing: string) => `Out ${bearing}`,
  caution:
    'For a short way off a path or shore. Keep to the bearing out; the way back is its back ' +
    'bearing, 180° round. Do not go out of hearing in fog.',
  back: 'Way back',
  away: (minutes: number) => (minutes === 1 ? '1 minute away' : `${minutes} minutes away`),
  justNow: 'Just stepped off',
  setBack: (bearing: string) => `Set ${bearing} on the compass and walk.`,
  know: (place: string) => `You are back at: ${place}`,
  more: 'More legs: open the log',
  done: 'I am back',
  missing: SHARED_WORDS.missing,
  loading: SHARED_WORDS.loadingLog,
  name: (time: string, day: string) => `Step off, ${time}, ${day}`,
  start: 'Path',
} as const;
