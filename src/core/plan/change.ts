import { GatheringSchema, type GatheringInput } from "../gathering/schema";
import { kitchenFor } from "../gathering/who-cooks";
import type { PlanRequest } from "./request";

/** What a change is, in codes. Worded in `change-text.ts`. */
export type ChangeKind =
  /** `count`: how many there are then. */
  | { readonly code: "one-more"; readonly equipment: string; readonly count: number }
  /** Clock times. */
  | { readonly code: "helper"; readonly from: string; readonly to: string }
  | { readonly code: "earlier"; readonly cook: string; readonly from: string }
  | { readonly code: "together"; readonly part: "dough" | "filling"; readonly items: readonly string[]; readonly apart: boolean }
  | { readonly code: "ahead"; readonly item: string; readonly part: "dough" | "filling" | "piece" }
  | { readonly code: "without"; readonly item: string }
  | { readonly code: "fewer"; readonly item: string; readonly pieces: number; readonly from: number }
  | {
      readonly code: "two-waves";
      readonly item: string;
      readonly pieces: number;
      readonly minutes: number;
      readonly time: string;
    }
  | { readonly code: "otherwise"; readonly item: string; readonly option: string }
  | { readonly code: "later"; readonly minutes: number };

/** One change to a day, to see what it would bring, and to take over. */
export interface Change {
  readonly id: string;
  readonly kind: ChangeKind;
  /** The gathering with the change. */
  readonly edit: (gathering: GatheringInput) => GatheringInput;
}

/** A request for the day with a change. */
export function requestWith(request: PlanRequest, { edit }: Pick<Change, "edit">): PlanRequest {
  const gathering = GatheringSchema.parse(edit(request.gathering as GatheringInput));
  return { ...request, gathering, kitchen: kitchenFor(gathering, request.kitchen) };
}
