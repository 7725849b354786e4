/**
 * Counts steps in the magnitude of a phone's acceleration, sample by sample.
 *
 * The magnitude is smoothed by two exponential averages in a row (noise above walking), and its own
 * slow average (gravity) is subtracted. What remains swings once a step. A step is a swing above a
 * share of the usual swing after one below its negative; the usual swing follows the walker. Common
 * practice, no source: the figures were chosen on synthetic walks, and
 * tests/core/pacing/step-detector.test.ts states the error there.
 */
const SMOOTHING_SECONDS = 0.05;
const GRAVITY_SECONDS = 0.9;
const USUAL_SECONDS = 1.5;
/** Nobody walks faster than this between two steps. */
const SHORTEST_STEP_SECONDS = 0.27;
/** Smaller swings are a trembling hand, in m/s². */
const LEAST_SWING = 0.75;
const UP_SHARE = 0.6;
const DOWN_SHARE = 0.25;
/** After a gap this long the averages start again. */
const LONGEST_GAP_SECONDS = 1;

export class StepDetector {
  private last: number | null = null;
  private gravity = 0;
  private smooth = 0;
  private smoother = 0;
  private usual = LEAST_SWING;
  private armed = false;
  private lastStep = -Infinity;

  /** Takes a magnitude (m/s²) at a time (seconds, rising); true when a step was just made. */
  feed(seconds: number, size: number): boolean {
    if (this.last === null || seconds - this.last > LONGEST_GAP_SECONDS) {
      this.gravity = size;
      this.smooth = size;
      this.smoother = size;
      this.armed = false;
      this.last = seconds;
      return false;
    }
    const passed = seconds - this.last;
    if (!(passed > 0)) return false;
    this.last = seconds;
    const share = (time: number) => 1 - Math.exp(-passed / time);
    this.smooth += share(SMOOTHING_SECONDS) * (size - this.smooth);
    this.smoother += share(SMOOTHING_SECONDS) * (this.smooth - this.smoother);
    this.gravity += share(GRAVITY_SECONDS) * (size - this.gravity);
    const swing = this.smoother - this.gravity;
    this.usual += share(USUAL_SECONDS) * (Math.abs(swing) * 1.57 - this.usual);
    const level = Math.max(LEAST_SWING, this.usual);
    if (swing < -DOWN_SHARE * level) this.armed = true;
    const soon = seconds - this.lastStep < SHORTEST_STEP_SECONDS;
    if (!this.armed || soon || swing < UP_SHARE * level) return false;
    this.armed = false;
    this.lastStep = seconds;
    return true;
  }
}
