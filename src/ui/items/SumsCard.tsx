"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import MuiTab from "@mui/material/Tab";
import Tabs from "@mui/material/Tabs";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState, type ReactNode } from "react";
import { deskTotals } from "@/core/item/desk";
import { crustShares, dishScale, latticeReserve, type Dish } from "@/core/item/dish";
import { bindable, isRaw, saltBudget, saltSources, spoonGrams, thicken } from "@/core/item/seasoning";
import type { Item } from "@/core/item/schema";
import { coil } from "@/core/quantities/geometry";
import { cutterFor, latticeStrips, stretchedSheets } from "@/core/quantities/portions";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { useStored } from "../kit/use-stored";
import { COLOUR } from "../theme/tokens";

const DOUGH_DENSITY = 1.1;
const tenth = (grams: number): string => (Math.round(grams * 10) / 10).toString();

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
      {tab === "filling" && <FillingSums item={item} />}
      {tab === "sheet" && <SheetSums item={item} />}
      {tab === "dish" && <DishSums item={item} onChange={onChange} />}
    </Paper>
  );
}

/** A question with its fields and, at once, the answer. */
function Sum({ title, fields, children }: { title: string; fields: ReactNode; children: ReactNode }) {
  return (
    <Box sx={{ py: 1.25, borderTop: `1px solid ${COLOUR.line}`, "&:first-of-type": { borderTop: 0 } }}>
      <Typography variant="h3">{title}</Typography>
      <Box sx={{ display: "flex", gap: 1.25, flexWrap: "wrap", mt: 1.25, mb: 0.75 }}>{fields}</Box>
      <Box role="status" sx={{ fontSize: "0.9rem" }}>
        {children}
      </Box>
    </Box>
  );
}

const Ask = () => <Typography color="text.secondary">Fill in the fields and the answer stands here.</Typography>;
const positive = (...values: (number | undefined)[]): boolean => values.every((v) => v !== undefined && v > 0 && v < 1e6);

