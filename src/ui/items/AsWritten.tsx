"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { Item } from "@/core/item/schema";

/** The recipe in the words in which it was typed, whatever has become of it since. */
export function AsWritten({ item }: { item: Item }) {
  const [open, setOpen] = useState(false);
  const { written } = item;
  if (!written) return null;
  const parts = [
    ["Dough", written.dough],
    ["Filling", written.filling],
    ["Oven", written.oven],
    ["What is done", written.method ?? ""],
  ].filter(([, text]) => text.trim() !== "");
  return (
    <Paper component="section" aria-label="As it was written" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="h2">As it was written</Typography>
        <Button size="small" sx={{ ml: "auto" }} aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? "Fold it" : "Show it"}
        </Button>
      </Box>
      {open &&
        parts.map(([name, text]) => (
          <Box key={name} sx={{ mt: 1 }}>
            <Typography variant="h3">{name}</Typography>
            <Box sx={{ whiteSpace: "pre-wrap", fontSize: "0.88rem" }}>{text}</Box>
          </Box>
        ))}
    </Paper>
  );
}
