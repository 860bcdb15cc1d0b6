import { risesToCome } from "@/core/run/no-rise";
import { BeforeYouGoOn } from "../plan/BeforeYouGoOn";
import { useCookedDay } from "./cook-context";
import { gatesAt } from "./gates-at";
import type { Say } from "./say";

/** Why a rise was left out. */
const POWDER = "baking powder in place of dead yeast";

interface Props {
  readonly task: string;
  readonly say: Say;
  /** Told before each answer. */
  readonly onAnswer?: () => void;
}

/** What is looked at before a step of the day is over; what is seen is kept with the day, and moves it. */
export function GatesHere({ task, say, onAnswer }: Props) {
  const day = useCookedDay();
  const { plan, state, shown } = day;
  const { gates, answerOf, roomC } = gatesAt(day, task);
  const isWaiting = state.tasks.get(task)?.status === "waiting";
  if (gates.length === 0) return null;
  return (
    <BeforeYouGoOn
      isLarge
      gates={gates}
      roomC={roomC}
      shown={shown}
      answerOf={answerOf}
      onAnswer={(gate, { seen, note }) => {
        onAnswer?.();
        if (seen) say({ kind: "answered", task, gate, seen, ...(note !== undefined && { note }) });
      }}
      onPowder={(gate) => {
        say({ kind: "answered", task, gate, seen: { kind: "instead" } });
        for (const rise of risesToCome(plan, state, task)) say({ kind: "skipped", task: rise, reason: POWDER });
      }}
      late={{
        text: (minutes) => `Wait ${minutes} min`,
        press: (minutes) => say({ kind: isWaiting ? "late" : "extended", task, minutes }),
      }}
    />
  );
}
