"use client";
import type { UnreadableRow } from "../kit/Unreadable";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ButtonGroup from "@mui/material/ButtonGroup";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import { useMemo, useState } from "react";
import type { PantryEntry } from "@/core/batching/shopping-list";
import { Empty } from "../kit/Empty";
import { useStoredFlag } from "../kit/use-stored";
import { useWeightTicks } from "../plan/StepWeights";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { LabelsTab } from "./LabelsTab";
import { ShoppingTab } from "./ShoppingTab";
import { daySheets, inPlace, type BatchSheet } from "./quantities.view-model";
import type { NoteLiquid } from "./WentIn";
import { usePantry } from "./use-pantry";
import { WeighTab } from "./WeighTab";

interface Props {
  readonly pantry: { readonly readable: readonly PantryEntry[]; readonly unreadable: readonly UnreadableRow[] };
  readonly noteLiquid: NoteLiquid;
}

/** What is weighed, batch by batch in the order of the day, and what is bought. */
export function QuantitiesView({ pantry, noteLiquid }: Props) {
  const { latest, good, stale, work } = usePlan();
  const { draft } = useDraft();
  const { catalogue } = useCatalogue();
  const plan = stale ? undefined : good?.plan;
  const ofTheDay = useMemo(
    () => (latest ? daySheets(latest.quantities, plan, latest.request.gathering.guests, catalogue) : []),
    [latest, plan, catalogue],
  );
  const sheets = useSettled(ofTheDay, good?.request, work.kind === "improving");
  const [tab, setTab] = useState<"weigh" | "shop" | "labels">("weigh");
  const [big, setBig] = useStoredFlag("unisynth-big-type");
  const ticks = useWeightTicks(draft.id);
  // Kept here and not in the list: it stays when another sheet is looked at.
  const { pantry: atHand, say } = usePantry(pantry.readable);
  if (!latest || sheets.length === 0)
    return (
      <Empty title="Nothing to weigh yet">
        Add items to a wave or to the freezer, and every batch appears here with its grams.
      </Empty>
    );
  return (
    <Box>
      <Box className="no-print" sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1.5 }}>
        <ButtonGroup aria-label="Sheets">
          <Button
            variant={tab === "weigh" ? "contained" : "outlined"}
            aria-pressed={tab === "weigh"}
            onClick={() => setTab("weigh")}
          >
            Weigh out
          </Button>
          <Button
            variant={tab === "shop" ? "contained" : "outlined"}
            aria-pressed={tab === "shop"}
            onClick={() => setTab("shop")}
          >
            Shopping list
          </Button>
          <Button
            variant={tab === "labels" ? "contained" : "outlined"}
            aria-pressed={tab === "labels"}
            onClick={() => setTab("labels")}
          >
            Labels
          </Button>
        </ButtonGroup>
        {tab === "weigh" && (
          <FormControlLabel control={<Switch checked={big} onChange={(_, on) => setBig(on)} />} label="Big type" />
        )}
        {tab === "weigh" && ticks.count > 0 && <Button onClick={ticks.clear}>Untick all {ticks.count}</Button>}
        <Button sx={{ ml: "auto" }} onClick={() => window.print()}>
          Print
        </Button>
      </Box>
      {tab === "weigh" ? (
        <WeighTab sheets={sheets} big={big} ticks={ticks} noteLiquid={noteLiquid} />
      ) : tab === "labels" ? (
        <LabelsTab />
      ) : (
        <ShoppingTab pantry={atHand} unreadable={pantry.unreadable} onSaid={say} />
      )}
    </Box>
  );
}

/** Sheets keep the places that a request's first plan gave them until it is the best: nobody weighs from a sheet that jumps. */
function useSettled(sheets: readonly BatchSheet[], request: object | undefined, moving: boolean): readonly BatchSheet[] {
  const [settled, setSettled] = useState({ request, sheets });
  if (moving && settled.request === request) return inPlace(sheets, settled.sheets);
  if (settled.request !== request || settled.sheets !== sheets) setSettled({ request, sheets });
  return sheets;
}
