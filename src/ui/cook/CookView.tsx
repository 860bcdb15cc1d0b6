"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { ThemeProvider } from "@mui/material/styles";
import { useCallback, useEffect, useMemo, useState } from "react";
import { catalogueOf, type OwnIngredient } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import { momentOf } from "@/core/run/clock";
import type { Plan } from "@/core/plan/schema";
import type { RunEvent, Telling } from "@/core/run/events";
import { peopleIn } from "@/core/run/helpers";
import { devicesOf, simulatedKitchen } from "@/core/run/practice/simulated-kitchen";
import { counted } from "@/core/shared/words";
import { Banner } from "../kit/Banner";
import { Main } from "../kit/Main";
import { zoneHere } from "../kit/zone";
import { useStored, useStoredFlag } from "../kit/use-stored";
import { usePlanDisplay } from "../plan/use-plan-display";
import { nightTheme, theme } from "../theme/theme";
import { COLOUR } from "../theme/tokens";
import { CookHeader, EVERYONE } from "./CookHeader";
import { Afterwards } from "./Afterwards";
import { cookModel } from "./cook.view-model";
import { CookedDayProvider } from "./cook-context";
import { DayList } from "./DayList";
import { NowView } from "./NowView";
import type { DayFacts } from "./paper.view-model";
import { PracticeCard } from "./PracticeCard";
import type { Say } from "./say";
import type { TakeOver } from "./Takeovers";
import { useAwake } from "./use-awake";
import { useNight } from "./use-night";
import { KEYS, keyed, useKeys } from "./use-keys";
import { useMinute, runMoment } from "./use-now";
import { useOffline } from "./use-offline";
import { usePractice, type Practice } from "./use-practice";
import { useRest } from "./use-rest";
import { deviceName, useRun, type Received, type Tell } from "./use-run";
import { useVoice } from "./use-voice";

interface Props {
  readonly run: { readonly id: string; readonly gatheringId: string; readonly shiftMs: number };
  readonly plan: Plan;
  readonly received: readonly Received[];
  readonly tell: Tell;
  readonly takeOver: TakeOver;
  /** Items as the plan was made with them. */
  readonly made: Readonly<Record<string, Item>>;
  /** What the cook knew better about ingredients when it was planned. */
  readonly own: readonly OwnIngredient[] | undefined;
  readonly facts: DayFacts;
}

const VIEWS = { now: "Now", day: "The day", outcome: "What it came to" } as const;
type View = keyof typeof VIEWS;
/** A jump ends so long before what it jumps to, ms. */
const BEFORE_MS = 1000;

