import type { Check } from "./checks";
import type { Item } from "./schema";
import { editStep } from "./step-edit";

/** The item with what a check proposes; undefined where it proposes nothing. What is guessed is marked so. */
export function proposalFor(item: Item, check: Check): Item | undefined {
  switch (check.code) {
    case "thickness":
      return { ...item, piece: { ...item.piece, thicknessMm: check.proposedMm } };
    case "short-of-dough":
      return { ...item, piece: { ...item.piece, doughG: Math.floor(check.possibleG) } };
    case "short-of-filling":
      return { ...item, piece: { ...item.piece, fillingG: Math.floor(check.possibleG) } };
    case "cooked-short": {
      const edited = editStep(item, check.step, { fixedMin: check.least });
      return edited.ok ? edited.value : undefined;
    }
    case "no-oven-setting": {
      if (!check.family) return undefined;
      const { usual } = check.family.ovenC;
      return {
        ...item,
        guessed: [...new Set([...(item.guessed ?? []), "oven" as const])],
        steps: item.steps.map((step) =>
          step.id === check.step
            ? { ...step, equipment: step.equipment.map((e) => (e.id === "oven" ? { ...e, settingC: usual } : e)) }
            : step,
        ),
      };
    }
    default:
      return undefined;
  }
}
