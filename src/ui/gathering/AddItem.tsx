"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { usePlan } from "../plan/PlanProvider";

/** Adds one of the cook's items that is not there yet. */
export function AddItem({ taken, onAdd }: { taken: readonly string[]; onAdd: (recipe: string) => void }) {
  const { source } = usePlan();
  const left = source.items.filter((item) => source.inUse.includes(item.id) && !taken.includes(item.id));
  if (left.length === 0) return null;
  return (
    <TextField
      select
      value=""
      onChange={(e) => onAdd(e.target.value)}
      slotProps={{ select: { displayEmpty: true, renderValue: () => "Add an item" }, htmlInput: { "aria-label": "Add an item" } }}
      sx={{ width: 136 }}
    >
      {left.map((item) => (
        <MenuItem key={item.id} value={item.id}>
          {item.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
