"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import GlobalStyles from "@mui/material/GlobalStyles";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useId, useState } from "react";
import { drawingOf } from "@/core/item/making/drawing/draw";
import { easierText, shapeOf } from "@/core/item/making/shapes";
import type { Item } from "@/core/item/schema";
import { handsTime } from "@/core/process/hands-time";
import { lengthText } from "@/core/shared/clock";
import { COLOUR } from "../theme/tokens";
import { ShapeStages } from "../kit/ShapeStages";

const PRINTED = "printed-alone";
/** While the pictures are open they are what is printed, and not the page below them. */
const ALONE_IN_PRINT = { "@media print": { [`body > *:not(.${PRINTED})`]: { display: "none !important" } } };

/** What the first lot costs hands that are new to it, in words. */
function learning(secondsPerPiece: number, pieces: number): string {
  const took = handsTime({ secondsPerPiece, pieces, fixedMin: 0, skill: "beginner", doneBefore: 0, factor: 1 });
  if (!took.ok || took.value.firstS === null) return "";
  const { firstS, lastS, minutes } = took.value;
  return `Hands new to it: ${Math.round(firstS)} s for the first, ${Math.round(lastS!)} s for the last, ${lengthText(Math.max(1, Math.round(minutes)))} for ${pieces}.`;
}

/** How a piece is formed, drawn from its own weights; large when it is opened, and to be printed. */
export function ShapeCard({ item }: { item: Item }) {
  const [open, setOpen] = useState(false);
  const title = useId();
  const drawing = drawingOf(item);
  const shape = item.making && shapeOf(item.making.shape);
  if (!drawing || !shape) return null;
  const hands = lengthText(Math.max(1, Math.round((shape.seconds * item.base.pieces) / 60)));
  const learnt = learning(shape.seconds, item.base.pieces);
  const facts = `${shape.seconds} s a piece, ${hands} for ${item.base.pieces}; difficulty ${shape.difficulty} of 4${easierText(shape)}. It lies ${shape.down}. ${learnt}`;
  return (
    <Paper component="section" aria-label="How it is formed" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
        <Typography variant="h2">How it is formed</Typography>
        <Button size="small" sx={{ ml: "auto" }} onClick={() => setOpen(true)}>
          Large, to print
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {shape.name}: {facts}
      </Typography>
      <ShapeStages drawing={drawing} least={130} />
      {open && <GlobalStyles styles={ALONE_IN_PRINT} />}
      <Dialog open={open} onClose={() => setOpen(false)} fullScreen className={PRINTED} aria-labelledby={title}>
        <Box sx={{ p: { xs: 2, md: 4 }, display: "grid", gap: 2 }}>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
            <Typography variant="h1" id={title}>
              {item.name}: {shape.name}
            </Typography>
            <Box className="no-print" sx={{ ml: "auto", display: "flex", gap: 1 }}>
              <Button variant="outlined" onClick={() => window.print()}>
                Print
              </Button>
              <Button onClick={() => setOpen(false)}>Close</Button>
            </Box>
          </Box>
          <Box sx={{ color: COLOUR.soft }}>{facts} All pictures are in one scale.</Box>
          <ShapeStages drawing={drawing} least={215} />
        </Box>
      </Dialog>
    </Paper>
  );
}
