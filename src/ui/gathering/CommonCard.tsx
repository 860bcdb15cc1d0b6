"use client";
import Box from "@mui/material/Box";
import FormControlLabel from "@mui/material/FormControlLabel";
import Paper from "@mui/material/Paper";
import Switch from "@mui/material/Switch";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { useDisplay } from "../kit/use-display";
import { usePlan } from "../plan/PlanProvider";
import { commonOf } from "./gathering.view-model";

/** What several items have in common, and whether it is made once for all of them. */
export const CommonCard = memo(function CommonCard({ once }: { once: boolean }) {
  const { change, latest } = usePlan();
  const { weight } = useDisplay();
  const common = latest ? commonOf(latest.quantities) : [];
  if (common.length === 0) return null;
  return (
    <Paper component="section" aria-label="In common" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", columnGap: 2 }}>
        <Typography variant="h2">In common</Typography>
        <FormControlLabel
          sx={{ ml: "auto", mr: 0 }}
          control={<Switch checked={once} onChange={(_, on) => change((d) => ({ ...d, mixTogether: on ? true : undefined }))} />}
          label="Make it once"
        />
      </Box>
      {common.map(({ part, totalG, shares }) => (
        <Typography key={`${part} ${shares.map((share) => share.name).join()}`} sx={{ fontSize: "0.88rem" }}>
          The same {part}: {weight(totalG)} {once ? "made once and divided" : "made apart"},{" "}
          {shares.map((share) => `${weight(share.grams)} for ${share.name}`).join(" and ")}.
        </Typography>
      ))}
    </Paper>
  );
});
