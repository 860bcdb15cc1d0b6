"use client";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { readNumber } from "@/core/shared/typed";

interface Props {
  /** What is measured, as the field is called. */
  readonly name: string;
  /** What the thermometer for it reads at the least and the most, °C. */
  readonly leastC: number;
  readonly mostC: number;
  readonly variant: "contained" | "outlined";
  /** What a connected instrument reads; undefined without one. */
  readonly read?: (() => number | undefined) | undefined;
  readonly onRead: (celsius: number) => void;
}

/** What a thermometer reads, typed and told. */
export function Reading({ name, leastC, mostC, variant, read, onRead }: Props) {
  const [typed, setTyped] = useState("");
  const value = readNumber(typed);
  const isWrong = typed.trim() !== "" && !(value !== undefined && value >= leastC && value <= mostC);
  return (
    <>
      <TextField
        label={`${name}, °C`}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        error={isWrong}
        helperText={isWrong ? `${name} is ${typed}; expected ${leastC} to ${mostC} °C` : undefined}
        slotProps={{ htmlInput: { inputMode: "decimal" } }}
        sx={{ width: isWrong ? 260 : 110 }}
      />
      <Button
        variant={variant}
        sx={{ minHeight: 44 }}
        disabled={value === undefined || isWrong}
        onClick={() => {
          onRead(value!);
          setTyped("");
        }}
      >
        Measured
      </Button>
      {read && (
        <Button
          variant="outlined"
          sx={{ minHeight: 44 }}
          onClick={() => {
            const got = read();
            if (got !== undefined) onRead(got);
          }}
        >
          Read the thermometer
        </Button>
      )}
    </>
  );
}
