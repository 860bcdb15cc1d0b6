"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import type { ComponentProps } from "react";
import { addComponent } from "@/core/item/desk";
import type { Item } from "@/core/item/schema";
import { stepName } from "@/core/plan/task-text";
import { COLOUR } from "../theme/tokens";
import { FormulaTable } from "./FormulaTable";

type Table = Omit<ComponentProps<typeof FormulaTable>, "place" | "title" | "pct">;

/** What is added most: a button, what it is for, and its first line with g for the batch. */
const STARTS = [
  ["Add an egg wash", "wash", "egg", 50],
  ["Add a milk wash", "wash", "milk", 30],
  ["Add an oil", "oil", "oil", 20],
] as const;

/** What goes on, under or around the pieces: wash, sugar, the oil of a pan or a fryer. It counts for what is in them. */
export function FinishCard(table: Table) {
  const { item, onChange } = table;
  const setEntry = (index: number, edit: Partial<Item["finish"][number]>) =>
    onChange({ ...item, finish: item.finish.map((entry, i) => (i === index ? { ...entry, ...edit } : entry)) });
  const loads = item.steps.filter((step) => step.lot === "load").map((step) => step.id);
  const fried = item.steps.some((step) => step.equipment.some((e) => e.id === "fryer"));
  const last = item.steps.findLast((step) => step.part === "piece" && step.kind !== "serve" && step.path.includes("fresh"));
  const add = (what: string, name: string, grams: number) => {
    const step = item.steps.find((one) => one.kind === "glaze") ?? last ?? item.steps[0];
    const next: Item = { ...item, finish: [...item.finish, { step: step.id, what, components: [] }] };
    onChange(addComponent(next, { in: "finish", entry: next.finish.length - 1 }, name, grams));
  };
  return (
    <Paper component="section" aria-label="Finish" sx={{ p: 2 }}>
      <Typography variant="h2">On, under and around the pieces</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        A wash, sugar, the oil of a pan: weights are for the {item.base.pieces} pieces, or for each load.
      </Typography>
      {item.finish.map((entry, index) => (
        <Box key={`${entry.step} ${entry.what} ${index}`} sx={{ mb: 1.5 }}>
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mb: 0.5 }}>
            <TextField
              value={entry.what}
              onChange={(e) => e.target.value.trim() !== "" && setEntry(index, { what: e.target.value })}
              slotProps={{ htmlInput: { "aria-label": `Name of finish ${index + 1}` } }}
              sx={{ flex: "1 1 140px" }}
            />
            <TextField
              select
              value={entry.step}
              onChange={(e) => setEntry(index, { step: e.target.value })}
              slotProps={{ htmlInput: { "aria-label": `Step of finish ${index + 1}` } }}
              sx={{ flex: "1 1 160px" }}
            >
              {item.steps.map((step) => (
                <MenuItem key={step.id} value={step.id}>
                  {stepName(step)}: {step.do.slice(0, 40)}
                </MenuItem>
              ))}
            </TextField>
            {loads.includes(entry.step) && (
              <TextField
                select
                value={entry.per ?? "base"}
                onChange={(e) => setEntry(index, { per: e.target.value as "base" | "load" })}
                slotProps={{ htmlInput: { "aria-label": `What finish ${index + 1} is weighed for` } }}
                sx={{ width: 170 }}
              >
                <MenuItem value="base">for {item.base.pieces} pieces</MenuItem>
                <MenuItem value="load">for each load</MenuItem>
              </TextField>
            )}
          </Box>
          <FormulaTable {...table} place={{ in: "finish", entry: index }} title={entry.what} />
          <Button size="small" onClick={() => onChange(addComponent(item, { in: "finish", entry: index }, "milk", 10))}>
            Add a line to {entry.what}
          </Button>
        </Box>
      ))}
      {fried && (
        <TextField
          label="Fried in"
          value={item.fryOil?.oil ?? ""}
          placeholder="frying oil"
          onChange={(e) =>
            onChange({ ...item, fryOil: { order: item.fryOil?.order ?? 1, ...item.fryOil, oil: e.target.value || undefined } })
          }
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ mb: 1, mr: 1 }}
        />
      )}
      {STARTS.map(([label, what, name, grams]) => (
        <Button key={label} size="small" onClick={() => add(what, name, grams)} sx={{ color: COLOUR.tide }}>
          {label}
        </Button>
      ))}
    </Paper>
  );
}
