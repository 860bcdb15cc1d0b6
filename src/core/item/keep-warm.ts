import { heldHotC, type Guide } from "../process/safety";
import { isHeat, type Step } from "./step";

/** Fried pieces keep crisp on a rack in the oven: so warm, °C, and so long, min. A kitchen figure. */
export const KEEP_WARM = { atC: 100, maxMin: 50 } as const;
/** They go in so soon after they were drained, min. */
const INTO_MIN = 10;

/** What holds for whatever waits hot. */
export const heldHotText = (guide: Guide = "us"): string =>
  `Anything with meat, fish, egg or dairy in it stays at ${heldHotC(guide)} °C or more while it waits; local rules and trained advice come first.`;

/** Id of the step that keeps pieces warm. */
const KEEP_WARM_STEP = "keep-warm";

/** Whether an item made by these steps can be kept warm: what is fried last. */
export const canKeepWarm = (steps: readonly Step[]): boolean => servings(steps).length > 0;

/** The servings of fried pieces. */
const servings = (steps: readonly Step[]): Step[] => {
  const heat = steps.filter((step) => step.path.includes("fresh") && isHeat(step)).at(-1);
  return heat?.kind === "fry"
    ? steps.filter(({ kind, part, path }) => kind === "serve" && part === "piece" && path.includes("fresh"))
    : [];
};

/** The steps with a stay in the warm oven before the serving. */
export function keptWarm(steps: readonly Step[]): Step[] {
  const serves = new Set(servings(steps));
  return steps.flatMap((step): Step[] => {
    if (!serves.has(step)) return [step];
    const warm: Step = {
      id: KEEP_WARM_STEP,
      part: "piece",
      path: ["fresh"],
      kind: "hold-warm",
      do: `On a rack in the oven at ${KEEP_WARM.atC} °C, uncovered, in one layer.`,
      after: step.after.map((link) => ({ ...link, maxGapMin: Math.min(INTO_MIN, link.maxGapMin ?? INTO_MIN) })),
      time: { fixedMin: 0, secPerPiece: 0 },
      hands: 0,
      attention: "none",
      lot: "tray",
      equipment: [{ id: "oven", settingC: KEEP_WARM.atC }, { id: "tray" }],
      rest: { min: 1, target: 1, max: KEEP_WARM.maxMin, atC: KEEP_WARM.atC, where: "oven" },
      cue: { see: "Crisp and dry; soft spots mean it lay covered or too long.", feel: "Hot right through." },
      caution: heldHotText(),
    };
    return [warm, { ...step, after: [{ step: KEEP_WARM_STEP, maxGapMin: step.hold?.maxMin }] }];
  });
}
