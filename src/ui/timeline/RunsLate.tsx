"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import type { Plan } from "@/core/plan/plan";
import { readSlip, slipOf, type Slip } from "@/core/plan/slip";
import type { Replanned } from "@/core/schedule/replan";
import { lengthText } from "@/core/shared/clock";
import { runReplan, type Run } from "@/workers/plan.client";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";

/** Time that the rest of the day gets, s: on a tight day a first answer takes one. */
const SECONDS = 4;
const MOVES_SHOWN = 6;
const MOST_MIN = 240;

interface Props {
  readonly plan: Plan;
  readonly task: string;
  readonly targets: readonly { readonly id: string; readonly name: string }[];
}

/** What it comes to when this step takes longer than planned: which wave is late, and what moves. */
export function RunsLate({ plan, task, targets }: Props) {
  const { clock, heat } = useDisplay();
  const [minutes, setMinutes] = useState<number | undefined>(15);
  const [slip, setSlip] = useState<{ readonly after: number; readonly found: Slip | undefined } | "asked">();
  const run = useRef<Run<Replanned> | undefined>(undefined);
  useEffect(() => () => run.current?.cancel(), []);
  const wrong =
    minutes === undefined || !(minutes >= 1 && minutes <= MOST_MIN)
      ? `Minutes late is ${minutes === undefined || Number.isNaN(minutes) ? "not a number" : minutes}; expected 1 to ${MOST_MIN}`
      : undefined;
  const look = () => {
    if (wrong || minutes === undefined) return;
    run.current?.cancel();
    const mine = runReplan(plan, slipOf(plan, task, Math.round(minutes)), SECONDS);
    run.current = mine;
    setSlip("asked");
    mine.done
      .then((made) => (made.solution.tasks.length > 0 ? readSlip(plan, task, made) : undefined))
      .catch(() => undefined)
      .then((found) => run.current === mine && setSlip({ after: minutes, found }));
  };
  return (
    <Box sx={{ mt: 1.5 }} role="group" aria-label="If it runs late">
      <Typography variant="h3" gutterBottom>
        If it runs late
      </Typography>
      <Box sx={{ display: "flex", alignItems: "flex-start", gap: 1, flexWrap: "wrap" }}>
        <NumberField label="Minutes late" value={minutes} onChange={setMinutes} error={wrong} width={70} quiet />
        <Box component="span" sx={{ pt: 1 }}>
          min
        </Box>
        <Button variant="outlined" size="small" onClick={look} disabled={wrong !== undefined} sx={{ mt: 0.25 }}>
          See what moves
        </Button>
      </Box>
      {slip === "asked" && (
        <Box role="status" sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
          Planning the rest of the day …
        </Box>
      )}
      {slip && slip !== "asked" && (
        <Box role="status" sx={{ mt: 0.75, fontSize: "0.85rem" }}>
          {slip.found ? (
            <>
              <Box sx={{ fontWeight: 650, color: slip.found.late.length > 0 ? COLOUR.ember : COLOUR.fits }}>
                {slip.found.late.length === 0
                  ? `${slip.after} min late: serving stays as it is`
                  : slip.found.late
                      .map(({ target, minutes: by }) => `${nameOf(targets, target)} ${lengthText(by)} late`)
                      .join(", ")}
              </Box>
              {slip.found.moves.length === 0 ? (
                "No other step moves."
              ) : (
                <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
                  {slip.found.moves.slice(0, MOVES_SHOWN).map((move) => (
                    <li key={move.task}>
                      {heat(move.text)}: {clock(move.from)} → <strong>{clock(move.to)}</strong>
                    </li>
                  ))}
                  {slip.found.moves.length > MOVES_SHOWN && <li>and {slip.found.moves.length - MOVES_SHOWN} more</li>}
                </Box>
              )}
            </>
          ) : (
            `No way found in ${SECONDS} s to go on from there.`
          )}
        </Box>
      )}
    </Box>
  );
}

const nameOf = (targets: Props["targets"], id: string): string =>
  targets.find((target) => target.id === id)?.name ?? (id === "freezer" ? "the freezer" : id);
