"use client";
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Close from "@mui/icons-material/CloseOutlined";
import { useState, type ReactNode } from "react";
import { lengthText } from "@/core/shared/clock";
import { doseText, dosesFor } from "@/core/item/doses";
import { gatesOf } from "@/core/item/gates/gates";
import { drawingOf } from "@/core/item/making/drawing/draw";
import { coldFor } from "@/core/item/cold-dough";
import type { Item } from "@/core/item/schema";
import type { Step } from "@/core/item/step";
import { roomAt, USUAL_ROOM_C } from "@/core/kitchen/room";
import type { Kitchen } from "@/core/kitchen/schema";
import { gateKey } from "@/core/run/run-state";
import { outOfCold } from "@/core/plan/out-of-cold";
import { resourceText } from "@/core/plan/reason-text";
import { stepIn, taskShares, type DurationSource, type Plan, type TaskInfo } from "@/core/plan/schema";
import { handsIn } from "@/core/plan/takes";
import { piecesText } from "@/core/plan/task-text";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { Banner } from "../kit/Banner";
import { Monogram } from "../kit/Monogram";
import { ShapeStages } from "../kit/ShapeStages";
import { BeforeYouGoOn } from "../plan/BeforeYouGoOn";
import { IfItGoesWrong } from "../plan/IfItGoesWrong";
import { isOverDays, momentText } from "../plan/plan-summary";
import { PICTURES } from "../plan/shape-pictures";
import { StepWeights } from "../plan/StepWeights";
import { takenLines, takenWeights } from "../plan/taken-weights";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR, toneOf } from "../theme/tokens";
import { OtherLength } from "./OtherLength";
import { RunsLate } from "./RunsLate";
import { useSeen } from "./use-seen";
import { waterText } from "./water-text";
import { planHolds, whyHere } from "./why";

interface Props {
  readonly plan: Plan;
  readonly task: string;
  readonly toneIndex: ReadonlyMap<string, number>;
  /** Its item as the plan was made with it; undefined for what is none. */
  readonly made: Item | undefined;
  readonly kitchen: Kitchen;
  readonly onClose: () => void;
  readonly onSelect: (task: string) => void;
}

/** A rest so long leaves time for something else, min. */
const LONG_REST_MIN = 20;
/** Reasons shown one by one; of a longer chain the last one too. */
const WHY_SHOWN = 5;
/** Where a step's length comes from, for the cook. */
const SOURCE_TEXT: Readonly<Record<DurationSource, string>> = {
  recipe: "the recipe",
  usual: "what is usual for it",
  model: "worked out for this dough and piece; a quarter more or less",
  cook: "you, on the item's desk",
  typed: "you, for this gathering",
  "took-here": "what it took here before",
  "by-hand": "the recipe, done by hand here",
  room: "the recipe, for the warmth of this room",
  plan: "until the next step begins",
};
const CUE_WORD = { see: "Look", feel: "Feel", hear: "Listen", smell: "Smell" } as const;

