/** What is not settled about these constants: factors on them, 1 where they are as written. */
export interface Science {
  /** On the half loads. */
  readonly firm: number;
  readonly soft: number;
  readonly oil: number;
  /** On what water softens. */
  readonly water: number;
  /** On how much of intact food protein acts. */
  readonly intact: number;
  /** On what tannin firms. */
  readonly tannin: number;
}
export const AS_WRITTEN: Science = { firm: 1, soft: 1, oil: 1, water: 1, intact: 1, tannin: 1 };

/** Each of them halved and doubled: ways to read the science, all of which somebody could defend. */
export const OTHER_SCIENCES: readonly Science[] = (Object.keys(AS_WRITTEN) as (keyof Science)[]).flatMap(
  (part) => [0.5, 2].map((factor) => ({ ...AS_WRITTEN, [part]: factor })),
);
