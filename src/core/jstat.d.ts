declare module 'jstat' {
  interface Distribution {
    inv(probability: number, freedom: number): number;
    cdf(value: number, freedom: number): number;
  }
  const jstat: {
    readonly studentt: Distribution;
    readonly beta: { inv(probability: number, alpha: number, beta: number): number };
    readonly normal: { cdf(value: number, mean: number, deviation: number): number };
    readonly binomial: { pdf(count: number, of: number, chance: number): number };
    gammaln(x: number): number;
    betaln(a: number, b: number): number;
  };
  export default jstat;
}
