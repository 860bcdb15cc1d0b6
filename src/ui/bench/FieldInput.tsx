"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { celsiusOf, fahrenheitOf } from "@/core/quantities/temperature";
import { readNumber } from "@/core/shared/typed";
import { useDisplay } from "../kit/use-display";
import type { Field } from "./calculator";

interface Props {
  readonly field: Field;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

const tenth = (value: number): string => String(Math.round(value * 10) / 10);

/** A field of a question; a temperature is typed in the cook's own scale. */
export function FieldInput({ field, value, onChange }: Props) {
  const { display } = useDisplay();
  const [typed, setTyped] = useState<string | undefined>(undefined);
  if (field.kind === "choice")
    return (
      <TextField select label={field.label} value={value} onChange={(event) => onChange(event.target.value)}>
        {field.options.map(([id, label]) => (
          <MenuItem key={id} value={id}>
            {label}
          </MenuItem>
        ))}
      </TextField>
    );
  if (field.kind === "text")
    return (
      <TextField
        label={field.label}
        value={value}
        multiline={field.rows !== undefined}
        minRows={field.rows}
        onChange={(event) => onChange(event.target.value.slice(0, 2000))}
        sx={{ gridColumn: "1 / -1" }}
      />
    );
  const isF = field.unit === "°C" && display.heat === "F";
  const number = readNumber(value);
  const shown = typed ?? (isF && number !== undefined ? tenth(fahrenheitOf(number)) : value);
  return (
    <TextField
      label={`${field.label}, ${isF ? "°F" : field.unit}`}
      value={shown}
      onChange={(event) => {
        const text = event.target.value.slice(0, 20);
        setTyped(text);
        const read = readNumber(text);
        onChange(isF && read !== undefined ? tenth(celsiusOf(read)) : text);
      }}
      onBlur={() => setTyped(undefined)}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: "decimal" } }}
    />
  );
}
