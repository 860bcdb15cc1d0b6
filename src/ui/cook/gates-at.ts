import { gateVerdicts } from "@/core/item/gates/answer";
import { gatesOf, type Gate } from "@/core/item/gates/gates";
import { roomIn } from "@/core/plan/room-in";
import { stepIn } from "@/core/plan/schema";
import { gateKey } from "@/core/run/run-state";
import type { GateAnswer } from "../plan/BeforeYouGoOn";
import { takenLines } from "../plan/taken-weights";
import type { CookedDay } from "./cook-context";

/** What is looked at before a step is over, and what was seen of it; its core is measured by itself. */
export interface GatesAt {
  readonly gates: readonly Gate[];
  readonly answerOf: (gate: Gate["kind"]) => GateAnswer;
  readonly roomC: number;
  /** Something was seen that keeps it from being over. */
  readonly isShut: boolean;
  readonly isUnasked: boolean;
}

type Day = Pick<CookedDay, "plan" | "state" | "minute" | "made" | "catalogue">;

export function gatesAt({ plan, state, minute, made, catalogue }: Day, task: string): GatesAt {
  const step = stepIn(plan, task);
  const item = made[plan.tasks[task].item] as Day["made"][string] | undefined;
  const gates =
    step && item ? gatesOf(item, step, takenLines(plan, task, step, item), catalogue).filter(({ kind }) => kind !== "core") : [];
  const answerOf: GatesAt["answerOf"] = (gate) => state.answers.get(gateKey(task, gate)) ?? {};
  const roomC = state.roomC ?? roomIn(plan, minute);
  const verdicts = gateVerdicts(gates, answerOf, roomC);
  return { gates, answerOf, roomC, isShut: verdicts.includes("shut"), isUnasked: verdicts.includes("unanswered") };
}

/** What a step comes after that is not over, and that something keeps from being over, or that nobody has looked at. */
export function gatesBefore(day: Day, task: string): { readonly shut: readonly string[]; readonly unasked: readonly string[] } {
  const after = day.plan.problem.tasks.find(({ id }) => id === task)?.after ?? [];
  const open = after
    .map((link) => link.task)
    .filter((id) => day.plan.tasks[id] && day.state.tasks.get(id)?.status === "running")
    .map((id) => ({ id, ...gatesAt(day, id) }));
  return {
    shut: open.filter(({ isShut }) => isShut).map(({ id }) => id),
    unasked: open.filter(({ isUnasked }) => isUnasked).map(({ id }) => id),
  };
}

/** Whether a step cannot be over as it stands: something of it, or of what it comes after, is not as it should be or was not looked at. */
export function hasToBeSeen(day: Day, task: string): boolean {
  const { isShut, isUnasked } = gatesAt(day, task);
  return isShut || isUnasked || gatesBefore(day, task).shut.length > 0;
}
