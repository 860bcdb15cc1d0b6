"use client";
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { memo } from "react";
import { eatersOf, piecesInRole } from "@/core/gathering/appetite";
import { PORTION_G, type Role } from "@/core/quantities/count";
import { sum } from "@/core/shared/rounding";
import { ClockField } from "../kit/ClockField";
import { NumberField } from "../kit/NumberField";
import { usePlan } from "../plan/PlanProvider";
import type { Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { AddItem } from "./AddItem";
import { DemandLine } from "./DemandLine";
import { demandRow } from "./gathering.view-model";
import { issueAt } from "./issues";

type Wave = NonNullable<Draft["waves"]>[number];

/** The cards know the form only by what they are given: a guest more draws none of them anew before it is weighed. */
export const WaveCard = memo(function WaveCard({ wave, index, theOnly }: { wave: Wave; index: number; theOnly: boolean }) {
  const { change, checked, latest } = usePlan();
  const set = (edit: Partial<Wave>) =>
    change((d) => ({ ...d, waves: (d.waves ?? []).map((w, i) => (i === index ? { ...w, ...edit } : w)) }));
  const setItem = (at: number, edit: Partial<Wave["items"][number]>) =>
    set({ items: wave.items.map((entry, k) => (k === at ? { ...entry, ...edit } : entry)) });
  const empty = wave.items.length === 0;
  return (
    <Paper component="section" aria-label={wave.name} sx={{ p: 2, borderLeft: `4px solid ${COLOUR.ember}` }}>
      <Box sx={{ display: "flex", alignItems: "flex-start", gap: 1.5, mb: 1, flexWrap: "wrap" }}>
        <ClockField
          name={`Time of ${wave.name}`}
          value={wave.time}
          onChange={(time) => set({ time })}
          error={issueAt(checked, ["gathering", "waves", index, "time"], "Serving time")}
          bold
        />
        <TextField
          value={wave.name}
          onChange={(e) => set({ name: e.target.value })}
          slotProps={{ htmlInput: { "aria-label": `Name of wave ${index + 1}` } }}
          sx={{ flex: "1 1 120px", "& input": { fontWeight: 640 } }}
        />
        <AddItem taken={wave.items.map((i) => i.recipe)} onAdd={(recipe) => set({ items: [...wave.items, { recipe }] })} />
        {!theOnly && empty && (
          <IconButton
            aria-label={`Remove ${wave.name}`}
            onClick={() => change((d) => ({ ...d, waves: (d.waves ?? []).filter((_, i) => i !== index) }))}
          >
            <DeleteOutline fontSize="small" />
          </IconButton>
        )}
      </Box>
      {empty ? (
        <Typography color="text.secondary">Nothing is served yet. Add an item and its pieces follow from the guests.</Typography>
      ) : (
        <AHead wave={wave} index={index} set={set} />
      )}
      {wave.items.map((entry, i) => (
        <DemandLine
          key={entry.recipe}
          recipe={entry.recipe}
          entry={entry}
          row={latest && demandRow(latest.quantities, wave.id, entry.recipe)}
          wave={{ id: wave.id, kinds: wave.items.length }}
          error={issueAt(checked, ["gathering", "waves", index, "items", i, "pieces"], "Pieces")}
          shareError={issueAt(checked, ["gathering", "waves", index, "items", i, "share"], "Share")}
          onChange={(edit) => setItem(i, edit)}
          onAsk={(pieces) => setItem(i, { pieces })}
          onRemove={() => set({ items: wave.items.filter((_, k) => k !== i) })}
        />
      ))}
    </Paper>
  );
});

const ROLES: readonly (readonly [Role, string])[] = [
  ["snack", "with drinks"],
  ["starter", "as a starter"],
  ["buffet", "on a buffet"],
  ["mainWithSides", "the meal, with sides"],
  ["main", "the whole meal"],
];

/** How many pieces a guest eats here, and how much that is in all. */
function AHead({ wave, index, set }: { wave: Wave; index: number; set: (edit: Partial<Wave>) => void }) {
  const { checked, latest, source } = usePlan();
  const counts = latest?.quantities.headcount.counts.filter((count) => count.wave === wave.id) ?? [];
  const eaters = latest ? eatersOf(latest.request.gathering.guests) : 0;
  const wanted = Math.ceil(sum(counts.map(({ fromGuests }) => fromGuests)) - 1e-9);
  const weights = wave.items.flatMap(({ recipe }) => {
    const piece = source.items.find((item) => item.id === recipe)?.piece;
    return piece ? [piece.doughG + piece.fillingG] : [];
  });
  const pieceG = weights.length > 0 ? sum(weights) / weights.length : 0;
  const role = ROLES.find(([name]) => wave.piecesAHead !== undefined && piecesInRole(name, pieceG) === wave.piecesAHead)?.[0];
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", pb: 1, fontSize: "0.85rem", color: COLOUR.soft }}>
      <span>pieces a head</span>
      <NumberField
        label={`Pieces a head at ${wave.name}`}
        value={wave.piecesAHead}
        onChange={(piecesAHead) => set({ piecesAHead })}
        placeholder="as usual"
        error={issueAt(checked, ["gathering", "waves", index, "piecesAHead"], "Pieces a head")}
        width={92}
        quiet
      />
      {pieceG > 0 && (
        <TextField
          select
          value={role ?? ""}
          onChange={(event) =>
            set({ piecesAHead: event.target.value === "" ? undefined : piecesInRole(event.target.value as Role, pieceG) })
          }
          slotProps={{
            select: { displayEmpty: true },
            htmlInput: { "aria-label": `What the pieces are at ${wave.name}` },
          }}
          sx={{ width: 190 }}
        >
          <MenuItem value="">as the recipes say</MenuItem>
          {ROLES.map(([name, text]) => (
            <MenuItem key={name} value={name}>
              {text}: {PORTION_G[name]} g a head
            </MenuItem>
          ))}
        </TextField>
      )}
      {wanted > 0 && (
        <span>
          <strong>{wanted}</strong> {wanted === 1 ? "piece" : "pieces"} for {Math.round(eaters * 10) / 10}{" "}
          {eaters === 1 ? "eater" : "eaters"}
        </span>
      )}
    </Box>
  );
}
