import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { isHeat } from "@/core/item/step";
import { hasFirstPiece, loadsToCome } from "@/core/run/pilot";
import { lengthText } from "@/core/shared/clock";
import { Banner } from "../kit/Banner";
import { useCookedDay } from "./cook-context";
import { lacksCore, type Doing } from "./cook.view-model";
import { gatesAt, gatesBefore } from "./gates-at";
import { GatesHere } from "./GatesHere";
import type { Say } from "./say";
import { SomethingElse } from "./SomethingElse";
import { keyed } from "./use-keys";
import { asksForWeights } from "./weighed";

/** Large enough for a floury thumb. */
const PRESS = { minHeight: 56, fontSize: "1.15rem", px: 3 } as const;

interface Props {
  readonly doing: Doing;
  readonly say: Say;
  readonly begin: () => void;
  /** Weights of the step, and how many of them are ticked. */
  readonly weighed: { readonly ticked: number; readonly all: number };
}

/** Something that is not as it should be yet before a press counts: said once, and then it is the cook's to say. */
interface Asked {
  readonly why: readonly string[];
  readonly go: () => void;
}

/** What can be pressed of a step, what is missing before a press counts, and what is asked before it. */
export function NowPresses({ doing, say, begin, weighed: { ticked, all } }: Props) {
  const { task, step, press, run, lock, cold } = doing;
  const day = useCookedDay();
  const { plan, state, shown } = day;
  const [asked, setAsked] = useState<Asked>();
  const title = shown.task(task);
  const isWaiting = run.status === "waiting";
  const needsCore = lacksCore(doing);
  const { isShut, isUnasked } = gatesAt(day, task);
  const before = gatesBefore(day, task);
  const isHeld = before.shut.length > 0;
  // What is filled has to be cold before it begins; everything else is looked at before it is over.
  const isGatedStart = step?.kind === "fill";
  const loads = isWaiting && step && isHeat(step) && step.part === "piece" ? loadsToCome(plan, state, task) : [];
  const isLocked = lock !== undefined;

  /** Goes on, or says first what is missing. */
  const guarded = (go: () => void, { isBegin }: { isBegin: boolean }) => {
    const why = [
      ...(isBegin && ticked < all && asksForWeights(plan, state, task) ? [`${all - ticked} of ${all} not weighed out yet`] : []),
      ...(cold && isBegin
        ? [
            `its lot was out of the cold for ${lengthText(cold.usedMin)}, usual guidance ${lengthText(cold.limitMin)}: throw it away; local rules come first`,
          ]
        : []),
      ...(isUnasked && isBegin === isGatedStart ? ["the question below is not answered"] : []),
      ...(isWaiting ? before.unasked.map((one) => `what is asked of “${shown.task(one)}” is not answered`) : []),
    ];
    if (why.length === 0) return go();
    setAsked({ why, go });
  };
  const done = () => guarded(() => say({ kind: "done", task }), { isBegin: isWaiting && (isGatedStart || cold !== undefined) });
  const right = () => guarded(() => say({ kind: "checked", task, seen: "right" }), { isBegin: false });
  const late = (minutes: number) => say(isWaiting ? { kind: "late", task, minutes } : { kind: "extended", task, minutes });
  return (
    <>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, mt: 2 }}>
        {press === "done" && (
          <Button variant="contained" sx={PRESS} disabled={isShut || isHeld} onClick={done} {...keyed("d")}>
            Done
          </Button>
        )}
        {press === "begin" && (
          <Button
            {...keyed("d")}
            variant="contained"
            sx={PRESS}
            disabled={(isShut && isGatedStart) || isHeld}
            onClick={() => guarded(begin, { isBegin: true })}
          >
            {step?.kind === "cook-filling" ? "It boils: begin" : "It is in: begin"}
          </Button>
        )}
        {press === "judge" && !needsCore && !isLocked && (
          <Button variant="contained" sx={PRESS} disabled={isShut} onClick={right} {...keyed("d")}>
            It is right
          </Button>
        )}
        {press === "judge" && !isLocked && (
          <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "checked", task, seen: "early" })} {...keyed("n")}>
            Not yet
          </Button>
        )}
        {press === "done" && isWaiting && (
          <Button
            variant="outlined"
            sx={PRESS}
            disabled={(isShut && isGatedStart) || isHeld}
            onClick={() => guarded(begin, { isBegin: true })}
          >
            Begin
          </Button>
        )}
        {loads.length > 1 && run.minutes === undefined && !hasFirstPiece(plan, task) && (
          <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "piloted", task })}>
            One piece first
          </Button>
        )}
        {[5, 10].map((minutes) => (
          <Button
            key={minutes}
            variant="outlined"
            sx={PRESS}
            aria-label={`${title}: ${minutes} min more`}
            onClick={() => late(minutes)}
            {...(minutes === 5 && keyed("m"))}
          >
            +{minutes}
          </Button>
        ))}
        <SomethingElse task={task} title={title} say={say} />
      </Box>
      {asked && (
        <Box sx={{ mt: 1.5 }}>
          <Banner kind="caution" role="status" title={`Not so fast: ${asked.why.join("; ")}`}>
            <Button
              variant="outlined"
              sx={{ minHeight: 44, mt: 0.5 }}
              onClick={() => {
                setAsked(undefined);
                asked.go();
              }}
            >
              Go on all the same
            </Button>
          </Banner>
        </Box>
      )}
      <GatesHere task={task} say={say} onAnswer={() => setAsked(undefined)} />
    </>
  );
}
