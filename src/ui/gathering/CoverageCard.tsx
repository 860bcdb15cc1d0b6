"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import { coverage } from "./gathering.view-model";

/** Who keeps to something, and what there is for them in each wave; nobody is left out unseen. */
export const CoverageCard = memo(function CoverageCard() {
  const { latest } = usePlan();
  const waves = latest ? coverage(latest.request, latest.quantities) : [];
  if (waves.length === 0) return null;
  return (
    <Paper component="section" aria-label="Who eats what" sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        Who eats what
      </Typography>
      {waves.map(({ wave, name, rows }) => (
        <Box key={wave} sx={{ mb: 1 }}>
          <Typography variant="h3">{name}</Typography>
          {rows.map(({ who, count, items }) => (
            <Box
              key={who}
              sx={{
                display: "grid",
                gridTemplateColumns: "130px 1fr",
                gap: 1,
                py: 0.4,
                borderTop: `1px solid ${COLOUR.line}`,
                fontSize: "0.85rem",
              }}
            >
              <span>
                {who} ({count})
              </span>
              <Box sx={{ color: items.length === 0 ? COLOUR.ember : COLOUR.ink, fontWeight: items.length === 0 ? 650 : 400 }}>
                {items.length === 0 ? "✕ nothing yet" : items.join(", ")}
              </Box>
            </Box>
          ))}
        </Box>
      ))}
      <Typography variant="caption">By recipe and option; labels, shared boards and local rules come first.</Typography>
    </Paper>
  );
});
