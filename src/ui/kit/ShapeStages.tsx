"use client";
import Box from "@mui/material/Box";
import type { Drawing } from "@/core/item/making/drawing/draw";
import type { Mark } from "@/core/item/making/drawing/marks";
import type { Stage } from "@/core/item/making/drawing/stage";
import { COLOUR } from "../theme/tokens";

const DOUGH = "#e9cf9c";
/** A side that lies over another. */
const LYING = "#f3e3c3";
const FILLING = "#a8552f";

const LOOK: Readonly<Record<Mark["as"], { fill: string; stroke: string; dash?: string; width: number }>> = {
  dough: { fill: DOUGH, stroke: COLOUR.ink, width: 1 },
  lying: { fill: LYING, stroke: COLOUR.ink, width: 1 },
  filling: { fill: FILLING, stroke: "none", width: 0 },
  tin: { fill: "none", stroke: COLOUR.soft, width: 2 },
  line: { fill: "none", stroke: COLOUR.ink, width: 1 },
  "seen-through": { fill: "none", stroke: COLOUR.soft, dash: "3 3", width: 1 },
  arrow: { fill: "none", stroke: COLOUR.tideDeep, width: 2 },
};

/** One picture of how a piece is formed, in the scale of all of them. */
export function ShapeStage({ stage, halfMm, size }: { stage: Stage; halfMm: number; size: number | string }) {
  const px = (2 * halfMm) / 120;
  return (
    <Box
      component="svg"
      viewBox={`${-halfMm} ${-halfMm} ${2 * halfMm} ${2 * halfMm}`}
      role="img"
      aria-label={stage.words}
      sx={{ width: size, height: "auto", aspectRatio: "1", display: "block" }}
    >
      {stage.marks.map(({ path, as }, k) => {
        const { fill, stroke, dash, width } = LOOK[as];
        return (
          <path
            key={k}
            d={path}
            fill={fill}
            stroke={stroke}
            strokeWidth={width * px}
            strokeDasharray={
              dash &&
              dash
                .split(" ")
                .map((part) => Number(part) * px)
                .join(" ")
            }
            strokeLinejoin="round"
            strokeLinecap="round"
          />
        );
      })}
    </Box>
  );
}

interface Props {
  readonly drawing: Drawing;
  /** A picture is no narrower, px. */
  readonly least: number;
  /** Only these of its pictures; without it all of them. */
  readonly only?: readonly Stage["id"][];
}

/** The pictures side by side, each with what is done. */
export function ShapeStages({ drawing, least, only }: Props) {
  return (
    <Box
      component="ol"
      aria-label="How it is formed"
      sx={{
        m: 0,
        p: 0,
        listStyle: "none",
        display: "grid",
        gridTemplateColumns: `repeat(auto-fill, minmax(${least}px, 1fr))`,
        gap: 1.5,
      }}
    >
      {drawing.stages.map((stage, k) =>
        only && !only.includes(stage.id) ? null : (
          <Box component="li" key={stage.id} sx={{ fontSize: "0.8rem" }}>
            <ShapeStage stage={stage} halfMm={drawing.halfMm} size="100%" />
            <Box component="span" sx={{ color: COLOUR.soft, mr: 0.5 }}>
              {k + 1}
            </Box>
            {stage.words}
          </Box>
        ),
      )}
    </Box>
  );
}
