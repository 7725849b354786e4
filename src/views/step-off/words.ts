/** The words of the step-off. */
export const WORDS = {
  title: 'Step off',
  toShelf: 'To the shelf',
  bearing: 'Which way do you go? Turn the dial to what the needle reads.',
  dial: 'Bearing out',
  place: 'What does this place look like? How will you know it?',
  placeHint: 'Cairn on the left of the path, dead birch',
  go: 'Go',
  caution:
    'For a short way off a path or shore. Hold the bearing out; the way back is half a circle round. Do not go out of hearing in fog.',
  back: 'Back',
  away: (minutes: number) => (minutes === 1 ? '1 minute away' : `${minutes} minutes away`),
  justNow: 'Just stepped off',
  setBack: (bearing: string) => `Set ${bearing} on the compass and walk.`,
  know: (place: string) => `You are back at: ${place}`,
  more: 'More legs: open the log',
  done: 'I am back',
  missing: 'There is no such outing on this device.',
  loading: 'Opening…',
  name: (time: string, day: string) => `Step off, ${time}, ${day}`,
  start: 'Path',
} as const;
