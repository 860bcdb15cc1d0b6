import { counted } from "@/core/shared/words";
import type { OutboxState } from "./outbox";

/** What waits for the server in one clause: what the cook changed, and beside it plans that were worked out; undefined: nothing. */
export function waitingText({ waiting, workedOut }: Pick<OutboxState, "waiting" | "workedOut">): string | undefined {
  const parts = [waiting > 0 && counted(waiting, "change"), workedOut > 0 && counted(workedOut, "plan")].filter(Boolean);
  if (parts.length === 0) return undefined;
  return `${parts.join(" and ")} ${waiting + workedOut === 1 ? "waits" : "wait"} for the server`;
}
