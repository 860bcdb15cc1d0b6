"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { requestWith, type Change } from "@/core/plan/change";
import { changeText } from "@/core/plan/change-text";
import { changesFor, pairsOf } from "@/core/plan/changes";
import { byGain, gainOf, type Gain } from "@/core/plan/gain";
import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import { lengthText, minutesOfClock } from "@/core/shared/clock";
import { runPlan, type Run } from "@/workers/plan.client";
import { Banner } from "../kit/Banner";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { useDraft, usePlan } from "./PlanProvider";

/** Time that each change gets, s, and how many are tried side by side. */
const SECONDS = 2.5;
const SIDE_BY_SIDE = 2;
/** Ways that lead nowhere are counted, not listed; of the others so many. */
const MOST_SHOWN = 8;

interface Props {
  readonly title: string;
  /** The day as it stands, refused or not. */
  readonly request: PlanRequest;
  /** Its plan; undefined where it is refused. */
  readonly base: Plan | undefined;
  /** Shows nothing but what was taken over: there is nothing to get out of. */
  readonly closed?: boolean;
}

/** One change at a time, each planned anew in a worker; the most helpful first, each taken over by one press. */
export function WaysOut({ title, request, base, closed }: Props) {
  const { change: edit, undo } = useDraft();
  const [tried, setTried] = useState<readonly { readonly change: Change; readonly gain: Gain }[] | undefined>(undefined);
  const [taken, setTaken] = useState<Change | undefined>(undefined);
  const [left, setLeft] = useState(0);
  /** Changes whose worker broke down. */
  const [broken, setBroken] = useState(0);
  const { source } = usePlan();
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
    const singles = changesFor(request, source.kitchens);
    const waiting = [...singles];
    const results: Gain[] = [];
    let atWork = 0;
    let pairsTried = false;
    setTaken(undefined);
    setTried([]);
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
    let asItIs = base;
    const next = () => {
      const change = waiting.shift();
      if (!change) return;
      atWork++;
      plan(requestWith(request, change, source.kitchens), (made) => {
        atWork--;
        if (made) {
          const gain = gainOf(change, made, asItIs);
          results.push(gain);
          setTried((all) => [...(all ?? []), { change, gain }].sort((a, b) => byGain(a.gain, b.gain)));
        }
        // A refused day that no single change makes possible: two of them may.
        if (!base && !pairsTried && waiting.length === 0 && atWork === 0 && !results.some(({ possible }) => possible)) {
          pairsTried = true;
          const near = singles.filter(({ id }) => results.some((gain) => gain.id === id && gain.near));
          waiting.push(...pairsOf(singles, near));
          setLeft(waiting.length);
          return all();
        }
        setLeft(waiting.length + atWork);
        next();
      });
    };
    const all = () => {
      for (let k = 0; k < SIDE_BY_SIDE; k++) next();
    };
    if (!base) return all();
    // The day as it is gets the same time first, so that a change is not praised for what more searching would bring.
    plan(request, (made) => {
      if (made && made.solution.tasks.length > 0 && made.solution.cost < base.solution.cost) asItIs = made;
      all();
    });
  };
  const take = (change: Change) => {
    stop();
    edit(change.edit);
    setTaken(change);
    setTried(undefined);
  };
  const leads = tried?.filter(({ gain }) => (base ? gain.possible && minutesText(gain) !== undefined : gain.possible)) ?? [];
  const nowhere = (tried?.length ?? 0) - leads.length;
  if (closed && !taken) return null;
  return (
    <Box component="section" aria-label={title}>
      <Box sx={{ display: closed ? "none" : "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Typography variant="h3">{title}</Typography>
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
            {tried ? "Try again" : "Try one change at a time"}
          </Button>
        )}
      </Box>
      {taken && (
        <Banner kind="note" role="status">
          Taken over: {changeText(taken.kind, timeText)}.
          <Button
            size="small"
            variant="outlined"
            sx={{ ml: 1 }}
            onClick={() => {
              undo();
              setTaken(undefined);
            }}
          >
            Undo this
          </Button>
        </Banner>
      )}
      {broken > 0 && (
        <Banner kind="caution" role="status">
          {broken === 1 ? "One change" : `${broken} changes`} could not be tried: the planner broke down. “Try again” asks anew.
        </Banner>
      )}
      {leads.length > 0 && (
        <Box component="ol" sx={{ m: 0, mt: 1, p: 0, listStyle: "none", fontSize: "0.9rem" }}>
          {leads.slice(0, MOST_SHOWN).map(({ change, gain }, i) => (
            <Box
              component="li"
              key={change.id}
              sx={{ display: "flex", gap: 1.5, alignItems: "center", py: 0.5, borderTop: `1px solid ${COLOUR.line}` }}
            >
              <Box sx={{ flex: 1 }}>
                {i + 1}. <strong>{changeText(change.kind, timeText)}</strong>: {minutesText(gain) ?? "then it can be done"}
              </Box>
              <Button
                size="small"
                variant="outlined"
                onClick={() => take(change)}
                aria-label={`Do it: ${changeText(change.kind, timeText)}`}
              >
                Do it
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {tried && left === 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          {leads.length === 0
            ? base
              ? "Nothing that was tried makes the day shorter or fresher."
              : `None of the ${tried.length} changes that were tried, alone or two together, made it possible within ${SECONDS} s each.`
            : nowhere > 0 &&
              `${nowhere} other ${nowhere === 1 ? "change brings" : "changes bring"} nothing by ${nowhere === 1 ? "itself" : "themselves"}.`}
        </Typography>
      )}
    </Box>
  );
}

/** What a change brings, in minutes; undefined where it brings none, or there is no plan to compare with. */
function minutesText({ laterStart = 0, fresher = 0 }: Gain): string | undefined {
  const parts = [
    laterStart > 0 ? `hands begin ${lengthText(laterStart)} later` : "",
    laterStart < 0 ? `hands begin ${lengthText(-laterStart)} earlier` : "",
    fresher > 0 ? `pieces wait ${lengthText(fresher)} less` : "",
    fresher < 0 ? `pieces wait ${lengthText(-fresher)} more` : "",
  ].filter(Boolean);
  return parts.length === 0 || laterStart + fresher <= 0 ? undefined : parts.join(", ");
}
