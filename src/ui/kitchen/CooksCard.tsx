"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import type { Cook, Kitchen } from "@/core/kitchen/schema";
import { SKILL_FACTOR, SKILLS, type Skill } from "@/core/process/hands";
import { lengthText, minutesOfClock } from "@/core/shared/clock";
import { freshId } from "@/core/shared/fresh-id";
import { ClockField } from "../kit/ClockField";
import { COLOUR } from "../theme/tokens";

type Hours = Cook["hours"][number];

const SKILL_TEXT: Readonly<Record<Skill, string>> = {
  beginner: "new to it",
  intermediate: "as the recipe says",
  experienced: "quick",
};
const DAYS = [0, -1, -2, -3, -4, -5, -6, -7];
const dayText = (day: number): string =>
  day === 0 ? "on the day" : day === -1 ? "the day before" : day < 0 ? `${-day} days before` : `${day} days after`;

const minutesThere = (hours: readonly Hours[]): number =>
  hours.reduce((sum, { from, to }) => sum + Math.max(0, (minutesOfClock(to) ?? 0) - (minutesOfClock(from) ?? 0)), 0);

/** Who usually cooks here, when, and how fast their hands are. */
export function CooksCard({ kitchen, change }: { kitchen: Kitchen; change: (edit: (kitchen: Kitchen) => Kitchen) => void }) {
  const set = (index: number, edit: (cook: Cook) => Cook) =>
    change((k) => ({ ...k, cooks: k.cooks.map((cook, i) => (i === index ? edit(cook) : cook)) }));
  const setHours = (index: number, hours: readonly Hours[]) => set(index, (cook) => ({ ...cook, hours: [...hours] }));
  const add = () =>
    change((k) => ({
      ...k,
      cooks: [
        ...k.cooks,
        {
          id: freshId(
            `cook ${k.cooks.length + 1}`,
            k.cooks.map((cook) => cook.id),
          ),
          name: `Cook ${k.cooks.length + 1}`,
          skill: "intermediate",
          hours: [{ day: 0, from: "12:00", to: "18:00" }],
          notFor: [],
        },
      ],
    }));
  return (
    <Paper component="section" aria-label="Who cooks" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Who cooks
      </Typography>
      {kitchen.cooks.map((cook, c) => (
        <Box
          key={cook.id}
          role="group"
          aria-label={`Cook ${c + 1}`}
          sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 1.25, display: "grid", gap: 1 }}
        >
          <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            <TextField
              value={cook.name}
              onChange={(event) => set(c, (one) => ({ ...one, name: event.target.value }))}
              error={cook.name.trim() === ""}
              slotProps={{ htmlInput: { "aria-label": `Name of cook ${c + 1}` } }}
              sx={{ flex: "1 1 120px" }}
            />
            <TextField
              select
              value={cook.skill}
              onChange={(event) => set(c, (one) => ({ ...one, skill: event.target.value as Skill }))}
              slotProps={{ htmlInput: { "aria-label": `Pace of cook ${c + 1}` } }}
              sx={{ flex: "1 1 170px" }}
            >
              {SKILLS.map((skill) => (
                <MenuItem key={skill} value={skill}>
                  {SKILL_TEXT[skill]} (× {SKILL_FACTOR[skill]})
                </MenuItem>
              ))}
            </TextField>
            {kitchen.cooks.length > 1 && (
              <IconButton
                aria-label={`Remove cook ${c + 1}`}
                onClick={() => change((k) => ({ ...k, cooks: k.cooks.filter((_, i) => i !== c) }))}
              >
                <DeleteOutline />
              </IconButton>
            )}
          </Box>
          <Box sx={{ fontWeight: 600 }}>{lengthText(minutesThere(cook.hours))} at work here</Box>
          {cook.hours.map((hours, h) => {
            const setOne = (edit: Partial<Hours>) =>
              setHours(
                c,
                cook.hours.map((one, i) => (i === h ? { ...one, ...edit } : one)),
              );
            const name = `Hours ${h + 1} of cook ${c + 1}`;
            return (
              <Box key={h} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
                <TextField
                  select
                  value={hours.day}
                  onChange={(event) => setOne({ day: Number(event.target.value) })}
                  slotProps={{ htmlInput: { "aria-label": `${name}: day` } }}
                  sx={{ flex: "1 1 130px" }}
                >
                  {[...new Set([...DAYS, hours.day])].map((day) => (
                    <MenuItem key={day} value={day}>
                      {dayText(day)}
                    </MenuItem>
                  ))}
                </TextField>
                <ClockField name={`${name}: from`} value={hours.from} onChange={(from) => setOne({ from })} />
                to
                <ClockField name={`${name}: to`} value={hours.to} onChange={(to) => setOne({ to })} />
                <IconButton
                  aria-label={`Remove ${name.toLowerCase()}`}
                  onClick={() =>
                    setHours(
                      c,
                      cook.hours.filter((_, i) => i !== h),
                    )
                  }
                >
                  <DeleteOutline />
                </IconButton>
              </Box>
            );
          })}
          <div>
            <Button
              size="small"
              onClick={() =>
                setHours(c, [
                  ...cook.hours,
                  { day: Math.min(0, ...cook.hours.map((one) => one.day)) - 1, from: "18:00", to: "21:00" },
                ])
              }
            >
              More hours
            </Button>
          </div>
        </Box>
      ))}
      <Button variant="outlined" onClick={add}>
        Another cook
      </Button>
    </Paper>
  );
}
