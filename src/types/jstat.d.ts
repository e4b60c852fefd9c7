declare module 'jstat' {
  /** The few functions of jstat 1.9.6 that we call; the package ships no types. */
  export const jStat: {
    beta: { inv(probability: number, alpha: number, beta: number): number };
    chisquare: { cdf(value: number, degreesOfFreedom: number): number };
    studentt: { pdf(value: number, degreesOfFreedom: number): number };
    gammaln(value: number): number;
    betaln(alpha: number, beta: number): number;
    normal: { inv(probability: number, mean: number, standardDeviation: number): number };
  };
}
