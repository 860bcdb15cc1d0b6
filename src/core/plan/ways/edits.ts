import type { GatheringInput } from "../../gathering/schema";
import type { Item } from "../../item/schema";
import type { Cook } from "../../kitchen/schema";
import type { PlanRequest } from "../request";
import type { Change, ChangeKind } from "./change";

type Entry = NonNullable<GatheringInput["waves"]>[number]["items"][number];

export const oneChange = (id: string, kind: ChangeKind, edit: Change["edit"]): Change => ({ id, kind, edit });

/** The gathering with other entries in one wave. */
export const inWave = (
  gathering: GatheringInput,
  wave: string,
  edit: (items: readonly Entry[]) => readonly Entry[],
): GatheringInput => ({
  ...gathering,
  waves: (gathering.waves ?? []).map((one) => (one.id === wave ? { ...one, items: [...edit(one.items)] } : one)),
});

export const itemOf = ({ items }: PlanRequest, recipe: string): Item => items.find((item) => item.id === recipe)!;

export const served = ({ gathering }: PlanRequest) => gathering.waves.filter((wave) => wave.items.length > 0);

/** The gathering with other hours of one cook. */
export function withHours(gathering: GatheringInput, cook: Cook, hours: Cook["hours"]): GatheringInput {
  const others = (gathering.attendance ?? []).filter((entry) => entry.cook !== cook.id);
  const own = gathering.attendance?.find((entry) => entry.cook === cook.id);
  return { ...gathering, attendance: [...others, { ...own, cook: cook.id, hours }] };
}

export const swapped = <T>(all: readonly T[], one: T, by: T): T[] => all.map((other) => (other === one ? by : other));
