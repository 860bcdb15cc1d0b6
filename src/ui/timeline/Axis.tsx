import Box from "@mui/material/Box";
import { lengthText } from "@/core/shared/clock";
import type { Plan, Target } from "@/core/plan/schema";
import { isFreezerDeadline } from "@/core/plan/targets";
import { dayNumber, dayText } from "../plan/plan-summary";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { ticksOf, type TimeScale } from "./scale";

export const AXIS_HEIGHT = 76;

/** Clock time above, time before the next wave below, and the waves themselves as flags. */
export function Axis({
  scale,
  targets,
  plan,
  labelWidth,
}: {
  scale: TimeScale;
  targets: readonly Target[];
  plan: Plan;
  labelWidth: number;
}) {
  const { clock } = usePlanDisplay(plan);
  const ticks = ticksOf(scale);
  const severalDays = scale.pieces.some((p) => dayNumber(plan, p.from) !== dayNumber(plan, scale.pieces[0].from));
  return (
    <Box
      sx={{
        position: "sticky",
        top: 0,
        zIndex: 4,
        height: AXIS_HEIGHT,
        background: COLOUR.card,
        borderBottom: `2px solid ${COLOUR.ink}`,
      }}
    >
      <Box
        sx={{
          position: "sticky",
          left: 0,
          zIndex: 2,
          width: labelWidth,
          height: AXIS_HEIGHT - 2,
          background: COLOUR.card,
          pl: 1.5,
          fontSize: "0.72rem",
          color: COLOUR.soft,
        }}
      >
        <Box sx={{ pt: "41px", lineHeight: "16px" }}>clock</Box>
        <Box sx={{ lineHeight: "16px" }}>before {targets[0]?.name.toLowerCase() ?? "the end"}</Box>
      </Box>
      <Box sx={{ position: "absolute", left: labelWidth, top: 0, right: 0, height: AXIS_HEIGHT - 2 }}>
        {severalDays &&
          scale.pieces
            .filter((p) => !p.folded)
            .map((p) => (
              <Box
                key={p.from}
                style={{ left: p.x + 4 }}
                sx={{ position: "absolute", top: 2, fontSize: "0.74rem", fontWeight: 650, whiteSpace: "nowrap" }}
              >
                {dayText(plan, p.from)}
              </Box>
            ))}
        {ticks.map((minute) => {
          const target = targets[0];
          const before = target ? target.minute - minute : 0;
          const hour = minute % 60 === 0;
          return (
            <Box
              key={minute}
              // In the middle of its minute, but never under the names of the lanes.
              style={{ left: scale.x(minute), transform: `translateX(max(-50%, ${2 - scale.x(minute)}px))` }}
              sx={{
                position: "absolute",
                top: 41,
                textAlign: "center",
                fontSize: "0.72rem",
                lineHeight: "16px",
                color: hour ? COLOUR.ink : COLOUR.soft,
                whiteSpace: "nowrap",
              }}
            >
              <div>{clock(minute)}</div>
              <Box sx={{ color: COLOUR.soft }}>
                {before > 0 ? `−${shortLength(before)}` : before === 0 ? "0" : `+${shortLength(-before)}`}
              </Box>
            </Box>
          );
        })}
        {targets.map((target, i) => (
          <Box
            key={target.id}
            style={{ left: scale.x(target.minute), top: 2 + 19 * (i % 2) }}
            sx={{
              position: "absolute",
              transform: "translateX(-100%)",
              background: isFreezerDeadline(target.id) ? COLOUR.tide : COLOUR.ember,
              color: "#fff",
              px: 0.75,
              borderRadius: "2px 0 0 2px",
              fontSize: "0.74rem",
              fontWeight: 650,
              lineHeight: "18px",
              whiteSpace: "nowrap",
            }}
          >
            {target.name} {clock(target.minute)}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** "45", "2 h", "2½ h": short enough for an axis. */
const shortLength = (minutes: number): string =>
  minutes < 60 ? `${minutes} min` : minutes % 60 === 30 ? `${Math.floor(minutes / 60)}½ h` : lengthText(minutes);

/** Stretches in which nothing happens, folded to a band behind all lanes. */
export function Folds({ scale, labelWidth }: { scale: TimeScale; labelWidth: number }) {
  return (
    <Box
      aria-hidden
      style={{ width: scale.width }}
      sx={{ position: "absolute", left: labelWidth, top: AXIS_HEIGHT, bottom: 0, pointerEvents: "none" }}
    >
      {scale.pieces
        .filter((p) => p.folded)
        .map((p) => (
          <Box
            key={p.from}
            style={{ left: p.x, width: p.width }}
            sx={{
              position: "absolute",
              top: 0,
              bottom: 0,
              background: `repeating-linear-gradient(90deg, ${COLOUR.page} 0 3px, #dfe3de 3px 6px)`,
            }}
          />
        ))}
    </Box>
  );
}

/** Waves and deadlines as lines through all lanes; hours as faint ones. */
export function TargetLines({
  scale,
  targets,
  labelWidth,
}: {
  scale: TimeScale;
  targets: readonly Target[];
  labelWidth: number;
}) {
  return (
    <Box
      aria-hidden
      style={{ width: scale.width }}
      sx={{
        position: "absolute",
        left: labelWidth,
        top: AXIS_HEIGHT,
        bottom: 0,
        pointerEvents: "none",
        zIndex: 2,
      }}
    >
      {ticksOf(scale)
        .filter((m) => m % 60 === 0)
        .map((minute) => (
          <Box
            key={minute}
            style={{ left: scale.x(minute) }}
            sx={{
              position: "absolute",
              top: 0,
              bottom: 0,
              width: "1px",
              background: "rgba(28,38,40,0.07)",
            }}
          />
        ))}
      {targets.map((target) => (
        <Box
          key={target.id}
          style={{ left: scale.x(target.minute) - 1 }}
          sx={{
            position: "absolute",
            top: 0,
            bottom: 0,
            width: "2px",
            background: isFreezerDeadline(target.id) ? COLOUR.tide : COLOUR.ember,
          }}
        />
      ))}
    </Box>
  );
}
