import { FAMILIES } from "@/core/item/families";
import { METHODS } from "@/core/item/making/methods";
import { SCHOOLS } from "@/core/item/making/schools";
import { shapeOf } from "@/core/item/making/shapes";
import type { Changed } from "@/core/item/what-changed";
import { stepName } from "@/core/plan/task-text";
import { counted, uncapitalised } from "@/core/shared/words";

const MADE_WORD = { dough: "dough", method: "finished", shape: "shape", filling: "filling" } as const;

function madeText(what: keyof typeof MADE_WORD, to: string): string {
  const named =
    what === "dough"
      ? FAMILIES.find(({ id }) => id === to)?.name
      : what === "shape"
        ? shapeOf(to)?.name
        : what === "method" && Object.hasOwn(METHODS, to)
          ? METHODS[to as keyof typeof METHODS].name
          : undefined;
  return `${MADE_WORD[what]}: ${named ?? to.replace(/-/g, " ")}`;
}

/** One difference between two versions, in a phrase. */
export function changedText(change: Changed, weight: (grams: number) => string): string {
  switch (change.code) {
    case "name":
      return `“${change.from}” is “${change.to}”`;
    case "pieces":
      return `${change.from} → ${counted(change.to, "piece")} from a batch`;
    case "piece":
      return `${change.what} of a piece ${weight(change.from)} → ${weight(change.to)}`;
    case "line":
      if (change.from === 0) return `with ${weight(change.to)} ${change.name}`;
      return change.to === 0 ? `without ${change.name}` : `${change.name} ${weight(change.from)} → ${weight(change.to)}`;
    case "made":
      return madeText(change.what, change.to);
    case "choice": {
      const school = SCHOOLS.find(({ id }) => id === change.school);
      const option = school?.options.find(({ id }) => id === change.to);
      return `${school?.question ?? change.school} ${option?.name ?? "as is usual"}`;
    }
    case "step-added":
      return `added: ${uncapitalised(stepName(change))}`;
    case "step-gone":
      return `taken out: ${uncapitalised(stepName(change))}`;
    case "step":
      return change.from === change.to
        ? `${uncapitalised(stepName(change))}: done otherwise`
        : `${uncapitalised(stepName(change))} ${change.from} → ${change.to} min`;
    case "run":
      return `made: ${counted(change.pieces, "piece")}`;
    case "other":
      return "something else";
  }
}
