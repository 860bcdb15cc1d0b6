"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Link from "next/link";
import { useEffect, useMemo, type ReactNode } from "react";
import type { Item } from "@/core/item/schema";
import { stepIn, type Plan } from "@/core/plan/schema";
import type { RunEvent } from "@/core/run/events";
import { replay } from "@/core/run/replay";
import { lengthText } from "@/core/shared/clock";
import { counted } from "@/core/shared/words";
import { prepare } from "@/workers/plan.client";
import { Banner } from "../kit/Banner";
import { Main } from "../kit/Main";
import { zoneHere } from "../kit/zone";
import { useStored } from "../kit/use-stored";
import { StepWeights } from "../plan/StepWeights";
import { takenWeights } from "../plan/taken-weights";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { ClockList } from "./ClockList";
import { cookModel, type CookColumn } from "./cook.view-model";
import { NowCard } from "./NowCard";
import type { Say } from "./say";
import { useMinute, runMoment } from "./use-now";
import { useRest } from "./use-rest";
import { deviceName, useRun, type Tell } from "./use-run";

interface Props {
  readonly run: { readonly id: string; readonly gatheringId: string; readonly shiftMs: number };
  readonly plan: Plan;
  readonly received: readonly { readonly sequence: number; readonly event: RunEvent }[];
  readonly tell: Tell;
  /** What the pieces of each item are finished with. */
  readonly finishes: Readonly<Record<string, Pick<Item, "finish">>>;
}

const EVERYONE = "";

/** A day being cooked: what each pair of hands does now, what runs without, and what the rest of the day comes to. */
export function CookView({ run, plan, received, tell, finishes }: Props) {
  const shown = usePlanDisplay(plan);
  const minute = useMinute(plan, run.shiftMs);
  const { events, unsent, trouble, say: send } = useRun(run.id, received, tell);
  const [whose, setWhose] = useStored(`unisynth-cook ${run.id}`);
  const state = useMemo(() => replay(plan, events), [plan, events]);
  const rest = useRest(plan, state, minute);
  useEffect(() => prepare(plan), [plan]);
  const model = minute === undefined ? undefined : cookModel(plan, state, rest, minute, shown);
  const say: Say = (saying) =>
    send({
      ...saying,
      id: crypto.randomUUID(),
      device: deviceName(),
      at: runMoment(run.shiftMs),
      zone: zoneHere(),
      ...(whose !== EVERYONE && { cook: whose }),
    } as RunEvent);
  // Which device this is only the browser knows: before that nothing is this one's own.
  const own = minute === undefined ? [] : events.filter(({ device, kind }) => kind !== "undone" && device === deviceName());
  const last = own.filter(({ id }) => !state.counted.undone.has(id)).at(-1);
  const target = plan.day.targets.find((one) => minute !== undefined && one.minute >= minute);
  const coreOf = (task: string) => {
    const wantedC = stepIn(plan, task)?.coreC;
    return wantedC === undefined ? undefined : { wantedC, measuredC: state.tasks.get(task)?.coreC };
  };
  const weightsOf = (task: string) => {
    const step = stepIn(plan, task);
    const batches = step ? takenWeights(plan, task, step, finishes[plan.tasks[task].item]) : [];
    return batches.length > 0 && <StepWeights gathering={run.gatheringId} batches={batches} weight={shown.weight} canTick />;
  };
  const columns = model?.columns.filter(({ cook }) => whose === EVERYONE || cook === whose) ?? [];
  return (
    <Box sx={{ minHeight: "100vh", display: "flex", flexDirection: "column" }}>
      <Box
        component="header"
        sx={{
          background: COLOUR.tideDeep,
          color: "#fff",
          px: { xs: 2, md: 4 },
          py: 1.5,
          display: "flex",
          flexWrap: "wrap",
          gap: 2,
          alignItems: "center",
        }}
      >
        <Box
          component={Link}
          href={`/g/${run.gatheringId}/timeline`}
          sx={{ color: "#bfe0dc", textDecoration: "none", fontWeight: 600, py: 1 }}
        >
          {plan.day.gathering.name}
        </Box>
        <Box data-testid="clock" sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.9rem", lineHeight: 1 }}>
          {minute === undefined ? "" : shown.clock(minute)}
        </Box>
        {target && minute !== undefined && (
          <Box sx={{ fontSize: "1.05rem" }}>
            {target.name} in {lengthText(target.minute - minute)}
          </Box>
        )}
        {run.shiftMs !== 0 && <Box sx={{ border: "1px solid #bfe0dc", px: 1, borderRadius: "2px" }}>Practice</Box>}
        <TextField
          select
          size="small"
          value={whose}
          onChange={(event) => setWhose(event.target.value)}
          slotProps={{ select: { displayEmpty: true }, htmlInput: { "aria-label": "Whose screen" } }}
          sx={{ ml: "auto", minWidth: 150, background: "#fff", borderRadius: "4px" }}
        >
          <MenuItem value={EVERYONE}>Everyone</MenuItem>
          {plan.day.cooks.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Main sx={{ px: { xs: 1.5, md: 4 }, py: 2, display: "grid", gap: 2, alignContent: "start" }}>
        {unsent > 0 && trouble && (
          <Banner kind="note" role="status" title={`${counted(unsent, "entry")} not sent yet: ${trouble}`}>
            It is kept on this device and sent as soon as the server answers. Go on cooking.
          </Banner>
        )}
        {model?.warnings.map(({ text }) => (
          <Banner key={text} kind="caution" role="status">
            {shown.heat(text)}
          </Banner>
        ))}
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", order: { xs: 2, md: 0 } }}>
          <Box data-testid="rest" role="status" sx={{ fontSize: "1.1rem", flex: 1, minWidth: 240 }}>
            {model?.sentence ?? "The rest of the day is being worked out …"}
          </Box>
          {last && (
            <Button variant="outlined" sx={{ minHeight: 44 }} onClick={() => say({ kind: "undone", event: last.id })}>
              Undo the last press
            </Button>
          )}
        </Box>
        <Box
          sx={{
            display: "grid",
            gap: 2,
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 5fr) minmax(300px, 2fr)" },
            alignItems: "start",
          }}
        >
          <Box
            sx={{
              display: "grid",
              gap: 2.5,
              alignItems: "start",
              gridTemplateColumns: {
                xs: "minmax(0, 1fr)",
                md: columns.length > 1 ? "repeat(2, minmax(0, 1fr))" : "minmax(0, 1fr)",
              },
            }}
          >
            {columns.map((column) => (
              <Hands
                key={column.cook}
                column={column}
                isAlone={columns.length === 1}
                shown={shown}
                say={say}
                weightsOf={weightsOf}
              />
            ))}
            {model?.isOver && <Banner kind="note" title="Everything is done." />}
          </Box>
          <Box component="section" aria-label="Runs by itself">
            <Box component="h2" sx={{ m: 0, mb: 1, fontSize: "1.1rem" }}>
              Runs by itself
            </Box>
            {model && minute !== undefined && (
              <ClockList
                clocks={model.clocks}
                minute={minute}
                task={shown.task}
                clock={shown.clock}
                say={say}
                degrees={shown.degrees}
                coreOf={coreOf}
              />
            )}
          </Box>
        </Box>
      </Main>
    </Box>
  );
}

