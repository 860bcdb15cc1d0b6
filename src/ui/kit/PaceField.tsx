"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { SKILL_FACTOR, SKILLS, type Skill } from "@/core/process/hands";

const SKILL_TEXT: Readonly<Record<Skill, string>> = {
  beginner: "new to it",
  intermediate: "as the recipe says",
  experienced: "quick",
};

/** How fast a cook's hands are. */
export function PaceField({ name, value, onChange }: { name: string; value: Skill; onChange: (skill: Skill) => void }) {
  return (
    <TextField
      select
      value={value}
      onChange={(event) => onChange(event.target.value as Skill)}
      slotProps={{ htmlInput: { "aria-label": name } }}
      sx={{ flex: "1 1 170px" }}
    >
      {SKILLS.map((skill) => (
        <MenuItem key={skill} value={skill}>
          {SKILL_TEXT[skill]} (× {SKILL_FACTOR[skill]})
        </MenuItem>
      ))}
    </TextField>
  );
}
