import Box from "@mui/material/Box";
import type { Item } from "@/core/item/schema";
import { COLOUR } from "../theme/tokens";

const DOUGH = "#e9cf9c";
const FILLING = "#a8552f";
/** A filling of about this density, g/ml, tells how high it lies. */
const DENSITY = 1.0;

/** The piece to scale: from above with its size, and cut through with its layers. */
export function PieceDrawing({ item }: { item: Item }) {
  const [length, width] = item.piece.footprintMm ?? [80, 80];
  const sheet = item.piece.thicknessMm ?? 3;
  const scale = 190 / Math.max(length, 60);
  const l = length * scale;
  const w = width * scale;
  const shape = item.piece.shape;
  const fillMm = Math.min(60, (item.piece.fillingG / DENSITY / (0.6 * length * width)) * 1000);
  const half = /half-moon/i.test(shape);
  const round = /round|coil|bun|ball|case|tart/i.test(shape) || Math.abs(length - width) < 3;
  const x = 20;
  const sectionTop = w + 62;
  const f = fillMm * scale;
  const t = Math.max(2, sheet * scale);
  const height = sectionTop + f + 2 * t + 36;
  return (
    <Box
      component="svg"
      viewBox={`0 0 280 ${height}`}
      role="img"
      aria-label={`${item.name}, ${length} by ${width} mm, dough ${sheet} mm thick, filling about ${Math.round(fillMm)} mm high`}
      sx={{ width: "100%", maxWidth: 320, display: "block" }}
    >
      <g transform={`translate(${x}, 8)`} fill={DOUGH} stroke={COLOUR.ink} strokeWidth="1.2">
        {half ? (
          <path d={`M0 ${w} A ${l / 2} ${w} 0 0 1 ${l} ${w} Z`} />
        ) : round ? (
          <ellipse cx={l / 2} cy={w / 2} rx={l / 2} ry={w / 2} />
        ) : (
          <rect width={l} height={w} rx={6} />
        )}
      </g>
      <Dimension x1={x} x2={x + l} y={w + 20} text={`${length} mm`} />
      <text x={x + l + 6} y={8 + w / 2} fontSize="11" fill={COLOUR.soft}>
        {width} mm
      </text>
      <g transform={`translate(${x}, ${sectionTop})`} stroke={COLOUR.ink} strokeWidth="1">
        <rect width={l} height={f + 2 * t} rx={Math.min(14, (f + 2 * t) / 2)} fill={DOUGH} />
        {f > 0 && <rect x={t + 4} y={t} width={Math.max(0, l - 2 * t - 8)} height={f} rx={Math.min(10, f / 2)} fill={FILLING} />}
      </g>
      <text x={x} y={sectionTop - 8} fontSize="11" fill={COLOUR.soft}>
        cut through
      </text>
      <text x={x} y={sectionTop + f + 2 * t + 16} fontSize="11" fill={COLOUR.soft}>
        dough {sheet} mm{f > 0 ? ` · filling about ${Math.round(fillMm)} mm` : ""}
      </text>
    </Box>
  );
}

function Dimension({ x1, x2, y, text }: { x1: number; x2: number; y: number; text: string }) {
  return (
    <g stroke={COLOUR.soft} strokeWidth="1">
      <path d={`M${x1} ${y} H${x2} M${x1} ${y - 4} V${y + 4} M${x2} ${y - 4} V${y + 4}`} fill="none" />
      <text x={(x1 + x2) / 2} y={y + 14} fontSize="11" textAnchor="middle" fill={COLOUR.soft} stroke="none">
        {text}
      </text>
    </g>
  );
}
