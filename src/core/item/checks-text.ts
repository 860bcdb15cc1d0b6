import { capitalised, listed } from "../shared/words";
import type { Bite, Check } from "./checks";

/** How whoever reads has weights and temperatures. */
export interface CheckShown {
  /** A weight in g, to a tenth where it matters. */
  readonly weight: (grams: number) => string;
  readonly degrees: (celsius: number) => string;
}

const FIGURE_TEXT = { water: "Water", fat: "Fat", sugar: "Sugar", salt: "Salt", yeast: "Yeast" } as const;
const one = (value: number): string => String(Math.round(value * 10) / 10);
const article = (name: string): string => `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;
const minutesText = (minutes: number): string => (minutes < 2 ? `${Math.round(minutes * 60)} s` : `${one(minutes)} min`);

/** What a proposal to a check does, on its button; undefined where none is made. */
export function proposalText(check: Check, { weight, degrees }: CheckShown): string | undefined {
  switch (check.code) {
    case "thickness":
      return `Take ${one(check.proposedMm)} mm`;
    case "short-of-dough":
      return `Take ${weight(Math.floor(check.possibleG))} of dough`;
    case "short-of-filling":
      return `Take ${weight(Math.floor(check.possibleG))} of filling`;
    case "cooked-short":
      return `Take ${check.least} min`;
    case "no-oven-setting":
      return check.family && `Take ${degrees(check.family.ovenC.usual)}, guessed`;
    default:
      return undefined;
  }
}

/** A check as a sentence. The only place that words them. */
export function checkText(check: Check, { weight, degrees }: CheckShown): string {
  switch (check.code) {
    case "much-of":
      return `${capitalised(check.ingredient)} is ${check.pct.toFixed(1)} % of the flour; up to ${check.most} % is usual.`;
    case "unusual": {
      const usual = check.family[check.figure]!;
      return `${FIGURE_TEXT[check.figure]} is ${one(check.pct)} % of the flour; ${one(usual.from)} to ${one(usual.to)} % is usual for ${article(check.family.name)}.`;
    }
    case "thickness": {
      const usual = check.family.sheetMm!;
      return `The sheet is ${one(check.mm)} mm thick; ${one(usual.from)} to ${one(usual.to)} mm is usual for ${article(check.family.name)}. ${one(check.proposedMm)} mm is proposed.`;
    }
    case "short-of-filling":
      return `${check.pieces} pieces with ${weight(check.pieceG)} need more filling than there is: ${weight(check.possibleG)} each is possible.`;
    case "cooked-short":
      return `${capitalised(check.what)} is cooked for ${minutesText(check.minutes)}; raw and diced it takes ${check.least} min at least.`;
    case "much-starch":
      return `${weight(check.grams)} of starch is ${Math.round(check.pct)} % of the liquid; ${weight(check.usualG)} binds it.`;
    case "much-spoon":
      return `${capitalised(check.name)} is ${weight(check.grams)} of ${weight(check.totalG)} of filling: a spoon may have become a cup.`;
    case "salt-on-watery":
      return `Salt draws water out of ${listed(check.names)}: salted by itself for 20 min, squeezed and added last it stays dry; or salt it at the very end.`;
    case "raw-root":
      return `${capitalised(listed(check.names))} ${check.mm === undefined ? "goes in raw, and how small it is cut is not said" : `goes in raw in pieces of ${one(check.mm)} mm`}: in ${minutesText(check.minutes)} of baking ${check.mostMm} mm gets soft. Cut it so small and even, or cook it first until a knife just meets resistance.`;
    case "short-of-dough":
      return `${check.pieces} pieces of ${weight(check.pieceG)} need more dough than there is: ${weight(check.possibleG)} each is possible.`;
    case "oven":
      return `The oven is at ${degrees(check.settingC)} in “${check.step}”; ${degrees(120)} to ${degrees(260)} is usual.`;
    case "bare-degrees":
      return `“${check.name}” is at ${check.value}: is that °C or °F? Write it behind the number.${check.yeasted && check.value > 43 ? " In °C it would harm the yeast." : ""}`;
    case "kills-yeast":
      return `“${check.name}” is at ${degrees(check.celsius)}; above ${degrees(check.mostC)} yeast is harmed.`;
    case "no-flour":
      return "The dough has no flour: percentages need one.";
    case "no-filling-weight":
      return "How much filling goes into a piece is not said.";
    case "no-filling":
      return "The filling has no ingredients yet.";
    case "no-oven-setting":
      return `The oven's temperature for “${check.step}” is not said${check.family ? `: ${degrees(check.family.ovenC.from)} to ${degrees(check.family.ovenC.to)} is usual for ${article(check.family.name)}` : ""}.`;
  }
}

export const BITE_TEXT: Readonly<Record<Bite, string>> = {
  soft: "soft, tears easily",
  tender: "tender",
  strong: "strong, springs back",
};
