import type { Kitchen } from "../../kitchen/schema";
import { quantitiesOf } from "../quantities";
import type { PlanRequest } from "../request";
import { both, type Change, type ChangeKind } from "./change";
import { before, hands, otherDays, otherTimes } from "./hours";
import { oneSetting, otherFillings, otherwise, together, warm } from "./making";
import { fromStock, smaller } from "./pieces";
import { biggerPan, elsewhere, equipment } from "./things";

/**
 * Changes that could help this day: less of one kind, in two goes, another way of making it, work done before, more time, hands, a
 * piece of equipment. Each is one edit of the gathering.
 */
export function changesFor(request: PlanRequest, kitchens: readonly Kitchen[] = []): Change[] {
  const quantities = quantitiesOf(request);
  return [
    ...smaller(request, quantities),
    ...warm(request),
    ...otherTimes(request),
    ...hands(request),
    ...before(request),
    ...otherwise(request),
    ...otherFillings(request, quantities),
    ...fromStock(request, quantities),
    ...otherDays(request),
    ...together(request, quantities),
    ...oneSetting(request, quantities),
    ...equipment(request, quantities),
    ...biggerPan(request),
    ...elsewhere(request, kitchens),
  ];
}

/** Changes of hands, time and places that go with any other. */
const GOES_WITH: ReadonlySet<ChangeKind["code"]> = new Set(["helper", "earlier", "later", "one-more"]);

/** Two changes at once, for a day that none makes possible by itself. `near`: those that are refused only by the timetable. */
export function pairsOf(changes: readonly Change[], near: readonly Change[]): Change[] {
  const others = changes.filter(({ kind }) => GOES_WITH.has(kind.code) && (kind.code !== "one-more" || HEAT.has(kind.equipment)));
  const pairs = near
    .slice(0, MOST_NEAR)
    .flatMap((one) => others.filter((other) => other !== one).map((other) => both(one, other)));
  const known = new Set<string>();
  return pairs.filter(({ id }) => {
    const key = id.split(" ").sort().join(" ");
    return !known.has(key) && known.add(key);
  });
}

const MOST_NEAR = 3;

const HEAT: ReadonlySet<string> = new Set(["oven", "fryer", "steamer", "lidded-pan", "tray"]);
