import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { doseTexts } from "@/core/item/doses";
import { stepIn } from "@/core/plan/schema";
import type { RunningClock } from "@/core/run/stand";
import { lengthText } from "@/core/shared/clock";
import { takenLines } from "../plan/taken-weights";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { CoreCheck } from "./CoreCheck";
import { gatesAt } from "./gates-at";
import { GatesHere } from "./GatesHere";
import { LidLocked } from "./LidLocked";
import { lockIn } from "./lock";
import type { Say } from "./say";
import { Warmth } from "./Warmth";

const PRESS = { minHeight: 44 } as const;
const RING = 56;
/** What goes too far tomorrow is no matter of today. */
const SAID_AHEAD_MIN = 12 * 60;

interface Props {
  readonly clocks: readonly RunningClock[];
  readonly say: Say;
}

/** Where a rise waits that was ready too early. */
const HELD_TEXT = { fridge: "in the fridge", "knocked-back": "knocked back, rising once more", warm: "kept hot" } as const;

/** What runs without hands: a ring that fills towards ready, when to look, and the answer to the look. */
export function ClockList({ clocks, say }: Props) {
  const day = useCookedDay();
  const { plan, state, minute, made, catalogue, shown } = day;
  const { task, clock, degrees } = shown;
  // Said to be right before its time: what is looked at is asked first.
  const [asked, setAsked] = useState<string>();
  const dosesIn = (id: string): string[] => {
    const step = stepIn(plan, id);
    return step?.doses ? doseTexts(step, takenLines(plan, id, step, made[plan.tasks[id].item]), catalogue) : [];
  };
  if (clocks.length === 0) return <Box sx={{ color: COLOUR.soft }}>Nothing runs by itself just now.</Box>;
  const sorted = [...clocks].sort((a, b) => a.lookAt - b.lookAt);
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1.5 }}>
      {sorted.map((one) => {
        const isDue = minute >= one.lookAt;
        const wantedC = stepIn(plan, one.task)?.coreC;
        const core = wantedC === undefined ? undefined : { wantedC, measuredC: state.tasks.get(one.task)?.coreC };
        const isShort = core !== undefined && !(core.measuredC !== undefined && core.measuredC >= core.wantedC);
        const { isShut, isUnasked } = gatesAt(day, one.task);
        const isAsked = isDue || one.task === asked;
        const lock = lockIn(plan, state, one, minute);
        return (
          <Box
            component="li"
            key={one.task}
            aria-label={task(one.task)}
            sx={{
              display: "flex",
              gap: 1.5,
              background: COLOUR.card,
              border: `1px solid ${isDue ? COLOUR.ember : COLOUR.line}`,
              p: 1.5,
            }}
          >
            <Ring
              share={(minute - one.since) / Math.max(1, one.target - one.since)}
              isOver={one.tooFar !== undefined && minute > one.tooFar}
            />
            <Box sx={{ minWidth: 0, flex: 1 }}>
              <Box sx={{ fontWeight: 650, fontSize: "1.05rem", overflowWrap: "anywhere" }}>{task(one.task)}</Box>
              <Box sx={{ color: isDue ? COLOUR.ember : COLOUR.soft, fontWeight: isDue ? 650 : 400 }}>
                {isDue ? "Look now" : `Look at ${clock(one.lookAt)}`} · ready about {clock(one.target)} (
                {one.target > minute ? `in ${lengthText(one.target - minute)}` : "any moment"})
                {one.tooFar !== undefined && one.tooFar - minute < SAID_AHEAD_MIN && ` · too far from ${clock(one.tooFar)}`}
              </Box>
              {one.held && <Box sx={{ fontWeight: 600 }}>{HELD_TEXT[one.held]}</Box>}
              {dosesIn(one.task).map((text) => (
                <Box key={text}>{text}</Box>
              ))}
              {lock && <LidLocked task={one.task} reason={lock.reason} until={clock(lock.until)} say={say} />}
              {plan.tasks[one.task].rise && <Warmth task={one.task} say={say} />}
              {core && isDue && !lock && <CoreCheck key={one.task} task={one.task} {...core} degrees={degrees} say={say} />}
              {isAsked && <GatesHere task={one.task} say={say} />}
              <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1 }}>
                {!isShort && !lock && (
                  <Button
                    variant={isDue ? "contained" : "outlined"}
                    sx={PRESS}
                    disabled={isShut || (isAsked && isUnasked)}
                    onClick={() => (isUnasked ? setAsked(one.task) : say({ kind: "checked", task: one.task, seen: "right" }))}
                  >
                    It is right
                  </Button>
                )}
                {!lock && (
                  <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "checked", task: one.task, seen: "early" })}>
                    Not yet
                  </Button>
                )}
                <Button
                  variant="outlined"
                  sx={PRESS}
                  aria-label={`${task(one.task)}: 5 min more`}
                  onClick={() => say({ kind: "extended", task: one.task, minutes: 5 })}
                >
                  +5
                </Button>
              </Box>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** Fills towards ready; over the mark it is drawn whole and in the colour of heat. */
function Ring({ share, isOver }: { share: number; isOver: boolean }) {
  const radius = RING / 2 - 5;
  const round = 2 * Math.PI * radius;
  const filled = Math.min(1, Math.max(0, share));
  return (
    <svg width={RING} height={RING} aria-hidden style={{ flex: "none" }}>
      <circle cx={RING / 2} cy={RING / 2} r={radius} fill="none" stroke={COLOUR.line} strokeWidth={6} />
      <circle
        cx={RING / 2}
        cy={RING / 2}
        r={radius}
        fill="none"
        stroke={isOver ? COLOUR.ember : COLOUR.tide}
        strokeWidth={6}
        strokeDasharray={`${round * filled} ${round}`}
        transform={`rotate(-90 ${RING / 2} ${RING / 2})`}
      />
    </svg>
  );
}
