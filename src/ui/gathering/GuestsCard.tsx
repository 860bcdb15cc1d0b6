"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { useState } from "react";
import { weightOf } from "@/core/gathering/appetite";
import { ALLERGENS } from "@/core/ingredients/allergen";
import { counted } from "@/core/shared/words";
import { DIETS, type Diet } from "@/core/ingredients/kinds";
import { NumberField } from "../kit/NumberField";
import { Several } from "../kit/Several";
import { useDraft, usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { spreadTotal } from "./gathering.view-model";
import { issueAt } from "./issues";

type GuestGroup = NonNullable<Draft["guests"]>[number];

const AGES = [
  { value: "adult", label: "Adults" },
  { value: "teen", label: "Teens" },
  { value: "child", label: "Children" },
] as const;

/** What a group keeps to, shown: what is vegan is vegetarian already. */
const dietsShown = (group: GuestGroup): readonly Diet[] =>
  (group.diet ?? []).filter((diet) => diet !== "vegetarian" || !group.diet?.includes("vegan"));
const dietList = (chosen: readonly Diet[]): Diet[] =>
  DIETS.filter((diet) => chosen.includes(diet) || (diet === "vegetarian" && chosen.includes("vegan")));

/** Adults that a group eats as much as. */
const eatersOf = (group: GuestGroup): number => (Number.isFinite(group.count) ? group.count * weightOf(group) : 0);
const figure = (eaters: number): string => String(Math.round(eaters * 10) / 10);

/** Who comes: groups by age, diet and what they avoid, and the total, which spreads over the groups. */
export function GuestsCard() {
  const { change, checked, latest } = usePlan();
  const { draft } = useDraft();
  const groups = draft.guests ?? [];
  const total = groups.reduce((sum, group) => sum + group.count, 0);
  const [refused, setRefused] = useState<string | undefined>(undefined);
  const set = (index: number, edit: Partial<GuestGroup>) =>
    change((d) => ({ ...d, guests: (d.guests ?? []).map((group, i) => (i === index ? { ...group, ...edit } : group)) }));
  const setTotal = (value: number | undefined) => {
    if (value === undefined || !Number.isInteger(value) || value < 0 || value > 500)
      return setRefused(`Guests in all is ${value ?? "empty"}; expected a whole number from 0 to 500`);
    const spread = spreadTotal(groups, value);
    if ("least" in spread)
      return setRefused(
        `${spread.least} of the guests have a diet or an allergy and stay; change their own lines to make them fewer`,
      );
    setRefused(undefined);
    change((d) => ({ ...d, guests: (d.guests ?? []).map((group, i) => ({ ...group, count: spread.counts[i] })) }));
  };
  const eaters = groups.reduce((sum, group) => sum + eatersOf(group), 0);
  const pieces = latest?.quantities.headcount.counts.reduce((sum, count) => sum + count.pieces, 0) ?? 0;
  return (
    <Paper component="section" aria-labelledby="who" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 1.5, flexWrap: "wrap" }}>
        <Typography variant="h2" id="who">
          Who comes
        </Typography>
        {groups.length > 0 && (
          <Box sx={{ lineHeight: 1.1 }}>
            <Box component="span" sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.5rem", fontWeight: 560 }}>
              {figure(eaters)}
            </Box>{" "}
            {eaters === 1 ? "eater" : "eaters"}
            {pieces > 0 && `, ${counted(pieces, "piece")}`}
          </Box>
        )}
        {groups.length > 0 && (
          <Box sx={{ ml: "auto", display: "flex", alignItems: "center", gap: 1 }}>
            <Typography variant="body2">in all</Typography>
            <NumberField label="Guests in all" value={total} onChange={setTotal} error={refused} late quiet />
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
              width={52}
              quiet
            />
            <TextField
              select
              value={group.age}
              onChange={(e) => set(index, { age: e.target.value as GuestGroup["age"] })}
              slotProps={{ htmlInput: { "aria-label": `Age of group ${index + 1}` } }}
              sx={{ width: 106 }}
            >
              {AGES.map(({ value, label }) => (
                <MenuItem key={value} value={value}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            <Box
              sx={{
                display: "grid",
                width: 62,
                textAlign: "right",
                fontSize: "0.72rem",
                whiteSpace: "nowrap",
                color: COLOUR.soft,
              }}
            >
              <NumberField
                label={`Appetite of group ${index + 1}, an adult being 1`}
                value={group.appetite}
                onChange={(appetite) => set(index, { appetite })}
                placeholder={`× ${weightOf(group)}`}
                error={issueAt(checked, ["gathering", "guests", index, "appetite"], "Appetite")}
                width={62}
                quiet
              />
              {eatersOf(group) !== group.count && Number.isFinite(group.count) && `eat for ${figure(eatersOf(group))}`}
            </Box>
            <Several
              label={`Diet of group ${index + 1}`}
              of={DIETS}
              chosen={dietsShown(group)}
              none="any food"
              text={(diets) => diets.join(", ")}
              onChange={(diet) => set(index, { diet: dietList(diet) })}
            />
            <Several
              label={`What group ${index + 1} avoids`}
              of={ALLERGENS}
              chosen={group.avoid ?? []}
              none="no allergy"
              text={(allergens) => `no ${allergens.join(", ")}`}
              onChange={(avoid) => set(index, { avoid: [...avoid] })}
            />
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
