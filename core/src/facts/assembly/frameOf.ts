/** The frame that everything else is mounted on; undefined where the plan has none. */
import { remembered } from './assembly';

export const frameOf = remembered(({ build, model }) =>
  Object.keys(build.slots)
    .map((slot) => model(slot)!.frame)
    .find((frame) => frame),
);
