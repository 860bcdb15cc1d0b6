"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { keepable, type Keepable } from "@/core/item/keepable";
import type { Item } from "@/core/item/schema";
import { lengthText } from "@/core/shared/clock";
import { DAYS_AROUND, dayText } from "../kit/day-text";
import { useDraft, usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { issueAt } from "./issues";

/** A line of the card: done already, or on a day of its own. */
interface Line {
  readonly list: "doneAhead" | "ahead";
  readonly at: number;
  readonly recipe: string;
  readonly through: string;
  readonly day: number | undefined;
}

const ALREADY = "already";

/** What is made before the day: done already, or with a day of its own on the timeline; and how long it keeps where. */
export function DoneAheadCard() {
  const { change, source, checked } = usePlan();
  const { draft } = useDraft();
  const recipes = new Set([...(draft.waves ?? []).flatMap((wave) => wave.items), ...(draft.freezer ?? [])].map((e) => e.recipe));
  const items = source.items.filter((item) => recipes.has(item.id));
  const lines: Line[] = [
    ...(draft.doneAhead ?? []).map((entry, at): Line => ({ list: "doneAhead", at, ...entry, day: undefined })),
    ...(draft.ahead ?? []).map((entry, at): Line => ({ list: "ahead", at, ...entry })),
  ];
  const open = items.filter((item) => keepable(item).length > 0);
  if (open.length === 0 && lines.length === 0) return null;
  const without = (d: Draft, line: Line): Draft => ({ ...d, [line.list]: (d[line.list] ?? []).filter((_, i) => i !== line.at) });
  const add = (d: Draft, recipe: string, through: string, day: number | undefined): Draft =>
    day === undefined
      ? { ...d, doneAhead: [...(d.doneAhead ?? []), { recipe, through }] }
      : { ...d, ahead: [...(d.ahead ?? []), { recipe, through, day }] };
  return (
    <Paper component="section" aria-label="Ahead of the day" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Ahead of the day
      </Typography>
      {lines.length === 0 && (
        <Typography color="text.secondary">All of it is made on the day. What keeps can be made before.</Typography>
      )}
      {lines.map((line) => {
        const item = items.find((one) => one.id === line.recipe);
        if (!item) return null;
        const steps = withOwn(item, line.through);
        const kept = steps.find(({ step }) => step.id === line.through);
        const name = `${item.name} made ahead`;
        const problem =
          line.list === "ahead" ? issueAt(checked, ["gathering", "ahead", line.at, "day"], "The day for it") : undefined;
        return (
          <Box
            key={`${line.list} ${line.at}`}
            role="group"
            aria-label={name}
            sx={{
              borderTop: `1px solid ${COLOUR.line}`,
              py: 1,
              display: "grid",
              gridTemplateColumns: "minmax(0, 1fr)",
              gap: 0.5,
            }}
          >
            <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
              <Box sx={{ fontWeight: 600, minWidth: 110 }}>{item.name}</Box>
              <TextField
                select
                value={line.through}
                onChange={(event) => change((d) => add(without(d, line), line.recipe, event.target.value, line.day))}
                slotProps={{ htmlInput: { "aria-label": `${name}: up to` } }}
                sx={{ flex: "1 1 200px", minWidth: 0, maxWidth: "100%" }}
              >
                {steps.map(({ step }) => (
                  <MenuItem key={step.id} value={step.id} sx={{ whiteSpace: "normal", maxWidth: 420 }}>
                    {step.do || step.kind}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                select
                value={line.day ?? ALREADY}
                onChange={(event) =>
                  change((d) =>
                    add(
                      without(d, line),
                      line.recipe,
                      line.through,
                      event.target.value === ALREADY ? undefined : Number(event.target.value),
                    ),
                  )
                }
                error={problem !== undefined}
                slotProps={{ htmlInput: { "aria-label": `${name}: when` } }}
                sx={{ width: 170 }}
              >
                <MenuItem value={ALREADY}>done already</MenuItem>
                {DAYS_AROUND.filter((day) => day < 0).map((day) => (
                  <MenuItem key={day} value={day}>
                    {dayText(day)}
                  </MenuItem>
                ))}
              </TextField>
              <IconButton aria-label={`Remove ${name}`} onClick={() => change((d) => without(d, line))}>
                <DeleteOutline fontSize="small" />
              </IconButton>
            </Box>
            <Box sx={{ fontSize: "0.82rem", color: COLOUR.soft }}>
              {kept && keepText(kept)}
              {line.day !== undefined && ". Its work is on the timeline of that day"}
            </Box>
            {problem && (
              <Box role="alert" sx={{ color: COLOUR.ember, fontSize: "0.82rem" }}>
                {problem}. Give somebody hours then, under “Who cooks”.
              </Box>
            )}
          </Box>
        );
      })}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1 }}>
        {open
          .filter((item) => !lines.some((line) => line.recipe === item.id))
          .map((item) => (
            <Button
              key={item.id}
              size="small"
              variant="outlined"
              onClick={() => change((d) => add(d, item.id, keepable(item)[0].step.id, undefined))}
            >
              {item.name}: part of it ahead
            </Button>
          ))}
      </Box>
    </Paper>
  );
}

/** The steps that can be chosen, and the one that is, whatever it is. */
function withOwn(item: Item, through: string): Keepable[] {
  const known = keepable(item);
  const step = item.steps.find(({ id }) => id === through);
  return known.some((one) => one.step.id === through) || !step ? known : [{ step, keeps: undefined }, ...known];
}

const keepText = ({ keeps }: Keepable): string =>
  keeps === undefined
    ? "How long that keeps is not said by the recipe"
    : keeps.where === "freezer"
      ? "Kept in the freezer"
      : `Keeps ${keeps.hours >= 48 ? `${Math.floor(keeps.hours / 24)} days` : lengthText(keeps.hours * 60)} in the ${keeps.where}`;
