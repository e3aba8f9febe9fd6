/** The few functions of jStat that are used; the package ships no types. */
declare module 'jstat' {
  interface Quantile<Parameters extends number[]> {
    inv(p: number, ...parameters: Parameters): number;
  }
  export const jStat: {
    readonly gamma: Quantile<[shape: number, scale: number]>;
    readonly studentt: Quantile<[degreesOfFreedom: number]>;
    readonly centralF: Quantile<[numerator: number, denominator: number]>;
    readonly normal: Quantile<[mean: number, sd: number]>;
  };
}
