import Box from "@mui/material/Box";
import { COLOUR } from "../theme/tokens";

/** Of everything that is drawn here: so many mm are one pixel. */
const MM_A_PIXEL = 3.6;
/** Pieces that are drawn at the most: beyond them the figure beside it counts. */
const MOST_DRAWN = 80;

/** Something of a kitchen from above, all to one scale, with pieces on it. */
export function Scale({ shape, pieces, inside }: { shape: Shape; pieces?: number | undefined; inside?: Shape | undefined }) {
  const outer = sizeOf(shape);
  const inner = inside && sizeOf(inside);
  const width = outer[0] / MM_A_PIXEL;
  const height = outer[1] / MM_A_PIXEL;
  const ground =
    inner && inside
      ? { w: inner[0] / MM_A_PIXEL, h: inner[1] / MM_A_PIXEL, round: typeof inside === "number" }
      : { w: width, h: height, round: typeof shape === "number" };
  const left = (width - ground.w) / 2;
  const top = (height - ground.h) / 2;
  return (
    <Box
      component="svg"
      aria-hidden
      viewBox={`-1 -1 ${width + 2} ${height + 2}`}
      sx={{ width: width + 2, maxWidth: "100%", height: "auto", display: "block" }}
    >
      <Outline width={width} height={height} round={typeof shape === "number"} fill={inner ? "#f7f8f6" : COLOUR.tideMist} />
      {inner && (
        <g transform={`translate(${left} ${top})`}>
          <Outline width={ground.w} height={ground.h} round={ground.round} fill={COLOUR.tideMist} />
        </g>
      )}
      {spots(ground.w, ground.h, ground.round, Math.min(MOST_DRAWN, pieces ?? 0)).map(([x, y, r], i) => (
        <circle key={i} cx={left + x} cy={top + y} r={r} fill="#f3e3c3" stroke="#8a5a14" />
      ))}
    </Box>
  );
}

/** Length and width, or across, mm. */
export type Shape = readonly [number, number] | number;
const sizeOf = (shape: Shape): readonly [number, number] => (typeof shape === "number" ? [shape, shape] : shape);

function Outline({ width, height, round, fill }: { width: number; height: number; round: boolean; fill: string }) {
  return round ? (
    <circle cx={width / 2} cy={height / 2} r={width / 2} fill={fill} stroke={COLOUR.tide} />
  ) : (
    <rect width={width} height={height} rx={3} fill={fill} stroke={COLOUR.tide} />
  );
}

/** Places of so many round pieces in rows, each with its radius. */
function spots(width: number, height: number, round: boolean, count: number): readonly (readonly [number, number, number])[] {
  if (count < 1) return [];
  // In a round one the rows of the square inside it.
  const w = round ? width * 0.72 : width;
  const h = round ? height * 0.72 : height;
  const columns = Math.max(1, Math.round(Math.sqrt((count * w) / h)));
  const rows = Math.ceil(count / columns);
  const r = Math.min(w / columns, h / rows) * 0.4;
  return Array.from({ length: count }, (_, i) => {
    const x = (width - w) / 2 + ((i % columns) + 0.5) * (w / columns);
    const y = (height - h) / 2 + (Math.floor(i / columns) + 0.5) * (h / rows);
    return [x, y, r] as const;
  });
}
