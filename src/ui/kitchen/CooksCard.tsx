"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import type { Cook, Kitchen } from "@/core/kitchen/schema";
import type { Step } from "@/core/item/step";
import { paceOf } from "@/core/kitchen/pace";
import { VERB } from "@/core/plan/task-text";
import { SKILL_FACTOR } from "@/core/process/hands";
import { lengthText } from "@/core/shared/clock";
import { freshId } from "@/core/shared/fresh-id";
import { HoursFields, minutesThere } from "../kit/HoursFields";
import { NumberField } from "../kit/NumberField";
import { Several } from "../kit/Several";
import { PaceField } from "../kit/PaceField";
import { COLOUR } from "../theme/tokens";

type StepKind = Step["kind"];
/** Work that somebody may be kept from: heat, knives, machines, fine work. */
const HANDED: readonly StepKind[] = [
  ...["weigh", "mix", "knead", "cook-filling", "divide", "roll", "fill", "seal", "glaze"],
  ...["bake", "steam", "fry", "pan-fry", "reheat", "freeze", "bag"],
] as StepKind[];
const verb = (kind: StepKind): string => VERB[kind].toLowerCase();

/** What a pace comes to. */
const sixtyText = (cook: Cook): string => `${lengthText(Math.round(60 * paceOf(cook)))} for what the recipe says takes 1 h`;

/** Who usually cooks here, when, and how fast their hands are. */
export function CooksCard({ kitchen, change }: { kitchen: Kitchen; change: (edit: (kitchen: Kitchen) => Kitchen) => void }) {
  const set = (index: number, edit: (cook: Cook) => Cook) =>
    change((k) => ({ ...k, cooks: k.cooks.map((cook, i) => (i === index ? edit(cook) : cook)) }));
  const setHours = (index: number, hours: Cook["hours"]) => set(index, (cook) => ({ ...cook, hours: [...hours] }));
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
            <PaceField
              name={`Pace of cook ${c + 1}`}
              value={cook.skill}
              onChange={(skill) => set(c, (one) => ({ ...one, skill }))}
            />
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
          <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", fontSize: "0.85rem", color: COLOUR.soft }}>
            <span>own pace ×</span>
            <NumberField
              label={`Own pace of cook ${c + 1}, times the recipe's minutes`}
              value={cook.pace}
              onChange={(pace) => set(c, (one) => ({ ...one, pace }))}
              placeholder={String(SKILL_FACTOR[cook.skill])}
              width={70}
              quiet
            />
            <span>{sixtyText(cook)}</span>
            <Several
              label={`What cook ${c + 1} does not do`}
              of={HANDED}
              chosen={cook.notFor.filter((kind): kind is StepKind => (HANDED as readonly string[]).includes(kind))}
              none="does everything"
              text={(kinds) => `does not ${kinds.map(verb).join(", ")}`}
              nameOf={verb}
              width={190}
              onChange={(kinds) =>
                set(c, (one) => ({
                  ...one,
                  notFor: [...one.notFor.filter((kind) => !(HANDED as readonly string[]).includes(kind)), ...kinds],
                }))
              }
            />
          </Box>
          <HoursFields who={`cook ${c + 1}`} hours={cook.hours} onChange={(hours) => setHours(c, hours)} />
        </Box>
      ))}
      <Button variant="outlined" onClick={add}>
        Another cook
      </Button>
    </Paper>
  );
}
