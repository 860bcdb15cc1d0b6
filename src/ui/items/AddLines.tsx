"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Reading } from "@/core/ingredients/read-line";
import { readLines } from "@/core/item/recipe";
import type { System } from "@/core/quantities/unit-table";
import { counted } from "@/core/shared/words";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { PasteLines } from "./PasteLines";

interface Props {
  readonly label: string;
  readonly system: System;
  readonly onAdd: (readings: readonly Reading[], name: string) => void;
  /** Asks what the lines are called together. */
  readonly named?: boolean;
  readonly open?: boolean;
}

/** Pasted lines that are added to a place, once they are understood. */
export function AddLines({ label, system, onAdd, named, open: first = false }: Props) {
  const [open, setOpen] = useState(first);
  const [text, setText] = useState("");
  const [name, setName] = useState("");
  const { catalogue } = useCatalogue();
  const ready = readLines(text, system, catalogue).filter((reading) => !reading.heading);
  if (!open)
    return (
      <Button size="small" onClick={() => setOpen(true)}>
        {label}
      </Button>
    );
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {named && (
        <TextField
          label="What it is called"
          value={name}
          onChange={(event) => setName(event.target.value.slice(0, 120))}
          sx={{ maxWidth: 320, mt: 1 }}
        />
      )}
      <PasteLines
        label={label}
        value={text}
        onChange={setText}
        system={system}
        placeholder={"2 tbsp butter\n1 medium onion, chopped"}
      />
      <Box>
        <Button
          variant="contained"
          disabled={ready.length === 0}
          onClick={() => {
            onAdd(ready, name);
            setText("");
            setName("");
            setOpen(false);
          }}
        >
          Add {counted(ready.length, "ingredient")}
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </Box>
    </Box>
  );
}
