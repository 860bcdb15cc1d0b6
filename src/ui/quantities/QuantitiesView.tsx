"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import type { Ingredient } from "@/core/plan/batches";
import { Empty } from "../kit/Empty";
import { Monogram } from "../kit/Monogram";
import { itemOrder, weightText } from "../gathering/gathering.view-model";
import { momentText, summarise } from "../plan/plan-summary";
import { usePlan } from "../plan/PlanProvider";
import { COLOUR, toneOf } from "../theme/tokens";
import { itemSheets, type BatchSheet } from "./quantities.view-model";

/** Every batch with its grams, in the order in which the day comes to it. */
export function QuantitiesView() {
  const { latest, good, stale, source } = usePlan();
  const plan = stale ? undefined : good?.plan;
  const sheets = useMemo(() => (latest ? itemSheets(latest.quantities, plan) : []), [latest, plan]);
  const order = itemOrder(source.items);
  if (sheets.length === 0)
    return (
      <Empty title="Nothing to weigh yet">
        Add items to a wave or to the freezer, and every batch appears here with its grams.
      </Empty>
    );
  const severalDays = good ? summarise(good.plan, good.request).severalDays : false;
  const when = (sheet: BatchSheet): string => {
    if (sheet.batch.ahead) return "done ahead";
    return plan && sheet.start !== undefined ? `from ${momentText(plan.origin, sheet.start, severalDays)}` : "";
  };
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      {sheets.map(({ item, pieces, sheets: own }) => (
        <Box component="section" key={item.id} aria-label={item.name}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: 1 }}>
            <Monogram name={item.name} tone={toneOf(order.get(item.id) ?? 0)} />
            <Typography variant="h2">{item.name}</Typography>
            <Typography color="text.secondary">
              {pieces} pieces · {item.piece.doughG} g dough
              {item.piece.fillingG > 0 ? ` and ${item.piece.fillingG} g filling` : ""} each
            </Typography>
          </Box>
          <Box
            sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(272px, 1fr))", gap: 1.5, alignItems: "start" }}
          >
            {own.map((sheet) => (
              <Paper
                key={sheet.batch.id}
                component="article"
                aria-label={`${item.name}, ${sheet.title}`}
                sx={{ p: 1.75, opacity: sheet.batch.ahead ? 0.75 : 1 }}
              >
                <Box sx={{ display: "flex", alignItems: "baseline", gap: 1 }}>
                  <Typography variant="h3">{sheet.title}</Typography>
                  <Typography variant="caption" sx={{ ml: "auto", fontWeight: 600, color: COLOUR.tide }}>
                    {when(sheet)}
                  </Typography>
                </Box>
                <Typography variant="caption">
                  for {sheet.batch.pieces} pieces · {weightText(sheet.batch.totalG)} in all
                </Typography>
                {sheet.groups.map((group) => (
                  <Box key={group.name} sx={{ mt: 1 }}>
                    {sheet.groups.length > 1 && <Typography variant="caption">{group.name}</Typography>}
                    {group.lines.map((line, i) => (
                      <IngredientLine key={`${line.id}-${i}`} line={line} />
                    ))}
                  </Box>
                ))}
              </Paper>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Grams first, as they are read at the scale; what is held back stands below. */
function IngredientLine({ line }: { line: Ingredient }) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "82px 1fr", columnGap: 1, py: 0.25, borderTop: `1px solid ${COLOUR.line}` }}>
      <Box sx={{ textAlign: "right", fontWeight: 650, whiteSpace: "nowrap" }}>{gramsText(line.grams)}</Box>
      <Box sx={{ overflowWrap: "anywhere" }}>
        {line.name}
        {line.holdBackPct ? (
          <Typography variant="caption" sx={{ display: "block" }}>
            hold back {gramsText((line.grams * line.holdBackPct) / 100)}, add by feel
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}

/** As a kitchen scale shows it: tenths only for small amounts. */
const gramsText = (grams: number): string => `${grams < 20 ? grams.toFixed(1) : Math.round(grams)} g`;
