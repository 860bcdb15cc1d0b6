"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { addBlindBake } from "@/core/item/step-edit";
import type { Choices, Item } from "@/core/item/schema";
import { lengthText } from "@/core/shared/clock";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { StepBar } from "./StepBar";
import { StepForm } from "./StepForm";
import { handsOnMinutes, stepRows } from "./items.view-model";

interface Props {
  readonly item: Item;
  readonly choices: Choices;
  readonly chosen: readonly Item["schools"][number]["options"][number][];
  readonly onChoose: (choices: Choices) => void;
  /** The core that what is in it asks for at a step, °C. */
  readonly leastCoreC: (step: string) => number | undefined;
  /** How long what a step leaves keeps by the usual guidance, h. */
  readonly mostHours: (step: string) => number | undefined;
  readonly onChange: (item: Item) => void;
}

/** Steps in order with their times, and the ways cooks differ as choices that mark what they change. */
export function StepsCard({ item, choices, chosen, onChoose, leastCoreC, mostHours, onChange }: Props) {
  const { catalogue } = useCatalogue();
  const rows = stepRows(item, choices, "fresh", catalogue);
  const { heat, dial } = useDisplay();
  const [open, setOpen] = useState<string | undefined>(undefined);
  const blind = addBlindBake(item);
  return (
    <Paper component="section" aria-label="Steps" sx={{ p: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1 }}>
        <Typography variant="h2">Steps</Typography>
        <Typography variant="body2" color="text.secondary">
          {rows.length} steps, {lengthText(handsOnMinutes(item, choices))} of hands for a batch
        </Typography>
        {blind.ok && (
          <Button size="small" sx={{ ml: "auto" }} onClick={() => onChange(blind.value)}>
            Bake the crust blind first
          </Button>
        )}
      </Box>
      {item.schools.map((school, i) => (
        <Box key={school.id} sx={{ mb: 1.25 }}>
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
            <Typography variant="body2" sx={{ flex: "1 1 220px" }}>
              {school.question}
            </Typography>
            <ToggleButtonGroup
              exclusive
              size="small"
              sx={{ flexWrap: "wrap" }}
              value={chosen[i].id}
              onChange={(_, option: string | null) => option && onChoose({ ...choices, [school.id]: option })}
              aria-label={school.question || school.id}
            >
              {school.options.map((option) => (
                <ToggleButton key={option.id} value={option.id} sx={{ textTransform: "none", minHeight: 34 }}>
                  {option.name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
          {chosen[i].effect && <Typography variant="caption">{chosen[i].effect}</Typography>}
        </Box>
      ))}
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {rows.map((row, i) => (
          <Box
            key={row.id}
            component="li"
            data-step={row.id}
            data-changed={row.changed || undefined}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "24px 1fr", sm: "24px 130px 180px minmax(0, 1fr) 78px" },
              gap: 1,
              py: 0.75,
              borderTop: `1px solid ${COLOUR.line}`,
              fontSize: "0.875rem",
              ...(row.changed && { background: COLOUR.cautionMist }),
            }}
          >
            <Box sx={{ color: COLOUR.soft, textAlign: "right" }}>{i + 1}</Box>
            <Box>
              <Box sx={{ fontWeight: 600 }}>{row.verb}</Box>
              <Typography variant="caption">{row.changed ? `${row.what} · changed` : row.what}</Typography>
            </Box>
            <Box sx={{ gridColumn: { xs: "2", sm: "auto" } }}>
              <div>{heat(row.time)}</div>
              <StepBar step={row.step} pieces={item.base.pieces} />
              <Typography variant="caption">{heat(row.where)}</Typography>
            </Box>
            <Box sx={{ gridColumn: { xs: "2", sm: "auto" } }}>
              {heat(row.does)}
              {dial(row.does) && <Box sx={{ color: COLOUR.soft }}>On this hob: {dial(row.does)}</Box>}
              {row.cue && <Box sx={{ color: COLOUR.soft }}>Right when: {row.cue}</Box>}
              {row.caution && <Box sx={{ color: COLOUR.caution }}>! {heat(row.caution)}</Box>}
            </Box>
            <Box sx={{ gridColumn: { xs: "2", sm: "auto" } }}>
              <Button size="small" aria-expanded={open === row.id} onClick={() => setOpen(open === row.id ? undefined : row.id)}>
                {open === row.id ? "Done" : "Change"}
              </Button>
            </Box>
            {open === row.id && (
              <StepForm
                item={item}
                id={row.id}
                leastCoreC={leastCoreC(row.id)}
                mostHours={mostHours(row.id)}
                onChange={onChange}
                onOpen={setOpen}
              />
            )}
          </Box>
        ))}
      </Box>
    </Paper>
  );
}
