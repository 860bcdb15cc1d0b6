"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import type { Made } from "@/core/item/making/make-item";
import { doseTexts, linesFor } from "@/core/item/doses";
import type { FigureSource } from "@/core/item/step";
import { stepName } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { StepBar, stepMinutes } from "./StepBar";

const FROM: Readonly<Record<FigureSource, string>> = {
  recipe: "the recipe says so",
  family: "usual for this dough",
  method: "usual for this heat",
  shape: "usual for this shape",
  filling: "usual for this filling",
  table: "usual",
  model: "worked out for it",
  cook: "yours",
};
/** The steps as they follow from what it is, each as long as it takes: hands dark, heat red, waiting light. */
export function MadeSteps({ made: { item } }: { made: Made }) {
  const { catalogue } = useCatalogue();
  const { heat, degrees } = useDisplay();
  const fresh = item.steps.filter((step) => step.path.includes("fresh"));
  return (
    <Paper component="section" aria-label="Steps that follow" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Steps that follow
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none", fontSize: "0.85rem" }}>
        {fresh.map((step) => {
          const minutes = stepMinutes(step, item.base.pieces);
          const from = step.sources?.minutes ?? step.sources?.hands;
          return (
            <Box component="li" key={step.id} sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 0.75 }}>
              <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
                <strong>{stepName(step)}</strong>
                <span>
                  {step.part === "piece" || step.title !== undefined ? "" : `the ${step.part} `}
                  {step.rest ? `${lengthText(step.rest.min)} to ${lengthText(step.rest.max)}` : lengthText(Math.max(1, minutes))}
                </span>
                {step.coreC !== undefined && <span>core {degrees(step.coreC)}</span>}
                {from && <Box sx={{ ml: "auto", color: COLOUR.soft, whiteSpace: "nowrap" }}>{FROM[from]}</Box>}
              </Box>
              <StepBar step={step} pieces={item.base.pieces} />
              <Box sx={{ color: COLOUR.soft }}>
                {[heat(step.do), ...doseTexts(step, linesFor(item, step), catalogue)].join(" ")}
              </Box>
              {step.caution && <Box sx={{ color: COLOUR.caution }}>{heat(step.caution)}</Box>}
            </Box>
          );
        })}
      </Box>
    </Paper>
  );
}
