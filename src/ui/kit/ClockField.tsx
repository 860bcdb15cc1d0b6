"use client";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { minutesOfClock } from "@/core/shared/clock";
import { issueText } from "@/core/shared/issue-text";
import { A_TIME, readClock } from "@/core/shared/typed";
import { useDisplay } from "./use-display";

interface Props {
  readonly name: string;
  /** hh:mm, or what was typed and cannot be read. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Sentence for a time that can be read and does not fit. */
  readonly error?: string | undefined;
  /** As large as a heading: the time that the day runs towards. */
  readonly bold?: boolean;
}

/** A time of day, typed as one likes and shown in the cook's clock once the field is left. */
export function ClockField({ name, value, onChange, error, bold }: Props) {
  const { clock } = useDisplay();
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const minutes = minutesOfClock(value);
  const problem = minutes === undefined ? issueText({ code: "unreadable", path: [], got: value, wanted: A_TIME }, name) : error;
  return (
    <TextField
      value={typed ?? (minutes === undefined || value === "24:00" ? value : clock(minutes))}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(readClock(event.target.value) ?? event.target.value);
      }}
      onBlur={() => setTyped(undefined)}
      error={problem !== undefined}
      helperText={problem}
      slotProps={{ htmlInput: { "aria-label": name, maxLength: 12 } }}
      sx={{ width: problem ? 260 : 92, ...(bold && { "& input": { fontWeight: 640 } }) }}
    />
  );
}
