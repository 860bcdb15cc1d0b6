"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { memo, type ReactNode } from "react";
import { isProvisional } from "@/core/item/gaps";
import { isProvenNo, type Note } from "@/core/plan/schema";
import { lengthText } from "@/core/shared/clock";
import { guestTotal } from "@/core/gathering/headcount";
import { counted } from "@/core/shared/words";
import { issueText } from "@/core/shared/issue-text";
import { Banner } from "../kit/Banner";
import { DisplayMenu } from "../kit/DisplayMenu";
import { Tab } from "../kit/Tab";
import { Main } from "../kit/Main";
import { ConflictDialog } from "../session/ConflictDialog";
import { SavingState } from "../session/SavingState";
import { COLOUR } from "../theme/tokens";
import { usePlanDisplay } from "./use-plan-display";
import { dateText, momentText, summarise } from "./plan-summary";
import { refusedIn, type Work } from "./plan-session";
import { changedParts } from "../kitchen/kitchen-text";
import { useDraft, usePlan } from "./PlanProvider";
import { WaysOut } from "./WaysOut";

const VIEWS = [
  { path: "", name: "Gathering" },
  { path: "/quantities", name: "Quantities" },
  { path: "/timeline", name: "Timeline" },
  { path: "/cook", name: "Cook" },
] as const;

/** The frame of every view of one gathering: where you are, what the day comes to, and whether it can be done. */
export function GatheringShell({ id, children }: { id: string; children: ReactNode }) {
  const path = usePathname();
  const form = useDraft();
  const { draft, canUndo, undo, conflict, resolve } = form;
  const { latest, work, stale, stop, good, goOn } = usePlan();
  const mayBeBetter = !stale && work.kind === "idle" && good?.plan.solution.status === "feasible";
  const mayBeFound = work.kind === "refused" && !isProvenNo(work.plan);
  const base = `/g/${id}`;
  return (
    <Box sx={{ minHeight: "100vh", display: "flex", flexDirection: "column" }}>
      <Box component="header" sx={{ background: COLOUR.tideDeep, color: "#fff", px: { xs: 2, md: 4 }, pt: 1.5 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
          <Box
            component={Link}
            href="/"
            sx={{ color: "#bfe0dc", textDecoration: "none", fontWeight: 600, fontSize: "0.875rem", py: 1 }}
          >
            Unisynth
          </Box>
          <Typography variant="h1" sx={{ minWidth: 0, overflowWrap: "anywhere" }}>
            {draft.name || "Unnamed gathering"}
          </Typography>
          <Box sx={{ color: "#cfe3e0", fontSize: "0.875rem" }}>
            {latest && whenText(latest.quantities.days.date, latest.request.kitchen.name)}
          </Box>
          <Box
            sx={{
              ml: "auto",
              display: "flex",
              flexWrap: "wrap",
              alignItems: "center",
              gap: 2,
              rowGap: 0.5,
              fontSize: "0.8rem",
              color: "#cfe3e0",
            }}
          >
            <DisplayMenu />
            <Button
              size="small"
              onClick={undo}
              disabled={!canUndo}
              sx={{ color: "#fff", "&.Mui-disabled": { color: "#7fa5a1" } }}
            >
              Undo
            </Button>
            <SavingState form={form} name="the gathering" />
          </Box>
        </Box>
        <Box component="nav" aria-label="Views" sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1 }}>
          {VIEWS.map((view) => (
            <Tab key={view.name} href={base + view.path} name={view.name} here={path === base + view.path} />
          ))}
          <WorkState work={work} stale={stale} onStop={stop} onGoOn={mayBeBetter || mayBeFound ? goOn : undefined} />
        </Box>
      </Box>
      {conflict && <ConflictDialog key={conflict.theirs.revision} conflict={conflict} onResolve={resolve} />}
      <AnswerStrip />
      <Main sx={{ flex: 1, px: { xs: 2, md: 4 }, pb: 4, minWidth: 0 }}>{children}</Main>
    </Box>
  );
}

const whenText = (date: string, kitchen: string): string => `${dateText(date)} · ${kitchen}`;

