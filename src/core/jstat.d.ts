declare module 'jstat' {
  interface Distribution {
    inv(probability: number, freedom: number): number;
    cdf(value: number, freedom: number): number;
  }
  const jstat: {
    readonly studentt: Distribution;
    readonly beta: { inv(probability: number, alpha: number, beta: number): number };
    readonly normal: { cdf(value: number, mean: number, deviation: number): number };
    gammaln(x: number): number;
  };
  export default jstat;
}
