"use client";
import TextField from "@mui/material/TextField";
import { useState } from "react";

interface Props {
  readonly label: string;
  readonly value: string;
  /** Takes what was typed; a sentence where it cannot be, which stands below while the text stays as typed. */
  readonly onType: (text: string) => string | undefined;
  readonly placeholder?: string;
  readonly bold?: boolean;
}

/** A text in a table that keeps what is typed, right or wrong, and shows its value again when it is left. */
export function TextCell({ label, value, onType, placeholder, bold }: Props) {
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [error, setError] = useState<string | undefined>(undefined);
  return (
    <TextField
      fullWidth
      value={typed ?? value}
      placeholder={placeholder}
      error={error !== undefined}
      helperText={error}
      onChange={(event) => {
        setTyped(event.target.value);
        setError(onType(event.target.value));
      }}
      onBlur={() => error === undefined && setTyped(undefined)}
      slotProps={{ htmlInput: { "aria-label": label, style: bold ? { fontWeight: 600 } : undefined } }}
    />
  );
}
