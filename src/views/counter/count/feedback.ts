/** What a tap feels and sounds like, and what tells of a place that is reached. */

/** From the slightest on; of several at once the greatest is given. */
export type Signal = 'tap' | 'hundred' | 'nearly' | 'there';

interface Feel {
  /** Milliseconds of buzzing and stillness in turn. */
  readonly buzz: number | number[];
  readonly hertz: number;
  readonly seconds: number;
  readonly times: number;
}

/** Distinguished in a pocket: short, double, three quick ones, two long ones. */
const FEELS: Readonly<Record<Signal, Feel>> = {
  tap: { buzz: 18, hertz: 620, seconds: 0.05, times: 1 },
  hundred: { buzz: [60, 60, 120], hertz: 880, seconds: 0.15, times: 1 },
  nearly: { buzz: [50, 70, 50, 70, 50], hertz: 760, seconds: 0.08, times: 3 },
  there: { buzz: [350, 150, 350], hertz: 1040, seconds: 0.35, times: 2 },
};
const LOUDNESS = 0.15;

let audio: AudioContext | undefined;

/** False where the browser moves no motor: then sound is all there is. */
export const canBuzz = (): boolean => 'vibrate' in navigator;

/** Buzzes, where the phone can. */
export function buzz(signal: Signal): void {
  navigator.vibrate?.(FEELS[signal].buzz);
}

/** One tone, or several in a row. */
export function beep(signal: Signal): void {
  audio ??= new AudioContext();
  const { hertz, seconds, times } = FEELS[signal];
  for (let turn = 0; turn < times; turn++) {
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = hertz;
    volume.gain.value = LOUDNESS;
    tone.connect(volume).connect(audio.destination);
    const begins = audio.currentTime + turn * seconds * 2;
    tone.start(begins);
    tone.stop(begins + seconds);
  }
}
