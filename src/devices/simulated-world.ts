/** What the simulated devices sense: set by the control panel, read at each sample. */
export interface SimulatedWorld {
  walking: boolean;
  stepsPerSecond: number;
  /** One sigma of the noise of the acceleration, m/s². */
  motionNoise: number;
  /** Share of samples that never arrive, 0 to 1. */
  dropouts: number;
  headingDegrees: number;
  /** One sigma of the noise of the heading, degrees. */
  headingNoiseDegrees: number;
}

/** The one simulated world of this tab. */
export const world: SimulatedWorld = {
  walking: false,
  stepsPerSecond: 1.8,
  motionNoise: 0.5,
  dropouts: 0.02,
  headingDegrees: 231,
  headingNoiseDegrees: 2,
};

const GRAVITY = 9.81;
/** How far a walking step swings the acceleration, m/s². Common practice, no source. */
const SWING = 3;

/**
 * The magnitude of a phone's acceleration in a walker's hand, `steps` (with their fraction) after
 * the start: gravity, one swing a step, a smaller one at twice the rate, and every second step a
 * little stronger, as one leg is.
 */
export function walkingAcceleration(steps: number): number {
  const turn = 2 * Math.PI * steps;
  const leg = 1 + 0.12 * Math.cos(turn / 2);
  return GRAVITY + leg * SWING * Math.sin(turn) + 0.3 * SWING * Math.sin(2 * turn + 0.8);
}
