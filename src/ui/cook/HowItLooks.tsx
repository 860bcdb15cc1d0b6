"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { isHeat, type Step } from "@/core/item/step";
import { SHARES } from "@/core/run/events";
import { COLOUR } from "../theme/tokens";
import type { Say } from "./say";

const SHARE_TEXT: Readonly<Record<(typeof SHARES)[number], string>> = {
  0.25: "a quarter",
  0.5: "half way",
  0.75: "three quarters",
  0.9: "nearly there",
};

interface Props {
  readonly task: string;
  readonly step: Step;
  readonly say: Say;
  /** Whether it may be over by its look: a core that is wanted is measured first. */
  readonly mayEnd: boolean;
}

/** What it looks like, as the step describes it too early, right and too far: the cook points at one of them. */
export function HowItLooks({ task, step, say, mayEnd }: Props) {
  const [isEarly, setEarly] = useState(false);
  const { cue = {} } = step;
  const right = [cue.see, cue.feel, cue.hear, cue.smell].filter(Boolean).join("; ");
  const states = [
    { seen: "early" as const, name: "Not yet", text: cue.early },
    ...(mayEnd ? [{ seen: "right" as const, name: "Right", text: right }] : []),
    ...(mayEnd ? [{ seen: "late" as const, name: "Too far", text: cue.late }] : []),
  ].filter(({ text }) => text);
  if (states.length === 0) return null;
  return (
    <Box role="group" aria-label="How it looks" sx={{ mt: 2, display: "grid", gap: 1 }}>
      <Box sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr", sm: `repeat(${states.length}, 1fr)` } }}>
        {states.map(({ seen, name, text }) => (
          <Box
            key={seen}
            component="button"
            type="button"
            aria-pressed={seen === "early" && isEarly}
            onClick={() => (seen === "early" && !isHeat(step) ? setEarly(true) : say({ kind: "checked", task, seen }))}
            sx={{
              font: "inherit",
              textAlign: "left",
              p: 1.5,
              minHeight: 56,
              cursor: "pointer",
              background: seen === "right" ? COLOUR.fitsMist : seen === "late" ? COLOUR.emberMist : COLOUR.tideMist,
              border: `1px solid ${COLOUR.line}`,
            }}
          >
            <Box sx={{ fontWeight: 650 }}>{name}</Box>
            {text}
          </Box>
        ))}
      </Box>
      {isEarly && (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
          <Box>How far?</Box>
          {SHARES.map((share) => (
            <Button
              key={share}
              variant="outlined"
              sx={{ minHeight: 44 }}
              onClick={() => {
                say({ kind: "checked", task, seen: "early", share });
                setEarly(false);
              }}
            >
              {SHARE_TEXT[share]}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
