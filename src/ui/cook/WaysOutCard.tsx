"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import { useEffect, useState } from "react";
import type { Plan } from "@/core/plan/schema";
import { targetName } from "@/core/plan/targets";
import type { RunState } from "@/core/run/replay";
import { totalLate, waysOut, type WayEffect, type WayOut } from "@/core/run/ways-out";
import { lengthText } from "@/core/shared/clock";
import { listed } from "@/core/shared/words";
import { tryWays } from "@/workers/plan.client";
import type { PlanShown } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import type { Say } from "./say";

interface Props {
  readonly plan: Plan;
  readonly state: RunState;
  readonly minute: number;
  readonly late: WayEffect["late"];
  readonly shown: PlanShown;
  readonly say: Say;
}

/** Serving is in danger: what can be done about it, tried out, the best first, each one press. */
export function WaysOutCard({ plan, state, minute, late, shown, say }: Props) {
  const [tried, setTried] = useState<{
    readonly state: RunState;
    readonly effects: readonly WayEffect[];
    readonly isOver: boolean;
  }>();
  const [isAsked, setAsked] = useState(false);
  // What happened since may have changed all of it.
  const effects = tried?.state === state ? tried.effects : [];
  useEffect(() => {
    if (!isAsked) return;
    const run = tryWays(plan, state.counted.events, waysOut(plan, state, late), minute, (effect) =>
      setTried((was) => ({ state, isOver: false, effects: [...(was?.state === state ? was.effects : []), effect] })),
    );
    void run.done.then(() => {
      setAsked(false);
      setTried((was) => ({ state, isOver: true, effects: was?.state === state ? was.effects : [] }));
    });
    return run.cancel;
    // Asked once, of what stands then.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isAsked]);
  const target = (id: string) => targetName(plan, id);
  const ranked = [...effects].sort(
    (a, b) => totalLate(a.late) - totalLate(b.late) || Number(a.way.code === "later") - Number(b.way.code === "later"),
  );
  return (
    <Paper component="section" aria-label="Ways out" sx={{ p: 2, borderTop: `4px solid ${COLOUR.ember}` }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
        <Box sx={{ fontSize: "1.2rem", fontWeight: 650, flex: 1, minWidth: 220 }}>
          {listed(late.map((one) => `${target(one.target)} ${lengthText(one.minutes)} late`))}
        </Box>
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
              <Box sx={{ color: COLOUR.soft }}>
                {effect.way.code === "later"
                  ? "No more is late than that."
                  : effect.late.length === 0
                    ? "Then everything is in time."
                    : `Then ${listed(effect.late.map((one) => `${target(one.target)} is ${lengthText(one.minutes)} late`))}.`}
              </Box>
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

function wayText(way: WayOut, shown: PlanShown, target: (id: string) => string): string {
  switch (way.code) {
    case "warmer":
      return `${shown.task(way.task)}: into a warm place, about ${shown.degrees(way.toC)}`;
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
