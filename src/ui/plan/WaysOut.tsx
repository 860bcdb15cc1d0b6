"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import type { PlanRequest } from "@/core/plan/request";
import type { Plan } from "@/core/plan/schema";
import type { Change } from "@/core/plan/ways/change";
import { changeText } from "@/core/plan/ways/change-text";
import type { Gain } from "@/core/plan/ways/gain";
import { lengthText, minutesOfClock } from "@/core/shared/clock";
import { runPlan } from "@/workers/plan.client";
import { Banner } from "../kit/Banner";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { useDraft, usePlan } from "./PlanProvider";
import { dateText } from "./plan-summary";
import { searchWays, type Trial, type WaysState } from "./ways-search";

/** Time that each change gets, s. */
const SECONDS = 2.5;
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

/** A day planned in a worker, with no more time than a change gets. */
function trial(request: PlanRequest): Trial {
  const { done, cancel } = runPlan(
    { ...request, solve: { ...request.solve, seconds: SECONDS } },
    { better: () => undefined, progress: () => undefined },
  );
  return { done: done.then((answer) => (answer.ok ? answer.value : undefined)), cancel };
}

/** One change at a time, each planned anew in a worker; the most helpful first, each taken over by one press. */
export function WaysOut({ title, request, base, closed }: Props) {
  const { change: edit, undo } = useDraft();
  const [state, setState] = useState<WaysState | undefined>(undefined);
  const [taken, setTaken] = useState<Change | undefined>(undefined);
  const { source } = usePlan();
  const display = useDisplay();
  const words = {
    clock: (time: string) => display.clock(minutesOfClock(time) ?? 0),
    heat: display.degrees,
    day: dateText,
  };
  const stopping = useRef<() => void>(undefined);
  const stop = () => stopping.current?.();
  useEffect(() => stop, []);
  const start = () => {
    setTaken(undefined);
    stop();
    stopping.current = searchWays({ request, base, kitchens: source.kitchens, run: trial, tell: setState });
  };
  const { tried, left = 0, broken = 0 } = state ?? {};
  const take = (change: Change) => {
    stop();
    edit(change.edit);
    setTaken(change);
    setState(undefined);
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
          Taken over: {changeText(taken.kind, words)}.
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
                {i + 1}. <strong>{changeText(change.kind, words)}</strong>: {minutesText(gain) ?? doneText(change)}
              </Box>
              <Button
                size="small"
                variant="outlined"
                onClick={() => take(change)}
                aria-label={`Do it: ${changeText(change.kind, words)}`}
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
              : `None of the ${tried.length} changes that were tried, alone or two together, led to a timetable in the short time that each had.`
            : nowhere > 0 &&
              `${nowhere} other ${nowhere === 1 ? "change brings" : "changes bring"} nothing by ${nowhere === 1 ? "itself" : "themselves"}.`}
        </Typography>
      )}
    </Box>
  );
}

/** What is said of a change that makes a refused day possible. */
const doneText = ({ kind }: Change): string =>
  kind.code === "later" ? "then it can be done; no earlier time was found" : "then it can be done";

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