/** What the day comes to, before any detail: when it begins, how the hands are used, when it is served; and a plain no. */
const AnswerStrip = memo(function AnswerStrip() {
  const { good, latest, stale, work, checked, notKept, goesOn, goOn, keepAgain, source, takeKitchenOver } = usePlan();
  const shown = usePlanDisplay(good?.plan);
  const { clock } = shown;
  const refusal = refusedIn(work);
  const refused = usePlanDisplay(refusal);
  const summary = good && summarise(good.plan);
  const provisional = (good?.request.items ?? []).filter(isProvisional).map((item) => item.name);
  const targets = good?.plan.day.targets ?? [];
  const isSearching = work.kind === "searching" || work.kind === "improving";
  const isSaid = ({ code }: Note) => !isSearching || !OF_THE_TIMETABLE.has(code);
  const goal = targets[0];
  return (
    <Box sx={{ px: { xs: 2, md: 4 }, py: 1.5, display: "flex", flexDirection: "column", gap: 1 }}>
      {summary && good && (
        <Box
          component="section"
          aria-label="The day in short"
          sx={{
            display: "flex",
            flexWrap: "wrap",
            columnGap: 4,
            rowGap: 0.5,
            alignItems: "baseline",
          }}
        >
          {stale && !refusal && <Soft>as it was before:</Soft>}
          <Fact label="Hands on from" testId="first-start">
            {momentText(good.plan, summary.firstStart, summary.severalDays, clock)}
            {goal && (
              <Soft>
                {" "}
                {lengthText(goal.minute - summary.firstStart)} before {goal.name.toLowerCase()}
              </Soft>
            )}
          </Fact>
          {targets.map((target) => (
            <Fact key={target.id} label={target.name}>
              {momentText(good.plan, target.minute, summary.severalDays, clock)}
            </Fact>
          ))}
          <Fact label="Hands busy">
            {summary.cooks
              .filter((cook) => cook.there > 0)
              .map((cook) => `${cook.name} ${Math.round((100 * cook.busy) / cook.there)} %`)
              .join(" · ")}
          </Fact>
          {provisional.length > 0 && <Fact label="Provisional">{provisional.join(", ")}</Fact>}
        </Box>
      )}
      {good && !summary && !stale && <Soft>Nothing to make yet: add an item to a wave or to the freezer.</Soft>}
      {refusal && (
        <Banner
          kind="refused"
          role="alert"
          title={
            work.kind !== "refused"
              ? "There was no plan; looking whether there is one now"
              : isProvenNo(refusal)
                ? "This does not fit the kitchen and its hours"
                : "The time was over before a plan was found"
          }
        >
          {refused.refusal().map((line) => (
            <div key={line}>{line}</div>
          ))}
          {good && <div>The plan shown is the last one that works{guestsOf(good.request.gathering)}.</div>}
        </Banner>
      )}
      {source.planned && (
        <Banner kind="note" role="status" title={`${source.planned.name} has changed since this was planned`}>
          {changedParts(source).join(", ")}. The plan keeps to the kitchen as it was.
          <Button size="small" variant="outlined" onClick={takeKitchenOver} sx={{ ml: 1 }}>
            Plan with it as it is now
          </Button>
        </Banner>
      )}
      {latest && <WaysOut title="Ways out" request={latest.request} base={undefined} closed={work.kind !== "refused"} />}
      {work.kind === "failed" && (
        <Banner kind="refused" role="alert" title="The planner broke down">
          {issueText(work.issue, "Looking for a timetable")}. Nothing you typed is lost.
          <Button size="small" variant="outlined" onClick={goOn} sx={{ ml: 1 }}>
            Try again
          </Button>
        </Banner>
      )}
      {notKept && (
        <Banner kind="caution" role="alert" title="The plan shown is not kept">
          {issueText(notKept, notKept.path.length === 0 ? "Keeping it" : undefined)}. It is gone when this page is closed.
          <Button size="small" variant="outlined" onClick={keepAgain} sx={{ ml: 1 }}>
            Try again
          </Button>
        </Banner>
      )}
      {goesOn && (
        <Banner kind="note" role="status">
          The search for this plan was cut off when the page was left; it goes on from where it was.
        </Banner>
      )}
      {!checked.ok && source.items.length > 0 && (
        <Banner kind="caution" title="A field needs you; the plan waits">
          {checked.issues.length === 1 ? "It is marked below." : `${checked.issues.length} fields are marked below.`}
        </Banner>
      )}
      {good?.plan.notes.filter(isSaid).map((note) => (
        <Banner key={note.code + note.about.join()} kind="caution">
          {shown.note(note)}
        </Banner>
      ))}
    </Box>
  );
});