/** One block opened: what to do, with what, until when, how to tell, and what can hurt. */
export function StepPanel({ plan, task, toneIndex, made, kitchen, onClose, onSelect }: Props) {
  const shown = usePlanDisplay(plan);
  const { catalogue } = useCatalogue();
  const [late, setLate] = useState<{ readonly task: string; readonly minutes: number }>();
  const [answerOf, putAnswer] = useSeen(plan.day.gathering.id);
  const { clock, weight, heat, degrees, dial } = shown;
  const { targets, cooks, rules, gathering } = plan.day;
  const holds = planHolds(plan);
  const info = plan.tasks[task];
  const placed = plan.solution.tasks.find((t) => t.id === task);
  const problemTask = plan.problem.tasks.find((t) => t.id === task);
  const item = plan.day.items.find((i) => i.id === info.item);
  if (!placed || !problemTask || !item) return null;
  const step = stepIn(plan, task);
  const target = targets.find((t) => info.for.includes(t.id)) ?? targets.find((t) => t.minute >= placed.end);
  const range = Array.isArray(problemTask.duration) ? problemTask.duration : undefined;
  const takes = [...new Set(placed.taken)].filter((id) => id !== "somebody-about").map((id) => resourceText(plan, id));
  const serve = servingOf(plan, info);
  const toTable =
    serve?.hold && target && info.for.includes(target.id)
      ? `${serve.hold.best}, within ${lengthText(serve.hold.maxMin)}; here ${lengthText(Math.max(0, target.minute - placed.end))}`
      : undefined;
  // What hands have left beside a rest that is long enough to use.
  const spare =
    step?.attention !== "hands-on" && placed.end - placed.start >= LONG_REST_MIN
      ? handsIn(plan, placed.start, placed.end)
          .filter(({ thereMin }) => thereMin > 0)
          .map(({ cook, thereMin, busyMin }) => {
            const left = Math.max(0, thereMin - busyMin);
            return `${cooks.find(({ id }) => id === cook)?.name ?? cook} ${left > 0 ? `${lengthText(left)} spare` : "busy throughout"}`;
          })
      : [];
  // Where it cools or stands; unsaid, a usual room.
  const roomC = step?.rest?.where === "room" ? step.rest.atC : USUAL_ROOM_C;
  const cold = outOfCold(plan, task, kitchen);
  const stays = step && made ? coldFor(made, step, roomAt(kitchen, placed.start)) : undefined;
  const water = step && made ? waterText(made, step, roomAt(kitchen, placed.start), degrees) : undefined;
  const lines = step ? takenLines(plan, task, step, made) : [];
  const formed = made && drawingOf(made);
  const faults = made?.faults.filter(({ steps }) => info.step !== null && steps.includes(info.step)) ?? [];
  const why = whyHere(plan, holds, task, shown);
  // One more is told rather than counted.
  const told = why.steps.length === WHY_SHOWN + 1 ? WHY_SHOWN + 1 : WHY_SHOWN;
  // Trays that wait are told by what they wait from; a step is known by when it ended.
  const ends = new Map(plan.solution.tasks.map((t) => [t.id, t.end]));
  const before = [...new Set(problemTask.after.map((link) => link.task))].filter((id) => plan.tasks[id]?.step);
  return (
    <Paper
      component="aside"
      aria-label="Step"
      sx={{ p: 2, position: { md: "sticky" }, top: 8, maxHeight: { md: "calc(100vh - 24px)" }, overflow: "auto" }}
    >
      <Box sx={{ display: "flex", gap: 1.25, alignItems: "flex-start" }}>
        <Monogram name={item.name} tone={toneOf(toneIndex.get(item.id) ?? 0)} />
        <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
          {shown.task(task)}
        </Typography>
        <IconButton aria-label="Close the step" onClick={onClose} size="small">
          <Close fontSize="small" />
        </IconButton>
      </Box>
      <Box sx={{ my: 1.25, fontWeight: 650 }}>
        {momentText(plan, placed.start, isOverDays(plan), clock)} – {clock(placed.end)}{" "}
        <Soft>({lengthText(placed.end - placed.start)})</Soft>
        {target && placed.end <= target.minute && (
          <Box sx={{ fontWeight: 400, color: COLOUR.soft, fontSize: "0.85rem" }}>
            begins {lengthText(target.minute - placed.start)} before {target.name.toLowerCase()}
          </Box>
        )}
      </Box>
      {step?.do && <Typography sx={{ mb: 1.25 }}>{heat(step.do)}</Typography>}
      {!step && (
        <Typography sx={{ mb: 1.25 }}>Nothing is done here: the place stays taken until the next step begins.</Typography>
      )}
      {cold && !cold.isWithin && (
        <Banner kind="caution" title={`Out of the cold for ${lengthText(cold.usedMin)} before this`}>
          Usual guidance is {lengthText(cold.limitMin)} in all, weighing, shaping and waiting together; local rules come first.
          Smaller lots, or trays into the fridge as they are shaped.
        </Banner>
      )}
      {step?.caution && <Banner kind="caution">{heat(step.caution)}</Banner>}
      {rules
        .filter((rule) => info.step !== null && rule.steps.includes(info.step))
        .map((rule) => (
          <Banner key={rule.id} kind="note" title="Settled for this gathering">
            {rule.text}
          </Banner>
        ))}
      <Facts
        rows={[
          ["Pieces", piecesText(taskShares(info).reduce((sum, share) => sum + share.pieces, 0))],
          ["Takes", takes.join(", ") || "nothing"],
          info.rise ? ["First look", clock(placed.start + info.rise.firstLookMin)] : undefined,
          range && step?.rest
            ? ["May end", `${clock(placed.start + (info.rise?.readyMin ?? range[0]))} to ${clock(placed.start + range[1])}`]
            : undefined,
          info.rise && placed.end - placed.start > info.rise.readyMin
            ? [
                "In hand",
                `${lengthText(placed.end - placed.start - info.rise.readyMin)} for a slow rise; go on when it looks right`,
              ]
            : undefined,
          toTable ? ["To the table", toTable] : undefined,
          spare.length > 0 ? ["Meanwhile", spare.join(", ")] : undefined,
          step?.rest ? ["Where", `${step.rest.where}, ${degrees(step.rest.atC)}`] : undefined,
          ...(step ? dosesFor(step, lines, catalogue).map((dose) => [dose.dose.what, doseText(dose)] as const) : []),
          water ? ["Liquid", water] : undefined,
          stays !== undefined ? ["Stays cold", staysText(stays)] : undefined,
          step && dial(step.do) ? ["Hob", dial(step.do)!] : undefined,
          ["Time from", SOURCE_TEXT[info.source]],
          cold && cold.isWithin
            ? ["Not cold", `${lengthText(cold.usedMin)} before this; usual guidance ${lengthText(cold.limitMin)} in all`]
            : undefined,
          step?.coreC ? ["Core", `${degrees(step.coreC)} in the thickest piece; local rules come first`] : undefined,
        ]}
      />
      {step && info.step && (
        <OtherLength
          key={`${task} ${placed.end - placed.start}`}
          item={info.item}
          step={info.step}
          minutes={placed.end - placed.start}
        />
      )}
      {formed && step && PICTURES[step.kind] && (
        <Box sx={{ my: 1.25 }}>
          <ShapeStages drawing={formed} least={90} only={PICTURES[step.kind]!} />
        </Box>
      )}
      {step && <Cues step={step} />}
      {made && step && (
        <BeforeYouGoOn
          gates={gatesOf(made, step, lines, catalogue)}
          roomC={roomC}
          shown={shown}
          answerOf={(gate) => answerOf(gateKey(task, gate))}
          onAnswer={(gate, answer) => putAnswer(gateKey(task, gate), answer)}
          late={{
            text: (minutes) => `See what ${minutes} min later moves`,
            press: (minutes) => setLate({ task, minutes }),
          }}
        />
      )}
      <IfItGoesWrong faults={faults} />
      {step && (
        <StepWeights item={made} gathering={gathering.id} weight={weight} batches={takenWeights(plan, task, step, made)} />
      )}
      {why.steps.length > 0 && (
        <Box sx={{ mt: 1.5 }} role="group" aria-label="Why at this time">
          <Typography variant="h3" gutterBottom>
            {why.direction === "later" ? "Why not later" : "Why not earlier"}
          </Typography>
          <Box component="ol" sx={{ m: 0, pl: 2.5, fontSize: "0.85rem" }}>
            {why.steps.slice(0, told).map((reason) => (
              <li key={reason.task}>{reason.text}</li>
            ))}
          </Box>
          {why.steps.length > told && (
            <Soft>
              … {why.steps.length - told - 1} more, and at the end: {why.steps.at(-1)!.text}
            </Soft>
          )}
        </Box>
      )}
      {info.step && (
        <RunsLate
          key={`${task} ${late?.task === task ? late.minutes : ""}`}
          plan={plan}
          task={task}
          targets={targets}
          cooks={cooks}
          asked={late?.task === task ? late.minutes : undefined}
        />
      )}
      {before.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          <Typography variant="h3" gutterBottom>
            Comes after
          </Typography>
          {before.map((id) => (
            <Box
              key={id}
              component="button"
              type="button"
              onClick={() => onSelect(id)}
              sx={{
                display: "block",
                width: "100%",
                textAlign: "left",
                background: "none",
                border: 0,
                p: 0.5,
                font: "inherit",
                fontSize: "0.85rem",
                color: COLOUR.tide,
                cursor: "pointer",
                textDecoration: "underline",
              }}
            >
              {shown.task(id)} <Soft>(done {clock(ends.get(id)!)})</Soft>
            </Box>
          ))}
        </Box>
      )}
    </Paper>
  );
}

