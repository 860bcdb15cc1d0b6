"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { amountsAfter, causesOf, heldLiquid, tracesOf, type Trace } from "@/core/run/afterwards";
import { AMOUNTS, type AmountKind } from "@/core/run/events";
import { lengthText } from "@/core/shared/clock";
import { capitalised } from "@/core/shared/words";
import { NumberField } from "../kit/NumberField";
import { COLOUR } from "../theme/tokens";
import { useCookedDay, type CookedDay } from "./cook-context";
import type { Say } from "./say";

const MOST = 100_000;

/** What each item took and gave, and what was seen to be wrong with it: why, by this day's own record. */
export function AmountsAndFaults({ say }: { say: Say }) {
  const day = useCookedDay();
  const { plan, state, made } = day;
  return (
    <Paper component="section" aria-label="Amounts and faults" sx={{ p: 2.5, display: "grid", gap: 2 }}>
      <Typography variant="h2">What it took, what it gave, what went wrong</Typography>
      {plan.day.items.map(({ id, name }) => {
        const seen = new Set(state.faults.filter(({ item }) => item === id).map(({ fault }) => fault));
        const faults = made[id]?.faults ?? [];
        const traces = seen.size > 0 ? tracesOf(plan, state, id) : [];
        return (
          <Box key={id} component="section" aria-label={name} sx={{ display: "grid", gap: 1 }}>
            <Typography variant="h3">{name}</Typography>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5 }}>
              {amountsAfter(plan, state, id).map(({ what, planned, came }) => {
                const liquid = what === "water" ? heldLiquid(plan, id) : undefined;
                return (
                  <Box key={what}>
                    <NumberField
                      label={what === "pieces" ? "Pieces made" : `${amountName(what, liquid?.name)}, ${AMOUNTS[what]}`}
                      value={came}
                      late
                      width={190}
                      onChange={(value) => {
                        if (value !== undefined && value >= 0 && value <= MOST) say({ kind: "amount", item: id, what, value });
                      }}
                    />
                    <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft }}>
                      planned {Math.round(planned)} {AMOUNTS[what]}
                    </Box>
                  </Box>
                );
              })}
            </Box>
            {faults.length > 0 && (
              <Box component="details">
                <Box component="summary" sx={{ cursor: "pointer", py: 2, fontWeight: 600 }}>
                  Was anything wrong with them?
                </Box>
                <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
                  {faults
                    .filter((fault) => !seen.has(fault.id))
                    .map((fault) => (
                      <Button
                        key={fault.id}
                        variant="outlined"
                        sx={{ minHeight: 44 }}
                        onClick={() => say({ kind: "fault", item: id, fault: fault.id })}
                      >
                        {fault.sign}
                      </Button>
                    ))}
                </Box>
              </Box>
            )}
            {faults
              .filter((fault) => seen.has(fault.id))
              .map(({ id: fault, sign, cause, remedy }) => (
                <Box key={fault} role="group" aria-label={sign}>
                  <Box sx={{ fontWeight: 650 }}>{sign}</Box>
                  <Box component="ol" sx={{ m: 0, pl: 3 }}>
                    {causesOf(cause, traces).map(({ text, because }) => (
                      <li key={text}>
                        {text}
                        {because.length > 0 && (
                          <Box component="span" sx={{ color: COLOUR.ember }}>
                            {" "}
                            ({because.map((one) => traceText(one, day)).join("; ")})
                          </Box>
                        )}
                      </li>
                    ))}
                  </Box>
                  <Box>{remedy}</Box>
                </Box>
              ))}
          </Box>
        );
      })}
    </Paper>
  );
}

const amountName = (what: Exclude<AmountKind, "pieces">, liquid: string | undefined): string =>
  what === "water"
    ? capitalised(liquid ?? "liquid")
    : { piece: "One piece", "dough-left": "Dough left", "filling-left": "Filling left" }[what];

/** What the day's record says, as a few words. */
function traceText(trace: Trace, { shown }: CookedDay): string {
  switch (trace.code) {
    case "longer":
    case "shorter":
      return `${shown.task(trace.task)}: ${lengthText(trace.minutes)}, planned ${lengthText(trace.plannedMin)}`;
    case "core-short":
      return `core ${shown.degrees(trace.coreC)}, ${shown.degrees(trace.wantedC)} wanted`;
    case "oil-cold":
    case "oil-hot":
      return `oil ${shown.degrees(trace.c)}, ${shown.degrees(trace.wantedC)} wanted`;
    case "room-cold":
    case "room-warm":
      return `room ${shown.degrees(trace.c)}, planned for ${shown.degrees(trace.plannedC)}`;
    case "more-water":
    case "less-water":
      return `${shown.weight(trace.grams)} went in, ${shown.weight(trace.plannedG)} planned`;
  }
}
