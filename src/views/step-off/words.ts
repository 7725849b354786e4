import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the step-off. */
export const WORDS = {
  bearing: 'Which way are you going? Turn the dial to the bearing on your compass, or type it.',
  dial: 'Bearing out',
  place: 'What does this place look like? How will you know it?',
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
