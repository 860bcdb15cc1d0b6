import Box from "@mui/material/Box";
import type { Kitchen } from "@/core/kitchen/schema";
import { roomAt } from "@/core/kitchen/room";
import { COLOUR } from "../theme/tokens";
import type { TimeScale } from "./scale";

const HEIGHT = 34;
const STEP_MIN = 15;
/** A stretch narrower than this has no figure, px. */
const LEAST_LABEL = 34;

interface Props {
  readonly kitchen: Pick<Kitchen, "roomC">;
  readonly scale: TimeScale;
  readonly labelWidth: number;
  readonly degrees: (celsius: number) => string;
}

/** Stretches of a day in which the room has one temperature, within what is drawn. */
function stretches(kitchen: Props["kitchen"], scale: TimeScale): { from: number; to: number; c: number }[] {
  const all: { from: number; to: number; c: number }[] = [];
  for (const piece of scale.pieces.filter(({ folded }) => !folded))
    for (let minute = piece.from; minute < piece.to; minute = Math.floor(minute / STEP_MIN + 1) * STEP_MIN) {
      const c = roomAt(kitchen, minute);
      const to = Math.min(piece.to, Math.floor(minute / STEP_MIN + 1) * STEP_MIN);
      const last = all.at(-1);
      if (last && last.to === minute && last.c === c) last.to = to;
      else all.push({ from: minute, to, c });
    }
  return all;
}

/** How warm the room is along the day: what rises and rests in it follows. */
export function RoomLine({ kitchen, scale, labelWidth, degrees }: Props) {
  const all = stretches(kitchen, scale);
  const [least, most] = [Math.min(...all.map(({ c }) => c)), Math.max(...all.map(({ c }) => c))];
  const y = (c: number) => (most === least ? HEIGHT / 2 : HEIGHT - 7 - ((c - least) / (most - least)) * (HEIGHT - 16));
  return (
    <Box
      role="group"
      aria-label={`Room: ${all
        .map(({ c }) => degrees(c))
        .filter((one, k, every) => every[k - 1] !== one)
        .join(", then ")}`}
      sx={{ display: "flex", borderBottom: `1px solid ${COLOUR.line}`, height: HEIGHT + 2 }}
    >
      <Box
        style={{ width: labelWidth }}
        sx={{
          flex: "none",
          position: "sticky",
          left: 0,
          zIndex: 3,
          background: COLOUR.card,
          borderRight: `1px solid ${COLOUR.line}`,
          pl: 1.5,
          display: "flex",
          alignItems: "center",
          fontSize: "0.8rem",
          fontWeight: 600,
        }}
      >
        Room
      </Box>
      <Box aria-hidden style={{ width: scale.width }} sx={{ position: "relative" }}>
        {all.map(({ from, to, c }) => {
          const [left, right] = [scale.x(from), scale.x(to)];
          return (
            <Box
              key={from}
              style={{ left, width: Math.max(1, right - left), top: y(c) }}
              sx={{ position: "absolute", borderTop: `2px solid ${COLOUR.ember}` }}
            >
              {right - left >= LEAST_LABEL && (
                <Box
                  component="span"
                  sx={{
                    position: "absolute",
                    left: 4,
                    bottom: 1,
                    fontSize: "0.72rem",
                    lineHeight: 1,
                    color: COLOUR.soft,
                    whiteSpace: "nowrap",
                  }}
                >
                  {degrees(c)}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
