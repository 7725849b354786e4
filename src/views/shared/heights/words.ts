/** The words of choosing files of heights. */
export const CHOOSER_WORDS = {
  choose: 'Choose elevation files',
  demo: 'Elevation of the demo map',
  noDemo: 'The heights of the demo could not be loaded: they need the network once.',
  cancel: 'Stop reading',
  reading: 'Reading the heights',
  failed: 'The heights could not be read. Try it again.',
  faultIn: (name: string, line: number | undefined, message: string) =>
    `${name}${line === undefined ? '' : `, line ${line}`}: ${message}`,
};