/** What a better timetable may mend is said once the search is over: said and taken back, it would move the page under a hand. */
const OF_THE_TIMETABLE: ReadonlySet<Note["code"]> = new Set(["out-of-cold", "first-too-far", "no-time-to-rise"]);

const guestsOf = (gathering: Parameters<typeof guestTotal>[0]): string => {
  const total = guestTotal(gathering);
  return total > 0 ? `, for ${counted(total, "guest")}` : "";
};

function Fact({ label, children, testId }: { label: string; children: ReactNode; testId?: string }) {
  return (
    <Box>
      <Box component="span" sx={{ color: COLOUR.soft, fontSize: "0.8rem", mr: 0.75 }}>
        {label}
      </Box>
      <Box component="span" data-testid={testId} sx={{ fontWeight: 650 }}>
        {children}
      </Box>
    </Box>
  );
}

const Soft = ({ children }: { children: ReactNode }) => (
  <Box component="span" sx={{ color: COLOUR.soft, fontWeight: 400 }}>
    {children}
  </Box>
);

function stateText(work: Work, stale: boolean): string {
  switch (work.kind) {
    case "searching": {
      const { progress } = work;
      return `Looking for a timetable${progress ? `: ${progress.placed} of ${progress.tasks} tasks have a place` : " …"}`;
    }
    case "improving":
      return "The plan fits; making it fresher and shorter …";
    case "refused":
      return isProvenNo(work.plan) ? "No plan for this" : "No plan found";
    case "failed":
      return "The planner broke down";
    case "idle":
      return stale ? "Waiting for the form" : "The plan fits";
  }
}

/** What the planner is doing, in words; a bar while it has no answer yet. */
interface WorkProps {
  readonly work: Work;
  readonly stale: boolean;
  readonly onStop: () => void;
  /** Undefined where the plan is proven to be the best, or it is proven that there is none. */
  readonly onGoOn: (() => void) | undefined;
}

function WorkState({ work, stale, onStop, onGoOn }: WorkProps) {
  const progress = "progress" in work ? work.progress : undefined;
  return (
    <Box sx={{ ml: "auto", display: "flex", alignItems: "center", gap: 1.5, minHeight: 36, fontSize: "0.9rem" }}>
      {work.kind === "searching" && (
        <LinearProgress
          aria-label="Looking for a timetable"
          variant={progress ? "determinate" : "indeterminate"}
          value={progress ? (100 * progress.placed) / progress.tasks : undefined}
          sx={{ width: 120 }}
        />
      )}
      <Box
        role="status"
        data-testid="plan-state"
        sx={{
          fontWeight: 600,
          color: work.kind === "refused" ? "#ffb199" : stale || work.kind !== "idle" ? "#cfe3e0" : "#b9e6b4",
        }}
      >
        {stateText(work, stale)}
      </Box>
      {(work.kind === "searching" || work.kind === "improving") && (
        <Button size="small" variant="outlined" onClick={onStop} sx={{ color: "#fff", borderColor: "#bfe0dc", minHeight: 32 }}>
          {work.kind === "improving" ? "Good enough" : "Stop"}
        </Button>
      )}
      {onGoOn && (
        <Button size="small" variant="outlined" onClick={onGoOn} sx={{ color: "#fff", borderColor: "#bfe0dc", minHeight: 32 }}>
          {work.kind === "refused" ? "Look longer" : "Look for a better one"}
        </Button>
      )}
    </Box>
  );
}
