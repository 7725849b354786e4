import { writeEntry, type EntryOf } from '@/core/entries/entry';
import { isGeneralPace } from '@/core/edit/settings';
import { faultMessage } from '@/core/faults/messages';
import { readHeaderLine, readLine } from '@/core/log-text/read-line';
import type { Header } from '@/core/model/header';
import type { Method } from '@/core/model/method';
import { headerOf, type Outing } from '@/core/model/outing';
import {
  noteOf,
  readDraft,
  type DeclinationDraft,
  type DraftField,
} from '@/views/shared/declination/draft';
import type { PlaceText } from '@/views/shared/fields/place-field';

/** The settings that are typed as text. */
export interface SettingsFields {
  readonly name: string;
  readonly date: string;
  readonly start: string;
  readonly pace: string;
  /** Whose outing it is. */
  readonly by: string;
  /** How its loops become places. */
  readonly method: Method;
}

export function fieldsOf(outing: Outing): SettingsFields {
  const { start, date } = outing;
  const pace = outing.entries.findLast(isGeneralPace);
  return {
    name: outing.name,
    date: date ? [date.day, date.time].filter(Boolean).join(' ') : '',
    start: start.name,
    by: outing.by ?? '',
    method: outing.adjust?.method ?? 'as-walked',
    pace: pace ? writeEntry({ ...pace, note: undefined }, 'magnetic').replace('pace ', '') : '',
  };
}

type Wrong = Partial<Record<keyof SettingsFields | DraftField, string>>;

/** Settings as they were read: a header, unless something is wrong, and the pace. */
export interface ReadSettings {
  readonly header: Header | null;
  readonly pace: EntryOf<'pace'> | null;
  readonly wrong: Wrong;
}

/** The date of the field, or none where it is empty. */
function readDate(text: string, outing: Outing, wrong: Wrong): Pick<Header, 'date'> {
  if (text === '') return {};
  const read = readHeaderLine('date', text);
  if (!read.ok) {
    wrong.date = faultMessage(read.fault);
    return {};
  }
  return read.value.date ? { date: { ...noteOf(outing.date), ...read.value.date } } : {};
}

/** The start of its two fields: its name, and its position where there is one. */
function readStart(name: string, place: PlaceText, outing: Outing, wrong: Wrong): Header['start'] {
  const read = readHeaderLine('start', name);
  // A place by a grid is read where it has its field.
  const isPlaced = read.ok ? read.value.start?.position : read.fault.code === 'model-not-loaded';
  if (isPlaced) wrong.start = 'The position has a field of its own.';
  else if (!read.ok) wrong.start = faultMessage(read.fault);
  const { position: _position, ...rest } = outing.start;
  const named = { ...rest, name: (read.ok && read.value.start?.name) || rest.name };
  return place.position ? { ...named, position: place.position } : named;
}

function readPace(text: string, outing: Outing, wrong: Wrong): EntryOf<'pace'> | null {
  if (text === '') return null;
  const read = readLine(`pace ${text}`);
  if (!read.ok) {
    wrong.pace = faultMessage(read.fault.fault);
    return null;
  }
  const entry = 'entry' in read.value ? read.value.entry : null;
  if (!entry || !isGeneralPace(entry)) return null;
  return { ...entry, ...noteOf(outing.entries.findLast(isGeneralPace)) };
}

/** Reads all settings; what is wrong is reported by its field. */
export function readSettings(
  fields: SettingsFields,
  place: PlaceText,
  draft: DeclinationDraft,
  outing: Outing,
): ReadSettings {
  const declination = readDraft(draft, outing);
  const wrong: Wrong = { ...declination.wrong };
  const { date: _date, convergence: _convergence, by: _by, adjust, ...rest } = headerOf(outing);
  const by = fields.by.trim();
  const header: Header = {
    ...rest,
    name: fields.name.trim(),
    ...(by !== '' && { by }),
    ...(fields.method !== 'as-walked' && { adjust: { ...adjust, method: fields.method } }),
    ...readDate(fields.date.trim(), outing, wrong),
    start: readStart(fields.start.trim(), place, outing, wrong),
  };
  const pace = readPace(fields.pace.trim(), outing, wrong);
  const unread = Object.keys(wrong).length > 0 || place.position === undefined;
  return {
    header: unread || !declination.header ? null : { ...header, ...declination.header },
    pace,
    wrong,
  };
}
