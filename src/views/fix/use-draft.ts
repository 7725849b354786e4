import { useMemo, useSyncExternalStore } from 'react';
import type { DraftSight, FixDraft } from '@/core/navigation/fix/fix-here';
import { keptChoice, keptObject, onKept } from '@/store/kept-choice';
import { useKept } from '@/views/shared/data/use-kept';

const text = (value: unknown) => (typeof value === 'string' ? value : '');

function readSight(kept: unknown): DraftSight[] {
  if (typeof kept !== 'object' || kept === null) return [];
  const { place, bearing, back, distance } = kept as Record<string, unknown>;
  return [
    { place: text(place), bearing: text(bearing), back: back === true, distance: text(distance) },
  ];
}

const readDraft = (kept: Record<string, unknown>): FixDraft => ({
  sights: Array.isArray(kept.sights) ? kept.sights.flatMap(readSight) : [],
  line: typeof kept.line === 'string' ? kept.line : null,
  solveCompass: kept.solveCompass === true,
  withLog: kept.withLog === true,
  declination: text(kept.declination),
});

const EMPTY_DRAFT: FixDraft = {
  sights: [],
  line: null,
  solveCompass: false,
  withLog: false,
  declination: '',
};

/** Without its bearings; what it is found with stays. */
export const clearedDraft = ({ withLog, declination }: FixDraft): FixDraft => ({
  ...EMPTY_DRAFT,
  withLog,
  declination,
});

const keyOf = (outing: string) => `cairn-fix ${outing}`;

/** What is typed of a fix, and not logged: it survives a reload. */
export const useDraft = (outing: string) => useKept(keyOf(outing), readDraft);

const watchKept = (outing: string) => (onChange: () => void) =>
  onKept((key) => {
    if (key === keyOf(outing)) onChange();
  });

/** The same for those who only look at it, as it is now in any tab. */
export function useKeptDraft(outing: string): FixDraft {
  const watch = useMemo(() => watchKept(outing), [outing]);
  const kept = useSyncExternalStore(
    watch,
    () => keptChoice(keyOf(outing)),
    () => null,
  );
  // What is kept is read again only when it is another text.
  return useMemo(() => readDraft(kept === null ? {} : keptObject(keyOf(outing))), [kept, outing]);
}
