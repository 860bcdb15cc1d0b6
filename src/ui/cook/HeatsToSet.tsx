import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { resourceText } from "@/core/plan/reason-text";
import type { HeatToSet } from "@/core/run/heats-to-set";
import { lengthText } from "@/core/shared/clock";
import { capitalised } from "@/core/shared/words";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

/** Ovens, steamers and oil to be set next, counted back from when their load goes in. */
export function HeatsToSet({ heats, say }: { heats: readonly HeatToSet[]; say: Say }) {
  const { plan, shown, minute, devices } = useCookedDay();
  if (heats.length === 0) return null;
  return (
    <Box component="section" aria-label="Heat to set">
      <Box component="h2" sx={{ m: 0, mb: 1, fontSize: "1.1rem" }}>
        Heat to set
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1 }}>
        {[...heats]
          .sort((a, b) => a.at - b.at)
          .map((heat) => {
            const isDue = minute >= heat.at;
            const readC = devices?.ovenC(heat.resource, minute);
            const what = `${capitalised(resourceText(plan, heat.resource))} to ${shown.degrees(heat.settingC)}`;
            return (
              <Box
                component="li"
                key={heat.resource}
                aria-label={what}
                sx={{
                  background: COLOUR.card,
                  border: `1px solid ${isDue ? COLOUR.ember : COLOUR.line}`,
                  p: 1.5,
                  display: "flex",
                  gap: 1.5,
                  alignItems: "center",
                }}
              >
                <Box sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
                  <Box sx={{ fontWeight: 650, fontSize: "1.05rem" }}>{what}</Box>
                  <Box sx={{ color: isDue ? COLOUR.ember : COLOUR.soft, fontWeight: isDue ? 650 : 400 }}>
                    {isDue ? "Now" : `At ${shown.clock(heat.at)}, in ${lengthText(heat.at - minute)}`}; {shown.task(heat.task)}{" "}
                    goes in {shown.clock(heat.goesIn)}
                    {readC !== undefined && `; it reads ${shown.degrees(readC)}`}
                  </Box>
                </Box>
                <Button
                  variant={isDue ? "contained" : "outlined"}
                  sx={{ minHeight: 44, flex: "none" }}
                  onClick={() => say({ kind: "set", what: heat.resource, value: heat.settingC })}
                >
                  It is on
                </Button>
              </Box>
            );
          })}
      </Box>
    </Box>
  );
}
