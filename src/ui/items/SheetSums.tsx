"use client";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { deskTotals } from "@/core/item/desk";
import { latticeReserve } from "@/core/item/dish";
import { cutWithRerolls } from "@/core/item/dough";
import type { Item } from "@/core/item/schema";
import { coil } from "@/core/quantities/geometry";
import { roundsFromSheet } from "@/core/quantities/packing";
import { cutterFor, latticeStrips, stretchedSheets } from "@/core/quantities/portions";
import { NumberField } from "../kit/NumberField";
import { useDisplay } from "../kit/use-display";
import { useStored } from "../kit/use-stored";
import { Ask, positive, Sum } from "./SumKit";

const DOUGH_DENSITY = 1.1;

/** Cutters, sheets, rounds, coils and lattices. */
export function SheetSums({ item }: { item: Item }) {
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
      <RoundsSum item={item} />
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

/** Rounds from one sheet side by side, and what its offcuts still give. */
function RoundsSum({ item }: { item: Item }) {
  const [width, setWidth] = useState<number | undefined>(300);
  const [length, setLength] = useState<number | undefined>(400);
  const [across, setAcross] = useState<number | undefined>(item.piece.cutDiameterMm ?? 90);
  const rounds = positive(width, length, across)
    ? roundsFromSheet({ widthMm: width!, lengthMm: length!, cutMm: across!, gapMm: 0, layout: "best" })
    : undefined;
  // The sheet in pieces: what the offcuts give is cut from it at the same rate.
  const again =
    rounds && rounds.pieces > 0
      ? cutWithRerolls({ doughG: rounds.pieces / rounds.cutFrac + 1e-6, pieceG: 1, cutFrac: rounds.cutFrac, rerolls: 1 })
          .byRoll[1]
      : 0;
  return (
    <Sum
      title="Rounds from a sheet"
      fields={
        <>
          <NumberField label="Sheet, mm" value={length} onChange={setLength} width={100} />
          <NumberField label="by, mm" value={width} onChange={setWidth} width={100} />
          <NumberField label="Rounds, mm" value={across} onChange={setAcross} width={110} />
        </>
      }
    >
      {rounds ? (
        <>
          <strong>{rounds.pieces} rounds</strong>, {Math.round(100 * rounds.cutFrac)} % of the sheet. Its offcuts, chilled and
          rolled again at the same rate, give {again} more; what is left then is one odd piece.
        </>
      ) : (
        <Ask />
      )}
    </Sum>
  );
}
