/** What the shelf says. */
export const WORDS = {
  title: 'Outings',
  start: 'Start an outing',
  stepOff: 'Step off',
  guide: 'Guide',
  files: 'Files',
  backUp: 'Back up',
  due: (changes: number, ever: boolean) =>
    `${changes.toLocaleString('en')} changes ${ever ? 'since the last backup' : 'and no backup yet'}: they are on this device alone.`,
  takeIn: 'Take in a file',
  demo: 'Open the demo outing',
  whatItIs:
    'Write down each bearing and each count of paces as you walk; the sketch grows with it.\nAt any moment Cairn Back tells the bearing and the distance straight home.',
  noNetwork: 'It works without a network, and what you log stays on this device.',
  loading: 'Looking on the shelf…',
  untitled: 'Outing without a name',
  discard: 'Take off the shelf',
  discarded: (name: string) => `“${name}” was taken off the shelf.`,
  putBack: 'Put it back',
  damaged: 'Part of this log can’t be read. Open it to save what is there.',
  unsolved: 'This log can’t be worked out. Open it to see why.',
  legs: (count: number) => (count === 1 ? '1 leg' : `${count} legs`),
  walked: (metres: number) => `${Math.round(metres).toLocaleString('en')} m walked`,
  newName: (day: string) => `Outing of ${day}`,
} as const;
