"use client";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";
import { COLOUR } from "../theme/tokens";

/** A question with its fields and, at once, the answer. */
export function Sum({ title, fields, children }: { title: string; fields: ReactNode; children: ReactNode }) {
  return (
    <Box sx={{ py: 1.25, borderTop: `1px solid ${COLOUR.line}`, "&:first-of-type": { borderTop: 0 } }}>
      <Typography variant="h3">{title}</Typography>
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", mt: 1.25, mb: 0.75 }}>{fields}</Box>
      <Box role="status" sx={{ fontSize: "0.9rem" }}>
        {children}
      </Box>
    </Box>
  );
}

export const Ask = () => <Typography color="text.secondary">Fill in the fields and the answer stands here.</Typography>;
export const positive = (...values: (number | undefined)[]): boolean => values.every((v) => v !== undefined && v > 0 && v < 1e6);
export const tenth = (grams: number): number => Math.round(grams * 10) / 10;
