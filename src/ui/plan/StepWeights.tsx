"use client";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Batch } from "@/core/batching/batches";
import { piecesText } from "@/core/plan/task-text";
import { Banner } from "../kit/Banner";
import { useTicks } from "../kit/use-stored";
import { COLOUR } from "../theme/tokens";

interface Props {
  readonly gathering: string;
  readonly batches: readonly Batch[];
  readonly weight: (grams: number) => string;
  /** Ticked off here as well, in type that is read at arm's length. */
  readonly canTick?: boolean;
}

/** What goes into it, with what is ticked off on the weigh-out sheet; what is missing is said before the step begins. */
export function StepWeights({ gathering, batches, weight, canTick }: Props) {
  const ticks = useTicks(`unisynth-ticks-${gathering}`);
  if (batches.length === 0) return null;
  const ready = (batch: Batch, line: Batch["ingredients"][number]) => ticks.has(`${batch.id} ${line.in} ${line.id}`);
  const all = batches.flatMap((batch) => batch.ingredients.map((line) => ready(batch, line)));
  const missing = all.filter((ticked) => !ticked).length;
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="h3" gutterBottom>
        Weights
      </Typography>
      {missing < all.length && missing > 0 && (
        <Banner kind="caution">
          {missing} of {all.length} not weighed out yet: tick them off under Quantities before the heat is on.
        </Banner>
      )}
      {batches.map((batch) => (
        <Box key={batch.id} sx={{ mb: 0.75 }}>
          {batches.length > 1 && <Typography variant="caption">for {piecesText(batch.pieces)}</Typography>}
          {batch.ingredients.map((line, i) => (
            <Box
              key={`${line.id}-${i}`}
              {...(canTick && {
                component: "button",
                type: "button",
                "aria-pressed": ready(batch, line),
                onClick: () => ticks.toggle(`${batch.id} ${line.in} ${line.id}`),
              })}
              sx={{
                display: "grid",
                gridTemplateColumns: canTick ? "92px 1fr" : "70px 1fr",
                gap: 1,
                fontSize: "0.85rem",
                ...(canTick && {
                  font: "inherit",
                  fontSize: "1.1rem",
                  background: "none",
                  border: 0,
                  width: "100%",
                  minHeight: 44,
                  alignItems: "center",
                  textAlign: "left",
                  cursor: "pointer",
                }),
              }}
            >
              <Box sx={{ textAlign: "right", fontWeight: 600 }}>
                {line.grams < 20 ? `${line.grams.toFixed(1)} g` : weight(line.grams)}
              </Box>
              <Box sx={{ color: ready(batch, line) ? COLOUR.soft : COLOUR.ink }}>
                {ready(batch, line) && <span aria-label="weighed out">✓ </span>}
                {line.name}
              </Box>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}
