"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { SxProps } from "@mui/material/styles";
import type { System } from "@/core/quantities/unit-table";
import { SYSTEMS } from "./use-display";

interface Props {
  readonly label: string;
  readonly value: System;
  readonly onChange: (system: System) => void;
  readonly sx?: SxProps;
}

/** Whose cups and spoons are meant. */
export function CupsSelect({ label, value, onChange, sx }: Props) {
  return (
    <TextField select label={label} value={value} onChange={(e) => onChange(e.target.value as System)} sx={sx}>
      {SYSTEMS.map((system) => (
        <MenuItem key={system.value} value={system.value}>
          {system.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
