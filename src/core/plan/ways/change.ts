import { GatheringSchema, type GatheringInput } from "../../gathering/schema";
import { kitchenFor } from "../../gathering/who-cooks";
import type { Kitchen } from "../../kitchen/schema";
import type { PlanRequest } from "../request";

/** What a change is, in codes. Worded in `change-text.ts`. */
export type ChangeKind =
  /** `count`: how many there are then. */
  | { readonly code: "one-more"; readonly equipment: string; readonly count: number }
  /** Clock times. */
  | { readonly code: "helper"; readonly from: string; readonly to: string }
  | { readonly code: "earlier"; readonly cook: string; readonly from: string }
  | { readonly code: "together"; readonly part: "dough" | "filling"; readonly items: readonly string[]; readonly apart: boolean }
  /** Baked at one setting, °C. */
  | { readonly code: "one-setting"; readonly items: readonly string[]; readonly settingC: number }
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
  /** `time`: of the first wave then. `stays`: who has to stay longer for it. */
  | {
      readonly code: "later";
      readonly minutes: number;
      readonly time: string;
      readonly stays?: { readonly cook: string; readonly to: string };
    }
  /** The same on another date, yyyy-mm-dd. */
  | { readonly code: "another-day"; readonly date: string }
  | { readonly code: "keep-warm"; readonly item: string; readonly minutes: number; readonly celsius: number }
  /** Eaten from the freezer instead of kept for later. */
  | { readonly code: "from-stock"; readonly item: string; readonly pieces: number }
  | { readonly code: "other-filling"; readonly item: string; readonly filling: string }
  | { readonly code: "bigger-pan"; readonly mm: number; readonly pieces: number; readonly from: number; readonly item: string }
  | { readonly code: "elsewhere"; readonly kitchen: string }
  | { readonly code: "both"; readonly kinds: readonly ChangeKind[] };

/** One change to a day, to see what it would bring, and to take over. */
export interface Change {
  readonly id: string;
  readonly kind: ChangeKind;
  /** Of the changes of one group, the least first, one that does is enough. */
  readonly group?: string;
  /** The gathering with the change. */
  readonly edit: (gathering: GatheringInput) => GatheringInput;
}

/** Two changes as one. */
export const both = (a: Change, b: Change): Change => ({
  id: `${a.id} ${b.id}`,
  kind: { code: "both", kinds: [a.kind, b.kind] },
  edit: (gathering) => b.edit(a.edit(gathering)),
});

/** A request for the day with a change. `kitchens`: those that it may be moved to. */
export function requestWith(
  request: PlanRequest,
  { edit }: Pick<Change, "edit">,
  kitchens: readonly Kitchen[] = [],
): PlanRequest {
  const gathering = GatheringSchema.parse(edit(request.gathering as GatheringInput));
  const moved = gathering.kitchen === request.gathering.kitchen ? undefined : kitchens.find(({ id }) => id === gathering.kitchen);
  const usual = moved ?? request.usual ?? request.kitchen;
  return { ...request, gathering, usual, kitchen: kitchenFor(gathering, usual) };
}
