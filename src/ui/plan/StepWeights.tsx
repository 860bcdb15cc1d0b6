"use client";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { weightKey, type Batch } from "@/core/batching/batches";
import { bowlsOf } from "@/core/batching/bowls";
import type { Item } from "@/core/item/schema";
import { piecesText } from "@/core/plan/task-text";
import { Banner } from "../kit/Banner";
import { useTicks, type Ticks } from "../kit/use-stored";
import { COLOUR } from "../theme/tokens";

type Line = Batch["ingredients"][number];

/** How many weights of batches are ticked off in this browser, of how many. */
export function tickedIn(
  batches: readonly Batch[],
  ticks: Pick<Ticks, "has">,
): { readonly ticked: number; readonly all: number } {
  const lines = batches.flatMap((batch) => batch.ingredients.map((line) => ticks.has(weightKey(batch, line))));
  return { ticked: lines.filter(Boolean).length, all: lines.length };
}

/** The ticks of a gathering's weights. */
export const useWeightTicks = (gathering: string): Ticks => useTicks(`unisynth-ticks-${gathering}`);

interface Props {
  readonly gathering: string;
  readonly batches: readonly Batch[];
  /** Whose batches they are: its filling stands ready in bowls. */
  readonly item: Item | undefined;
  readonly weight: (grams: number) => string;
  /** Ticked off here as well, in type that is read at arm's length. */
  readonly canTick?: boolean;
}

/** What goes into it, with what is ticked off on the weigh-out sheet; what is missing is said before the step begins. */
export function StepWeights({ gathering, batches, item, weight, canTick }: Props) {
  const ticks = useWeightTicks(gathering);
  if (batches.length === 0) return null;
  const ready = (batch: Batch, line: Line) => ticks.has(weightKey(batch, line));
  const { ticked, all } = tickedIn(batches, ticks);
  const missing = all - ticked;
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="h3" gutterBottom>
        Weights
      </Typography>
      {missing < all && missing > 0 && (
        <Banner kind="caution">
          {missing} of {all} not weighed out yet: tick them off under Quantities before the heat is on.
        </Banner>
      )}
      {batches.map((batch) => (
        <Box key={batch.id} sx={{ mb: 0.75 }}>
          {batches.length > 1 && <Typography variant="caption">for {piecesText(batch.pieces)}</Typography>}
          {(item && batch.part === "filling" ? bowlsOf(batch.ingredients, item) : [{ name: "", lines: batch.ingredients }]).map(
            (bowl) => (
              <Box key={bowl.name} sx={{ mb: bowl.name ? 0.75 : 0 }}>
                {bowl.name && <Typography variant="caption">{bowl.name}</Typography>}
                {bowl.lines.map((line, i) => (
                  <Box
                    key={`${line.id}-${i}`}
                    {...(canTick && {
                      component: "button",
                      type: "button",
                      "aria-pressed": ready(batch, line),
                      onClick: () => ticks.toggle(weightKey(batch, line)),
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
            ),
          )}
        </Box>
      ))}
    </Box>
  );
}
