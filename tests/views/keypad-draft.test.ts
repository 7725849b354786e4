import { describe, expect, it } from 'vitest';
import { writeEntry, type Leg } from '@/core/entries/entry';
import { readLine } from '@/core/log-text/read-line';
import { fieldsOfLeg, lineOfFields } from '@/views/outing/entry/leg-fields';
import { correctedLeg, draftOfLeg } from '@/views/outing/entry/keypad-draft';

const legOf = (line: string): Leg => {
  const read = readLine(line);
  if (!read.ok || !('entry' in read.value) || read.value.entry.kind !== 'leg')
    throw new Error(line);
  return read.value.entry;
};
const keyed = legOf('118 44p');
const corrected = (line: string, change: Partial<ReturnType<typeof draftOfLeg>>) => {
  const seen = legOf(line);
  const draft = { ...draftOfLeg(seen), ...change };
  return writeEntry(correctedLeg(seen, draft, keyed), 'magnetic').trim();
};

describe('a leg on the keypad', () => {
  it('shows its whole figures, and what can’t be keyed as empty', () => {
    expect(draftOfLeg(legOf('020 65p rough'))).toEqual({
      ...{ bearing: '020', count: '65', unit: 'p', ground: 'rough', part: 'bearing' },
    });
    expect(draftOfLeg(legOf('220.5 65.5p'))).toMatchObject({ bearing: '', count: '' });
    expect(draftOfLeg(legOf('N40E 6min@4kmh'))).toMatchObject({ bearing: '040', unit: 'min' });
    expect(draftOfLeg(legOf('220 1.5km'))).toMatchObject({ count: '', unit: null });
  });

  it('keeps what was not touched to the last digit, and all that it doesn’t show', () => {
    const line = '220.5T 65.5p rough back 041 @10:42 > Birch ; snag';
    expect(corrected(line, {})).toBe(line);
    expect(corrected(line, { count: '44' })).toBe(line.replace('65.5p', '44p'));
    // The bearing that is keyed is from the north that the leg was read from.
    expect(corrected(line, { bearing: '118' })).toBe(line.replace('220.5T', '118T'));
    expect(corrected(line, { ground: undefined })).toBe(line.replace(' rough', ''));
    // An estimate stays one, and a count beside a length stays beside it.
    expect(corrected('220 ~65p', { bearing: '118' })).toBe('118 ~65p');
    expect(corrected('220 65p 100m', { bearing: '118' })).toBe('118 65p 100m');
    expect(corrected('220 65p 100m', { count: '44', unit: 'p' })).toBe('220 44p');
  });

  it('in the form keeps an estimate and a count beside a length', () => {
    for (const line of ['220 ~65p', '220 65p 100m', '220 65p']) {
      expect(lineOfFields(fieldsOfLeg(legOf(line), 'magnetic'))).toBe(line);
    }
  });
});
