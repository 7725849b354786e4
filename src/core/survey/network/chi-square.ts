import jStat from 'jstat';

/** Chance that chi-square with this many degrees of freedom (at least 1) comes out as much. */
export const atLeast = (value: number, degreesOfFreedom: number): number =>
  Math.max(0, 1 - jStat.chisquare.cdf(value, degreesOfFreedom));
