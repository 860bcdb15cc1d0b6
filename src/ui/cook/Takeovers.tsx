"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { itemNameIn } from "@/core/plan/task-text";
import { takeoverKey, takeoversOf, type Takeover } from "@/core/run/take-over";
import type { Result } from "@/core/shared/issue";
import { useAttempt } from "../kit/use-attempt";
import { COLOUR } from "../theme/tokens";
import { useCookedDay, type CookedDay } from "./cook-context";

/** Keeps a figure of a day in the item or the kitchen, as its next version. */
export type TakeOver = (input: { readonly run: string; readonly takeover: Takeover }) => Promise<Result<{ revision: number }>>;

interface Props {
  readonly run: string;
  /** What happened in a practice did not happen. */
  readonly isPractice: boolean;
  readonly takeOver: TakeOver;
}

/** Figures of this day that the next plan could begin with, one press each. */
export function Takeovers({ run, isPractice, takeOver }: Props) {
  const day = useCookedDay();
  const { plan, state } = day;
  const { attempt, told } = useAttempt();
  const [kept, setKept] = useState<ReadonlyMap<string, number>>(new Map());
  const all = takeoversOf(plan, state);
  return (
    <Paper component="section" aria-label="To keep" sx={{ p: 2.5, display: "grid", gap: 1.25 }}>
      <Typography variant="h2">To keep for the next time</Typography>
      {told}
      {all.length === 0 && (
        <Box sx={{ color: COLOUR.soft }}>
          Nothing so far that would change the next plan: no step took longer, no liquid was weighed, no other room measured.
        </Box>
      )}
      {all.length > 0 && isPractice && <Box sx={{ color: COLOUR.soft }}>A practice changes no item and no kitchen.</Box>}
      {all.map((takeover) => {
        const key = takeoverKey(takeover);
        const revision = state.tookOver.get(key) ?? kept.get(key);
        return (
          <Box key={key} sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
            <Box sx={{ flex: "1 1 260px" }}>{takeoverText(takeover, day)}</Box>
            {revision === undefined ? (
              <Button
                variant="outlined"
                sx={{ minHeight: 44 }}
                disabled={isPractice}
                onClick={() =>
                  attempt(
                    "Taking it over",
                    () => takeOver({ run, takeover }),
                    (got) => setKept((was) => new Map(was).set(key, got.revision)),
                  )
                }
              >
                Plan with it from now on
              </Button>
            ) : (
              <Box role="status" sx={{ color: COLOUR.fits, fontWeight: 600 }}>
                Kept as version {revision}
              </Box>
            )}
          </Box>
        );
      })}
    </Paper>
  );
}

function takeoverText(takeover: Takeover, { plan, shown }: CookedDay): string {
  const nameOf = (id: string) => itemNameIn(plan, id);
  switch (takeover.code) {
    case "liquid":
      return `${nameOf(takeover.item)}: ${shown.weight(takeover.grams)} of liquid went in instead of ${shown.weight(takeover.plannedG)}`;
    case "step": {
      const task = Object.keys(plan.tasks).find(
        (id) => plan.tasks[id].item === takeover.item && plan.tasks[id].step === takeover.step,
      );
      return `${task === undefined ? nameOf(takeover.item) : shown.task(task)}: ${Math.round((takeover.timesAsLong - 1) * 100)} % longer than planned${takeover.count > 1 ? `, ${takeover.count} times together` : ""}`;
    }
    case "room":
      return `${plan.day.kitchen.name}: the room is at ${shown.degrees(takeover.c)}, planned for ${shown.degrees(takeover.plannedC)}`;
  }
}
