import { trayCoolingMin } from "../../process/cool";
import type { Gate } from "./gates";

/** What a cook sees at a gate. */
export type Seen =
  | { readonly kind: "yes" | "no" }
  /** It goes on another way: baking powder where the yeast is dead. */
  | { readonly kind: "instead" }
  /** °C, or minutes that went by. */
  | { readonly kind: "measured"; readonly value: number }
  /** How many of each have come out, in the order of the gate. */
  | { readonly kind: "ticked"; readonly count: number };

/** Whether work goes on, and if not, what is done and how long that takes, min. In codes; worded in `gate-text`. */
export type Verdict =
  | { readonly open: true }
  | { readonly open: false; readonly code: "bind"; readonly starchG: number; readonly waitMin: number }
  | {
      readonly open: false;
      readonly code: "cool";
      readonly roomMin: number;
      readonly fridgeMin: number;
      readonly waitMin: number;
    }
  | { readonly open: false; readonly code: "count"; readonly missing: number; readonly waitMin: 0 }
  | { readonly open: false; readonly code: "no-froth"; readonly waitMin: number }
  | { readonly open: false; readonly code: "wait-froth"; readonly waitMin: number }
  | { readonly open: false; readonly code: "core-short"; readonly waitMin: number };

/** To bind it, boil it up, cool it again and look again, min. */
const BIND_AGAIN_MIN = 10;
/** New yeast is woken from the beginning, min. */
const NEW_YEAST_MIN = 12;
/** A core that is short is heated on for so long, and measured again, min. */
const MORE_HEAT_MIN = 2;

const OPEN: Verdict = { open: true };

/** How many things a counted gate wants out: each kind once at least. */
export const countOf = (gate: Extract<Gate, { kind: "counted" }>): number =>
  gate.what.reduce((sum, { count }) => sum + (count ?? 1), 0);

/**
 * What an answer means. Undefined: it is no answer to this gate.
 * @param roomC of the kitchen, for how long something cools
 */
export function verdictOf(gate: Gate, seen: Seen, roomC: number): Verdict | undefined {
  switch (gate.kind) {
    case "runs":
      if (seen.kind === "no") return OPEN;
      return seen.kind === "yes" ? { open: false, code: "bind", starchG: gate.starchG, waitMin: BIND_AGAIN_MIN } : undefined;
    case "filling-warm":
    case "paste-warm": {
      if (seen.kind !== "measured") return undefined;
      if (seen.value <= gate.mostC) return OPEN;
      const { roomMin, fridgeMin } = trayCoolingMin(seen.value, gate.mostC, roomC);
      return { open: false, code: "cool", roomMin, fridgeMin, waitMin: Math.max(1, Math.round(roomMin + fridgeMin)) };
    }
    case "counted": {
      if (seen.kind !== "ticked") return undefined;
      const missing = countOf(gate) - seen.count;
      return missing > 0 ? { open: false, code: "count", missing, waitMin: 0 } : OPEN;
    }
    case "froth":
      if (seen.kind === "yes" || seen.kind === "instead") return OPEN;
      if (seen.kind !== "measured")
        return seen.kind === "no" ? { open: false, code: "no-froth", waitMin: NEW_YEAST_MIN } : undefined;
      return seen.value >= gate.limitMin
        ? { open: false, code: "no-froth", waitMin: NEW_YEAST_MIN }
        : { open: false, code: "wait-froth", waitMin: Math.ceil(gate.limitMin - seen.value) };
    case "core":
      if (seen.kind !== "measured") return undefined;
      return seen.value >= gate.leastC ? OPEN : { open: false, code: "core-short", waitMin: MORE_HEAT_MIN };
  }
}

/** Where each gate of a step stands: not asked yet, open, shut, or passed all the same with a reason that is kept. */
export type GateStand = "unanswered" | "open" | "shut" | "passed";

export const gateVerdicts = (
  gates: readonly Gate[],
  answerOf: (gate: Gate["kind"]) => { readonly seen?: Seen | undefined; readonly note?: string | undefined },
  roomC: number,
): GateStand[] =>
  gates.map((gate) => {
    const { seen, note } = answerOf(gate.kind);
    const verdict = seen && verdictOf(gate, seen, roomC);
    if (!verdict) return "unanswered";
    return verdict.open ? "open" : note !== undefined ? "passed" : "shut";
  });
