import { FEATURE_KINDS, SIDES } from '@/core/entries/feature';
import { STEEPNESS } from '@/core/entries/kinds/falls';

/** A field of a small form that writes one line of the log. */
interface LineField {
  readonly key: string;
  readonly label: string;
  readonly choices?: readonly string[];
  readonly numeric?: boolean;
  /** True when the names of stations are offered. */
  readonly stations?: boolean;
}

type Values = Readonly<Record<string, string>>;

/** A small form for a kind of line that few know by heart: its fields, and the line they make. */
export interface LineFormSpec {
  readonly key: string;
  readonly title: string;
  readonly help?: string;
  readonly fields: readonly LineField[];
  line(values: Values): string;
}

const KIND: LineField = { key: 'kind', label: 'What kind', choices: ['', ...FEATURE_KINDS] };
const WHAT: LineField = { key: 'what', label: 'What it is' };

/** A part of a line with the space before it; empty for an empty value. */
const part = (text: string | undefined, before = '') =>
  text?.trim() ? ` ${before}${text.trim()}` : '';

/** The small forms. A new one is one more row. */
export const LINE_FORMS: readonly LineFormSpec[] = [
  {
    key: 'at',
    title: 'Feature on the last leg',
    fields: [
      { key: 'along', label: 'How far along the leg, as in 40p or 60m' },
      { key: 'side', label: 'Side', choices: ['', ...SIDES] },
      { key: 'away', label: 'How far to the side' },
      KIND,
      WHAT,
    ],
    line: ({ along, side, away, kind, what }) =>
      `at${part(along)}${side ? ` ${side}${part(away)}` : ''}${part(kind)} ;${part(what)}`,
  },
  {
    key: 'see',
    title: 'Sighting, from here or an earlier station',
    help: 'Two sightings of the same name from two places give its position.',
    fields: [
      { key: 'bearing', label: 'Bearing', numeric: true },
      { key: 'from', label: 'Read at an earlier station', stations: true },
      KIND,
      WHAT,
    ],
    line: ({ bearing, from, kind, what }) =>
      `see${part(bearing)}${part(kind)}${part(from, 'from ')} ;${part(what)}`,
  },
  {
    key: 'box',
    title: 'Box an obstacle',
    help:
      'At the obstacle turn 90° to one side and count out; turn along your bearing again and ' +
      'count along; turn back and count as many back. Out and back cancel; only the part along ' +
      'counts, and joins the last leg.',
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
    title: 'Obstacle passed, mark ahead kept',
    help:
      'With a mark beyond it in sight you may pass as you like: come back to your line at the ' +
      'mark. The pace count stretches a little. For a free way round, log its legs instead.',
    fields: [{ key: 'side', label: 'Passed on which side', choices: SIDES }, WHAT],
    line: ({ side, what }) => `passed${part(side)} ;${part(what)}`,
  },
  {
    key: 'landmark',
    title: 'What marks the start?',
    help: 'How you will know that you are back: two birches, a cairn, the sound of water.',
    fields: [KIND, { key: 'what', label: 'What you will see, hear or smell' }],
    line: ({ kind, what }) => `landmark${part(kind)} ;${part(what)}`,
  },
  {
    key: 'mark',
    title: 'How is this station marked?',
    help: 'Tape on a branch, three stones: the way back says what you will see here.',
    fields: [KIND, { key: 'what', label: 'What you will see' }],
    line: ({ kind, what }) => `mark${part(kind)} ;${part(what)}`,
  },
  {
    key: 'height',
    title: 'Height by the altimeter',
    help: 'What it reads here. Where the map gives the height, set the altimeter to it and say so.',
    fields: [
      { key: 'height', label: 'Height with its unit, as in 412m or 1350ft' },
      { key: 'set', label: 'The altimeter', choices: ['reads it', 'was set to it'] },
      { key: 'what', label: 'Note' },
    ],
    line: ({ height, set, what }) =>
      `height${set === 'was set to it' ? ' set' : ''}${part(height)}${part(what, '; ')}`,
  },
  {
    key: 'falls',
    title: 'Which way the ground falls',
    help: 'Face straight down the slope and read the compass, or give a rough direction.',
    fields: [
      { key: 'bearing', label: 'Down towards, as in 045 or NE' },
      { key: 'degrees', label: 'How steep, in degrees', numeric: true },
      { key: 'word', label: 'Or in a word', choices: ['', ...STEEPNESS] },
      { key: 'what', label: 'Note' },
    ],
    line: ({ bearing, degrees, word, what }) =>
      `falls${part(bearing)}${degrees?.trim() ? `${part(degrees)}°` : part(word)}` +
      part(what, '; '),
  },
  {
    key: 'halt',
    title: 'A halt',
    help: 'Nobody walks: times, speeds and the light left leave it out.',
    fields: [
      { key: 'minutes', label: 'How many minutes', numeric: true },
      { key: 'from', label: 'Or from when, as in 11:20' },
      { key: 'until', label: 'until when' },
      { key: 'what', label: 'Note' },
    ],
    line: ({ minutes, from, until, what }) =>
      `halt${from?.trim() ? `${part(from)}-${until?.trim() ?? ''}` : `${part(minutes)}min`}` +
      (what?.trim() ? ` ;${part(what)}` : ''),
  },
  {
    key: 'expect',
    title: 'Expected direction of the next leg',
    help:
      'A rough direction from map, sun or slope, before you read the compass. A bearing that ' +
      'goes the other way is then warned of.',
    fields: [
      {
        key: 'direction',
        label: 'Roughly',
        choices: ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'],
      },
    ],
    line: ({ direction }) => `expect${part(direction)}`,
  },
  {
    key: 'from',
    title: 'Next leg from another station',
    fields: [{ key: 'station', label: 'Station', stations: true }],
    line: ({ station }) => `from${part(station)}`,
  },
  {
    key: 'here',
    title: 'I am at an earlier station',
    help: 'You walked there without a count. The way home starts there.',
    fields: [{ key: 'station', label: 'Station', stations: true }],
    line: ({ station }) => `here${part(station)}`,
  },
];
