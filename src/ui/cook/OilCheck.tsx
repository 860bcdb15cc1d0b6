"use client";
import Box from "@mui/material/Box";
import { useState } from "react";
import { OIL_OFF_C } from "@/core/run/oil";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { Reading } from "./Reading";
import type { Say } from "./say";

/** A thermometer in oil reads no less and no more, °C. */
const LEAST_C = 10;
const MOST_C = 260;

/** How hot the oil is before pieces go in: too cold soaks, too hot browns outside only, and above its figure it may smoke. */
export function OilCheck({
  task,
  wantedC,
  degrees,
  say,
}: {
  task: string;
  wantedC: number;
  degrees: (celsius: number) => string;
  say: Say;
}) {
  const { devices, minute } = useCookedDay();
  const [read, setRead] = useState<number>();
  return (
    <Box role="group" aria-label="Oil" sx={{ mt: 2, display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
      <Reading
        name="Oil"
        leastC={LEAST_C}
        mostC={MOST_C}
        variant="outlined"
        read={devices && (() => devices.oilC(task, minute))}
        onRead={(value) => {
          say({ kind: "measured", task, what: "oil", value });
          setRead(value);
        }}
      />
      <Box sx={{ color: COLOUR.soft }}>
        {read === undefined
          ? `${degrees(wantedC)} wanted before anything goes in.`
          : read < wantedC - OIL_OFF_C
            ? `${degrees(read)}: too cold still. Wait, and measure again.`
            : read > wantedC + OIL_OFF_C
              ? `${degrees(read)}: too hot. Heat off until it is back at ${degrees(wantedC)}; oil that smokes is close to burning.`
              : `${degrees(read)}: right.`}
      </Box>
    </Box>
  );
}
