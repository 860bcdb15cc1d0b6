import type { GatheringInput } from "../../gathering/schema";
import { clockText, MINUTES_A_DAY, minutesOfClock } from "../../shared/clock";
import { freshId } from "../../shared/fresh-id";
import type { Quantities } from "../quantities";
import type { PlanRequest } from "../request";
import type { Change } from "./change";
import { inWave, itemOf, oneChange } from "./edits";

/** A second serving comes so long after the first, min. */
const AFTER_MIN = 30;

/** Fewer of one kind, half of it in a second serving, or none of it. */
export function smaller(request: PlanRequest, { headcount, limits }: Quantities): Change[] {
  const { gathering } = request;
  const kinds = new Set(gathering.waves.flatMap((wave) => wave.items.map((entry) => entry.recipe)));
  return gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe }): Change[] => {
      const { name } = itemOf(request, recipe);
      const count = headcount.counts.find((one) => one.wave === wave.id && one.recipe === recipe);
      if (!count || count.pieces < 2) return [];
      const limit = limits.find((one) => one.code === "too-many-loads" && one.item === recipe);
      const most = limit && "most" in limit ? limit.most : Infinity;
      const part = (share: number) => {
        const loads = Math.floor((count.pieces * share) / count.perCarrier) * count.perCarrier;
        return Math.min(most, loads > 0 ? loads : Math.floor(count.pieces * share));
      };
      const fewer = [...new Set([part(2 / 3), part(1 / 3)])].filter((pieces) => pieces > 0);
      const half = Math.min(most, Math.ceil(count.pieces / 2));
      const minutes = (minutesOfClock(wave.time) ?? 0) + AFTER_MIN;
      const time = clockText(minutes);
      return [
        ...fewer.map((pieces) =>
          oneChange(`fewer-${wave.id}-${recipe}-${pieces}`, { code: "fewer", item: name, pieces, from: count.pieces }, (g) =>
            inWave(g, wave.id, (items) =>
              items.map((entry) => (entry.recipe === recipe ? { ...entry, pieces, split: undefined } : entry)),
            ),
          ),
        ),
        ...(minutes < MINUTES_A_DAY && half > 0 && half < count.pieces
          ? [
              oneChange(
                `waves-${wave.id}-${recipe}`,
                { code: "two-waves", item: name, pieces: count.pieces - half, minutes: AFTER_MIN, time },
                (g) => inTwoGoes(g, wave.id, recipe, half, count.pieces - half, time),
              ),
            ]
          : []),
        ...(kinds.size > 1
          ? [
              oneChange(`without-${wave.id}-${recipe}`, { code: "without", item: name }, (g) =>
                inWave(g, wave.id, (items) => items.filter((entry) => entry.recipe !== recipe)),
              ),
            ]
          : []),
      ];
    }),
  );
}

/** Part of an item's pieces in a wave of their own. */
function inTwoGoes(
  gathering: GatheringInput,
  wave: string,
  recipe: string,
  first: number,
  second: number,
  time: string,
): GatheringInput {
  const waves = gathering.waves ?? [];
  const of = waves.find((one) => one.id === wave);
  const entry = of?.items.find((one) => one.recipe === recipe);
  if (!of || !entry) return gathering;
  const id = freshId(
    `${of.name} again`,
    waves.map((one) => one.id),
  );
  const then = { ...of, id, name: `${of.name}, second go`, time, items: [{ ...entry, pieces: second, split: undefined }] };
  const cut = inWave(gathering, wave, (items) =>
    items.map((one) => (one.recipe === recipe ? { ...one, pieces: first, split: undefined } : one)),
  );
  const at = waves.indexOf(of);
  return { ...cut, waves: [...(cut.waves ?? []).slice(0, at + 1), then, ...(cut.waves ?? []).slice(at + 1)] };
}

/** What is in the freezer and was to stay there is eaten. */
export function fromStock(request: PlanRequest, { headcount }: Quantities): Change[] {
  return request.gathering.freezer.flatMap((entry, k): Change[] => {
    const { recipe, pieces, onHand = 0 } = entry;
    const item = itemOf(request, recipe);
    const eaten = headcount.counts.filter((count) => count.recipe === recipe).reduce((sum, count) => sum + count.pieces, 0);
    const taken = Math.min(onHand, pieces, eaten - Math.max(0, onHand - pieces));
    if (taken <= 0 || !item.steps.some((step) => step.path.includes("from-freezer"))) return [];
    return [
      oneChange(`stock-${recipe}-${k}`, { code: "from-stock", item: item.name, pieces: taken }, (g) => ({
        ...g,
        freezer: (g.freezer ?? []).map((one, i) => (i === k ? { ...one, pieces: onHand - taken } : one)),
      })),
    ];
  });
}
