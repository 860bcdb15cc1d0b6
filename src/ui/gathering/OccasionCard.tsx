"use client";
import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Link from "next/link";
import { gatheringDate } from "@/core/gathering/calendar";
import { kitchenLine } from "../kitchen/kitchen-text";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { kitchenOf } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { issueAt } from "./issues";

/** What the gathering is called, on which day it is, and in whose kitchen. */
export function OccasionCard() {
  const { change, source, checked } = usePlan();
  const { draft } = useDraft();
  const date = "relative" in draft.date ? gatheringDate(draft.date, source.today) : draft.date.on;
  const kitchen = kitchenOf(draft, source);
  return (
    <Paper component="section" aria-label="Name and day" sx={{ p: 2, display: "flex", flexWrap: "wrap", gap: 1.5 }}>
      <TextField
        label="Name"
        value={draft.name}
        onChange={(e) => change((d) => ({ ...d, name: e.target.value }))}
        error={issueAt(checked, ["gathering", "name"], "Name") !== undefined}
        helperText={issueAt(checked, ["gathering", "name"], "Name")}
        sx={{ flex: "1 1 220px" }}
      />
      <TextField
        label="Day"
        type="date"
        error={issueAt(checked, ["gathering", "date"], "Day") !== undefined}
        helperText={issueAt(checked, ["gathering", "date"], "Day")}
        slotProps={{ inputLabel: { shrink: true } }}
        value={date}
        onChange={(e) => change((d) => ({ ...d, date: { on: e.target.value } }))}
      />
      <TextField
        select
        label="Kitchen"
        value={kitchen.id}
        onChange={(e) => change((d) => ({ ...d, kitchen: e.target.value }))}
        sx={{ flex: "1 1 220px" }}
      >
        {source.kitchens.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {one.name}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ flexBasis: "100%", fontSize: "0.85rem", color: COLOUR.soft }}>
        {kitchenLine(kitchen)} · <Link href={`/kitchens/${encodeURIComponent(kitchen.id)}`}>change this kitchen</Link>
      </Box>
    </Paper>
  );
}
