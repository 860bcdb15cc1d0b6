"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useMemo, useState, type ReactNode } from "react";
import { batchesFor, weighingsOf, type Ingredient } from "@/core/batching/batches";
import { HAZARD_TEXT, hazardsOf } from "@/core/item/hazards";
import { drawingOf } from "@/core/item/making/drawing/draw";
import { doseText, dosesFor } from "@/core/item/doses";
import { isHeat, type Step } from "@/core/item/step";
import { oilSetC } from "@/core/run/oil";
import { hasFirstPiece, loadsToCome } from "@/core/run/pilot";
import { pieceNumbers } from "@/core/run/piece-numbers";
import { lengthText } from "@/core/shared/clock";
import { Banner } from "../kit/Banner";
import { ShapeStages } from "../kit/ShapeStages";
import { IfItGoesWrong } from "../plan/IfItGoesWrong";
import { PICTURES } from "../plan/shape-pictures";
import { StepWeights, tickedIn, useWeightTicks } from "../plan/StepWeights";
import { takenLines, takenWeights } from "../plan/taken-weights";
import { WeighIn } from "../quantities/WeighIn";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { CoreCheck } from "./CoreCheck";
import type { Doing } from "./cook.view-model";
import { gatesAt, gatesBefore } from "./gates-at";
import { GatesHere } from "./GatesHere";
import { HowItLooks } from "./HowItLooks";
import { LidLocked } from "./LidLocked";
import { OddPieces } from "./OddPieces";
import { OilCheck } from "./OilCheck";
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
  /** Where the screen is everybody's. */
  readonly isSmall: boolean;
}

/** Something that is not as it should be yet before a press counts: said once, and then it is the cook's to say. */
interface Asked {
  readonly why: readonly string[];
  readonly go: () => void;
}

/** The one thing to do now: what, one press, how it looks when it is right, what can hurt, what it takes. */
export function NowCard({ doing: { task, step, press, run, lock, cold, isSoon = false }, say, begin, isSmall }: Props) {
  const day = useCookedDay();
  const { plan, state, minute, gathering, made, shown, devices } = day;
  const { heat, degrees, weight } = shown;
  const [asked, setAsked] = useState<Asked>();
  const ticks = useWeightTicks(gathering);
  const title = shown.task(task);
  const { item: itemId, range, step: stepId } = plan.tasks[task];
  const item = made[itemId] as (typeof made)[string] | undefined;
  const drawing = useMemo(() => item && drawingOf(item), [item]);
  const numbers = pieceNumbers(plan, task);
  const isWaiting = run.status === "waiting";
  const needsCore = step?.coreC !== undefined && (run.coreC === undefined || run.coreC < step.coreC);
  const oilC = oilSetC(step);
  const weights = step && (isWaiting || press === "done") ? takenWeights(plan, task, step, item) : [];
  const { ticked, all } = tickedIn(weights, ticks);
  const { isShut, isUnasked } = gatesAt(day, task);
  const before = gatesBefore(day, task);
  const isHeld = before.shut.length > 0;
  // What is filled has to be cold before it begins; everything else is looked at before it is over.
  const isGatedStart = step?.kind === "fill";
  const hazards = step ? hazardsOf(step) : [];
  const loads = isWaiting && step && isHeat(step) && step.part === "piece" ? loadsToCome(plan, state, task) : [];
  const dough =
    step?.kind === "divide"
      ? batchesFor(weighingsOf(plan.batches), itemId, range).find(({ part }) => part === "dough")
      : undefined;
  const faults = stepId === null ? [] : (item?.faults.filter(({ steps }) => steps.includes(stepId)) ?? []);
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
      {oilC !== undefined && <OilCheck task={task} wantedC={oilC} degrees={degrees} say={say} />}
      {press === "judge" && step?.coreC !== undefined && !isLocked && (
        <CoreCheck task={task} wantedC={step.coreC} measuredC={run.coreC} degrees={degrees} say={say} />
      )}
      {((press === "judge" && !isLocked) || isSoon) && step && (
        <HowItLooks task={task} step={step} say={say} mayEnd={!needsCore && !isShut} />
      )}
      {step?.do && <Box sx={{ mt: 1.5, fontSize: isSmall ? "1.15rem" : "1.35rem" }}>{heat(step.do)}</Box>}
      {step && <DoseLines step={step} lines={takenLines(plan, task, step, item)} />}
      {run.odd && (
        <Line name="Heavy ones">
          {run.odd.grams.map((grams) => `${grams} g`).join(", ")} of dough: they stay in {run.odd.minutes} min longer, the others
          come out first
        </Line>
      )}
      {numbers && (
        <Line name="Pieces">
          {numbers.from} to {numbers.to}, in the order in which they were made; the rest stays covered
        </Line>
      )}
      {press !== "judge" && !isSoon && step?.cue?.see && (
        <Line name="Right when">{[step.cue.see, step.cue.feel, step.cue.hear, step.cue.smell].filter(Boolean).join("; ")}</Line>
      )}
      {step?.coreC !== undefined && (
        <Line name="Core">{degrees(step.coreC)} in the thickest piece, in two of them; local rules come first</Line>
      )}
      {!isSmall && <StepWeights item={item} gathering={gathering} batches={weights} weight={weight} canTick />}
      {!isSmall && drawing && step && PICTURES[step.kind] && (
        <Box sx={{ mt: 1.5 }}>
          <ShapeStages drawing={drawing} least={130} only={PICTURES[step.kind]!} />
        </Box>
      )}
      {!isSmall && dough && item && item.piece.portionBy !== "eye" && item.piece.doughG > 0 && (
        <WeighIn
          id={`${gathering}-${dough.id}`}
          pieces={dough.pieces}
          doughG={dough.pieces * item.piece.doughG}
          ratio={item.piece.fillingG / item.piece.doughG}
          oddOnes={(grams, rightG) => <OddPieces item={itemId} say={say} {...{ grams, rightG }} />}
          read={devices && ((nth) => devices.scaleG(task, nth))}
        />
      )}
      <IfItGoesWrong faults={faults} onSeen={(fault) => say({ kind: "fault", item: itemId, fault })} />
    </Box>
  );
}

/** What it takes by the weight of something else, for the batch at hand. */
function DoseLines({ step, lines }: { step: Step; lines: readonly Ingredient[] }) {
  const { catalogue } = useCookedDay();
  return dosesFor(step, lines, catalogue).map((dose) => (
    <Line key={dose.dose.what} name={dose.dose.what}>
      <strong>{doseText(dose)}</strong>
    </Line>
  ));
}

const Line = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box sx={{ mt: 1, fontSize: "1.1rem" }}>
    <Box component="span" sx={{ color: COLOUR.soft }}>
      {name}:{" "}
    </Box>
    {children}
  </Box>
);
