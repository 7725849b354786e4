/** The endings that a file chooser offers: each of the height formats, and archives. */
export const HEIGHT_ENDINGS = '.hgt,.asc,.tif,.tiff,.zip';
