"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { minutesOfClock } from "@/core/shared/clock";
import { ClockField } from "./ClockField";
import { DAYS_AROUND, dayText } from "./day-text";

export interface Hours {
  readonly day: number;
  readonly from: string;
  readonly to: string;
}

/** Minutes of all the hours together. */
export const minutesThere = (hours: readonly Hours[]): number =>
  hours.reduce((sum, { from, to }) => sum + Math.max(0, (minutesOfClock(to) ?? 0) - (minutesOfClock(from) ?? 0)), 0);

/** Stretches of time on days around a gathering. `who`: whose they are, as it is read out after "Hours 1 of". */
export function HoursFields({
  who,
  hours,
  onChange,
}: {
  who: string;
  hours: readonly Hours[];
  onChange: (hours: Hours[]) => void;
}) {
  const earlier = { day: Math.min(0, ...hours.map((one) => one.day)) - 1, from: "18:00", to: "21:00" };
  return (
    <>
      {hours.map((one, h) => {
        const name = `Hours ${h + 1} of ${who}`;
        const set = (edit: Partial<Hours>) => onChange(hours.map((other, i) => (i === h ? { ...other, ...edit } : other)));
        return (
          <Box key={h} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            <TextField
              select
              value={one.day}
              onChange={(event) => set({ day: Number(event.target.value) })}
              slotProps={{ htmlInput: { "aria-label": `${name}: day` } }}
              sx={{ flex: "1 1 130px" }}
            >
              {[...new Set([...DAYS_AROUND, one.day])].map((day) => (
                <MenuItem key={day} value={day}>
                  {dayText(day)}
                </MenuItem>
              ))}
            </TextField>
            <ClockField name={`${name}: from`} value={one.from} onChange={(from) => set({ from })} />
            to
            <ClockField name={`${name}: to`} value={one.to} onChange={(to) => set({ to })} />
            <IconButton aria-label={`Remove ${name.toLowerCase()}`} onClick={() => onChange(hours.filter((_, i) => i !== h))}>
              <DeleteOutline />
            </IconButton>
          </Box>
        );
      })}
      <div>
        <Button size="small" onClick={() => onChange([...hours, earlier])}>
          More hours
        </Button>
      </div>
    </>
  );
}
