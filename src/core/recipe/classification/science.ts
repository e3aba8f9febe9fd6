import { SCIENCE_PARTS, type Science } from '../../records/shapes';

/** Each part halved and doubled from what is in force: ways to read the science, all of which somebody could defend. */
export function otherSciences(science: Science): Science[] {
  return SCIENCE_PARTS.flatMap((part) =>
    [0.5, 2].map((factor) => ({ ...science, [part]: factor * science[part] })),
  );
}