/** One pair of hands: now, and the next two. */
function Hands({
  column,
  isAlone,
  shown,
  say,
  weightsOf,
}: {
  column: CookColumn;
  isAlone: boolean;
  shown: ReturnType<typeof usePlanDisplay>;
  say: Say;
  weightsOf: (task: string) => ReactNode;
}) {
  const { name, now, next, isAway, cook } = column;
  const [first] = next;
  return (
    <Box component="section" aria-label={name} sx={{ display: "grid", gap: 1.25 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
        <Box component="h2" sx={{ m: 0, fontSize: "1.1rem" }}>
          {name}
        </Box>
        <Button
          size="small"
          sx={{ minHeight: 44, ml: "auto" }}
          onClick={() => say({ kind: "changed", who: cook, isThere: isAway })}
        >
          {isAway ? `${name} is back` : `${name} leaves`}
        </Button>
      </Box>
      {now.slice(0, isAlone ? 2 : 1).map((doing) => (
        <NowCard
          key={doing.task}
          doing={doing}
          weights={doing.press === "done" && isAlone && weightsOf(doing.task)}
          isSmall={!isAlone}
          title={shown.task(doing.task)}
          heat={shown.heat}
          degrees={shown.degrees}
          say={say}
        />
      ))}
      {now.length === 0 && (
        <Box sx={{ fontSize: "1.25rem", background: COLOUR.card, border: `1px solid ${COLOUR.line}`, p: 2 }}>
          {isAway
            ? "Not there."
            : first
              ? `Nothing for these hands until ${shown.clock(first.at)}.`
              : "Nothing more for these hands."}
        </Box>
      )}
      {next.map(({ task, at, isLook, mayBegin }) => (
        <Box key={task} sx={{ display: "flex", gap: 2, alignItems: "center", px: 2, py: 0.5 }}>
          <Box sx={{ fontWeight: 650, minWidth: 56 }}>{shown.clock(at)}</Box>
          <Box sx={{ flex: 1, fontSize: "1.05rem" }}>{shown.task(task)}</Box>
          {isLook && <Box sx={{ color: COLOUR.soft }}>a look</Box>}
          {mayBegin && (
            <Button
              sx={{ minHeight: 44 }}
              aria-label={`${shown.task(task)}: begin now`}
              onClick={() => say({ kind: "started", task })}
            >
              Begin now
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
