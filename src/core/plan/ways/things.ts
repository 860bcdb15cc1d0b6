import type { Item } from "../../item/schema";
import { capacitiesOf } from "../../kitchen/capacity";
import { countOf, EQUIPMENT_COUNTS, withCounts, type Counted } from "../../kitchen/counts";
import type { Kitchen } from "../../kitchen/schema";
import type { Quantities } from "../quantities";
import type { PlanRequest } from "../request";
import type { Change } from "./change";
import { oneChange } from "./edits";

/** More tins are borrowed by the dozen. */
const MORE: Readonly<Record<string, number>> = { tins: 12 };

/** One more of what the items use and the kitchen has; and one of what it lacks. */
export function equipment({ kitchen, items }: PlanRequest, { limits }: Quantities): Change[] {
  const used = new Set(
    items.flatMap((item) => item.steps.flatMap((step) => step.equipment.flatMap((e) => [e.id, e.or ?? e.id]))),
  );
  const lacking = new Set(limits.flatMap((limit) => (limit.code === "not-there" ? [limit.equipment] : [])));
  return EQUIPMENT_COUNTS.flatMap((key): Change[] => {
    const there = countOf(key, kitchen);
    const whole = PART_OF[key] ?? key;
    // How wide a pan is, is no number of them.
    if (key === "lidded-pan-mm") return [];
    if (!used.has(whole) || (there === 0 && !lacking.has(key))) return [];
    if (whole !== key && countOf(PART_OF[key]!, kitchen) === 0) return [];
    const count = there === 0 ? 1 : there + (MORE[key] ?? 1);
    // A thirteenth oven is no help: the kitchen's own limits hold.
    if (countOf(key, withCounts(kitchen, { [key]: count })) !== count) return [];
    return [
      oneChange(`more-${key}`, { code: "one-more", equipment: key, count }, (g) => ({
        ...g,
        equipment: { ...g.equipment, [key]: count },
      })),
    ];
  });
}

const PART_OF: Readonly<Partial<Record<Counted, Counted>>> = { "oven-shelf": "oven", "steamer-tier": "steamer" };

/** A pan that takes more at once, of the widths that pans have, mm. */
const PAN_WIDTHS = [200, 240, 280, 320, 360, 400] as const;

export function biggerPan({ kitchen, items }: PlanRequest): Change[] {
  const pan = kitchen.equipment["lidded-pan"];
  if (!pan || pan.count === 0) return [];
  const loadOf = (item: Item, mm: number) =>
    capacitiesOf(item, withCounts(kitchen, { "lidded-pan-mm": mm })).rooms.pan.find(({ ids }) => ids[0] === "lidded-pan")
      ?.pieces ?? 0;
  const item = items.find((one) => one.capacity.perPanLoad);
  const mm = item && PAN_WIDTHS.find((width) => width > pan.mm && loadOf(item, width) > loadOf(item, pan.mm));
  if (!item || !mm) return [];
  return [
    oneChange(
      "bigger-pan",
      { code: "bigger-pan", mm, item: item.name, pieces: loadOf(item, mm), from: loadOf(item, pan.mm) },
      (g) => ({ ...g, equipment: { ...g.equipment, "lidded-pan-mm": mm } }),
    ),
  ];
}

/** In another of the cook's kitchens. */
export const elsewhere = ({ kitchen }: PlanRequest, kitchens: readonly Kitchen[]): Change[] =>
  kitchens
    .filter(({ id }) => id !== kitchen.id)
    .map(({ id, name }) =>
      oneChange(`in-${id}`, { code: "elsewhere", kitchen: name }, (g) => ({ ...g, kitchen: id, equipment: undefined })),
    );
