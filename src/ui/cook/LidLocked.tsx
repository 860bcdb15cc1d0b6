"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { COLOUR } from "../theme/tokens";
import type { Say } from "./say";

interface Props {
  readonly task: string;
  readonly reason: string;
  readonly until: string;
  readonly say: Say;
}

/** A lid that is not lifted yet, and why; who lifts it all the same says why, and that is kept. */
export function LidLocked({ task, reason, until, say }: Props) {
  const [isAsked, setAsked] = useState(false);
  const [why, setWhy] = useState("");
  return (
    <Box role="group" aria-label="Lid" sx={{ mt: 1, display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
      <Box sx={{ flex: "1 1 200px", color: COLOUR.caution, fontWeight: 600 }}>
        Shut until {until}. {reason}
      </Box>
      {isAsked ? (
        <>
          <TextField label="Opened because" value={why} onChange={(event) => setWhy(event.target.value.slice(0, 200))} />
          <Button
            variant="outlined"
            sx={{ minHeight: 44 }}
            disabled={why.trim() === ""}
            onClick={() => say({ kind: "opened", task, reason: why.trim() })}
          >
            Open it
          </Button>
        </>
      ) : (
        <Button sx={{ minHeight: 44 }} onClick={() => setAsked(true)}>
          Open it all the same
        </Button>
      )}
    </Box>
  );
}
