/** The few functions of jStat that are used; the package ships no types. */
declare module 'jstat' {
  interface Quantile<Parameters extends number[]> {
    inv(p: number, ...parameters: Parameters): number;
  }
  export const jStat: {
    /** @param isSample of a sample, not of all there are */
    stdev(values: readonly number[], isSample: boolean): number;
    readonly gamma: Quantile<[shape: number, scale: number]>;
    readonly studentt: Quantile<[degreesOfFreedom: number]>;
    readonly centralF: Quantile<[numerator: number, denominator: number]>;
    readonly normal: Quantile<[mean: number, sd: number]>;
  };
}
