import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { COLOUR } from "../theme/tokens";
import { tickedIn, useWeightTicks } from "../plan/StepWeights";
import { takenWeights } from "../plan/taken-weights";
import { useCookedDay } from "./cook-context";
import type { CookColumn, Doing } from "./cook.view-model";
import { NowCard } from "./NowCard";
import type { Say } from "./say";
import { asksForWeights } from "./weighed";

interface Props {
  readonly column: CookColumn;
  readonly isAlone: boolean;
  readonly say: Say;
  /** What a task takes as the rest of the day has it. */
  readonly takenOf: (task: string) => string[] | undefined;
}

/** One pair of hands: now, and the next two. */
export function Hands({ column, isAlone, say, takenOf }: Props) {
  const { name, now, next, isAway, cook } = column;
  const { plan, state, gathering, made, shown } = useCookedDay();
  const ticks = useWeightTicks(gathering);
  // What was to begin early and has something to be looked at or weighed out first: shown, not begun.
  const [opened, setOpened] = useState<string>();
  const [first] = next;
  const asksFirst = ({ task, step, cold }: Doing) => {
    const { ticked, all } = tickedIn(step ? takenWeights(plan, task, step, made[plan.tasks[task].item]) : [], ticks);
    const isWeighed = step?.doses !== undefined || (ticked < all && asksForWeights(plan, state, task));
    return cold !== undefined || step?.kind === "fill" || isWeighed;
  };
  const asked = next.find(({ task, early }) => task === opened && early?.run.status === "waiting")?.early;
  const shownNow = asked ? [asked, ...now.filter(({ task }) => task !== opened)] : now;
  const begin = (task: string) => {
    const taken = takenOf(task);
    say({ kind: "started", task, cook, ...(taken && { taken }) });
  };
  return (
    <Box component="section" aria-label={name} sx={{ display: "grid", gap: 1.25 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
        <Box component="h2" sx={{ m: 0, fontSize: "1.1rem" }}>
          {name}
        </Box>
        <Button
          size="small"
          sx={{ minHeight: 44, ml: "auto" }}
          onClick={() => say({ kind: "changed", who: cook, isThere: isAway })}
        >
          {isAway ? `${name} is back` : `${name} leaves`}
        </Button>
      </Box>
      {shownNow.slice(0, isAlone ? 2 : 1).map((doing) => (
        <NowCard
          key={doing.task}
          doing={doing}
          isSmall={!isAlone}
          say={(telling) => say({ cook, ...telling })}
          begin={() => begin(doing.task)}
        />
      ))}
      {shownNow.length === 0 && (
        <Box sx={{ fontSize: isAlone ? "1.6rem" : "1.25rem", background: COLOUR.card, border: `1px solid ${COLOUR.line}`, p: 2 }}>
          {isAway
            ? "Not there."
            : first
              ? `Nothing for these hands until ${shown.clock(first.at)}.`
              : "Nothing more for these hands."}
        </Box>
      )}
      {next.map(({ task, at, isLook, early }) => (
        <Box key={`${task} ${at}`} sx={{ display: "flex", gap: 2, alignItems: "center", px: 2, py: 0.5 }}>
          <Box sx={{ fontWeight: 650, minWidth: 56 }}>{shown.clock(at)}</Box>
          <Box sx={{ flex: 1, fontSize: "1.05rem" }}>{shown.task(task)}</Box>
          {isLook && <Box sx={{ color: COLOUR.soft }}>a look</Box>}
          {early && (
            <Button
              sx={{ minHeight: 44 }}
              aria-label={`${shown.task(task)}: begin now`}
              onClick={() => (asksFirst(early) ? setOpened(task) : begin(task))}
            >
              Begin now
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
