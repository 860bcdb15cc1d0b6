import { fail, ok, type Result } from "../shared/issue";
import type { Item } from "./schema";
import type { Step } from "./step";

/** An item with one of its steps changed. Issues: `unknown` step. */
export function withStep(item: Item, id: string, change: (step: Step) => Step): Result<Item> {
  const step = item.steps.find((one) => one.id === id);
  if (!step) return fail({ code: "unknown", path: ["step"], got: id, wanted: "a step of this item" });
  const next = change(step);
  return ok({ ...item, steps: item.steps.map((one) => (one === step ? next : one)) });
}
