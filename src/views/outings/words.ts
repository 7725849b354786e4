import { plural } from '@/core/entries/describe';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the start page. */
export const WORDS = {
  brand: 'Cairn Back',
  backUp: 'Back up',
  due: (changes: number, ever: boolean) =>
    `${plural(changes, 'change', 'changes')} ` +
    `${ever ? 'since the last backup' : 'and no backup yet'}: only on this device.`,
  start: 'Start an outing',
  stepOff: 'Step off (leave the path briefly)',
  importFile: 'Import a file',
  demo: 'Open the demo outing',
  demoArea: 'Open the demo area',
  areas: 'Areas',
  areaOf: (count: number) => plural(count, 'outing', 'outings'),
  newArea: 'Join outings in an area',
  what:
    'Log each bearing and each count of paces as you walk; the sketch grows with it.\n' +
    'At any moment Cairn Back gives the bearing and the distance straight home.',
  noNetwork: 'It works without a network, and what you log stays on this device.',
  loading: 'Loading the outings…',
  untitled: SHARED_WORDS.untitled,
  remove: 'Delete',
  removeAbout: (name: string) => `Delete: ${name}`,
  removedSome: (count: number) => `${plural(count, 'outing', 'outings')} were deleted.`,
  search: 'Find an outing: name, person, day',
  order: 'Order of the list',
  several: 'Choose several',
  chosen: (count: number) => `${plural(count, 'outing', 'outings')} chosen.`,
  choose: (name: string) => `Choose ${name}`,
  noneFound: (words: string) => `No outing with “${words}”.`,
  export: 'Export',
  actions: 'More',
  actionsOf: (name: string) => `More: what is done with ${name}`,
  rename: 'Rename',
  newNameOf: (name: string) => `New name of ${name}`,
  duplicate: 'Duplicate',
  notDuplicated: 'The copy could not be stored.',
  removed: (name: string) => `“${name}” was deleted.`,
  damaged: 'Part of this log can’t be read. Open it to save what is there.',
  unsolved: 'This log has an error. Open it to see where.',
  legs: (count: number) => plural(count, 'leg', 'legs'),
  byWhom: (name: string) => `by ${name}`,
  walked: (distance: string) => `${distance} walked`,
  newName: (day: string) => `Outing of ${day}`,
} as const;
