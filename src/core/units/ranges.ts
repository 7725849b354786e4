/** The smallest number above zero: the lower end of a range that is open there. */
export const ABOVE_ZERO = Number.MIN_VALUE;

/** The largest number of minutes (or seconds) of arc: the upper end of a range open at 60. */
export const MOST_MINUTES = 59.999999999;