function FillingSums({ item }: { item: Item }) {
  const { components } = item.filling;
  const raw = components.reduce((total, c) => total + c.grams, 0);
  const { weight, display } = useDisplay();
  const [liquid, setLiquid] = useState<number | undefined>(Math.round(bindable(components)) || undefined);
  const [rate, setRate] = useState<number | undefined>(4);
  const [saltPct, setSaltPct] = useState<number | undefined>(1.2);
  const [density, setDensity] = useState<number | undefined>(1.05);
  const bind = positive(liquid, rate) ? thicken(liquid!, rate!) : undefined;
  const { carried, addedG } = saltSources(components);
  const salt = positive(saltPct, raw) ? saltBudget(raw, saltPct!, carried) : undefined;
  const spoon = positive(density) ? spoonGrams(density!) : undefined;
  return (
    <>
      <Sum
        title="To bind what runs"
        fields={
          <>
            <NumberField label="Liquid, g" value={liquid} onChange={setLiquid} width={110} />
            <NumberField label="Starch, % of it" value={rate} onChange={setRate} width={120} />
          </>
        }
      >
        {bind ? (
          <>
            <strong>{tenth(bind.starchG)} g of starch</strong> stirred into {tenth(bind.slurryWaterG)} g of cold water, or{" "}
            <strong>{tenth(bind.flourG)} g of flour</strong>. Stir it up again, add it in three goes of {tenth(bind.thirdsG)} g,
            and boil until it is clear. Still runs when cold? {tenth(liquid! / 100)} g more and test again.
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title={`Salt for ${weight(raw)} of filling`}
        fields={<NumberField label="Salt, % in all" value={saltPct} onChange={setSaltPct} width={120} />}
      >
        {salt ? (
          <>
            {tenth(salt.wantedG)} g in all
            {carried.length > 0 && (
              <>
                , {tenth(salt.carriedG)} g of it is in {carried.map((c) => c.name.split(",")[0]).join(", ")} already
              </>
            )}
            : <strong>{tenth(salt.firstG)} g now</strong>, the other {tenth(salt.leftG - salt.firstG)} g after tasting. The
            formula has {tenth(addedG)} g of salt by itself.
            {isRaw(components) && (
              <Box sx={{ color: COLOUR.caution }}>! Raw meat, fish and egg are never tasted: fry a spoonful first.</Box>
            )}
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title="A spoon of this filling"
        fields={<NumberField label="g in 1 ml" value={density} onChange={setDensity} width={100} />}
      >
        {spoon ? (
          <>
            A level tablespoon (15 ml) is <strong>{tenth(spoon.levelG)} g</strong>, a rounded one {tenth(spoon.roundedG)} g
            {item.piece.fillingG > 0 && <>: a piece takes {tenth(item.piece.fillingG / spoon.levelG)} level</>}.
            {display.system === "au" && " Your own tablespoon is 20 ml."}
          </>
        ) : (
          <Ask />
        )}
      </Sum>
    </>
  );
}

function SheetSums({ item }: { item: Item }) {
  const totals = deskTotals(item);
  const { weight } = useDisplay();
  const [rim, setRim] = useState<number | undefined>(110);
  const [over, setOver] = useState<number | undefined>(15);
  const [own, setOwn] = useStored("unisynth-cutters");
  const [dough, setDough] = useState<number | undefined>(Math.round(totals.usableDoughG));
  const [thick, setThick] = useState<number | undefined>(item.piece.thicknessMm ?? 3);
  const [table, setTable] = useState<number | undefined>(600);
  const [rope, setRope] = useState<number | undefined>(25);
  const [dish, setDish] = useState<number | undefined>(240);
  const [strip, setStrip] = useState<number | undefined>(15);
  const [gap, setGap] = useState<number | undefined>(15);
  const things = own
    .split(/[^0-9.]+/)
    .map(Number)
    .filter((mm) => mm > 0);
  const cutter = positive(rim) && over !== undefined && over >= 0 ? cutterFor(rim!, over, things) : undefined;
  const sheets = positive(dough, thick, table) ? stretchedSheets(dough!, thick!, table!, DOUGH_DENSITY) : undefined;
  const coiled =
    positive(rope) && item.piece.doughG > 0
      ? coil({ massG: item.piece.doughG + item.piece.fillingG, ropeDiameterMm: rope!, density: DOUGH_DENSITY })
      : undefined;
  const strips = positive(dish, strip) && gap !== undefined && gap >= 0 ? latticeStrips(dish!, strip!, gap) : undefined;
  return (
    <>
      <Sum
        title="A cutter for a tin"
        fields={
          <>
            <NumberField label="Rim, mm" value={rim} onChange={setRim} width={96} />
            <NumberField label="Over it, mm" value={over} onChange={setOver} width={96} />
            <TextField
              label="Round things in this house, mm"
              placeholder="85, 105, 150"
              value={own}
              onChange={(e) => setOwn(e.target.value.slice(0, 120))}
              sx={{ width: 230 }}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </>
        }
      >
        {cutter ? (
          <>
            Cut <strong>{Math.round(cutter.cutMm)} mm</strong>
            {cutter.useMm !== undefined
              ? `: the one of ${cutter.useMm} mm will do`
              : things.length > 0
                ? ": none of yours is wide enough, so cut round a plate of that size"
                : "; say what round things there are, and the smallest that fits is named"}
            .
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title="How large a sheet?"
        fields={
          <>
            <NumberField label="Dough, g" value={dough} onChange={setDough} width={100} />
            <NumberField label="Thickness, mm" value={thick} onChange={setThick} width={112} />
            <NumberField label="Table, mm" value={table} onChange={setTable} width={100} />
          </>
        }
      >
        {sheets ? (
          <>
            <strong>
              {sheets.sheets === 1 ? "One round" : `${sheets.sheets} rounds`} of {Math.round(sheets.diameterMm / 10)} cm
            </strong>
            {sheets.sheets > 1 && " each: in one it would hang over the table"}
            {item.piece.cutDiameterMm && `; cut ${item.piece.cutDiameterMm} mm rounds from the outside in, offcuts rolled again`}.
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum title="A coil" fields={<NumberField label="Rope across, mm" value={rope} onChange={setRope} width={130} />}>
        {coiled ? (
          <>
            A piece is a rope of <strong>{Math.round(coiled.ropeMm / 10)} cm</strong>, coiled in {coiled.turns.toFixed(1)} turns
            to {Math.round(coiled.outerDiameterMm / 10)} cm across; the tail is tucked under.
          </>
        ) : (
          <Ask />
        )}
      </Sum>
      <Sum
        title="A lattice"
        fields={
          <>
            <NumberField label="Dish, mm" value={dish} onChange={setDish} width={96} />
            <NumberField label="Strip, mm" value={strip} onChange={setStrip} width={96} />
            <NumberField label="Gap, mm" value={gap} onChange={setGap} width={96} />
          </>
        }
      >
        {strips !== undefined ? (
          <>
            <strong>{strips} strips each way</strong>, {strip} × {dish! + 30} mm; keep{" "}
            {weight(latticeReserve(totals.usableDoughG))} of {weight(totals.usableDoughG)} back for it before the base is rolled.
          </>
        ) : (
          <Ask />
        )}
      </Sum>
    </>
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
