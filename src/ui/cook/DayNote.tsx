"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

/** What is to be remembered of the day, beside all that was noted while it was cooked. */
export function DayNote({ say }: { say: Say }) {
  const { state, shown } = useCookedDay();
  const [text, setText] = useState("");
  return (
    <Paper component="section" aria-label="Notes" sx={{ p: 2.5, display: "grid", gap: 1 }}>
      <Typography variant="h2">Notes</Typography>
      {state.notes.map(({ minute, task, text: said }, k) => (
        <Box key={k}>
          <strong>{shown.clock(minute)}</strong> {task === undefined ? "" : `${shown.task(task)}: `}
          {said}
        </Box>
      ))}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <TextField
          label="What to remember for the next time"
          value={text}
          onChange={(event) => setText(event.target.value)}
          sx={{ flex: "1 1 260px" }}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        <Button
          variant="outlined"
          sx={{ minHeight: 44 }}
          disabled={text.trim() === ""}
          onClick={() => {
            say({ kind: "note", text: text.trim() });
            setText("");
          }}
        >
          Keep it
        </Button>
      </Box>
    </Paper>
  );
}
