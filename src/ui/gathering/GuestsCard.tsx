"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { NumberField } from "../kit/NumberField";
import { useDraft, usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { spreadTotal } from "./gathering.view-model";
import { issueAt } from "./issues";

type GuestGroup = NonNullable<Draft["guests"]>[number];

const AGES = [
  { value: "adult", label: "Adults" },
  { value: "teen", label: "Teenagers" },
  { value: "child", label: "Children" },
] as const;

const DIETS = [
  { value: "", label: "any food" },
  { value: "vegetarian", label: "vegetarian" },
  { value: "vegan", label: "vegan" },
] as const;

const dietOf = (group: GuestGroup): string => (group.diet?.includes("vegan") ? "vegan" : (group.diet?.[0] ?? ""));
const dietList = (value: string): string[] => (value === "vegan" ? ["vegetarian", "vegan"] : value ? [value] : []);

/** Who comes: groups by age, diet and what they avoid, and the total, which spreads over the groups. */
export function GuestsCard() {
  const { change, checked, source } = usePlan();
  const { draft } = useDraft();
  const groups = draft.guests ?? [];
  const total = groups.reduce((sum, group) => sum + group.count, 0);
  const avoidable = [...new Set(source.items.flatMap((item) => item.allergens))].sort();
  const set = (index: number, edit: Partial<GuestGroup>) =>
    change((d) => ({ ...d, guests: (d.guests ?? []).map((group, i) => (i === index ? { ...group, ...edit } : group)) }));
  const setTotal = (value: number | undefined) => {
    if (value === undefined || !Number.isInteger(value) || value < 0 || value > 500)
      return change((d) => ({
        ...d,
        guests: (d.guests ?? []).map((g, i) => (i === 0 ? { ...g, count: (value ?? NaN) - (total - groups[0].count) } : g)),
      }));
    change((d) => {
      const counts = spreadTotal(
        (d.guests ?? []).map((g) => (Number.isFinite(g.count) ? Math.max(0, g.count) : 0)),
        value,
      );
      return { ...d, guests: (d.guests ?? []).map((group, i) => ({ ...group, count: counts[i] })) };
    });
  };
  return (
    <Paper component="section" aria-labelledby="who" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 1.5 }}>
        <Typography variant="h2" id="who">
          Who comes
        </Typography>
        {groups.length > 0 && (
          <Box sx={{ ml: "auto", display: "flex", alignItems: "center", gap: 1 }}>
            <Typography variant="body2">in all</Typography>
            <NumberField label="Guests in all" value={total} onChange={setTotal} quiet />
            <Typography variant="body2">spare %</Typography>
            <NumberField
              label="Spare, percent"
              value={draft.sparePct ?? 0}
              onChange={(v) => change((d) => ({ ...d, sparePct: v ?? 0 }))}
              error={issueAt(checked, ["gathering", "sparePct"], "Spare")}
              width={64}
              quiet
            />
          </Box>
        )}
      </Box>
      {groups.length === 0 && <Typography color="text.secondary">Nobody comes to eat: this is for the freezer.</Typography>}
      {groups.map((group, index) => {
        const issue = issueAt(checked, ["gathering", "guests", index, "count"], "Guests");
        return (
          <Box
            key={index}
            sx={{
              display: "flex",
              flexWrap: "wrap",
              alignItems: "flex-start",
              gap: 0.75,
              py: 0.75,
              borderTop: `1px solid ${COLOUR.line}`,
            }}
          >
            <NumberField
              label={`Count of group ${index + 1}`}
              value={group.count}
              onChange={(count) => set(index, { count: count ?? NaN })}
              error={issue}
              width={58}
              quiet
            />
            <TextField
              select
              value={group.age}
              onChange={(e) => set(index, { age: e.target.value as GuestGroup["age"] })}
              slotProps={{ htmlInput: { "aria-label": `Age of group ${index + 1}` } }}
              sx={{ width: 122 }}
            >
              {AGES.map(({ value, label }) => (
                <MenuItem key={value} value={value}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              value={dietOf(group)}
              onChange={(e) => set(index, { diet: dietList(e.target.value) })}
              slotProps={{ htmlInput: { "aria-label": `Diet of group ${index + 1}` }, select: { displayEmpty: true } }}
              sx={{ width: 122 }}
            >
              {DIETS.map(({ value, label }) => (
                <MenuItem key={value} value={value}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              value={group.avoid ?? []}
              onChange={(e) =>
                set(index, {
                  avoid: typeof e.target.value === "string" ? [e.target.value] : (e.target.value as unknown as string[]),
                })
              }
              slotProps={{
                htmlInput: { "aria-label": `What group ${index + 1} avoids` },
                select: {
                  multiple: true,
                  displayEmpty: true,
                  renderValue: (value) =>
                    (value as string[]).length > 0 ? `no ${(value as string[]).join(", ")}` : "no allergy",
                },
              }}
              sx={{ width: 132 }}
            >
              {avoidable.map((allergen) => (
                <MenuItem key={allergen} value={allergen}>
                  {allergen}
                </MenuItem>
              ))}
            </TextField>
            <IconButton
              aria-label={`Remove group ${index + 1}`}
              onClick={() => change((d) => ({ ...d, guests: (d.guests ?? []).filter((_, i) => i !== index) }))}
              sx={{ ml: "auto" }}
            >
              <DeleteOutline fontSize="small" />
            </IconButton>
          </Box>
        );
      })}
      <Button
        sx={{ mt: 1 }}
        onClick={() => change((d) => ({ ...d, guests: [...(d.guests ?? []), { count: 1, age: "adult", diet: [], avoid: [] }] }))}
      >
        Add guests
      </Button>
    </Paper>
  );
}
