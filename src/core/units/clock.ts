/** Minutes since midnight of a time of day written as HH:MM. */
export const minutesOfDay = (time: string): number =>
  Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

export const MINUTES_PER_DAY = 24 * 60;
