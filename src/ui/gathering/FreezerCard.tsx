"use client";
import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { ClockField } from "../kit/ClockField";
import { dayText, DAYS_AROUND } from "../kit/day-text";
import { NumberField } from "../kit/NumberField";
import { usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { AddItem } from "./AddItem";
import { DemandLine } from "./DemandLine";
import { demandRow } from "./gathering.view-model";
import { issueAt } from "./issues";

export type Frozen = NonNullable<Draft["freezer"]>[number];

/** What is to lie in the freezer afterwards; what is there already is not made again. */
export const FreezerCard = memo(function FreezerCard({ frozen }: { frozen: readonly Frozen[] }) {
  const { change, checked, latest, source } = usePlan();
  const set = (list: Frozen[]) => change((d) => ({ ...d, freezer: list }));
  const setOne = (at: number, edit: Partial<Frozen>) => set(frozen.map((entry, k) => (k === at ? { ...entry, ...edit } : entry)));
  const last = frozen.at(-1);
  const nameOf = (recipe: string) => source.items.find((item) => item.id === recipe)?.name ?? recipe;
  return (
    <Paper component="section" aria-label="For the freezer" sx={{ p: 2, borderLeft: `4px solid ${COLOUR.tide}` }}>
      <Box sx={{ display: "flex", alignItems: "center", mb: 1 }}>
        <Typography variant="h2">For the freezer</Typography>
        <Box sx={{ ml: "auto" }}>
          <AddItem
            taken={frozen.map((f) => f.recipe)}
            onAdd={(recipe) => set([...frozen, { recipe, pieces: 12, by: last?.by ?? { day: 0, time: "20:00" } }])}
          />
        </Box>
      </Box>
      {frozen.length === 0 && (
        <Typography color="text.secondary">Nothing yet. What is added here shares dough and hands with the waves.</Typography>
      )}
      {frozen.map((entry, i) => {
        const name = nameOf(entry.recipe);
        const path = ["gathering", "freezer", i] as const;
        const row = latest && demandRow(latest.quantities, "freezer", entry.recipe);
        return (
          <DemandLine
            key={entry.recipe}
            recipe={entry.recipe}
            entry={entry}
            row={row}
            note={stockText(entry, row?.pieces)}
            error={issueAt(checked, [...path, "pieces"], "Pieces")}
            onChange={(edit) => setOne(i, edit)}
            onAsk={(pieces) => setOne(i, { pieces: pieces ?? NaN, split: undefined })}
            onRemove={() => set(frozen.filter((_, k) => k !== i))}
          >
            <span>there already</span>
            <NumberField
              label={`${name} in the freezer already`}
              value={entry.onHand}
              onChange={(onHand) => setOne(i, { onHand })}
              placeholder="none"
              error={issueAt(checked, [...path, "onHand"], "What is there already")}
              width={70}
              quiet
            />
            <span>bagged by</span>
            <ClockField
              name={`${name} bagged by`}
              value={entry.by.time}
              onChange={(time) => setOne(i, { by: { ...entry.by, time } })}
              error={issueAt(checked, [...path, "by"], "The time to be bagged")}
            />
            <TextField
              select
              value={entry.by.day}
              onChange={(event) => setOne(i, { by: { ...entry.by, day: Number(event.target.value) } })}
              slotProps={{ htmlInput: { "aria-label": `Day on which ${name} is bagged` } }}
              sx={{ width: 140 }}
            >
              {[...new Set([...DAYS_AROUND, entry.by.day])].map((day) => (
                <MenuItem key={day} value={day}>
                  {dayText(day)}
                </MenuItem>
              ))}
            </TextField>
          </DemandLine>
        );
      })}
    </Paper>
  );
});

/** What the stock changes: how many are made, or how many of it are eaten. */
function stockText({ pieces, onHand = 0 }: Frozen, made: number | undefined): string | undefined {
  if (onHand === 0) return undefined;
  if (onHand > pieces) return `none are made; ${onHand - pieces} of the ${onHand} are served where that can be done from frozen`;
  return `${pieces} wanted, ${onHand} there: ${made ?? pieces - onHand} are made`;
}
