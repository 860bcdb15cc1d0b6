"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import MuiTab from "@mui/material/Tab";
import Tabs from "@mui/material/Tabs";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { crustShares, dishScale, type Dish } from "@/core/item/dish";
import type { Item } from "@/core/item/schema";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { FillingSums } from "./FillingSums";
import { SheetSums } from "./SheetSums";
import { Ask, positive, Sum } from "./SumKit";

/** Sums that go with one item: binding and salting the filling, sheets and cutters, another dish. */
export function SumsCard({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const [tab, setTab] = useState<"filling" | "sheet" | "dish">("filling");
  return (
    <Paper component="section" aria-label="Sums for this item" sx={{ p: 2 }}>
      <Typography variant="h2">Sums for this item</Typography>
      <Tabs value={tab} onChange={(_, next) => setTab(next)} aria-label="Sums" sx={{ mb: 1.5, minHeight: 40 }}>
        <MuiTab value="filling" label="Bind, salt, spoon" sx={{ textTransform: "none", minHeight: 40 }} />
        <MuiTab value="sheet" label="Sheet, cutter, lattice" sx={{ textTransform: "none", minHeight: 40 }} />
        <MuiTab value="dish" label="Another dish" sx={{ textTransform: "none", minHeight: 40 }} />
      </Tabs>
      {tab === "filling" && <FillingSums item={item} onChange={onChange} />}
      {tab === "sheet" && <SheetSums item={item} />}
      {tab === "dish" && <DishSums item={item} onChange={onChange} />}
    </Paper>
  );
}

const ROUND: Dish = { kind: "round", widthMm: 200, depthMm: 40 };

function DishSums({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { weight } = useDisplay();
  const [from, setFrom] = useState<Partial<Dish>>(ROUND);
  const [to, setTo] = useState<Partial<Dish>>({ kind: "rectangle", widthMm: 220, lengthMm: 300, depthMm: 40 });
  const right = (d: Partial<Dish>): d is Dish => positive(d.widthMm, d.depthMm) && (d.kind === "round" || positive(d.lengthMm));
  const scale = right(from) && right(to) ? dishScale(from, to) : undefined;
  const perPiece = item.piece.doughG;
  return (
    <Sum
      title="From one dish to another: filling by volume, crust by area"
      fields={
        <Box sx={{ display: "grid", gap: 1.5 }}>
          <DishFields name="This formula fills" dish={from} onChange={setFrom} />
          <DishFields name="It is wanted for" dish={to} onChange={setTo} />
        </Box>
      }
    >
      {scale ? (
        <>
          Filling <strong>× {scale.fill.toFixed(2)}</strong>, crust <strong>× {scale.lid.toFixed(2)}</strong>. Were{" "}
          {weight(perPiece)} of dough the lid, it becomes {weight(perPiece * scale.lid)}; with a base as well{" "}
          {weight(crustShares(perPiece * scale.lid, "double").totalG)}; with a base and a lattice{" "}
          {weight(crustShares(perPiece * scale.lid, "lattice").totalG)}.
          <Box sx={{ mt: 1 }}>
            <Button variant="outlined" size="small" onClick={() => onChange(forDish(item, scale))}>
              Make this item for that dish
            </Button>
          </Box>
        </>
      ) : (
        <Ask />
      )}
    </Sum>
  );
}

/** Dough and filling each by its own factor, in the piece and in the batch. */
function forDish(item: Item, { fill, lid }: { fill: number; lid: number }): Item {
  const times = <T extends { grams: number; measure?: string }>(components: readonly T[], factor: number): T[] =>
    components.map((c) => ({ ...c, grams: Math.round(c.grams * factor * 10) / 10, measure: undefined }));
  return {
    ...item,
    dough: { ...item.dough, parts: item.dough.parts.map((part) => ({ ...part, components: times(part.components, lid) })) },
    filling: { ...item.filling, components: times(item.filling.components, fill) },
    piece: {
      ...item.piece,
      doughG: Math.round(item.piece.doughG * lid * 10) / 10,
      fillingG: Math.round(item.piece.fillingG * fill * 10) / 10,
    },
  };
}

function DishFields({ name, dish, onChange }: { name: string; dish: Partial<Dish>; onChange: (dish: Partial<Dish>) => void }) {
  return (
    <Box role="group" aria-label={name} sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", alignItems: "center" }}>
      <Typography variant="body2" sx={{ width: 130 }}>
        {name}
      </Typography>
      <Button size="small" onClick={() => onChange({ ...dish, kind: dish.kind === "round" ? "rectangle" : "round" })}>
        {dish.kind === "round" ? "round" : "rectangle"}
      </Button>
      <NumberField
        label={dish.kind === "round" ? "Across, mm" : "Width, mm"}
        value={dish.widthMm}
        onChange={(widthMm) => onChange({ ...dish, widthMm })}
        width={100}
      />
      {dish.kind === "rectangle" && (
        <NumberField
          label="Length, mm"
          value={dish.lengthMm}
          onChange={(lengthMm) => onChange({ ...dish, lengthMm })}
          width={100}
        />
      )}
      <NumberField
        label="Filled, mm deep"
        value={dish.depthMm}
        onChange={(depthMm) => onChange({ ...dish, depthMm })}
        width={120}
      />
    </Box>
  );
}
