import type { Component, Item } from "./schema";
import type { Step } from "./step";
import { usualMinutes } from "./step-minutes";

/** A step as it is called. */
type Named = Pick<Step, "kind" | "title">;
const named = ({ kind, title }: Step): Named => ({ kind, ...(title !== undefined && { title }) });

/** One thing in which a version of an item differs from the one before it, in codes. Worded in `what-changed-text`. */
export type Changed =
  | { readonly code: "name"; readonly from: string; readonly to: string }
  | { readonly code: "pieces"; readonly from: number; readonly to: number }
  /** Weights of one piece, g. */
  | { readonly code: "piece"; readonly what: "dough" | "filling"; readonly from: number; readonly to: number }
  /** A line's weight, g; 0 where it was not there, or is not any more. */
  | { readonly code: "line"; readonly name: string; readonly from: number; readonly to: number }
  | { readonly code: "made"; readonly what: "dough" | "method" | "shape" | "filling"; readonly to: string }
  | { readonly code: "choice"; readonly school: string; readonly to: string }
  | ({ readonly code: "step-added" | "step-gone" } & Named)
  /** Minutes of a step, or something else about it where they are the same. */
  | ({ readonly code: "step"; readonly from: number; readonly to: number } & Named)
  | { readonly code: "run"; readonly pieces: number }
  | { readonly code: "other" };

const linesOf = (item: Item): readonly Component[] => [
  ...item.dough.parts.flatMap((part) => part.components),
  ...item.filling.components,
  ...item.finish.flatMap((entry) => entry.components),
];

/** Weights by what a line is called; lines of one name add up. */
function weightsOf(item: Item): Map<string, number> {
  const weights = new Map<string, number>();
  for (const { name, grams } of linesOf(item)) weights.set(name, (weights.get(name) ?? 0) + grams);
  return weights;
}

const minutesOf = (step: Step, pieces: number): number => Math.round(usualMinutes(step, pieces) * 10) / 10;

function stepsChanged(before: Item, now: Item): Changed[] {
  const had = new Map(before.steps.map((step) => [step.id, step]));
  const has = new Set(now.steps.map(({ id }) => id));
  const plain = ({ do: _text, sources: _sources, after: _after, ...step }: Step) => JSON.stringify(step);
  return [
    ...before.steps.filter(({ id }) => !has.has(id)).map((step): Changed => ({ code: "step-gone", ...named(step) })),
    ...now.steps.flatMap((step): Changed[] => {
      const was = had.get(step.id);
      if (!was) return [{ code: "step-added", ...named(step) }];
      if (plain(was) === plain(step) && was.do === step.do) return [];
      return [{ code: "step", ...named(step), from: minutesOf(was, before.base.pieces), to: minutesOf(step, now.base.pieces) }];
    }),
  ];
}

/** In what a version differs from the one before it; empty where nothing does. */
export function whatChanged(before: Item, now: Item): Changed[] {
  if (JSON.stringify(before) === JSON.stringify(now)) return [];
  const changes: Changed[] = [];
  if (before.name !== now.name) changes.push({ code: "name", from: before.name, to: now.name });
  if (before.base.pieces !== now.base.pieces) changes.push({ code: "pieces", from: before.base.pieces, to: now.base.pieces });
  for (const [what, from, to] of [
    ["dough", before.piece.doughG, now.piece.doughG],
    ["filling", before.piece.fillingG, now.piece.fillingG],
  ] as const)
    if (from !== to) changes.push({ code: "piece", what, from, to });
  const [had, has] = [weightsOf(before), weightsOf(now)];
  for (const name of new Set([...had.keys(), ...has.keys()])) {
    const [from, to] = [had.get(name) ?? 0, has.get(name) ?? 0];
    if (Math.abs(from - to) > 0.05) changes.push({ code: "line", name, from, to });
  }
  for (const [what, key] of [
    ["dough", "family"],
    ["method", "method"],
    ["shape", "shape"],
    ["filling", "filling"],
  ] as const) {
    const to = now.making?.[key];
    if (to !== undefined && to !== before.making?.[key]) changes.push({ code: "made", what, to });
  }
  const [chose, chooses] = [before.making?.choices ?? {}, now.making?.choices ?? {}];
  for (const school of new Set([...Object.keys(chose), ...Object.keys(chooses)]))
    if (chose[school] !== chooses[school]) changes.push({ code: "choice", school, to: chooses[school] ?? "" });
  changes.push(...stepsChanged(before, now));
  const runs = now.runs?.slice(before.runs?.length ?? 0) ?? [];
  changes.push(...runs.map(({ pieces }): Changed => ({ code: "run", pieces })));
  return changes.length > 0 ? changes : [{ code: "other" }];
}
