"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import type { Plan } from "@/core/plan/schema";
import type { PlanRequest } from "@/core/plan/request";
import { byGain, changesFor, gainOf, type Gain } from "@/core/plan/what-if";
import { changeText } from "@/core/plan/what-if-text";
import { lengthText, minutesOfClock } from "@/core/shared/clock";
import { Banner } from "../kit/Banner";
import { useDisplay } from "../kit/use-display";
import { runPlan, type Run } from "@/workers/plan.client";
import { COLOUR } from "../theme/tokens";

/** Time that each change gets, s, and how many are tried side by side. */
const SECONDS = 2.5;
const SIDE_BY_SIDE = 2;
/** Costs that differ by less are the search's luck. */
const WORTH = 1;

/** One change at a time, each planned anew in a worker, and the most helpful first. */
export function WhatHelps({ request, base }: { request: PlanRequest; base: Plan | undefined }) {
  const [gains, setGains] = useState<readonly Gain[] | undefined>(undefined);
  const [left, setLeft] = useState(0);
  /** Changes whose worker broke down. */
  const [broken, setBroken] = useState(0);
  const { clock } = useDisplay();
  const timeText = (time: string) => clock(minutesOfClock(time) ?? 0);
  const runs = useRef(new Set<Run<Plan>>());
  const stop = () => {
    runs.current.forEach((run) => run.cancel());
    runs.current.clear();
    setLeft(0);
  };
  useEffect(() => {
    const { current } = runs;
    return () => current.forEach((run) => run.cancel());
  }, []);
  const start = () => {
    const waiting = changesFor(request);
    setGains([]);
    setBroken(0);
    setLeft(waiting.length);
    const plan = (what: PlanRequest, then: (plan: Plan | undefined) => void) => {
      const run = runPlan(
        { ...what, solve: { ...what.solve, seconds: SECONDS } },
        { better: () => undefined, progress: () => undefined },
      );
      runs.current.add(run);
      const told = (made: Plan | undefined) => {
        if (!runs.current.delete(run)) return;
        if (!made) setBroken((n) => n + 1);
        then(made);
      };
      run.done.then((answer) => told(answer.ok ? answer.value : undefined));
    };
    // The day as it is gets the same time first, so that a change is not praised for what more searching would bring.
    let asItIs = base;
    const next = () => {
      const change = waiting.shift();
      if (!change) return;
      plan(change.request, (made) => {
        if (made) setGains((all) => [...(all ?? []), gainOf(change, made, asItIs)].sort(byGain));
        setLeft((n) => Math.max(0, n - 1));
        next();
      });
    };
    plan(request, (made) => {
      if (made && made.solution.tasks.length > 0 && (!base || made.solution.cost < base.solution.cost)) asItIs = made;
      for (let k = 0; k < SIDE_BY_SIDE; k++) next();
    });
  };
  return (
    <Paper component="section" aria-label="What would help" sx={{ p: 1.5, mt: 2 }}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Typography variant="h3">What would help?</Typography>
        {left > 0 ? (
          <>
            <LinearProgress sx={{ width: 140 }} aria-label="Trying changes" />
            <Typography variant="body2">{left} still to try</Typography>
            <Button size="small" onClick={stop}>
              Stop
            </Button>
          </>
        ) : (
          <Button size="small" variant="outlined" onClick={start}>
            {gains ? "Try again" : "Try one change at a time"}
          </Button>
        )}
      </Box>
      {broken > 0 && (
        <Banner kind="caution" role="status">
          {broken === 1 ? "One change" : `${broken} changes`} could not be tried: the planner broke down. “Try again” asks anew.
        </Banner>
      )}
      {gains && gains.length > 0 && (
        <Box component="ol" sx={{ m: 0, mt: 1, pl: 2.5, fontSize: "0.875rem" }}>
          {gains.map((gain) => (
            <Box component="li" key={gain.id} sx={{ color: gain.possible ? COLOUR.ink : COLOUR.soft, py: 0.25 }}>
              <strong>{changeText(gain.kind, timeText)}</strong>: {gainText(gain)}
            </Box>
          ))}
        </Box>
      )}
    </Paper>
  );
}

/** What a change brings, in minutes where it can be said. */
function gainText({ possible, cheaper, laterStart }: Gain): string {
  if (!possible) return `no timetable found in ${SECONDS} s`;
  if (cheaper === undefined) return "then it can be done";
  const start =
    laterStart === undefined || laterStart === 0
      ? ""
      : laterStart > 0
        ? `, hands begin ${lengthText(laterStart)} later`
        : `, hands begin ${lengthText(-laterStart)} earlier`;
  if (Math.abs(cheaper) < WORTH) return `no fresher or shorter a day${start}`;
  return `${cheaper > 0 ? "a fresher, shorter day" : "not better within the time tried"} (${cheaper > 0 ? "−" : "+"}${Math.abs(cheaper).toFixed(0)} points)${start}`;
}
