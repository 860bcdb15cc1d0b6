"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonGroup from "@mui/material/ButtonGroup";
import Paper from "@mui/material/Paper";
import { useDeferredValue, useEffect, useMemo, useState, type KeyboardEvent } from "react";
import { usePlanDisplay } from "../plan/use-plan-display";
import { Empty } from "../kit/Empty";
import { itemOrder } from "../gathering/gathering.view-model";
import type { GoodPlan } from "../plan/plan-session";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import { Axis, AXIS_HEIGHT, Folds, TargetLines } from "./Axis";
import { BLOCK_STYLES, LaneRow, Swatch } from "./LaneRow";
import { WaysOut } from "../plan/WaysOut";
import { timeScale } from "./scale";
import { RoomLine } from "./RoomLine";
import { StepPanel } from "./StepPanel";
import { RESTING, timelineModel } from "./timeline.view-model";
import { bottleneckText, planHolds } from "./why";

const LABEL_WIDTH = 124;
const ZOOMS = [
  { name: "Whole plan", factor: 1 },
  { name: "Closer", factor: 2 },
  { name: "Closest", factor: 4 },
] as const;

/** The one timeline: hands first, then what heats, what is cold and what rests; everything runs towards the waves. */
export function TimelineView() {
  const { good, work, source, latest } = usePlan();
  const { clock, degrees } = usePlanDisplay(good?.plan);
  const [zoom, setZoom] = useState(0);
  const [selected, setSelected] = useState<string | undefined>(undefined);
  const [width, setWidth] = useState(1100);
  const [frame, setFrame] = useState<HTMLElement | null>(null);
  const model = useMemo(() => (good && good.plan.solution.tasks.length > 0 ? timelineModel(good.plan) : undefined), [good]);
  const scale = useMemo(
    () => model && timeScale(model.busy, { fit: (width - LABEL_WIDTH - 14) * ZOOMS[zoom].factor }),
    [model, width, zoom],
  );
  const order = useMemo(() => itemOrder(source.items), [source.items]);

  useEffect(() => {
    if (!frame) return;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.max(480, Math.floor(entry.contentRect.width))));
    observer.observe(frame);
    return () => observer.disconnect();
  }, [frame]);

  if (!good || !model || !scale) {
    const empty = latest && latest.quantities.demands.length === 0;
    return (
      <div ref={setFrame}>
        <Empty title={empty ? "Nothing to plan yet" : work.kind === "refused" ? "No plan to show" : "Looking for a timetable"}>
          {empty
            ? "Add items to a wave or to the freezer on the Gathering page."
            : work.kind === "refused"
              ? "What stands in the way is said above. Change the gathering and a new plan is looked for at once."
              : "The first plan appears here as soon as it is found."}
        </Empty>
      </div>
    );
  }
  const firstRest = model.lanes.findIndex(({ group }) => group === RESTING);
  const chosen = selected && good.plan.tasks[selected] ? selected : undefined;
  const made = chosen ? good.request.items.find(({ id }) => id === good.plan.tasks[chosen].item) : undefined;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: chosen ? { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) 330px" } : "minmax(0, 1fr)",
        gap: 2,
        alignItems: "start",
      }}
    >
      <Box ref={setFrame} sx={{ minWidth: 0 }}>
        <Box
          sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", mb: 1, fontSize: "0.8rem", color: COLOUR.soft }}
        >
          <Swatch kind="hands">hands at work</Swatch>
          <Swatch kind="passive">runs by itself</Swatch>
          <Swatch kind="wait">waits</Swatch>
          <Swatch kind="window">a rest may end from ▸ to ◂</Swatch>
          <Swatch kind="closed">not there</Swatch>
          <Tightest good={good} />
          <ButtonGroup size="small" sx={{ ml: "auto" }} aria-label="Zoom">
            {ZOOMS.map(({ name }, i) => (
              <Button
                key={name}
                variant={i === zoom ? "contained" : "outlined"}
                aria-pressed={i === zoom}
                onClick={() => setZoom(i)}
              >
                {name}
              </Button>
            ))}
          </ButtonGroup>
        </Box>
        <Box
          role="region"
          aria-label="Timeline"
          onKeyDown={moveBetweenBlocks}
          sx={{
            overflow: "auto",
            // What is brought into view by a key or a link does not end under the clock or the names of the lanes.
            scrollPadding: `${AXIS_HEIGHT + 6}px 8px 8px ${LABEL_WIDTH + 8}px`,
            maxHeight: "calc(100vh - 190px)",
            border: `1px solid ${COLOUR.line}`,
            borderRadius: "4px",
            background: COLOUR.card,
            overscrollBehavior: "contain",
            ...BLOCK_STYLES,
          }}
        >
          <Box style={{ width: LABEL_WIDTH + scale.width + 10 }} sx={{ position: "relative", minWidth: "100%" }}>
            <Axis scale={scale} targets={model.targets} plan={good.plan} labelWidth={LABEL_WIDTH} />
            <Folds scale={scale} labelWidth={LABEL_WIDTH} />
            <TargetLines scale={scale} targets={model.targets} labelWidth={LABEL_WIDTH} />
            {model.lanes.map((lane, i) => (
              <LaneRow
                key={lane.id}
                lane={lane}
                heading={i === 0 || model.lanes[i - 1].group !== lane.group ? lane.group : undefined}
                {...(i === firstRest && {
                  under: <RoomLine kitchen={good.request.kitchen} scale={scale} labelWidth={LABEL_WIDTH} degrees={degrees} />,
                })}
                scale={scale}
                labelWidth={LABEL_WIDTH}
                toneIndex={order}
                nameOf={(item) => source.items.find((x) => x.id === item)?.name ?? item}
                selected={chosen}
                onSelect={setSelected}
                clock={clock}
                timeText={(block) => `${clock(block.start)} to ${clock(block.end)}`}
              />
            ))}
          </Box>
        </Box>
        <Paper sx={{ p: 1.5, mt: 2 }}>
          <WaysOut title="What would help?" request={good.request} base={good.plan} />
        </Paper>
      </Box>
      {chosen && (
        <StepPanel
          plan={good.plan}
          task={chosen}
          toneIndex={order}
          made={made}
          kitchen={good.request.kitchen}
          onClose={() => setSelected(undefined)}
          onSelect={setSelected}
        />
      )}
    </Box>
  );
}