/** A day being cooked: what each pair of hands does now, what runs without, and what the rest of the day comes to. */
export function CookView({ run, plan, received, tell, takeOver, made, own: known, facts }: Props) {
  const shown = usePlanDisplay(plan);
  const { answer, settled, ask } = useRest(plan);
  const { state, unsent, trouble, isOnLine, say: send } = useRun(run.id, plan, received, tell, ask);
  const [whose, setWhose] = useStored(`unisynth-cook ${run.id}`);
  const [isLoud, setLoud] = useStoredFlag("unisynth-cook-loud");
  const [isNight, setNight] = useNight();
  const [view, setView] = useState<View>("now");
  const [practice, setPractice] = useState<Practice>();
  const [rate, setRate] = useState(1);
  const minute = useMinute(plan, run.shiftMs, state.pace);
  useEffect(() => {
    if (minute !== undefined) ask(state, minute);
  }, [ask, state, minute]);
  const rest = answer?.rest;
  const settledRest = settled?.rest;
  useAwake();
  useKeys();
  const isKept = useOffline();
  const model = useMemo(
    () => (minute === undefined ? undefined : cookModel(plan, state, { rest, settled: settledRest }, minute, shown)),
    [plan, state, rest, settledRest, minute, shown],
  );

  const { shiftMs } = run;
  const { pace } = state;
  const lastAt = Date.parse(state.counted.events.at(-1)?.at ?? "1970-01-01T00:00:00Z");
  const sayAll = useCallback(
    (all: readonly Telling[], at = runMoment({ shiftMs, pace })) => {
      // What is told comes after what was known when it was told, whatever the clocks say.
      const from = Math.max(Date.parse(at), lastAt + 1);
      send(
        all.map(
          (telling, k) =>
            ({
              ...(whose !== EVERYONE && { cook: whose }),
              ...telling,
              id: crypto.randomUUID(),
              device: deviceName(),
              // In their order, also where they are said at once.
              at: new Date(from + k).toISOString(),
              zone: zoneHere(),
            }) as RunEvent,
        ),
      );
    },
    [lastAt, pace, send, shiftMs, whose],
  );
  const say: Say = useCallback((telling, at) => sayAll([telling], at), [sayAll]);
  const kitchen = useMemo(
    () => (shiftMs === 0 ? undefined : simulatedKitchen(plan, practice?.seed ?? 1, practice?.faults ?? [])),
    [plan, practice, shiftMs],
  );
  usePractice(plan, practice && kitchen, rate, state, answer, sayAll);

  // Whoever pressed last tells how the rest was arranged upon it.
  useEffect(() => {
    if (!answer?.isLast || !answer.arranged || answer.state !== state) return;
    if (state.counted.events.at(-1)?.device === deviceName()) say(answer.arranged);
    // Each answer is told once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [answer]);

  // Which device this is only the browser knows: before that nothing is this one's own.
  const own =
    minute === undefined
      ? []
      : state.counted.events.filter(({ device, kind }) => !NOT_UNDONE.has(kind) && device === deviceName());
  const last = own.at(-1);
  const takenOf = useCallback((task: string) => rest?.solution.tasks.find(({ id }) => id === task)?.taken, [rest]);
  const columns = useMemo(() => model?.columns.filter(({ cook }) => whose === EVERYONE || cook === whose) ?? [], [model, whose]);
  const cooks = peopleIn(plan, state);
  const wanted = [
    ...columns.flatMap(({ name, now }) => now.slice(0, 1).map(({ task }) => `${name}: ${shown.task(task)}`)),
    ...(model?.warnings.map(({ text }) => text) ?? []),
    ...(model?.due ?? []),
  ];
  useVoice(isLoud, wanted.join("\n"));
  const isPractice = shiftMs !== 0;
  const jumpTo = model?.nextMinute;
  const pacedAt = (now: number, at?: string) => say({ kind: "paced", rate: now, wall: new Date().toISOString() }, at);
  const onRate = (now: number) => {
    setRate(now);
    if (!practice) pacedAt(now);
  };
  /** Cooks who press by themselves keep the clock: it stands between what is to be done. */
  const onPractice = (now: Practice | undefined) => {
    setPractice(now);
    pacedAt(now ? 0 : rate);
  };
  const onJump = () => {
    const at = new Date(Date.parse(momentOf(plan, jumpTo!, zoneHere())) - BEFORE_MS).toISOString();
    pacedAt(rate, at);
  };
  const cooked = useMemo(
    () => ({
      ...{ plan, state, made, shown },
      catalogue: catalogueOf(known),
      minute: minute ?? 0,
      gathering: run.gatheringId,
      devices: kitchen && devicesOf(plan, kitchen, state),
    }),
    [plan, state, minute, run.gatheringId, made, known, shown, kitchen],
  );
  return (
    <ThemeProvider theme={isNight ? nightTheme : theme}>
      <CookedDayProvider value={cooked}>
        <Box sx={{ minHeight: "100vh", display: "flex", flexDirection: "column", background: COLOUR.page, color: COLOUR.ink }}>
          <CookHeader {...{ plan, minute, isPractice, cooks, whose, shown }} gathering={run.gatheringId} onWhose={setWhose} />
          <Main
            sx={{
              px: { xs: 1.5, md: 4 },
              py: { xs: 1, md: 2 },
              display: "grid",
              gap: { xs: 1.25, md: 2 },
              alignContent: "start",
            }}
          >
            {(!isOnLine || (unsent > 0 && trouble)) && minute !== undefined && (
              <Banner
                kind="note"
                role="status"
                title={
                  unsent > 0
                    ? `${counted(unsent, "entry")} not sent yet: ${trouble ?? "the line is down"}`
                    : "No line to the server"
                }
              >
                This device goes on by itself and keeps everything; it is sent as soon as the server answers.
              </Banner>
            )}
            {model?.warnings.map(({ text }) => (
              <Banner key={text} kind="caution" role="status">
                {shown.heat(text)}
              </Banner>
            ))}
            <Box
              className="no-print"
              sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", order: { xs: 2, md: 0 } }}
            >
              <Box data-testid="rest" role="status" sx={{ fontSize: "1.1rem", flex: 1, minWidth: 240 }}>
                {model?.isOver ? "The day is over." : (model?.sentence ?? "The rest of the day is being worked out …")}
              </Box>
              {(Object.keys(VIEWS) as View[]).map((one) => (
                <Button
                  key={one}
                  sx={{ minHeight: 44 }}
                  variant={view === one ? "contained" : "outlined"}
                  aria-pressed={view === one}
                  onClick={() => setView(one)}
                >
                  {VIEWS[one]}
                </Button>
              ))}
              <Button sx={{ minHeight: 44 }} aria-pressed={isLoud} onClick={() => setLoud(!isLoud)}>
                {isLoud ? "Sound is on" : "Sound is off"}
              </Button>
              <Button sx={{ minHeight: 44 }} aria-pressed={isNight} onClick={() => setNight(!isNight)}>
                {isNight ? "Light screen" : "Dark screen"}
              </Button>
              {last && (
                <Button
                  variant="outlined"
                  sx={{ minHeight: 44 }}
                  onClick={() => say({ kind: "undone", event: last.id })}
                  {...keyed("u")}
                >
                  Undo the last press
                </Button>
              )}
            </Box>
            {view === "day" && <DayList {...{ plan, state, cooks, whose, shown, facts, say }} rest={rest ?? plan} />}
            {view === "outcome" && <Afterwards run={run.id} {...{ isPractice, say, takeOver }} />}
            {model?.isOver && view === "now" && (
              <Banner kind="note" title="Everything is done.">
                What it came to stands under “What it came to”.
              </Banner>
            )}
            {view === "now" && model && minute !== undefined && (
              <NowView {...{ model, columns, takenOf, say }} isEverybody={whose === EVERYONE} />
            )}
            {isPractice && view === "now" && (
              <PracticeCard
                rate={rate}
                practice={practice}
                onRate={onRate}
                onJump={jumpTo === undefined || practice ? undefined : onJump}
                onPractice={onPractice}
              />
            )}
            <Box className="no-print" sx={{ color: COLOUR.soft, fontSize: "0.85rem", order: 3 }}>
              {isKept && "This page opens without a network too. "}
              <Box component="span" sx={{ display: { xs: "none", md: "inline" } }}>
                Keys:{" "}
                {Object.entries(KEYS)
                  .map(([key, what]) => `${key.toUpperCase()} ${what}`)
                  .join(", ")}
                .
              </Box>
            </Box>
          </Main>
        </Box>
      </CookedDayProvider>
    </ThemeProvider>
  );
}

/** What is no press of a cook's, or takes one back. */
const NOT_UNDONE: ReadonlySet<RunEvent["kind"]> = new Set(["undone", "arranged", "paced"]);
