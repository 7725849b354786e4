import type { LayerName } from '@/sketch/layers';

interface LayerWords {
  readonly label: string;
  readonly about: string;
  /** What it says where the drawing is nowhere on the earth. */
  readonly noPlace: string;
}

/** What each layer of the ground is called, in the order of their switches. */
export const LAYER_WORDS: Readonly<Record<LayerName, LayerWords>> = {
  contours: {
    label: 'Contours',
    about: 'Contours from the elevation files on this device',
    noPlace: 'Contours need a position: give the start, a point or the picture one',
  },
};

/** Why nothing is drawn of the ground. */
export const GROUND_WORDS = {
  'no-heights': 'No elevation files on this device yet.',
  'none-here': 'The elevation files on this device do not reach here.',
  'too-wide': 'Zoom in to see contours: this is too much ground at once.',
  add: 'Add elevation files',
};