/** How long a sheet of short dough may lie on the table, min; null: as long as one likes. */
const staysText = (minutes: number | null): string =>
  minutes === null
    ? "in this room as long as it is worked"
    : `about ${lengthText(Math.max(1, Math.round(minutes)))} on the table; the rest waits in the fridge`;

/** The serving that a step is the last before, or that it is. */
const servingOf = ({ steps }: Plan, { item, step }: TaskInfo): Step | undefined =>
  Object.entries(steps).find(
    ([key, one]) =>
      key.startsWith(`${item}/`) && one.kind === "serve" && (one.id === step || one.after.some((link) => link.step === step)),
  )?.[1];

const Soft = ({ children }: { children: ReactNode }) => (
  <Box component="span" sx={{ color: COLOUR.soft, fontWeight: 400 }}>
    {children}
  </Box>
);

function Facts({ rows }: { rows: readonly (readonly [string, string] | undefined)[] }) {
  return (
    <Box
      component="dl"
      sx={{
        display: "grid",
        gridTemplateColumns: "76px 1fr",
        rowGap: 0.5,
        m: 0,
        mt: 1.25,
        fontSize: "0.875rem",
        "& dd": { m: 0 },
        "& dt": { color: COLOUR.soft },
      }}
    >
      {rows.map((row) => row && [<dt key={`${row[0]}-t`}>{row[0]}</dt>, <dd key={`${row[0]}-d`}>{row[1]}</dd>])}
    </Box>
  );
}

function Cues({ step }: { step: Step }) {
  const { early, late, ...senses } = step.cue ?? {};
  const cues = Object.entries(senses).filter(([, text]) => text);
  if (cues.length === 0 && !early && !late) return null;
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="h3" gutterBottom>
        It is right when
      </Typography>
      {cues.map(([sense, text]) => (
        <Box key={sense} sx={{ fontSize: "0.875rem" }}>
          <Soft>{CUE_WORD[sense as keyof typeof CUE_WORD]}:</Soft> {text}
        </Box>
      ))}
      {early && (
        <Box sx={{ fontSize: "0.875rem", color: COLOUR.soft }}>
          <strong>Too early:</strong> {early}
        </Box>
      )}
      {late && (
        <Box sx={{ fontSize: "0.875rem", color: COLOUR.soft }}>
          <strong>Too late:</strong> {late}
        </Box>
      )}
    </Box>
  );
}
