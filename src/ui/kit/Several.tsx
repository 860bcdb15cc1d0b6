"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";

/** Several of a closed list, in words. */
export function Several<T extends string>({
  label,
  of,
  chosen,
  none,
  text,
  nameOf = (one) => one,
  width = 122,
  onChange,
}: {
  label: string;
  of: readonly T[];
  chosen: readonly T[];
  none: string;
  text: (chosen: readonly T[]) => string;
  /** What one is called. */
  nameOf?: (one: T) => string;
  width?: number;
  onChange: (chosen: readonly T[]) => void;
}) {
  return (
    <TextField
      select
      value={chosen}
      onChange={(e) => onChange((typeof e.target.value === "string" ? [e.target.value] : e.target.value) as unknown as T[])}
      slotProps={{
        htmlInput: { "aria-label": label },
        select: {
          multiple: true,
          displayEmpty: true,
          renderValue: (value) => ((value as T[]).length > 0 ? text(value as T[]) : none),
        },
      }}
      sx={{ width }}
    >
      {of.map((one) => (
        <MenuItem key={one} value={one}>
          {nameOf(one)}
        </MenuItem>
      ))}
    </TextField>
  );
}
