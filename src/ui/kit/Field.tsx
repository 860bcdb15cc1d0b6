"use client";
import TextField from "@mui/material/TextField";
import type { SxProps } from "@mui/material/styles";
import type { FieldError, UseFormRegisterReturn } from "react-hook-form";
import { issueText } from "@/core/shared/issue-text";

interface Props {
  readonly label: string;
  readonly of: UseFormRegisterReturn;
  readonly problem: FieldError | undefined;
  /** What stands in it, for the sentence that says what is wrong with it. */
  readonly value: unknown;
  readonly type?: "text" | "date" | "time";
  /** Figures: the numbers of a phone's keyboard. */
  readonly figures?: boolean;
  readonly sx?: SxProps;
}

/** A field of a form: what is typed stays, and what is wrong with it is one sentence below it. */
export function Field({ label, of: { ref, ...field }, problem, value, type = "text", figures = false, sx }: Props) {
  const sentence =
    problem &&
    issueText(
      {
        code: value === "" || value === undefined ? "missing" : "out_of_range",
        path: [],
        got: typeof value === "number" && Number.isNaN(value) ? undefined : value,
        wanted: problem.message,
      },
      label,
    );
  return (
    <TextField
      {...field}
      inputRef={ref}
      label={label}
      type={type}
      error={problem !== undefined}
      helperText={sentence}
      sx={sx ?? null}
      slotProps={{
        ...(type !== "text" && { inputLabel: { shrink: true } }),
        htmlInput: { ...(figures && { inputMode: "numeric" }) },
      }}
    />
  );
}
