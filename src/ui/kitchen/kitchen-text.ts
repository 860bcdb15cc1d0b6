import type { Kitchen } from "@/core/kitchen/schema";

const counted = (n: number, one: string, more: string): string => (n === 1 ? `1 ${one}` : `${n} ${more}`);

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
