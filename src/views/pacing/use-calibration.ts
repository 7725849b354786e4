import { useState } from 'react';
import type { Calibration } from '@/core/model/pace-profile';
import { calibrate } from '@/core/pacing/calibration';
import { isGroundName } from '@/core/readings/ground';
import type { StoreFault } from '@/store/store-fault';
import { figureUnits } from '@/ui/units/shown';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { WORDS } from './words';

/** A calibration as it is typed. */
interface Draft {
  readonly ground: string | undefined;
  readonly ownGround: string;
  readonly length: string;
  readonly unit: Calibration['course']['unit'];
  readonly counted: Calibration['counted'];
  readonly walks: readonly string[];
  readonly note: string;
}

const USUAL_WALKS = ['', '', ''];
const LONGEST_NOTE = 2000;
const EMPTY: Draft = {
  ground: undefined,
  ownGround: '',
  length: '',
  unit: 'metres',
  counted: 'paces',
  walks: USUAL_WALKS,
  note: '',
};

/** A course is measured in what the person thinks in. */
const emptyDraft = (): Draft => ({
  ...EMPTY,
  unit: figureUnits().lengths === 'metric' ? 'metres' : 'feet',
});

const number = (text: string) => (/^\s*\d+(\.\d+)?\s*$/.test(text) ? Number(text) : NaN);
const isEmpty = (text: string) => text.trim() === '';

/** What a draft means: its ground, its course and counts, and the pace length that they make. */
function readingOf(draft: Draft) {
  const own = draft.ownGround.trim().toLowerCase();
  const counts = draft.walks.filter((walk) => !isEmpty(walk)).map(number);
  const badWalk = draft.walks.findIndex((walk) => !isEmpty(walk) && Number.isNaN(number(walk)));
  const course = { value: number(draft.length), unit: draft.unit };
  const isBegun = !isEmpty(draft.length) && counts.length > 0 && badWalk < 0;
  return {
    ground: own === '' ? draft.ground : own,
    isBadGround: own !== '' && !isGroundName(own),
    counts,
    /** Index of the first walk that is not a number; -1 for none. */
    badWalk,
    course,
    isBadCourse: !isEmpty(draft.length) && Number.isNaN(course.value) && badWalk < 0,
    found: isBegun ? calibrate({ course, counted: draft.counted, counts }) : null,
  };
}

/** A calibration that is being typed, what it comes to, and saving it. */
export function useCalibration(onSave: (calibration: Calibration) => Promise<StoreFault | null>) {
  const [draft, setDraft] = useState<Draft>(emptyDraft);
  const [status, setStatus] = useState('');
  const { walks, note, counted } = draft;
  const reading = readingOf(draft);
  const { found, ground, isBadGround, course, counts } = reading;
  const standsOut =
    found?.ok && found.value.warnings.some(({ code }) => code === 'walk-stands-out');
  const isReady = found?.ok === true && !standsOut && !isBadGround;
  const change = (changed: Partial<Draft>) => setDraft((before) => ({ ...before, ...changed }));
  const nextWalk = walks.findIndex(isEmpty);
  const text = note.replace(/\s+/g, ' ').trim().slice(0, LONGEST_NOTE);
  const save = async () => {
    if (!isReady) return;
    const fault = await onSave({
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      ...(ground === undefined ? {} : { ground }),
      course,
      counted,
      counts,
      ...(text === '' ? {} : { note: text }),
    });
    setStatus(fault ? STORE_MESSAGES[fault] : WORDS.saved(ground));
    if (!fault) change({ walks: USUAL_WALKS });
  };
  return {
    draft,
    change,
    reading,
    isReady,
    status,
    save,
    setWalk: (index: number, walk: string) =>
      change({ walks: walks.length > index ? walks.with(index, walk) : [...walks, walk] }),
    /** Index of the walk that is counted next. */
    nextWalk: nextWalk < 0 ? walks.length : nextWalk,
  };
}

export type CalibrationDraft = ReturnType<typeof useCalibration>;
