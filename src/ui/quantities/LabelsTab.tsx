"use client";
import Box from "@mui/material/Box";
import { piecesText } from "@/core/plan/task-text";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useDisplay } from "../kit/use-display";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR } from "../theme/tokens";
import { labelsOf } from "./labels.view-model";

/** Labels for plates and freezer bags: what it is, who may eat it, what is in it and what may be. */
export function LabelsTab() {
  const { latest } = usePlan();
  const { clock } = useDisplay();
  if (!latest) return null;
  return (
    <Box component="section" aria-label="Labels">
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(280px, 1fr))", gap: 1.5 }}>
        {labelsOf(latest.request, latest.quantities, clock).map((label) => (
          <Paper key={label.key} component="article" aria-label={`Label: ${label.name}`} sx={{ p: 2, breakInside: "avoid" }}>
            <Typography variant="h2">{label.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {label.where} · {piecesText(label.pieces)}
              {label.provisional && " · provisional: its recipe is not settled"}
            </Typography>
            <Box sx={{ mt: 1, fontWeight: 650 }}>{label.contains[0].toUpperCase() + label.contains.slice(1)}</Box>
            {label.may && <Box sx={{ color: COLOUR.caution }}>{label.may[0].toUpperCase() + label.may.slice(1)}</Box>}
            {label.suits.length > 0 && <Box sx={{ mt: 0.5, fontSize: "0.9rem" }}>{label.suits.join(" · ")}</Box>}
            {label.cautions.map((text) => (
              <Box key={text} sx={{ fontSize: "0.82rem", color: COLOUR.soft }}>
                {text}
              </Box>
            ))}
          </Paper>
        ))}
      </Box>
      <Typography variant="caption">From recipes and options. Packet labels and local rules come first.</Typography>
    </Box>
  );
}
