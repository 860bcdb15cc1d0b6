import type { z } from "zod";
import type { Catalogue } from "@/core/ingredients/own";
import { ABOUT, type About, type Explained } from "@/core/methods/about";
import { rangesIn } from "@/core/methods/ranges";
import { INPUTS } from "@/core/methods/inputs";
import { readInput } from "@/core/methods/read-input";
import type { Spot } from "@/core/quantities/packing-spots";
import { fail, ok, type Issue, type Result } from "@/core/shared/issue";
import { readNumber } from "@/core/shared/typed";
import type { Chart } from "../kit/chart";

interface Asked {
  readonly key: string;
  readonly label: string;
  /** Only asked where another field has this value. */
  readonly where?: { readonly key: string; readonly is: string };
}

/** What is asked for: a number with its unit, one of some words, or a text. */
export type Field =
  | (Asked & { readonly kind: "number"; readonly unit: string; readonly usual?: number })
  | (Asked & {
      readonly kind: "choice";
      readonly options: readonly (readonly [value: string, label: string])[];
      readonly usual: string;
    })
  | (Asked & { readonly kind: "text"; readonly usual: string; readonly rows?: number });

/** Whether a field is asked as things are. */
export const isAsked = ({ where }: Field, typed: Typed): boolean => where === undefined || typed[where.key] === where.is;

/** As it is typed, and as it stands in the address: temperatures in °C. */
export type Typed = Readonly<Record<string, string>>;

/** Pieces on something flat, mm. */
export interface Drawing {
  readonly title: string;
  readonly isRound: boolean;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly arePiecesRound: boolean;
  readonly spots: readonly Spot[];
}

export interface Answer {
  /** The one thing that was asked. */
  readonly headline: string;
  readonly says?: readonly (readonly [name: string, value: string])[];
  readonly caution?: string;
  readonly chart?: Chart;
  readonly drawing?: Drawing;
  readonly by: readonly Explained[];
  /** Where the answer is used from here. */
  readonly use?: { readonly text: string; readonly href: string };
}

/** One question with what it asks for and how it is answered. */
export interface Calculator {
  readonly id: string;
  readonly when: "Mixing" | "Rising" | "Forming" | "Heat" | "Cold";
  readonly question: string;
  readonly fields: readonly Field[];
  /** Which field a part of a method's input is typed in, where its name is another. */
  readonly typedIn?: Readonly<Record<string, string>>;
  readonly answer: (values: Values, catalogue: Catalogue) => Result<Answer>;
}

/** What was typed, read by its fields. */
export interface Values {
  /** A number; undefined where nothing is typed. */
  readonly number: (key: string) => number | undefined;
  readonly text: (key: string) => string;
}

export const usualOf = (fields: readonly Field[]): Typed =>
  Object.fromEntries(fields.map(({ key, usual }) => [key, usual === undefined ? "" : String(usual)]));

/** Reads what was typed. Issues: `wrong_type` where a number was to be. */
export function valuesOf(fields: readonly Field[], typed: Typed): Result<Values> {
  const numbers = new Map<string, number>();
  for (const field of fields) {
    const text = (typed[field.key] ?? "").trim();
    if (field.kind !== "number" || text === "" || !isAsked(field, typed)) continue;
    const value = readNumber(text);
    if (value === undefined || !Number.isFinite(value))
      return fail({ code: "wrong_type", path: [field.key], got: text, wanted: `a number of ${field.unit || "them"}` });
    numbers.set(field.key, value);
  }
  const text = (key: string): string => {
    const field = fields.find((one) => one.key === key);
    const value = typed[key] ?? "";
    if (field?.kind === "choice") return field.options.some(([option]) => option === value) ? value : field.usual;
    return value;
  };
  return ok({ number: (key) => numbers.get(key), text });
}

type Input<K extends keyof typeof INPUTS> = z.output<(typeof INPUTS)[K]>;

/** Runs a method on what was typed, read by the method's own rules. Issues: those of its inputs, and its own. */
export function run<K extends keyof typeof INPUTS, T>(
  name: K,
  method: (input: Input<K>) => Result<T> | T,
  input: Readonly<Record<string, unknown>>,
): Result<T> {
  const read = readInput(INPUTS[name], input) as Result<Input<K>>;
  if (!read.ok) return read;
  const answer = method(read.value);
  const isResult = answer !== null && typeof answer === "object" && "ok" in answer && ("issues" in answer || "value" in answer);
  return isResult ? (answer as Result<T>) : ok(answer as T);
}

/** What a fault is about, as the field is called; undefined where it is about none of them. */
export function labelOf({ fields, typedIn = {} }: Pick<Calculator, "fields" | "typedIn">, { path }: Issue): string | undefined {
  const keys = path.map(String).reverse();
  const key = keys.map((one) => typedIn[one] ?? one).find((one) => fields.some((field) => field.key === one));
  return fields.find((field) => field.key === key)?.label;
}

/** For which values of what is typed an answer's methods hold: "Oil wanted at: 140 to 200 °C". */
export function rangesOf({ fields, typedIn = {} }: Pick<Calculator, "fields" | "typedIn">, { by }: Pick<Answer, "by">): string[] {
  const ranges = by.map(rangesIn);
  const keys = new Map(Object.entries(typedIn).map(([own, field]) => [field, own]));
  return fields.flatMap((field) => {
    if (field.kind !== "number") return [];
    const found = ranges.map((one) => one[keys.get(field.key) ?? field.key]).find((one) => one !== undefined);
    return found ? [`${field.label}: ${found[0]} to ${found[1]} ${field.unit}`] : [];
  });
}

/** What stands behind an answer, each once. */
export const aboutOf = ({ by }: Pick<Answer, "by">): readonly About[] => {
  const all: readonly About[] = by.map((name) => ABOUT[name]);
  return all.filter(({ model }, k) => all.findIndex((one) => one.model === model) === k);
};
