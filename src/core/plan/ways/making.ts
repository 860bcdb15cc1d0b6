import { alikeGroups } from "../../batching/joint";
import { sharedBakes } from "../../batching/shared-bakes";
import { canKeepWarm, KEEP_WARM } from "../../item/keep-warm";
import { optionsOf, resolveItem } from "../../item/resolve";
import type { Item } from "../../item/schema";
import { isHeat } from "../../item/step";
import type { Quantities } from "../quantities";
import type { PlanRequest } from "../request";
import type { Change } from "./change";
import { inWave, itemOf, oneChange } from "./edits";

/** An option that makes an item quicker by less changes nothing, min. */
const QUICKER_MIN = 15;

/** What is fried waits in the warm oven. */
export const warm = (request: PlanRequest): Change[] =>
  request.gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe, choices, keepWarm }): Change[] => {
      const item = itemOf(request, recipe);
      if (keepWarm || !request.kitchen.equipment.oven || !canKeepWarm(resolveItem(item, choices, "base").steps)) return [];
      const { atC: celsius, maxMin: minutes } = KEEP_WARM;
      return [
        oneChange(`warm-${wave.id}-${recipe}`, { code: "keep-warm", item: item.name, minutes, celsius }, (g) =>
          inWave(g, wave.id, (items) => items.map((entry) => (entry.recipe === recipe ? { ...entry, keepWarm: true } : entry))),
        ),
      ];
    }),
  );

/** Another filling that takes less time. */
export function otherFillings(request: PlanRequest, { headcount }: Quantities): Change[] {
  return request.gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe, choices, split }): Change[] => {
      if (split && split.length > 0) return [];
      const item = itemOf(request, recipe);
      const count = headcount.counts.find((one) => one.wave === wave.id && one.recipe === recipe);
      const now = leadMin(item, choices, "base");
      return (item.filling.variants ?? [])
        .filter(({ id }) => count && count.pieces > 0 && now - leadMin(item, choices, id) >= QUICKER_MIN)
        .map(({ id, name }) =>
          oneChange(`filling-${wave.id}-${recipe}-${id}`, { code: "other-filling", item: item.name, filling: name }, (g) =>
            inWave(g, wave.id, (items) =>
              items.map((entry) =>
                entry.recipe === recipe ? { ...entry, split: [{ filling: id, pieces: count!.pieces }] } : entry,
              ),
            ),
          ),
        );
    }),
  );
}

/** Least minutes from the first step to the last, hands unlimited. */
function leadMin(item: Item, choices: Readonly<Record<string, string>>, filling: string): number {
  const steps = resolveItem(item, choices, filling).steps.filter((step) => step.path.includes("fresh"));
  const ends = new Map<string, number>();
  const endOf = (id: string): number => {
    const known = ends.get(id);
    if (known !== undefined) return known;
    const step = steps.find((one) => one.id === id);
    if (!step) return 0;
    ends.set(id, 0);
    const begins = Math.max(0, ...step.after.map((link) => endOf(link.step) + (link.minGapMin ?? 0)));
    const end = begins + (step.rest ? step.rest.min : step.time.fixedMin);
    ends.set(id, end);
    return end;
  };
  return Math.max(0, ...steps.map(({ id }) => endOf(id)));
}

/** Another of an item's options where that is another heat (baked, not fried), or quicker. */
export function otherwise(request: PlanRequest): Change[] {
  const heats = (item: Item, choices: Readonly<Record<string, string>>) =>
    resolveItem(item, choices, "base")
      .steps.filter((step) => isHeat(step) && step.path.includes("fresh"))
      .map((step) => `${step.kind} ${step.equipment.map((e) => e.id).join()}`)
      .join();
  return request.gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe, choices, split }): Change[] => {
      if (split && split.length > 0) return [];
      const item = itemOf(request, recipe);
      const now = optionsOf(item, choices);
      return item.schools.flatMap((school, s) =>
        school.options
          .filter((option) => option.id !== now[s].id)
          .filter((option) => {
            const then = { ...choices, [school.id]: option.id };
            return (
              heats(item, then) !== heats(item, choices) ||
              leadMin(item, choices, "base") - leadMin(item, then, "base") >= QUICKER_MIN
            );
          })
          .map((option) =>
            oneChange(
              `option-${wave.id}-${recipe}-${school.id}-${option.id}`,
              { code: "otherwise", item: item.name, option: option.name },
              (g) =>
                inWave(g, wave.id, (items) =>
                  items.map((entry) =>
                    entry.recipe === recipe ? { ...entry, choices: { ...entry.choices, [school.id]: option.id } } : entry,
                  ),
                ),
            ),
          ),
      );
    }),
  );
}

export function together({ gathering }: PlanRequest, { expansion }: Quantities): Change[] {
  const common = alikeGroups(expansion.workload.groups);
  if (common.length === 0) return [];
  const [{ part }] = common[0];
  const items = [...new Set(common.flatMap((set) => set.map((group) => group.item.name)))];
  return [
    oneChange("together", { code: "together", part, items, apart: gathering.mixTogether === true }, (g) => ({
      ...g,
      mixTogether: !g.mixTogether,
    })),
  ];
}

/** Bakes whose settings lie close, at one. */
export function oneSetting({ gathering }: PlanRequest, { demands }: Quantities): Change[] {
  if (gathering.bakeTogether) return [];
  const [first] = sharedBakes(demands);
  if (!first) return [];
  const items = [...new Set(first.bakes.map(({ item }) => item.name))];
  return [
    oneChange("one-setting", { code: "one-setting", items, settingC: first.settingC }, (g) => ({ ...g, bakeTogether: true })),
  ];
}
