import { fail, type Result } from "../shared/issue";
import type { Item } from "./schema";
import { isHeat, StepSchema, type Step } from "./step";
import { withStep } from "./with-step";

/** What a step may take besides, by key; what heats, and what carries pieces into it, follows from the way of finishing. */
export const STEP_TOOLS = [
  ...["worktop", "bowl", "board", "tray", "rack", "tins", "dish", "fridge-shelf"],
  ...["mixer", "pot", "hob", "lidded-pan", "dry-pan", "scale", "probe", "rolling-pin", "piping-bag"],
] as const;

/** What heats pieces, and holds them while it does. */
const HEATS: ReadonlySet<string> = new Set(["oven", "steamer", "fryer", "lidded-pan", "dry-pan"]);
const HOLDS: ReadonlySet<string> = new Set(["tray", "board", "steamer-tier", "tins", "dish", "freezer-tray"]);

/** A quarter of a tray's place is what one bowl takes in the fridge. */
const BOWL_IN_FRIDGE = 0.25;

/** Whether a step can be without a thing that it takes. A core is not measured without a probe. */
export const canDrop = (step: Step, id: string): boolean =>
  !(isHeat(step) && (HEATS.has(id) || HOLDS.has(id))) && !(id === "probe" && step.coreC !== undefined);

/** What else a step may take. */
export const toolsToAdd = (step: Step): readonly string[] =>
  STEP_TOOLS.filter((id) => !step.equipment.some((entry) => entry.id === id) && !(isHeat(step) && HEATS.has(id)));

/** A step that takes one thing more. Issues: `unknown` step. */
export const addTool = (item: Item, id: string, tool: string): Result<Item> =>
  withStep(item, id, (step) => ({
    ...step,
    equipment: [
      ...step.equipment,
      { id: tool, ...(tool === "fridge-shelf" && step.part !== "piece" && { amount: BOWL_IN_FRIDGE }) },
    ],
  }));

/** A step without one thing that it took. Issues: `unknown` step, `inconsistent` equipment (it cannot be without it). */
export function dropTool(item: Item, id: string, tool: string): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  if (step && !canDrop(step, tool))
    return fail({
      code: "inconsistent",
      path: ["equipment"],
      got: tool,
      wanted: tool === "probe" ? "a probe, as long as a core is measured" : "what heats the pieces and holds them",
    });
  return withStep(item, id, (one) => ({ ...one, equipment: one.equipment.filter((entry) => entry.id !== tool) }));
}

/**
 * The core at which a step is done, °C, or none.
 * Issues: `unknown` step, `out_of_range` core (below what is asked for what is in it, or no temperature of a core).
 * @param leastC what is in it asks for so much, °C; undefined where it asks for nothing
 */
export function setCore(item: Item, id: string, typedC: number | undefined, leastC: number | undefined): Result<Item> {
  // 165 °F are 73.9 °C: the same figure on another scale.
  const coreC = typedC !== undefined && leastC !== undefined && Math.abs(typedC - leastC) < 0.5 ? leastC : typedC;
  const wanted = `${leastC ?? 40} to 100 °C`;
  if (coreC === undefined ? leastC !== undefined : !(coreC >= (leastC ?? 40) && coreC <= 100))
    return fail({
      code: "out_of_range",
      path: ["core"],
      got: coreC ?? "empty",
      wanted: leastC === undefined ? wanted : `${wanted} for what is in it, by the usual guidance; local rules come first`,
    });
  return withStep(item, id, ({ coreC: _before, ...step }) =>
    StepSchema.parse({
      ...step,
      ...(coreC !== undefined && { coreC }),
      equipment:
        coreC === undefined || step.equipment.some((entry) => entry.id === "probe")
          ? step.equipment
          : [...step.equipment, { id: "probe" }],
    }),
  );
}
