import { fail, ok, type Result } from "../shared/issue";
import units from "../tables/units.json";

export type Scale = "C" | "F" | "gas";

/** °C to °F, not rounded. */
export const fahrenheitOf = (celsius: number): number => (9 / 5) * celsius + 32;

/** °F to °C, not rounded. */
export const celsiusOf = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/** Between °C, °F and gas mark. Issues: `unknown` value (no such mark), `out_of_range` value. */
export function convertTemperature({ value, from, to }: { value: number; from: Scale; to: Scale }): Result<{ value: number }> {
  const marks = units.gasMarks;
  const mark = marks.find((m) => m.mark === value);
  if (from === "gas" && !mark)
    return fail({
      code: "unknown",
      path: ["value"],
      got: value,
      wanted: `one of the marks ${marks.map((m) => m.mark).join(", ")}`,
    });
  const fahrenheit = from === "gas" ? mark!.f : from === "C" ? fahrenheitOf(value) : value;
  if (fahrenheit < -459.67)
    return fail({ code: "out_of_range", path: ["value"], got: value, wanted: "a temperature above absolute zero" });
  if (to === "F") return ok({ value: fahrenheit });
  if (to === "C") return ok({ value: celsiusOf(fahrenheit) });
  if (fahrenheit < 212.5 || fahrenheit > 487.5)
    return fail({
      code: "out_of_range",
      path: ["value"],
      got: value,
      wanted: "a temperature that a gas oven has (212.5 to 487.5 °F)",
    });
  const nearest = marks.reduce((best, m) => (Math.abs(m.f - fahrenheit) < Math.abs(best.f - fahrenheit) ? m : best));
  return ok({ value: nearest.mark });
}
