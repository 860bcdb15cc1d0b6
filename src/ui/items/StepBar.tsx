import Box from "@mui/material/Box";
import type { Step } from "@/core/item/step";
import { usualMinutes } from "@/core/item/step-minutes";
import { COLOUR } from "../theme/tokens";

/** Longer waits are drawn no longer, min. */
const LONGEST_DRAWN = 120;
const WAIT = "#b9d6d2";
const WINDOW = "#e3efed";

/** Minutes of a step for so many pieces: of a rest, its usual ones. */
export const stepMinutes = (step: Step, pieces: number): number => Math.round(usualMinutes(step, pieces));

/** A step as long as it takes: hands dark, heat red, waiting light and lighter as long as it may still wait. */
export function StepBar({ step, pieces }: { step: Step; pieces: number }) {
  const width = (minutes: number): string => `${Math.max(1.5, (100 * Math.min(minutes, LONGEST_DRAWN)) / LONGEST_DRAWN)}%`;
  const isHeat = step.equipment.some(({ settingC }) => settingC !== undefined);
  return (
    <Box aria-hidden sx={{ position: "relative", height: 5, my: 0.4 }}>
      {step.rest && <Box sx={{ position: "absolute", height: 5, width: width(step.rest.max), background: WINDOW }} />}
      <Box
        sx={{
          position: "absolute",
          height: 5,
          width: width(stepMinutes(step, pieces)),
          background: isHeat ? COLOUR.ember : step.attention === "hands-on" ? COLOUR.tideDeep : WAIT,
        }}
      />
    </Box>
  );
}
