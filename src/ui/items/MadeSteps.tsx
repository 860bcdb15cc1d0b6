"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import type { Made } from "@/core/item/making/make-item";
import type { FigureSource, Step } from "@/core/item/step";
import { VERB } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";

const FROM: Readonly<Record<FigureSource, string>> = {
  recipe: "the recipe says so",
  family: "usual for this dough",
  method: "usual for this heat",
  shape: "usual for this shape",
  filling: "usual for this filling",
  table: "usual",
  cook: "yours",
};
/** Longer waits are drawn no longer, min. */
const LONGEST_DRAWN = 120;

/** Minutes of a step for the recipe's own batch. */
const minutesOf = (step: Step, pieces: number): number =>
  step.rest ? step.rest.target : Math.round(step.time.fixedMin + (step.time.secPerPiece * pieces) / 60);

/** The steps as they follow from what it is, each as long as it takes: hands dark, heat red, waiting light. */
export function MadeSteps({ made: { item } }: { made: Made }) {
  const { heat, degrees } = useDisplay();
  const fresh = item.steps.filter((step) => step.path.includes("fresh"));
  return (
    <Paper component="section" aria-label="Steps that follow" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Steps that follow
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none", fontSize: "0.85rem" }}>
        {fresh.map((step) => {
          const minutes = minutesOf(step, item.base.pieces);
          const isHeat = step.equipment.some(({ settingC }) => settingC !== undefined);
          const from = step.sources?.minutes ?? step.sources?.hands;
          return (
            <Box component="li" key={step.id} sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 0.75 }}>
              <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
                <strong>{VERB[step.kind]}</strong>
                <span>
                  {step.part === "piece" ? "" : `the ${step.part} `}
                  {step.rest ? `${lengthText(step.rest.min)} to ${lengthText(step.rest.max)}` : lengthText(Math.max(1, minutes))}
                </span>
                {step.coreC !== undefined && <span>core {degrees(step.coreC)}</span>}
                {from && <Box sx={{ ml: "auto", color: COLOUR.soft, whiteSpace: "nowrap" }}>{FROM[from]}</Box>}
              </Box>
              <Box
                aria-hidden
                sx={{
                  height: 5,
                  my: 0.4,
                  width: `${Math.max(2, (100 * Math.min(minutes, LONGEST_DRAWN)) / LONGEST_DRAWN)}%`,
                  background: isHeat ? COLOUR.ember : step.attention === "hands-on" ? COLOUR.tideDeep : "#b9d6d2",
                }}
              />
              <Box sx={{ color: COLOUR.soft }}>{heat(step.do)}</Box>
              {step.caution && <Box sx={{ color: COLOUR.caution }}>{heat(step.caution)}</Box>}
            </Box>
          );
        })}
      </Box>
    </Paper>
  );
}
