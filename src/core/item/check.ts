import type { Issue } from "../shared/issue";
import type { Item, Step } from "./schema";

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
  });
  return issues;
}

function findRing(steps: readonly Step[]): string | undefined {
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
