"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useDeferredValue, useMemo } from "react";
import { byRuleAlone, ownPlaces } from "@/core/item/making/adopt";
import type { Item } from "@/core/item/schema";
import { counted } from "@/core/shared/words";
import { useCatalogue } from "../ingredients/CatalogueProvider";

/** An item with steps of its own: in how many places they are not those of the rule, and the way to those. */
export function ByRuleCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { catalogue } = useCatalogue();
  const settled = useDeferredValue(item);
  const places = useMemo(() => (settled.making?.called ? ownPlaces(settled, catalogue) : 0), [settled, catalogue]);
  if (places === 0) return null;
  return (
    <Paper component="section" aria-label="By rule" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap" }}>
        <Typography variant="h2">Its steps are its own</Typography>
        <Button size="small" variant="outlined" sx={{ ml: "auto" }} onClick={() => onChange(byRuleAlone(item, catalogue))}>
          Take the steps of the rule
        </Button>
      </Box>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        They differ from the rule in {counted(places, "place")}. Whatever is chosen above, what is its own stays where it still
        has a place.
      </Typography>
      {item.schools.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          With the steps of the rule its own {counted(item.schools.length, "choice")}{" "}
          {item.schools.length === 1 ? "falls" : "fall"} away, until Undo brings {item.schools.length === 1 ? "it" : "them"} back.
        </Typography>
      )}
    </Paper>
  );
}
