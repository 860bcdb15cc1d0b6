import { householdText } from "../../ingredients/household";
import { displayMass } from "../../quantities/display";
import { counted } from "../../shared/words";
import type { Verdict } from "./answer";
import type { Gate } from "./gates";

/** How whoever reads has weights and temperatures. */
export interface GateShown {
  readonly weight: (grams: number) => string;
  readonly degrees: (celsius: number) => string;
}

/** A gate as a question. */
export function questionOf(gate: Gate, { degrees }: GateShown): string {
  switch (gate.kind) {
    case "runs":
      return "Does liquid run when the tray is tilted, now that it is cold?";
    case "filling-warm":
      return `How warm is the filling? It meets the dough at ${degrees(gate.mostC)} at the most.`;
    case "paste-warm":
      return `How warm is it? It goes to the yeast at ${degrees(gate.mostC)} at the most.`;
    case "counted":
      return "What was counted in is out again:";
    case "froth":
      return "Is there a head of froth?";
    case "core":
      return `How hot is the core of the two largest pieces? ${degrees(gate.leastC)} at the least; local rules come first.`;
  }
}

/** What a verdict means for the work, as a sentence. */
export function verdictText(gate: Gate, verdict: Verdict, { weight, degrees }: GateShown): string {
  if (verdict.open) return gate.kind === "core" ? "Hot enough." : "Go on.";
  const minutes = (value: number) => `${Math.max(1, Math.round(value))} min`;
  switch (verdict.code) {
    case "bind":
      return `Not yet: ${verdict.starchG >= 0.5 ? `${weight(verdict.starchG)} of starch, stirred into cold water, boiled up in it` : "a few minutes more on the hob, or drained"}; cold again, look again.`;
    case "cool": {
      const ways = [
        verdict.roomMin >= 1 && `${minutes(verdict.roomMin)} on a tray, 10 mm deep`,
        verdict.fridgeMin >= 1 && `${minutes(verdict.fridgeMin)} in the fridge`,
      ].filter(Boolean);
      return `Too warm: about ${ways.join(", then ") || "a minute"}; measure again.`;
    }
    case "count":
      return `${counted(verdict.missing, "thing is", "things are")} still in it.`;
    case "no-froth":
      return ["The yeast does not live: throw it away before flour goes in, and begin with new yeast.", powderText(gate)].join(
        " ",
      );
    case "wait-froth":
      return `Wait up to ${minutes(verdict.waitMin)} more; then it is dead.`;
    case "core-short":
      return gate.kind === "core" ? `Not yet at ${degrees(gate.leastC)}: ${verdict.waitMin} min more, and measure again.` : "";
  }
}

/** What raises the same flour where there is no other yeast. */
function powderText(gate: Gate): string {
  if (gate.kind !== "froth" || gate.powderG < 0.5) return "";
  const spoons = householdText({ name: "baking powder" }, gate.powderG, "metric");
  const much = `${displayMass({ grams: gate.powderG, resolutionG: 0.5 }).text} of baking powder${spoons ? ` (${spoons} level)` : ""}`;
  return `No other in the house? ${much} into the flour, fresh water for this; mixed just before it is shaped, no rise, softer and closer. Read its packet: the labels know nothing of it.`;
}
