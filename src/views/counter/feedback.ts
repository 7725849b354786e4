/** What a tap feels and sounds like. */

const TAP_MS = 18;
const HUNDRED_MS = [60, 60, 120];
const TONE_HZ = 620;
const HUNDRED_HZ = 880;
const TONE_SECONDS = 0.05;
const LOUDNESS = 0.15;

let audio: AudioContext | undefined;

/** A short buzz where the phone has one; a longer one when a hundred metres are full. */
export function buzz(hundred: boolean): void {
  navigator.vibrate?.(hundred ? HUNDRED_MS : TAP_MS);
}

/** A short tone; a higher one when a hundred metres are full. */
export function beep(hundred: boolean): void {
  audio ??= new AudioContext();
  const tone = audio.createOscillator();
  const volume = audio.createGain();
  tone.frequency.value = hundred ? HUNDRED_HZ : TONE_HZ;
  volume.gain.value = LOUDNESS;
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + TONE_SECONDS * (hundred ? 3 : 1));
}
