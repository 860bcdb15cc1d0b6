"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import type { Plan } from "@/core/plan/schema";
import { readSlip, slipOf, type Slip } from "@/core/plan/slip";
import type { Replanned } from "@/core/schedule/replan/replan";
import { lengthText } from "@/core/shared/clock";
import { prepare, runReplan, type Run } from "@/workers/plan.client";
import { NumberField } from "../kit/NumberField";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { capitalised } from "@/core/shared/words";

/** Time that the rest of the day gets, s: on a tight day a first answer takes one. */
const SECONDS = 4;
const MOVES_SHOWN = 6;
const MOST_MIN = 240;

interface Props {
  readonly plan: Plan;
  readonly task: string;
  readonly targets: readonly Named[];
  readonly cooks: readonly Named[];
  /** Asked from elsewhere: so much later, min, is looked at straight away. */
  readonly asked?: number | undefined;
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What is known so far; `still`: the rest of the day is still being planned. */
interface Answer {
  readonly after: number;
  readonly found: Slip | undefined;
  readonly still: boolean;
  /** The worker broke down before it had an answer. */
  readonly broke?: boolean;
}

/** What it comes to when this step takes longer than planned: which wave is late, and what moves. */
export function RunsLate({ plan, task, targets, cooks, asked }: Props) {
  const [minutes, setMinutes] = useState<number | undefined>(asked ?? 15);
  const [slip, setSlip] = useState<Answer | undefined>(
    asked === undefined ? undefined : { after: asked, found: undefined, still: true },
  );
  const run = useRef<Run<Replanned> | undefined>(undefined);
  useEffect(() => () => run.current?.cancel(), []);
  useEffect(() => prepare(plan), [plan]);
  const wrong =
    minutes === undefined || !(minutes >= 1 && minutes <= MOST_MIN)
      ? `Minutes late is ${minutes === undefined || Number.isNaN(minutes) ? "not a number" : minutes}; expected 1 to ${MOST_MIN}`
      : undefined;
  const start = (after: number) => {
    run.current?.cancel();
    const read = (made: Replanned) => (made.solution.tasks.length > 0 ? readSlip(plan, task, made) : undefined);
    const mine = runReplan(plan, slipOf(plan, task, Math.round(after)), SECONDS, (made) => {
      if (run.current === mine) setSlip({ after, found: read(made), still: true });
    });
    run.current = mine;
    const told = (found: Slip | undefined, broke: boolean) => {
      if (run.current !== mine) return;
      setSlip({ after, found, still: false, broke });
      prepare(plan);
    };
    mine.done.then((answer) => told(answer.ok ? read(answer.value) : undefined, !answer.ok));
  };
  const look = () => {
    if (wrong || minutes === undefined) return;
    setSlip({ after: minutes, found: undefined, still: true });
    start(minutes);
  };
  const startAsked = useEffectEvent(start);
  useEffect(() => {
    if (asked !== undefined) startAsked(asked);
  }, [asked]);
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
      {slip && (
        <Box role="status" sx={{ mt: 0.75, fontSize: "0.85rem" }}>
          {slip.found && <WhatItComesTo plan={plan} slip={slip.found} after={slip.after} targets={targets} cooks={cooks} />}
          {slip.still && <Box sx={{ color: COLOUR.soft }}>Planning the rest of the day …</Box>}
          {!slip.still &&
            !slip.found &&
            (slip.broke
              ? "The planner broke down before it had an answer: ask once more."
              : `No way found in ${SECONDS} s to go on from there.`)}
        </Box>
      )}
    </Box>
  );
}

function WhatItComesTo({
  plan,
  slip,
  after,
  targets,
  cooks,
}: Pick<Props, "plan" | "targets" | "cooks"> & { slip: Slip; after: number }) {
  const { clock, task: textOf } = usePlanDisplay(plan);
  const { late, moves, beyond, waits, unattended } = slip;
  const gives = [
    ...beyond.map(({ cook, minutes }) => `${nameOf(cooks, cook)} is needed ${lengthText(minutes)} outside their hours`),
    ...unattended.map(({ task, minute }) => `nobody is free at ${clock(minute)} for: ${textOf(task)}`),
    ...(waits.length > 0
      ? [`waits longer than it may: ${waits.map(textOf).join(", ")}; go by look and feel, and keep what spoils cold`]
      : []),
  ];
  return (
    <>
      <Box sx={{ fontWeight: 650, color: late.length > 0 ? COLOUR.ember : COLOUR.fits }}>
        {late.length === 0
          ? `${after} min late: serving stays as it is`
          : late.map(({ target, minutes }) => `${nameOf(targets, target)} ${lengthText(minutes)} late`).join(", ")}
      </Box>
      {gives.map((text) => (
        <Box key={text} sx={{ color: COLOUR.ember }}>
          {capitalised(text)}.
        </Box>
      ))}
      {moves.length === 0 ? (
        "No other step moves."
      ) : (
        <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
          {moves.slice(0, MOVES_SHOWN).map((move) => (
            <li key={move.task}>
              {textOf(move.task)}: {clock(move.from)} → <strong>{clock(move.to)}</strong>
            </li>
          ))}
          {moves.length > MOVES_SHOWN && <li>and {moves.length - MOVES_SHOWN} more</li>}
        </Box>
      )}
    </>
  );
}

const nameOf = (all: readonly Named[], id: string): string =>
  all.find((one) => one.id === id)?.name ?? (id === "freezer" ? "the freezer" : id);
