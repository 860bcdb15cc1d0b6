"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import { useEffect, useState, type ReactNode } from "react";
import { targetName } from "@/core/plan/targets";
import type { RunState } from "@/core/run/run-state";
import { totalLate, type WayEffect, type WayOut } from "@/core/run/ways-out";
import { heldHotC } from "@/core/process/safety";
import { lengthText } from "@/core/shared/clock";
import { capitalised, listed } from "@/core/shared/words";
import { tryWays } from "@/workers/plan.client";
import type { PlanShown } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

interface Props {
  readonly label: string;
  readonly title: ReactNode;
  /** What can be done, to be tried when somebody asks. */
  readonly ways: () => readonly WayOut[];
  readonly say: Say;
}

/** Something that can be done in several ways: tried out when asked, the best first, each one press. */
export function WaysCard({ label, title, ways, say }: Props) {
  const { plan, state, minute, shown } = useCookedDay();
  const [tried, setTried] = useState<{ readonly state: RunState; readonly effects: readonly WayEffect[] }>();
  const [isAsked, setAsked] = useState(false);
  // What happened since may have changed all of it.
  const effects = tried?.state === state ? tried.effects : [];
  useEffect(() => {
    if (!isAsked) return;
    const run = tryWays(plan, state.counted.events, ways(), minute, (effect) =>
      setTried((was) => ({ state, effects: [...(was?.state === state ? was.effects : []), effect] })),
    );
    void run.done.then(() => setAsked(false));
    return run.cancel;
    // Asked once, of what stands then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isAsked]);
  const target = (id: string) => targetName(plan, id);
  const ranked = [...effects].sort(
    (a, b) =>
      totalLate(a.late) - totalLate(b.late) ||
      a.broken - b.broken ||
      Number(a.way.code === "later") - Number(b.way.code === "later"),
  );
  return (
    <Paper component="section" aria-label={label} sx={{ p: 2, borderTop: `4px solid ${COLOUR.ember}` }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
        <Box sx={{ fontSize: "1.2rem", fontWeight: 650, flex: 1, minWidth: 220 }}>{title}</Box>
        <Button variant="contained" sx={{ minHeight: 44 }} disabled={isAsked} onClick={() => setAsked(true)}>
          {isAsked ? "Trying …" : "What can be done?"}
        </Button>
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {ranked.map((effect) => (
          <Box
            component="li"
            key={JSON.stringify(effect.way.tell)}
            sx={{ display: "flex", gap: 2, alignItems: "center", py: 0.75, flexWrap: "wrap" }}
          >
            <Box sx={{ flex: 1, minWidth: 220, fontSize: "1.05rem" }}>
              {wayText(effect.way, shown, target)}
              <Box sx={{ color: COLOUR.soft }}>{effectText(effect, shown, target)}</Box>
            </Box>
            <Button variant="outlined" sx={{ minHeight: 44 }} onClick={() => say(effect.way.tell)}>
              Do this
            </Button>
          </Box>
        ))}
      </Box>
    </Paper>
  );
}

function effectText({ way, late, broken, next, coldMin }: WayEffect, shown: PlanShown, target: (id: string) => string): string {
  if (way.code === "later") return "No more is late than that.";
  const all = [
    late.length === 0
      ? "then everything is in time"
      : `then ${listed(late.map((one) => `${target(one.target)} is ${lengthText(one.minutes)} late`))}`,
    ...(broken > 0 ? ["something waits longer than it should"] : []),
    ...(next ? [`${shown.task(next.task)} begins ${shown.clock(next.at)}`] : []),
    ...(coldMin !== undefined && coldMin > 0 ? [`out of the cold for ${lengthText(coldMin)} before its heat`] : []),
  ].join("; ");
  return `${capitalised(all)}.`;
}

function wayText(way: WayOut, shown: PlanShown, target: (id: string) => string): string {
  switch (way.code) {
    case "warmer":
      return `${shown.task(way.task)}: into a warm place, about ${shown.degrees(way.toC)}`;
    case "two-trays":
      return "Two trays at once in the oven, a little longer, changed about half way";
    case "keep-warm":
      return `${shown.task(way.task)}: kept hot until the rest is ready, at ${shown.degrees(KEPT_HOT_C)} or more; local rules come first`;
    case "go-on":
      return "It is ready: on with it";
    case "into-fridge":
      return "Covered, into the fridge until its time";
    case "knock-back":
      return "Knock it back: it rises once more, in about half the time";
    case "freezer":
      return `Not today: ${shown.task(way.task)}. The pieces go raw into the freezer`;
    case "hands":
      return "Somebody lends a hand";
    case "stays":
      return "Whoever left comes back";
    case "later":
      return way.isWhole
        ? `${target(way.target)} is served ${lengthText(way.minutes)} later`
        : `${target(way.target)} in two goes: what is ready at its time, the rest up to ${lengthText(way.minutes)} later`;
  }
}

/** Food that is kept hot: usual guidance of the stricter list. */
const KEPT_HOT_C = heldHotC("uk");
