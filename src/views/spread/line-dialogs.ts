import { THINGS } from '@/core/logbook';

/** A field of a small form that writes one line of the log. */
interface LineField {
  readonly key: string;
  readonly label: string;
  readonly choices?: readonly string[];
  readonly numeric?: boolean;
}

/** One kind of line that people rarely know by heart: its fields, and the line that they come to. */
export interface LineDialog {
  readonly key: string;
  readonly title: string;
  readonly help?: string;
  readonly fields: readonly LineField[];
  line(values: Readonly<Record<string, string>>): string;
}

const SIDES = ['left', 'right'];
const RAW_THINGS = ['', ...THINGS];
const thing: LineField = { key: 'thing', label: 'What kind', choices: RAW_THINGS };
const what: LineField = { key: 'what', label: 'What it is' };
const part = (text: string | undefined, before = '') =>
  text?.trim() ? ` ${before}${text.trim()}` : '';

/** The small forms. A new one is one more row. */
export const LINE_DIALOGS: readonly LineDialog[] = [
  {
    key: 'at',
    title: 'Seen on the last leg',
    fields: [
      { key: 'metres', label: 'Metres along the leg', numeric: true },
      { key: 'side', label: 'Side', choices: ['', ...SIDES] },
      { key: 'away', label: 'Metres to the side', numeric: true },
      thing,
      what,
    ],
    line: ({ metres, side, away, thing: kind, what: name }) =>
      `at${part(metres)}${side ? ` ${side}${part(away ?? '')}` : ''}${part(kind)} ;${part(name)}`,
  },
  {
    key: 'see',
    title: 'Sighting from here',
    help: 'Two sightings of the same name from two places give where it stands.',
    fields: [{ key: 'bearing', label: 'Bearing', numeric: true }, thing, what],
    line: ({ bearing, thing: kind, what: name }) =>
      `see${part(bearing)}${part(kind)} ;${part(name)}`,
  },
  {
    key: 'box',
    title: 'Round an obstacle: box it',
    help: 'At the obstacle turn a right angle to one side and count out; turn along your bearing again and count along; turn back and count as many back. Out and back cancel, and only the way along counts. Its length joins the last leg.',
    fields: [
      { key: 'side', label: 'To which side', choices: SIDES },
      { key: 'out', label: 'Out and back, as in 20p' },
      { key: 'along', label: 'Along, as in 40p' },
      { key: 'note', label: 'Note' },
    ],
    line: ({ side, out, along, note }) =>
      `box${part(side)}${part(out)} along${part(along)}${part(note, '; ')}`,
  },
  {
    key: 'passed',
    title: 'Round an obstacle: mark ahead kept',
    help: 'With a mark beyond it in sight you may pass as you like: come back to your line at the mark. The pace count stretches a little. For a free way round, log its legs by hand instead.',
    fields: [
      { key: 'side', label: 'Passed on which side', choices: SIDES },
      { key: 'what', label: 'What it was' },
    ],
    line: ({ side, what: name }) => `passed${part(side)} ;${part(name)}`,
  },
  {
    key: 'landmark',
    title: 'How will I know I am back?',
    help: 'What stands at the start: two birches, a cairn, the sound of water.',
    fields: [thing, { key: 'what', label: 'What you will see, hear or smell' }],
    line: ({ thing: kind, what: name }) => `landmark${part(kind)} ;${part(name)}`,
  },
  {
    key: 'expect',
    title: 'Expected direction of the next leg',
    help: 'A rough word from map, sun or slope, before you read the compass. The page tells when the bearing goes the other way.',
    fields: [
      {
        key: 'wind',
        label: 'Roughly',
        choices: ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'],
      },
    ],
    line: ({ wind }) => `expect${part(wind)}`,
  },
  {
    key: 'from',
    title: 'Next leg from another station',
    fields: [{ key: 'station', label: 'Station' }],
    line: ({ station }) => `from${part(station)}`,
  },
];
