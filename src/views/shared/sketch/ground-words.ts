/** The words of the ground below a drawing. */
export const GROUND_WORDS = {
  contours: 'Contours',
  contoursAbout: 'Contours from the elevation files on this device',
  noPlace: 'Contours need a position: give the start or a point one',
  'no-heights': 'No elevation files on this device yet.',
  'none-here': 'The elevation files on this device do not reach here.',
  'too-wide': 'Zoom in to see contours: this is too much ground at once.',
  add: 'Add elevation files',
};
