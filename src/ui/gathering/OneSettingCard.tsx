"use client";
import Box from "@mui/material/Box";
import FormControlLabel from "@mui/material/FormControlLabel";
import Paper from "@mui/material/Paper";
import Switch from "@mui/material/Switch";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { sharedBakes } from "@/core/batching/shared-bakes";
import { lengthText } from "@/core/shared/clock";
import { useDisplay } from "../kit/use-display";
import { usePlan } from "../plan/PlanProvider";

/** Bakes whose settings lie so close that they may share the oven, and whether they do. */
export const OneSettingCard = memo(function OneSettingCard({ together }: { together: boolean }) {
  const { change, latest } = usePlan();
  const { degrees } = useDisplay();
  const shared = latest ? sharedBakes(latest.quantities.demands) : [];
  if (shared.length === 0) return null;
  return (
    <Paper component="section" aria-label="One oven" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", columnGap: 2 }}>
        <Typography variant="h2">One oven</Typography>
        <FormControlLabel
          sx={{ ml: "auto", mr: 0 }}
          control={
            <Switch checked={together} onChange={(_, on) => change((d) => ({ ...d, bakeTogether: on ? true : undefined }))} />
          }
          label="Bake at one setting"
        />
      </Box>
      {shared.map(({ settingC, bakes }) => (
        <Box key={settingC} sx={{ fontSize: "0.88rem" }}>
          At {degrees(settingC)} they may be in it together:{" "}
          {bakes
            .map(
              ({ item, ownC, ownMin, minutes }) =>
                `${item.name} ${lengthText(Math.round(minutes))} (alone ${degrees(ownC)}, ${lengthText(Math.round(ownMin))})`,
            )
            .join("; ")}
          .
        </Box>
      ))}
    </Paper>
  );
});
