import Box from "@mui/material/Box";
import { roomAt } from "@/core/kitchen/room";
import type { Kitchen } from "@/core/kitchen/schema";
import { MINUTES_A_DAY, minutesOfClock } from "@/core/shared/clock";
import { COLOUR } from "../theme/tokens";

const WIDTH = 480;
const HEIGHT = 120;
/** The least and the most that is drawn, °C. */
const LOW = 10;
const HIGH = 35;

/** How warm the room is through a day. */
export function RoomCurve({ roomC }: Pick<Kitchen, "roomC">) {
  // What is still being typed is left out.
  const bands = roomC.filter(({ from, to, c }) => Number.isFinite(c) && [from, to].every((t) => minutesOfClock(t) !== undefined));
  if (bands.length === 0) return null;
  const y = (c: number) => HEIGHT - ((Math.min(HIGH, Math.max(LOW, c)) - LOW) / (HIGH - LOW)) * HEIGHT;
  const points = Array.from({ length: 97 }, (_, i) => {
    const minute = Math.min(MINUTES_A_DAY - 1, i * 15);
    return `${(i / 96) * WIDTH},${y(roomAt({ roomC: bands }, minute))}`;
  });
  return (
    <Box
      component="svg"
      role="img"
      aria-label="Room temperature through the day"
      viewBox={`-30 -8 ${WIDTH + 40} ${HEIGHT + 28}`}
      sx={{ width: "100%", height: "auto", display: "block" }}
    >
      {[10, 15, 20, 25, 30, 35].map((c) => (
        <g key={c}>
          <line x1={0} x2={WIDTH} y1={y(c)} y2={y(c)} stroke={COLOUR.line} strokeWidth={c === 20 ? 1.5 : 0.7} />
          <text x={-6} y={y(c) + 4} textAnchor="end" fontSize={11} fill={COLOUR.soft}>
            {c}°
          </text>
        </g>
      ))}
      {[0, 6, 12, 18, 24].map((h) => (
        <text key={h} x={(h / 24) * WIDTH} y={HEIGHT + 16} textAnchor="middle" fontSize={11} fill={COLOUR.soft}>
          {String(h).padStart(2, "0")}:00
        </text>
      ))}
      <polyline points={points.join(" ")} fill="none" stroke={COLOUR.ember} strokeWidth={2.5} strokeLinejoin="round" />
    </Box>
  );
}
