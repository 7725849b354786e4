declare module 'jstat' {
  /** The part of the package that is used here. */
  const jStat: {
    readonly chisquare: { cdf(value: number, degreesOfFreedom: number): number };
  };
  export default jStat;
}
