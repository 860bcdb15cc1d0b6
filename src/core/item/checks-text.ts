import { capitalised } from "../shared/words";
import type { Bite, Check } from "./checks";

/** How whoever reads has weights and temperatures. */
export interface CheckShown {
  /** A weight in g, to a tenth where it matters. */
  readonly weight: (grams: number) => string;
  readonly degrees: (celsius: number) => string;
}

/** A check as a sentence. The only place that words them. */
export function checkText(check: Check, { weight, degrees }: CheckShown): string {
  switch (check.code) {
    case "much-of":
      return `${capitalised(check.ingredient)} is ${check.pct.toFixed(1)} % of the flour; up to ${check.most} % is usual.`;
    case "hydration":
      return `Hydration is ${Math.round(check.pct)} %; 15 to 95 % is usual for a dough that is filled.`;
    case "thickness":
      return `The sheet is ${check.mm} mm thick; 2 to 4 mm is usual for a turnover, 15 mm the most for a bun.`;
    case "short-of-dough":
      return `${check.pieces} pieces of ${weight(check.pieceG)} need more dough than there is: ${weight(check.possibleG)} each is possible.`;
    case "oven":
      return `The oven is at ${degrees(check.settingC)} in “${check.step}”; ${degrees(120)} to ${degrees(260)} is usual.`;
    case "no-flour":
      return "The dough has no flour: percentages need one.";
    case "no-filling-weight":
      return "How much filling goes into a piece is not said.";
    case "no-filling":
      return "The filling has no ingredients yet.";
    case "no-oven-setting":
      return `The oven's temperature for “${check.step}” is not said.`;
  }
}

export const BITE_TEXT: Readonly<Record<Bite, string>> = {
  soft: "soft, tears easily",
  tender: "tender",
  strong: "strong, springs back",
};
