"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { Reading } from "./Reading";
import type { Say } from "./say";

const PRESS = { minHeight: 44 } as const;
/** A thermometer in food reads no less and no more, °C. */
const LEAST_C = -20;
const MOST_C = 120;

interface Props {
  readonly task: string;
  readonly wantedC: number;
  readonly measuredC: number | undefined;
  readonly degrees: (celsius: number) => string;
  readonly say: Say;
}

/** Whether the core is hot enough to go on: measured, or a reason that is kept. */
export function CoreCheck({ task, wantedC, measuredC, degrees, say }: Props) {
  const { devices, minute } = useCookedDay();
  const [reason, setReason] = useState("");
  const isReached = measuredC !== undefined && measuredC >= wantedC;
  return (
    <Box role="group" aria-label="Core" sx={{ display: "grid", gap: 1, mt: 1 }}>
      <Box sx={{ fontWeight: 600, color: measuredC === undefined || isReached ? COLOUR.ink : COLOUR.ember }}>
        {measuredC === undefined
          ? `Core of the two largest: ${degrees(wantedC)} wanted.`
          : isReached
            ? `Core ${degrees(measuredC)}: reached.`
            : `Core ${degrees(measuredC)}, ${degrees(wantedC)} wanted: it stays in the heat.`}
      </Box>
      {!isReached && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "flex-start" }}>
          <Reading
            name="Core"
            leastC={LEAST_C}
            mostC={MOST_C}
            variant="contained"
            read={devices && (() => devices.coreC(task, minute))}
            onRead={(value) => say({ kind: "measured", task, what: "core", value })}
          />
          <TextField
            label="Without it: why"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            sx={{ minWidth: 180, flex: 1 }}
          />
          <Button
            variant="outlined"
            sx={PRESS}
            disabled={reason.trim() === ""}
            onClick={() => say({ kind: "checked", task, seen: "right", reason: reason.trim() })}
          >
            Go on
          </Button>
        </Box>
      )}
      <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>Local rules and trained advice come first.</Box>
    </Box>
  );
}
