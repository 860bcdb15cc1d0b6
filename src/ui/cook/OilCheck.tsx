"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { readNumber } from "@/core/shared/typed";
import { COLOUR } from "../theme/tokens";
import type { Say } from "./say";

/** A thermometer in oil reads no less and no more, °C; this far below its figure it is too cold. */
const LEAST_C = 10;
const MOST_C = 260;
const SHORT_C = 10;

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
  const [typed, setTyped] = useState("");
  const [read, setRead] = useState<number>();
  const value = readNumber(typed);
  const isWrong = typed.trim() !== "" && !(value !== undefined && value >= LEAST_C && value <= MOST_C);
  return (
    <Box role="group" aria-label="Oil" sx={{ mt: 2, display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
      <TextField
        label="Oil, °C"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        error={isWrong}
        helperText={isWrong ? `Oil is ${typed}; expected ${LEAST_C} to ${MOST_C} °C` : undefined}
        slotProps={{ htmlInput: { inputMode: "decimal" } }}
        sx={{ width: isWrong ? 260 : 110 }}
      />
      <Button
        variant="outlined"
        sx={{ minHeight: 44 }}
        disabled={value === undefined || isWrong}
        onClick={() => {
          say({ kind: "measured", task, what: "oil", value: value! });
          setRead(value);
          setTyped("");
        }}
      >
        Measured
      </Button>
      <Box sx={{ color: COLOUR.soft }}>
        {read === undefined
          ? `${degrees(wantedC)} wanted before anything goes in.`
          : read < wantedC - SHORT_C
            ? `${degrees(read)}: too cold still. Wait, and measure again.`
            : read > wantedC + SHORT_C
              ? `${degrees(read)}: too hot. Heat off until it is back at ${degrees(wantedC)}; oil that smokes is close to burning.`
              : `${degrees(read)}: right.`}
      </Box>
    </Box>
  );
}
