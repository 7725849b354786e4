'use client';
import { ORIENTATIONS, type Orientation } from '@/sketch/orientation';
import { useKept } from '@/views/shared/data/use-kept';

/** How someone likes the sketch: remembered on the device, but for the simulated walks. */
export interface SketchChoices {
  readonly orientation: Orientation;
  readonly grid: boolean;
  readonly walks: boolean;
}

const KEY = 'cairn-sketch';

/** What is remembered; walks are simulated only when they are asked for. */
const remembered = ({ orientation, grid }: Record<string, unknown>): SketchChoices => ({
  orientation: ORIENTATIONS.find((each) => each === orientation) ?? 'north',
  grid: grid === true,
  walks: false,
});

/** The choices, and how to change them. */
export const useSketchChoices = () => useKept(KEY, remembered);
