"use client";
import Box from "@mui/material/Box";
import Chip from "@mui/material/Chip";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Link from "next/link";
import { gatheringDate } from "@/core/gathering/calendar";
import { countOf, type Counted } from "@/core/kitchen/counts";
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
      <ThisTime />
    </Paper>
  );
}

/** Equipment of which there is more or less than usual this time. */
function ThisTime() {
  const { change, source } = usePlan();
  const { draft } = useDraft();
  const kitchen = kitchenOf(draft, source);
  const counts = Object.entries(draft.equipment ?? {}) as [Counted, number][];
  if (counts.length === 0) return null;
  const without = (key: Counted) => {
    const { [key]: gone, ...rest } = draft.equipment ?? {};
    void gone;
    return Object.keys(rest).length > 0 ? rest : undefined;
  };
  return (
    <Box sx={{ flexBasis: "100%", display: "flex", flexWrap: "wrap", gap: 1 }}>
      {counts.map(([key, count]) => (
        <Chip
          key={key}
          label={`${COUNTED_TEXT[key]}: ${count} this time, usually ${countOf(key, kitchen) || "none"}`}
          onDelete={() => change((d) => ({ ...d, equipment: without(key) }))}
          sx={{ borderRadius: "3px", background: COLOUR.tideMist, height: 30 }}
        />
      ))}
    </Box>
  );
}

const COUNTED_TEXT: Readonly<Record<Counted, string>> = {
  tray: "Trays",
  board: "Boards",
  rack: "Racks",
  tins: "Tins",
  mixer: "Mixers",
  oven: "Ovens",
  "oven-shelf": "Oven shelves",
  hob: "Hob rings",
  "lidded-pan": "Lidded pans",
  "lidded-pan-mm": "A lidded pan, mm across",
  steamer: "Steamers",
  "steamer-tier": "Steamer tiers",
  fryer: "Fryers",
  "fridge-shelf": "Fridge shelves",
  "freezer-tray": "Freezer trays",
};
