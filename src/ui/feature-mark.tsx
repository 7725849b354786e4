import type { FeatureKind } from '@/core/entries/feature';

/** Marks of features, each drawn around 0, 0 within seven pixels, plain enough for a wet screen. */
const MARKS: Readonly<Record<FeatureKind, string>> = {
  water: 'M-7 -2q3.5 -4 7 0t7 0M-7 4q3.5 -4 7 0t7 0',
  tree: 'M0 7V1M0 1L-5 1L0 -7L5 1Z',
  rock: 'M-7 5L-4 -3L1 -6L6 -1L7 5Z',
  path: 'M-6 6Q-1 3 -1 0T5 -6M-2 7Q3 4 3 1T7 -2',
  building: 'M-6 6V-1L0 -6L6 -1V6Z',
  edge: 'M-7 -3H7M-5 -3V3M-1 -3V5M3 -3V2M6 -3V4',
};
const OTHER = 'M-6 0q6 -7 12 0q-6 7 -12 0z';

/** The mark of a kind of feature; an eye for a feature of no kind. */
export const FeatureMark = ({ kind }: { kind: FeatureKind | undefined }) => (
  <path d={kind ? MARKS[kind] : OTHER} data-feature={kind ?? 'other'} />
);
