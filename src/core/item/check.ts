import type { Issue } from "../shared/issue";
import { referenceIssues } from "./references";
import type { Item } from "./schema";
import type { Step } from "./step";
import { stepIssues } from "./step-check";
import { patchSteps, type StepPatch } from "./step-patch";

/** References inside items that the schema cannot see: step ids, rings, rests that end before they begin. */
export function itemIssues({ items }: { readonly items: readonly Item[] }): Issue[] {
  const issues: Issue[] = [];
  const seen = new Set<string>();
  items.forEach((item, i) => {
    const at = (...path: (string | number)[]) => ["items", i, ...path];
    if (seen.has(item.id))
      issues.push({ code: "inconsistent", path: at("id"), got: item.id, wanted: "an id that no other item has" });
    seen.add(item.id);
    const ids = new Set(item.steps.map((step) => step.id));
    if (ids.size < item.steps.length)
      issues.push({ code: "inconsistent", path: at("steps"), got: item.id, wanted: "step ids that differ" });
    issues.push(...referenceIssues(item, at));
    item.steps.forEach((step, s) => {
      step.after.forEach((link, a) => {
        if (!ids.has(link.step))
          issues.push({
            code: "unknown",
            path: at("steps", s, "after", a, "step"),
            got: link.step,
            wanted: "the id of a step of this item",
          });
        if (link.maxGapMin !== undefined && link.maxGapMin < (link.minGapMin ?? 0))
          issues.push({
            code: "inconsistent",
            path: at("steps", s, "after", a, "maxGapMin"),
            got: link.maxGapMin,
            wanted: "at least minGapMin",
          });
      });
      if (step.rest && step.rest.max < step.rest.min)
        issues.push({
          code: "inconsistent",
          path: at("steps", s, "rest", "max"),
          got: step.rest.max,
          wanted: `at least min (${step.rest.min})`,
        });
      else
        for (const { path, issue } of stepIssues(step, item.base.pieces))
          issues.push({ ...issue, path: at("steps", s, ...path) });
    });
    const ring = findRing(item.steps);
    if (ring)
      issues.push({
        code: "inconsistent",
        path: at(
          "steps",
          item.steps.findIndex((s) => s.id === ring),
          "after",
        ),
        got: ring,
        wanted: "steps that do not wait for themselves",
      });
    else for (const { path, patches } of patchLists(item)) issues.push(...patchIssues(item, patches, at(...path)));
  });
  return issues;
}

/** Equipment that an item's steps name, under whatever options. */
export const equipmentNamed = (item: Item): string[] => {
  const patched = patchLists(item).flatMap(({ patches }) =>
    patches.flatMap((patch) => (patch.kind === "set" ? (patch.fields.equipment ?? []) : [])),
  );
  const entries = [...item.steps.flatMap((step) => step.equipment), ...patched];
  return entries.flatMap(({ id, or }) => (or === undefined ? [id] : [id, or]));
};

/** Every list of patches in an item, with its place. */
function patchLists(item: Item): { readonly path: (string | number)[]; readonly patches: readonly StepPatch[] }[] {
  return [
    ...item.schools.flatMap((school, s) =>
      school.options.map((option, o) => ({ path: ["schools", s, "options", o, "changes"], patches: option.changes })),
    ),
    ...(item.filling.stepChanges ? [{ path: ["filling", "stepChanges"], patches: item.filling.stepChanges }] : []),
    ...(item.filling.variants ?? []).map((variant, v) => ({
      path: ["filling", "variants", v, "stepChanges"],
      patches: variant.stepChanges,
    })),
  ];
}

/** What patches refer to that is not there, and what the steps would become with them. */
function patchIssues({ steps, base }: Item, patches: readonly StepPatch[], path: (string | number)[]): Issue[] {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const issues = patches.flatMap((patch): Issue[] => {
    const step = byId.get(patch.step);
    if (!step) return [{ code: "unknown", path, got: patch.step, wanted: "the id of a step of this item" }];
    if (patch.kind === "set") {
      const lost = patch.fields.after?.find((link) => !byId.has(link.step));
      return lost ? [{ code: "unknown", path, got: lost.step, wanted: "the id of a step of this item" }] : [];
    }
    if (patch.kind === "skip") return [];
    const missing = (Object.keys(patch.within) as (keyof typeof patch.within)[]).find((part) => !step[part]);
    return missing
      ? [{ code: "inconsistent", path, got: `${patch.step} ${missing}`, wanted: `a step that has a ${missing}` }]
      : [];
  });
  if (issues.length > 0) return issues;
  const patched = patchSteps(steps, patches);
  const short = patched.find((step) => step.rest && step.rest.max < step.rest.min);
  if (short)
    return [{ code: "inconsistent", path, got: short.rest!.max, wanted: `at least min (${short.rest!.min}) of ${short.id}` }];
  const wrong = patched.flatMap((step) => stepIssues(step, base.pieces).map(({ issue }) => ({ ...issue, path })));
  if (wrong.length > 0) return wrong;
  const ring = findRing(patched);
  return ring ? [{ code: "inconsistent", path, got: ring, wanted: "steps that do not wait for themselves" }] : [];
}

/** A step that waits for itself by way of others; undefined where none does. */
export function findRing(steps: readonly Step[]): string | undefined {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const state = new Map<string, "open" | "done">();
  const walk = (id: string): string | undefined => {
    if (state.get(id) === "done") return undefined;
    if (state.get(id) === "open") return id;
    state.set(id, "open");
    for (const link of byId.get(id)?.after ?? []) {
      const ring = walk(link.step);
      if (ring) return ring;
    }
    state.set(id, "done");
    return undefined;
  };
  for (const step of steps) {
    const ring = walk(step.id);
    if (ring) return ring;
  }
  return undefined;
}
