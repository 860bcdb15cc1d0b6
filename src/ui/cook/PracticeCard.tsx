"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Paper from "@mui/material/Paper";
import { useState } from "react";
import { FAULTS, type Fault } from "@/core/run/practice/simulated-kitchen";
import { MOST_RATE } from "@/core/run/events";
import { COLOUR } from "../theme/tokens";
import type { Practice } from "./use-practice";

const PRESS = { minHeight: 44 } as const;
const RATES = [
  { rate: 0, name: "Pause" },
  { rate: 1, name: "As it is" },
  { rate: 60, name: "1 min a second" },
  { rate: 240, name: "4 min a second" },
  { rate: MOST_RATE, name: "As fast as it goes" },
] as const;

const FAULT_TEXT: Readonly<Record<Fault, string>> = {
  "slow-rise": "A rise takes 40 % longer",
  "burnt-tray": "A tray burns",
  "cook-leaves": "A cook has to leave",
  "cold-oil": "The oil is cold",
  "hot-spot": "A corner of the oven is hot",
};

interface Props {
  readonly rate: number;
  readonly practice: Practice | undefined;
  readonly onRate: (rate: number) => void;
  readonly onJump: (() => void) | undefined;
  readonly onPractice: (practice: Practice | undefined) => void;
}

/** The clock of a practice and the kitchen in it: how fast it goes, who presses, and what goes wrong. */
export function PracticeCard({ rate, practice, onRate, onJump, onPractice }: Props) {
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  return (
    <Paper component="section" aria-label="Practice" sx={{ p: 2, display: "grid", gap: 1.5 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
        <Box sx={{ fontWeight: 650, mr: 1 }}>The clock</Box>
        {RATES.map((one) => (
          <Button
            key={one.rate}
            sx={PRESS}
            variant={rate === one.rate ? "contained" : "outlined"}
            aria-pressed={rate === one.rate}
            onClick={() => onRate(one.rate)}
          >
            {one.name}
          </Button>
        ))}
        <Button sx={PRESS} variant="outlined" disabled={!onJump} onClick={onJump}>
          To the next step
        </Button>
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, alignItems: "center" }}>
        {practice ? (
          <Button sx={PRESS} variant="contained" onClick={() => onPractice(undefined)}>
            I press myself
          </Button>
        ) : (
          <Button sx={PRESS} variant="outlined" onClick={() => onPractice({ seed: Math.floor(Math.random() * 2 ** 31), faults })}>
            Let the cooks go by the screen
          </Button>
        )}
        {FAULTS.map((fault) => (
          <FormControlLabel
            key={fault}
            sx={PRESS}
            disabled={practice !== undefined}
            control={
              <Checkbox
                checked={(practice?.faults ?? faults).includes(fault)}
                onChange={(_, on) => setFaults((was) => (on ? [...was, fault] : was.filter((one) => one !== fault)))}
              />
            }
            label={FAULT_TEXT[fault]}
          />
        ))}
      </Box>
      <Box sx={{ color: COLOUR.soft, fontSize: "0.9rem" }}>
        Nothing of this is real: thermometers, oil and dough follow the same formulas as the plan, with chance of their own.
      </Box>
    </Paper>
  );
}
