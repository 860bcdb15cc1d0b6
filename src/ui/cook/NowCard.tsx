"use client";
import Box from "@mui/material/Box";
import { HAZARD_TEXT, hazardsOf } from "@/core/item/hazards";
import { oilSetC } from "@/core/run/oil";
import { Banner } from "../kit/Banner";
import { IfItGoesWrong } from "../plan/IfItGoesWrong";
import { tickedIn, useWeightTicks } from "../plan/StepWeights";
import { takenWeights } from "../plan/taken-weights";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { CoreCheck } from "./CoreCheck";
import { lacksCore, type Doing } from "./cook.view-model";
import { gatesAt, gatesBefore } from "./gates-at";
import { HowItLooks } from "./HowItLooks";
import { LidLocked } from "./LidLocked";
import { NowPresses } from "./NowPresses";
import { NowReading } from "./NowReading";
import { OilCheck } from "./OilCheck";
import type { Say } from "./say";

interface Props {
  readonly doing: Doing;
  readonly say: Say;
  readonly begin: () => void;
  /** Where the screen is everybody's. */
  readonly isSmall: boolean;
}

/** The one thing to do now: what, one press, how it looks when it is right, what can hurt, what it takes. */
export function NowCard({ doing, say, begin, isSmall }: Props) {
  const { task, step, press, run, lock, isSoon = false } = doing;
  const day = useCookedDay();
  const { plan, minute, gathering, made, shown } = day;
  const { heat, degrees } = shown;
  const ticks = useWeightTicks(gathering);
  const title = shown.task(task);
  const { item: itemId, step: stepId } = plan.tasks[task];
  const item = made[itemId] as (typeof made)[string] | undefined;
  const needsCore = lacksCore(doing);
  const oilC = oilSetC(step);
  const weights = step && (run.status === "waiting" || press === "done") ? takenWeights(plan, task, step, item) : [];
  const { isShut } = gatesAt(day, task);
  const before = gatesBefore(day, task);
  const hazards = step ? hazardsOf(step) : [];
  const faults = stepId === null ? [] : (item?.faults.filter(({ steps }) => steps.includes(stepId)) ?? []);
  const isLocked = lock !== undefined;
  return (
    <Box
      component="article"
      aria-label={title}
      sx={{
        background: COLOUR.card,
        border: `1px solid ${COLOUR.line}`,
        borderTop: `6px solid ${COLOUR.ember}`,
        p: { xs: 2, sm: 3 },
      }}
    >
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: '"Fraunces Variable", serif',
          // Read from where the hands are, two metres away.
          fontSize: isSmall ? "1.45rem" : { xs: "2.5rem", sm: "2.9rem", lg: "4rem" },
          lineHeight: 1.06,
          overflowWrap: "anywhere",
        }}
      >
        {title}
      </Box>
      {(step?.caution || hazards.length > 0) && (
        <Box sx={{ mt: 1.5, fontSize: isSmall ? undefined : "1.2rem" }}>
          <Banner kind="caution">
            {step?.caution && heat(step.caution)}
            {hazards.map((hazard) => (
              <Box key={hazard}>{HAZARD_TEXT[hazard]}</Box>
            ))}
          </Banner>
        </Box>
      )}
      {press === "done" && run.status === "running" && run.start !== undefined && run.expectedEnd !== undefined && (
        <Box
          sx={{
            mt: 1,
            fontSize: "1.2rem",
            fontWeight: 650,
            color: minute >= run.expectedEnd ? COLOUR.ember : COLOUR.ink,
          }}
        >
          Begun {shown.clock(run.start)}, {minute >= run.expectedEnd ? "its time is over since" : "about over"}{" "}
          {shown.clock(run.expectedEnd)}
        </Box>
      )}
      {before.shut.map((one) => (
        <Box key={one} sx={{ mt: 1.5, fontSize: "1.2rem" }}>
          <Banner kind="caution">Not yet: “{shown.task(one)}” is not as it should be, see there.</Banner>
        </Box>
      ))}
      {isSoon && (
        <Box sx={{ mt: 1.5, fontSize: "1.2rem" }}>
          <Banner kind="note" role="status" title="Soon due: have a look, and listen">
            {[step?.cue?.hear, step?.cue?.see, step?.cue?.smell].filter(Boolean).join("; ") || "Is it right yet?"}
          </Banner>
        </Box>
      )}
      {isLocked && press === "judge" && <LidLocked task={task} reason={lock.reason} until={shown.clock(lock.until)} say={say} />}
      <NowPresses doing={doing} say={say} begin={begin} weighed={tickedIn(weights, ticks)} />
      {oilC !== undefined && <OilCheck task={task} wantedC={oilC} degrees={degrees} say={say} />}
      {press === "judge" && step?.coreC !== undefined && !isLocked && (
        <CoreCheck task={task} wantedC={step.coreC} measuredC={run.coreC} degrees={degrees} say={say} />
      )}
      {((press === "judge" && !isLocked) || isSoon) && step && (
        <HowItLooks task={task} step={step} say={say} mayEnd={!needsCore && !isShut} />
      )}
      <NowReading doing={doing} say={say} weights={weights} isSmall={isSmall} />
      <IfItGoesWrong faults={faults} onSeen={(fault) => say({ kind: "fault", item: itemId, fault })} />
    </Box>
  );
}
