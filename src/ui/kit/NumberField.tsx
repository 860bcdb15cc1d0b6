"use client";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { readNumber } from "@/core/shared/typed";

interface Props {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
  /** Sentence for a value that cannot be; shown below the field. */
  readonly error?: string;
  readonly placeholder?: string;
  readonly width?: number;
  /** The label is read out but not shown: the column says it already. */
  readonly quiet?: boolean;
  /** Taken when the field is left, or by Enter, not at each key. */
  readonly late?: boolean;
}

/** NaN for what is no number: the check says so at the field, and what is typed stays. */
const numberIn = (text: string): number | undefined => (text.trim() === "" ? undefined : (readNumber(text) ?? NaN));

/** A number that keeps what is typed, right or wrong; empty means "not given". */
export function NumberField({ label, value, onChange, error, placeholder, width = 84, quiet, late }: Props) {
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const shown = typed ?? (value === undefined ? "" : String(value));
  return (
    <TextField
      label={quiet ? undefined : label}
      value={shown}
      placeholder={placeholder}
      onChange={(event) => {
        const text = event.target.value;
        setTyped(text);
        if (!late) onChange(numberIn(text));
      }}
      onKeyDown={(event) => {
        if (late && event.key === "Enter" && typed !== undefined) onChange(numberIn(typed));
      }}
      onBlur={() => {
        if (late && typed !== undefined && numberIn(typed) !== value) onChange(numberIn(typed));
        setTyped((text) => (text !== undefined && Number.isNaN(numberIn(text)) ? text : undefined));
      }}
      error={error !== undefined}
      helperText={error}
      sx={{ width: error ? 260 : width, maxWidth: "100%" }}
      slotProps={{
        ...(placeholder !== undefined && { inputLabel: { shrink: true } }),
        htmlInput: { inputMode: "decimal", "aria-label": quiet ? label : undefined, style: { textAlign: "right" } },
      }}
    />
  );
}
