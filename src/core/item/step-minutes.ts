import type { Step } from "./step";

type Worked = Pick<Step, "time">;

/** Minutes of a timed step for so many pieces at an intermediate pace, not rounded. What a rest lasts stands in its window. */
export const workMinutes = ({ time }: Worked, pieces: number): number => time.fixedMin + (time.secPerPiece * pieces) / 60;

/** How long a step usually takes, min, not rounded: a rest its usual time, anything else its work. */
export const usualMinutes = (step: Worked & Pick<Step, "rest">, pieces: number): number =>
  step.rest?.target ?? workMinutes(step, pieces);

/** Minutes of hands that steps take for so many pieces, looks included, not rounded. */
export const handsMinutes = (steps: readonly Step[], pieces: number): number =>
  steps.reduce(
    (total, step) =>
      total +
      (step.attention === "hands-on"
        ? workMinutes(step, pieces)
        : (step.tend ?? []).reduce((sum, look) => sum + look.minutes, 0)),
    0,
  );
