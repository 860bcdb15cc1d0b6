import Box from "@mui/material/Box";
import { useMemo, type ReactNode } from "react";
import { batchesFor, weighingsOf, type Batch, type Ingredient } from "@/core/batching/batches";
import { doseText, dosesFor } from "@/core/item/doses";
import { drawingOf } from "@/core/item/making/drawing/draw";
import type { Step } from "@/core/item/step";
import { pieceNumbers } from "@/core/run/piece-numbers";
import { ShapeStages } from "../kit/ShapeStages";
import { PICTURES } from "../plan/shape-pictures";
import { StepWeights } from "../plan/StepWeights";
import { takenLines } from "../plan/taken-weights";
import { WeighIn } from "../quantities/WeighIn";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import type { Doing } from "./cook.view-model";
import { OddPieces } from "./OddPieces";
import type { Say } from "./say";

interface Props {
  readonly doing: Doing;
  readonly say: Say;
  readonly weights: readonly Batch[];
  /** Where the screen is everybody's: words alone. */
  readonly isSmall: boolean;
}

/** What is read of a step: what is done, how much, which pieces, how it looks when it is right, its weights and its shape. */
export function NowReading({ doing: { task, step, press, run, isSoon = false }, say, weights, isSmall }: Props) {
  const { plan, gathering, made, shown, devices } = useCookedDay();
  const { heat, degrees, weight } = shown;
  const { item: itemId, range } = plan.tasks[task];
  const item = made[itemId] as (typeof made)[string] | undefined;
  const drawing = useMemo(() => item && drawingOf(item), [item]);
  const numbers = pieceNumbers(plan, task);
  const dough =
    step?.kind === "divide"
      ? batchesFor(weighingsOf(plan.batches), itemId, range).find(({ part }) => part === "dough")
      : undefined;
  return (
    <>
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
    </>
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
