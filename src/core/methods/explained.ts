import { ok, type Result } from "../shared/issue";
import { ABOUT, type Explained } from "./about";
import { METHODS } from "./methods";
import { rangesIn, type Ranges } from "./ranges";

/** An answer with all that is known about it. */
export interface Explanation {
  readonly value: unknown;
  /** Unit of each number in the answer, by its name. */
  readonly units: Readonly<Record<string, string>>;
  /** For which inputs the model holds: outside them it answers with an issue. */
  readonly holdsFor: Ranges;
  /** So much more or less is to be expected, %; undefined where nobody knows. */
  readonly plusMinusPct?: number;
  readonly source: string;
}

/** Figures carry their unit at the end of their name. */
const UNIT_BY_END: readonly (readonly [end: RegExp, unit: string])[] = [
  [/gPerMin$/i, "g/min"],
  [/(?:^m|M)inutes(?:At70)?$|Min$/, "min"],
  [/(?:^c|C)$|[a-z]C$/, "°C"],
  [/Hours$/, "h"],
  [/Days$|^days$/, "days"],
  [/KJ$/, "kJ/kg"],
  [/Ml$/, "ml"],
  [/Mm$/, "mm"],
  [/Pct$/, "%"],
  [/[a-z]G$/, "g"],
  [/[a-z]S$/, "s"],
];
const unitOf = (key: string): string | undefined => UNIT_BY_END.find(([end]) => end.test(key))?.[1];

/** Runs a model and says with its answer what stands behind it. Issues: those of the method. */
export function explained(name: Explained, input: unknown): Result<Explanation> {
  const answer = METHODS[name]!(input);
  if (!answer.ok) return answer;
  const about: { readonly model: string; readonly plusMinusPct?: number } = ABOUT[name];
  const numbers = Object.entries(answer.value as object).filter(([, value]) => typeof value === "number");
  const units = numbers.flatMap(([key]) => {
    const unit = unitOf(key);
    return unit ? [[key, unit] as const] : [];
  });
  return ok({
    value: answer.value,
    units: Object.fromEntries(units),
    holdsFor: rangesIn(name),
    ...(about.plusMinusPct !== undefined && { plusMinusPct: about.plusMinusPct }),
    source: about.model,
  });
}
