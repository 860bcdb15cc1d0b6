"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { poolSize } from "@/core/kitchen/equipment";
import type { Kitchen } from "@/core/kitchen/schema";
import { resourceText } from "@/core/plan/reason-text";
import { inTurnOf, takenOf, type InTurn, type Taken } from "@/core/plan/takes";
import type { Plan } from "@/core/plan/schema";
import { capitalised } from "@/core/shared/words";
import { lengthText } from "@/core/shared/clock";
import { usePlan } from "../plan/PlanProvider";
import { planKey } from "../plan/plan-state";
import { momentText, summarise } from "../plan/plan-summary";
import { usePlanDisplay } from "../plan/use-plan-display";
import { WaysOut } from "../plan/WaysOut";
import { COLOUR } from "../theme/tokens";

/** Small tools are there or not; how full they are tells a cook nothing. */
const NOT_SHOWN = new Set([
  "scale",
  "probe",
  "rolling-pin",
  "piping-bag",
  "bowl",
  "dish",
  "worktop",
  "somebody-about",
  "dry-pan",
]);
const ONE_MORE: Readonly<Record<string, string>> = {
  oven: "a second oven",
  fryer: "another fryer",
  steamer: "another steamer",
  "lidded-pan": "another pan",
};

/**
 * What a day takes, before one says yes to it: hands, heat and places; loads in turn; and what would make it easier. While
 * a plan is looked for the figures of the one before stay, marked as such: what stands below must not jump from under a hand.
 */
export function TakesCard() {
  const { latest, good, stale } = usePlan();
  const { clock } = usePlanDisplay(good?.plan);
  const turns = useMemo(() => (latest ? inTurnOf(latest.quantities, latest.request) : []), [latest]);
  const taken = useMemo(() => (good ? takenOf(good.plan) : []), [good]);
  // What was tried belongs to one day; the next begins anew.
  const day = useMemo(() => good && planKey(good.request), [good]);
  if (!latest || latest.quantities.demands.length === 0) return null;
  const nameOf = (id: string) => latest.request.items.find((item) => item.id === id)?.name ?? id;
  const queues = turns.filter(({ loads }) => loads > 1);
  const summary = good && summarise(good.plan);
  const hands = summary?.cooks.reduce((sum, cook) => sum + cook.busy, 0) ?? 0;
  return (
    <Paper component="section" aria-label="What it takes" sx={{ p: 2, display: "grid", gap: 1.5 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", flexWrap: "wrap", columnGap: 2 }}>
        <Typography variant="h2">What it takes</Typography>
        {summary && (
          <Box sx={{ fontSize: "0.9rem" }}>
            {stale && (
              <Box component="span" sx={{ color: COLOUR.soft }}>
                as it was before:{" "}
              </Box>
            )}
            <strong>{lengthText(hands)}</strong> of hands
            {summary.cooks.filter((cook) => cook.busy > 0).length > 1 &&
              `: ${summary.cooks
                .filter((cook) => cook.busy > 0)
                .map((cook) => `${cook.name} ${lengthText(cook.busy)}`)
                .join(", ")}`}
          </Box>
        )}
      </Box>
      {queues.length > 0 && (
        <Box component="ul" aria-label="Loads in turn" sx={{ m: 0, p: 0, listStyle: "none", fontSize: "0.875rem" }}>
          {queues.map((turn) => (
            <Box
              component="li"
              key={`${turn.item} ${turn.chamber} ${turn.eachMin}`}
              sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 0.6 }}
            >
              <strong>{nameOf(turn.item)}</strong>: {turnText(turn)}
            </Box>
          ))}
        </Box>
      )}
      {good && (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: "repeat(auto-fill, minmax(210px, 1fr))",
            columnGap: 2,
            color: stale ? COLOUR.soft : undefined,
          }}
        >
          {taken
            .filter(({ resource }) => !NOT_SHOWN.has(resource))
            .map((use) => {
              const { full, of } = placesOf(use, good.plan, latest.request.kitchen);
              return (
                <Box key={use.resource} sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 0.6, fontSize: "0.85rem" }}>
                  <Box sx={{ display: "flex", justifyContent: "space-between" }}>
                    <span>{capitalised(resourceText(good.plan, use.resource))}</span>
                    <strong>{lengthText(use.busyMin)}</strong>
                  </Box>
                  <Box aria-hidden sx={{ height: 6, background: COLOUR.tideMist, my: 0.4 }}>
                    <Box
                      sx={{
                        height: 6,
                        width: `${Math.min(100, (100 * use.most) / use.capacity)}%`,
                        background: stale ? COLOUR.line : use.most >= use.capacity ? COLOUR.ember : COLOUR.tide,
                      }}
                    />
                  </Box>
                  <Box sx={{ color: COLOUR.soft, fontSize: "0.8rem" }}>
                    {full} of {of} taken at most, {momentText(good.plan, use.at, summary?.severalDays ?? false, clock)}
                  </Box>
                </Box>
              );
            })}
        </Box>
      )}
      {good && (
        <Box inert={stale}>
          <WaysOut key={day} title="What would help?" request={good.request} base={good.plan} />
        </Box>
      )}
    </Paper>
  );
}

/** "28 loads of 5 min one after another: 2 h 20; with another pan 1 h 10, where a cook can stay with both". */
function turnText({ loads, eachMin, units, totalMin, withOneMoreMin, chamber, handsOn }: InTurn): string {
  const thing = chamber.replace("lidded-", "");
  const how = units > 1 ? `in ${units} ${thing}s` : "one after another";
  const more =
    withOneMoreMin < totalMin
      ? `; with ${ONE_MORE[chamber]} ${lengthText(withOneMoreMin)}${handsOn ? ", where a cook can attend to both" : ""}`
      : "";
  return `${loads} ${thing} loads of ${lengthText(eachMin)} ${how}: ${lengthText(totalMin)}${more}`;
}

/** Places in the kitchen's own count: a plan counts in fractions of trays where it must, and a chamber in shelves and tiers. */
function placesOf({ resource, most, capacity }: Taken, { problem }: Plan, kitchen: Kitchen): { full: number; of: number } {
  const isPool = problem.resources.find(({ id }) => id === resource)?.kind === "pool";
  const of = (isPool ? poolSize(resource, kitchen) : undefined) ?? capacity;
  return { of, full: capacity === 0 ? 0 : Math.round((10 * most * of) / capacity) / 10 };
}
