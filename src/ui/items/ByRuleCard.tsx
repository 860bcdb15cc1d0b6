"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useDeferredValue, useMemo } from "react";
import { FAMILIES } from "@/core/item/families";
import { adopted, byRule } from "@/core/item/making/adopt";
import { FILLINGS } from "@/core/item/making/fillings";
import { METHODS } from "@/core/item/making/methods";
import type { Item } from "@/core/item/schema";
import { capitalised, counted } from "@/core/shared/words";
import { useCatalogue } from "../ingredients/CatalogueProvider";

/** An item with steps of its own: what it would be by rule, and the way there. */
export function ByRuleCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const settled = useDeferredValue(item);
  const made = useMemo(() => byRule(settled, catalogue), [settled, catalogue]);
  if (!made) return null;
  const kinds = [
    FAMILIES.find(({ id }) => id === made.family.value)?.name,
    METHODS[made.method.value].name,
    made.shape.value.name,
    ...(item.filling.components.length > 0 ? [`filling: ${FILLINGS[made.filling.value].name}`] : []),
  ];
  const lost = [
    `its own ${counted(item.steps.length, "step")}`,
    ...(item.schools.length > 0 ? [`${counted(item.schools.length, "choice")} that change them`] : []),
  ];
  return (
    <Paper component="section" aria-label="Made by rule" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
        <Typography variant="h2">Its steps are its own</Typography>
        <Button size="small" variant="outlined" sx={{ ml: "auto" }} onClick={() => onChange(adopted(item, made))}>
          Make its steps by rule
        </Button>
      </Box>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        By rule it would be: {kinds.filter(Boolean).join(", ")}. Then dough, way of finishing, shape and filling can be changed,
        and the steps follow.
      </Typography>
      <Typography variant="body2" color="text.secondary">
        Times and heat are taken over; formula, piece and what carriers take stay. {capitalised(lost.join(" and "))} fall away
        until Undo brings them back.
      </Typography>
    </Paper>
  );
}