/** The resource that most tasks wait for. Worked out once the timeline is drawn: the cook looks at that first. */
function Tightest({ good }: { good: GoodPlan }) {
  // Nothing at first, so that a plan is drawn before this is worked out; `undefined` would mean no such wish.
  const drawn = useDeferredValue<GoodPlan | null>(good, null);
  const tight = useMemo(() => drawn && bottleneckText(drawn.plan, planHolds(drawn.plan)), [drawn]);
  if (!tight) return null;
  return (
    <Box data-testid="bottleneck" sx={{ color: COLOUR.ink }}>
      <Box component="span" sx={{ color: COLOUR.soft }}>
        Tightest:{" "}
      </Box>
      {tight}
    </Box>
  );
}

/** Arrow keys: left and right along a lane, up and down to the nearest block of the next lane. */
function moveBetweenBlocks(event: KeyboardEvent<HTMLElement>): void {
  const current = (event.target as HTMLElement).closest<HTMLElement>("[data-block]");
  if (!current || !["ArrowLeft", "ArrowRight", "ArrowUp", "ArrowDown"].includes(event.key)) return;
  event.preventDefault();
  const lane = current.closest<HTMLElement>("[data-lane]")!;
  const blocksOf = (element: Element) => [...element.querySelectorAll<HTMLElement>("[data-block]")];
  const middle = (element: HTMLElement) => element.getBoundingClientRect().left + element.getBoundingClientRect().width / 2;
  if (event.key === "ArrowLeft" || event.key === "ArrowRight") {
    const row = blocksOf(lane).sort((a, b) => middle(a) - middle(b));
    row[row.indexOf(current) + (event.key === "ArrowLeft" ? -1 : 1)]?.focus();
    return;
  }
  const lanes = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-lane]")].filter((l) =>
    l.querySelector("[data-block]"),
  );
  const next = lanes[lanes.indexOf(lane) + (event.key === "ArrowUp" ? -1 : 1)];
  if (next)
    blocksOf(next)
      .reduce((best, block) =>
        Math.abs(middle(block) - middle(current)) < Math.abs(middle(best) - middle(current)) ? block : best,
      )
      .focus();
}
