import { fail, ok, type Result } from "../shared/issue";
import { measureOf, type System } from "./unit-table";

/** An amount in another unit of the same dimension. Issues: `unknown` from or to, `inconsistent` to. */
export function convert(input: { value: number; from: string; to: string; system: System }): Result<{ value: number }> {
  const from = measureOf(input.from, input.system);
  const to = measureOf(input.to, input.system);
  const wanted = "a unit of mass, length or volume";
  if (!from) return fail({ code: "unknown", path: ["from"], got: input.from, wanted });
  if (!to) return fail({ code: "unknown", path: ["to"], got: input.to, wanted });
  if (from.dimension !== to.dimension)
    return fail({ code: "inconsistent", path: ["to"], got: input.to, wanted: `a unit of ${from.dimension}` });
  return ok({ value: (input.value * from.factor) / to.factor });
}
