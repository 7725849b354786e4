/** The element of the frame: what runs before the app fills it in, and the keys name a place. */
export const FRAME_ID = 'frame';
