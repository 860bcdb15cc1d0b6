"use client";
import Box from "@mui/material/Box";
import { outcomeOf } from "@/core/run/outcome";
import { AmountsAndFaults } from "./AmountsAndFaults";
import { useCookedDay } from "./cook-context";
import { DayNote } from "./DayNote";
import { OutcomeCard } from "./OutcomeCard";
import type { Say } from "./say";
import { StepsAfter } from "./StepsAfter";
import { Takeovers, type TakeOver } from "./Takeovers";

/** After the day, or in the middle of it: what it came to, what to keep of it, and planned beside happened, step by step. */
export function Afterwards({ say, ...takeovers }: { run: string; isPractice: boolean; say: Say; takeOver: TakeOver }) {
  const { plan, state, shown } = useCookedDay();
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <OutcomeCard plan={plan} outcome={outcomeOf(plan, state)} task={shown.task} clock={shown.clock} degrees={shown.degrees} />
      <Takeovers {...takeovers} />
      <AmountsAndFaults say={say} />
      <DayNote say={say} />
      <StepsAfter />
    </Box>
  );
}
