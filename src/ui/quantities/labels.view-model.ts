import { fillingName } from "@/core/item/filling-name";
import { claimCautions, containsText, dietText, mayText } from "@/core/item/claims-text";
import { DIETS } from "@/core/ingredients/kinds";
import { isProvisional } from "@/core/item/gaps";
import type { Quantities } from "@/core/plan/quantities";
import type { PlanRequest } from "@/core/plan/request";
import { minutesOfClock } from "@/core/shared/clock";
import { sizeOf } from "@/core/shared/range";

/** What stands beside a plate, or on a bag for the freezer. */
export interface Label {
  readonly key: string;
  readonly name: string;
  /** "Supper, 18:30", "for the freezer". */
  readonly where: string;
  readonly pieces: number;
  /** Diets that are known to be kept. */
  readonly suits: readonly string[];
  readonly contains: string;
  readonly may: string | undefined;
  readonly cautions: readonly string[];
  readonly provisional: boolean;
}

/** A label for each item of each wave and of the freezer, by filling. */
export function labelsOf(request: PlanRequest, q: Quantities, clock: (minute: number) => string): Label[] {
  const labels = new Map<string, Label>();
  for (const { for: target, item, resolved, range, claims } of q.demands) {
    const wave = request.gathering.waves.find((one) => one.id === target);
    const key = `${target} ${item.id} ${resolved.filling}`;
    const before = labels.get(key);
    const filling = fillingName(item, resolved.filling);
    labels.set(key, {
      key,
      name: filling ? `${item.name}, ${filling}` : item.name,
      where: wave ? `${wave.name}, ${clock(minutesOfClock(wave.time)!)}` : "for the freezer",
      pieces: (before?.pieces ?? 0) + sizeOf(range),
      suits: DIETS.filter((diet) => claims.diets[diet].answer === "yes").map((diet) => dietText(diet, claims.diets[diet])),
      contains: containsText(claims),
      may: mayText(claims),
      cautions: claimCautions(claims),
      provisional: isProvisional(item),
    });
  }
  return [...labels.values()];
}
