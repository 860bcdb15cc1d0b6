import { claimCautions, claimsLine, mayText } from "@/core/item/claims-text";
import type { PlanRequest } from "@/core/plan/request";
import { quantitiesOf } from "@/core/plan/quantities";

/** What stands on every sheet of a day beside its steps: who eats, what is in what. */
export interface DayFacts {
  readonly guests: string;
  readonly items: readonly { readonly name: string; readonly facts: readonly string[] }[];
}

const AGES = { adult: "adults", teen: "teens", child: "children" } as const;

/** Facts of a day for its paper; what is not known is said. */
export function dayFacts(request: PlanRequest): DayFacts {
  const { guests } = request.gathering;
  const named = guests
    .filter(({ count }) => count > 0)
    .map(({ count, age, diet, avoid }) =>
      [`${count} ${count === 1 ? age : AGES[age]}`, ...diet, ...avoid.map((one) => `no ${one}`)].join(", "),
    );
  const { demands } = quantitiesOf(request);
  const items = new Map(demands.map(({ item, claims }) => [item.id, { name: item.name, claims }]));
  return {
    guests: named.length > 0 ? named.join("; ") : "nobody is named",
    items: [...items.values()].map(({ name, claims }) => ({
      name,
      facts: [claimsLine(claims), mayText(claims), ...claimCautions(claims)].filter((fact) => fact !== undefined),
    })),
  };
}
