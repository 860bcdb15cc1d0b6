"use client";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { amountText } from "@/core/quantities/display";
import type { Ticks } from "../kit/use-stored";
import { besideFor, besideStart } from "../plan/beside-text";
import { momentText, summarise } from "../plan/plan-summary";
import { usePlan } from "../plan/PlanProvider";
import { usePlanDisplay } from "../plan/use-plan-display";
import { COLOUR } from "../theme/tokens";
import { TickLine } from "./TickLine";

/** What goes into the dips, drinks and sides. */
export function BesideSheets({ big, ticks }: { big: boolean; ticks: Ticks }) {
  const { latest, good, stale } = usePlan();
  const { clock } = usePlanDisplay(good?.plan);
  if (!latest) return null;
  const startOf = (id: string): string => {
    if (!good || stale) return "";
    const start = besideStart(good.plan, id);
    if (start === undefined) return "";
    return `from ${momentText(good.plan, start, summarise(good.plan)?.severalDays ?? false, clock)}`;
  };
  return latest.quantities.beside
    .filter(({ total }) => total > 0)
    .map(({ of, total, count, parts }) => (
      <Paper
        key={of.id}
        component="article"
        aria-label={of.name}
        sx={{ p: 1.75, breakInside: "avoid", borderTop: `4px solid ${COLOUR.ember}` }}
      >
        <Typography variant="h3" sx={{ display: "flex", gap: 1 }}>
          {of.name}
          <Typography component="span" variant="caption" sx={{ ml: "auto", fontWeight: 600, color: COLOUR.tide }}>
            {startOf(of.id)}
          </Typography>
        </Typography>
        <Typography variant="caption">
          {amountText(total, of.unit)} in all, for {besideFor({ of, count })}
        </Typography>
        {parts.map(({ name, amount, grams }, i) => {
          const key = `beside ${of.id} ${i}`;
          return (
            <TickLine
              key={key}
              amount={amountText(amount, of.unit)}
              name={name}
              big={big}
              ticked={ticks.has(key)}
              onTick={() => ticks.toggle(key)}
            >
              {of.unit === "ml" && grams !== undefined && ` · ${amountText(grams, "g")}`}
            </TickLine>
          );
        })}
        {parts.length === 0 && <Typography variant="body2">What goes into it has not been said.</Typography>}
      </Paper>
    ));
}
