import type { Kitchen } from "@/core/kitchen/schema";
import { differences } from "@/core/shared/differences";
import { counted } from "@/core/shared/words";
import { EQUIPMENT } from "./equipment-fields";

/** A kitchen in one line: who cooks, and what heats. */
export function kitchenLine({ cooks, equipment }: Kitchen): string {
  const { oven, hob, steamer, fryer, mixer } = equipment;
  const has = [
    oven && oven.count > 0 && `${counted(oven.count, "oven", "ovens")} of ${counted(oven.shelfPositions, "shelf", "shelves")}`,
    hob && hob.count > 0 && counted(hob.count, "ring", "rings"),
    steamer && steamer.count > 0 && counted(steamer.count, "steamer", "steamers"),
    fryer && fryer.count > 0 && counted(fryer.count, "fryer", "fryers"),
    mixer && mixer.count > 0 && counted(mixer.count, "mixer", "mixers"),
  ].filter((part) => typeof part === "string");
  return [cooks.map((cook) => cook.name).join(", "), ...has].join(" · ");
}

const PART: Readonly<Record<string, string>> = {
  name: "its name",
  line: "its note",
  roomC: "how warm it is",
  cooks: "who cooks",
  breaks: "the breaks",
};

/** In what a kitchen differs from what it was, in the words of its own page. */
export function changedParts({
  planned,
  kitchens,
}: {
  readonly planned?: Kitchen;
  readonly kitchens: readonly Kitchen[];
}): string[] {
  const now = kitchens.find(({ id }) => id === planned?.id);
  if (!planned || !now) return [];
  const parts = differences(planned, now).map(({ path: [part, key] }) =>
    part === "equipment"
      ? (EQUIPMENT.find(({ id }) => id === key)?.name ?? String(key)).toLowerCase()
      : (PART[String(part)] ?? String(part)),
  );
  return [...new Set(parts)];
}

/** What a field of a kitchen is called on its page, by its path. */
export function fieldName(path: readonly (string | number)[], kitchen: Kitchen): string {
  const [part, key, field, at] = path;
  if (part === "name") return "Name";
  if (part === "roomC") return `Room ${Number(key) + 1}${field === "c" ? ", °C" : ""}`;
  if (part === "cooks") {
    const cook = kitchen.cooks[Number(key)]?.name || `Cook ${Number(key) + 1}`;
    return field === "hours" ? `${cook}, hours ${Number(at ?? 0) + 1}` : field === "pace" ? `${cook}, own pace` : cook;
  }
  if (part === "breaks") return `Break ${Number(key) + 1}`;
  const kind = EQUIPMENT.find(({ id }) => id === key);
  const [, , , , ofOther] = path;
  const isOther = field === "others" && typeof at === "number";
  const label = kind?.fields.find((one) => one.key === (isOther ? ofOther : field))?.label;
  return [`${kind?.name ?? String(key)}${isOther ? `, size ${at + 2}` : ""}`, label].filter(Boolean).join(": ");
}
