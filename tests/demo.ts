import { ItemSchema, type Item } from "@/core/item/schema";
import { parseRequest } from "@/core/plan/request-check";
import { type PlanRequest } from "@/core/plan/request";
import { type GatheringInput } from "@/core/gathering/schema";
import { KitchenSchema, type Kitchen } from "@/core/kitchen/schema";
import gatherings from "@/db/demo/gatherings.json";
import items from "@/db/demo/items.json";
import kitchens from "@/db/demo/kitchens.json";

/** A Wednesday; "next Saturday" is 28 November. */
export const TODAY = "2026-11-25";

export const demoItem = (id: string): Item => ItemSchema.parse(items.find((item) => item.id === id));
export const demoKitchen = (id: string): Kitchen => KitchenSchema.parse(kitchens.find((kitchen) => kitchen.id === id));
export const demoGathering = (id: string): GatheringInput =>
  structuredClone(gatherings.find((gathering) => gathering.id === id)) as unknown as GatheringInput;

export const DEMO_GATHERINGS = gatherings.map((gathering) => gathering.id);

/** The raw request for a demo gathering, with whatever is laid over it. */
export function demoInput(id: string, over: Record<string, unknown> = {}) {
  const gathering = demoGathering(id);
  const named = new Set(
    [...(gathering.waves ?? []).flatMap((w) => w.items), ...(gathering.freezer ?? [])].map((entry) => entry.recipe),
  );
  return {
    format: "unisynth-request/1",
    today: TODAY,
    items: items.filter((item) => named.has(item.id)),
    kitchen: kitchens.find((kitchen) => kitchen.id === gathering.kitchen),
    gathering,
    solve: { seed: 1, iterations: 0 },
    ...over,
  };
}

/** A demo day on which nothing is served but so many pieces of one item, to four adults; nothing is in the freezer or ruled. */
export function supperInput(id: string, item: Item, pieces: number, time: string, over: Record<string, unknown> = {}) {
  const input = demoInput(id);
  return {
    ...input,
    items: [item],
    gathering: {
      ...input.gathering,
      freezer: [],
      rules: [],
      doneAhead: [],
      guests: [{ count: 4, age: "adult" }],
      waves: [{ id: "w", name: "Supper", time, items: [{ recipe: item.id, pieces }] }],
    },
    ...over,
  };
}

/** A demo kitchen's input with other equipment in it. */
export function equipped(id: string, equipment: object) {
  const kitchen = demoInput(id).kitchen as { equipment: object };
  return { ...kitchen, equipment: { ...kitchen.equipment, ...equipment } };
}

/** A request that is known to be right. */
export function expectRequest(input: unknown): PlanRequest {
  const parsed = parseRequest(input);
  if (!parsed.ok) throw new Error(`not a request: ${JSON.stringify(parsed.issues)}`);
  return parsed.value;
}
