/** The words of the ground below a drawing. */
export const GROUND_WORDS = {
  contours: 'Contours',
  contoursAbout: 'Contours by the heights on this device',
  noPlace: 'Contours need a position: give the start or a point one',
  'no-heights': 'No heights on this device yet.',
  'none-here': 'The heights on this device do not reach here.',
  'too-wide': 'Zoom in: contours of so much ground would not be told apart.',
  add: 'Add heights',
};
