"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Say } from "./say";

/** Somebody the plan does not know lends a hand from now on. */
export function Joins({ say }: { say: Say }) {
  const [name, setName] = useState("");
  const typed = name.trim();
  return (
    <Box
      component="form"
      sx={{ display: "flex", gap: 1, alignItems: "center" }}
      onSubmit={(event) => {
        event.preventDefault();
        if (typed === "") return;
        say({ kind: "joined", who: `hand-${crypto.randomUUID().slice(0, 8)}`, name: typed });
        setName("");
      }}
    >
      <TextField
        label="Somebody joins: name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
        sx={{ flex: 1 }}
      />
      <Button type="submit" variant="outlined" sx={{ minHeight: 44 }} disabled={typed === ""}>
        Joins
      </Button>
    </Box>
  );
}
