"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { stepIn } from "@/core/plan/schema";
import { piecesIn, piecesOf } from "@/core/run/afterwards";
import { isFirstPiece, loadsToCome } from "@/core/run/pilot";
import { plannedMinutes } from "@/core/run/replay";
import { counted } from "@/core/shared/words";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

/** What is looked at on a first piece, and how it may be. */
const LOOKED_AT = {
  Inside: ["done", "raw"],
  Colour: ["right", "pale", "dark"],
  Leak: ["none", "leaks"],
  Taste: ["good", "bland", "salty"],
} as const;
type Aspect = keyof typeof LOOKED_AT;
const MOST_MIN = 600;
const MOST_G = 10_000;

interface Props {
  readonly task: string;
  /** When the piece went in, min of the plan. */
  readonly since: number;
  readonly say: Say;
}

/** One piece is in the heat before the others: what it took, how it is, and with that the rest is locked. */
export function PilotCheck({ task, since, say }: Props) {
  const { plan, state, minute, shown } = useCookedDay();
  const { item } = plan.tasks[task];
  const isPlanned = isFirstPiece(plan, task);
  const goneMin = Math.max(0, minute - since);
  const plannedMin = plannedMinutes(plan).get(task) ?? 0;
  const loads = loadsToCome(plan, state, task).length;
  const plannedPieces = piecesIn(plan, item);
  const [typed, setTyped] = useState<number>();
  const [seen, setSeen] = useState<Partial<Record<Aspect, string>>>({});
  const [grams, setGrams] = useState<number>();
  const isWeighed = grams !== undefined && grams > 0 && grams <= MOST_G;
  const pieces = isWeighed ? piecesOf(plan, item, grams) : plannedPieces;
  const minutes = typed ?? Math.max(1, goneMin);
  const isWrong = !(minutes >= 1 && minutes <= MOST_MIN);
  const more = Math.round((minutes - plannedMin) * loads);
  const lock = () => {
    const note = Object.entries(seen)
      .map(([aspect, how]) => `${aspect.toLowerCase()} ${how}`)
      .join(", ");
    if (isWeighed) say({ kind: "amount", item, what: "piece", value: grams });
    say({ kind: "retimed", task, minutes: Math.round(minutes), ...(note && { note: `First piece: ${note}` }) });
    // One that was planned is over with that, unless it is raw, or its core is still to be measured.
    const wantedC = stepIn(plan, task)?.coreC;
    const isHot = wantedC === undefined || (state.tasks.get(task)?.coreC ?? -Infinity) >= wantedC;
    if (isPlanned && isHot && seen.Inside !== "raw") say({ kind: "checked", task, seen: "right" });
  };
  return (
    <Box
      component="section"
      aria-label={isPlanned ? shown.task(task) : `First piece of ${shown.task(task)}`}
      sx={{ gridColumn: "1 / -1", display: "grid", gap: 1 }}
    >
      <Box component="h2" sx={{ m: 0, fontSize: "1.3rem" }}>
        {shown.task(task)}
      </Box>
      <Box sx={{ fontSize: "1.2rem", fontWeight: 650 }}>
        One piece is in for {goneMin} min; {plannedMin} min are planned.
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center" }}>
        {(Object.keys(LOOKED_AT) as Aspect[]).map((aspect) => (
          <Box key={aspect}>
            <Box sx={{ fontSize: "0.9rem", color: COLOUR.soft }}>{aspect}</Box>
            <ToggleButtonGroup
              exclusive
              aria-label={aspect}
              value={seen[aspect] ?? null}
              onChange={(_, how: string | null) => setSeen((was) => ({ ...was, [aspect]: how ?? undefined }))}
            >
              {LOOKED_AT[aspect].map((how) => (
                <ToggleButton key={how} value={how} sx={{ minHeight: 44, textTransform: "none" }}>
                  {how}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "flex-start" }}>
        <NumberField
          label="It took, min"
          value={typed ?? Math.max(1, goneMin)}
          onChange={setTyped}
          width={110}
          {...(isWrong && { error: `It took is ${minutes}; expected 1 to ${MOST_MIN} min` })}
        />
        <NumberField
          label="It weighs, g"
          value={grams}
          onChange={setGrams}
          width={110}
          {...(grams !== undefined &&
            !isWeighed && { error: `It weighs is ${grams}; expected more than 0 and up to ${MOST_G} g` })}
        />
        <Button
          variant="contained"
          sx={{ minHeight: 56 }}
          disabled={isWrong || (grams !== undefined && !isWeighed)}
          onClick={lock}
        >
          Lock it for {counted(loads, "load")}
        </Button>
        <Box sx={{ alignSelf: "center" }}>
          {isWeighed && pieces !== plannedPieces && `So heavy, there are ${pieces} of ${plannedPieces} pieces. `}
          {isWrong || more === 0
            ? ""
            : `${counted(loads, "load")} of ${Math.round(minutes)} instead of ${plannedMin} min: ${Math.abs(more)} min ${more > 0 ? "more" : "less"} in all.`}
        </Box>
      </Box>
    </Box>
  );
}
