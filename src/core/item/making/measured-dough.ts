import { proofMinutes, USUAL_PROOF } from "../../process/proof";
import { relaxation, type RelaxationKind } from "../../process/rest";
import type { DoughShares } from "../families";
import type { Dough, DoughRest, FamilyId } from "./doughs";

/** A rise with 1 % of instant yeast and 2 % of salt at 26 °C, min: as a lump, and as formed pieces. Kitchen figures of our own. */
const BULK_MIN = 80;
const FINAL_MIN: Readonly<Partial<Record<FamilyId, number>>> = { EY: 50, LY: 45, SY: 42, PY: 30 };
/** Ready at the earliest, and too far, as parts of the time in which it is ready. */
const EARLIEST = 0.7;
const USUAL_REST = 1.5;

/** How a dough without yeast relaxes. */
const RELAXES: Readonly<Partial<Record<FamilyId, RelaxationKind>>> = {
  HW: "hotWater",
  CW: "wrapper",
  SS: "stretched",
  FR: "shortcrust",
  OS: "betweenRolls",
  BD: "flatbread",
};

/** A dough whose rises and rests are worked out from what is in it; where nothing can be said of it, as is usual for its kind. */
export function measuredDough(dough: Dough, shares: DoughShares | undefined): Dough {
  if (!shares) return dough;
  const rise = (rest: DoughRest | undefined, refMin: number | undefined) =>
    rest?.yeasted && refMin !== undefined ? risen(rest, refMin, shares) : rest;
  const kind = RELAXES[dough.id];
  const first =
    kind && dough.first?.where === "room"
      ? relaxed(dough.first, kind, shares)
      : isPacket(dough.first, shares)
        ? { ...dough.first, follows: PACKET }
        : rise(dough.first, BULK_MIN);
  const final = rise(dough.final, FINAL_MIN[dough.id]);
  return { ...dough, ...(first && { first }), ...(final && { final }) };
}

/** Dough so fat that it has to be cold before it is rolled lies in the fridge as a flat packet: fat in % of flour, the packet in mm and °C. */
const FAT_RICH_PCT = 40;
const PACKET = { by: "chilling", thicknessMm: 25, toC: 8 } as const;
const isPacket = (rest: DoughRest | undefined, { fat }: DoughShares): rest is DoughRest =>
  rest !== undefined && rest.where === "fridge" && rest.yeasted !== true && fat >= FAT_RICH_PCT;

function risen(rest: DoughRest, refMin: number, { yeast, sugar, salt, fat }: DoughShares): DoughRest {
  const actual = { yeastPct: yeast, sugarPct: sugar, saltPct: salt, fatPct: fat };
  const isValid = yeast > 0 && sugar <= 40 && salt <= 4 && fat <= 80;
  const rises = isValid ? proofMinutes({ ...USUAL_PROOF, refMin, tempC: rest.atC, actual }) : undefined;
  if (!rises?.ok) return rest;
  const { readyMin, tooFarMin } = rises.value;
  return {
    ...rest,
    min: Math.round(readyMin * EARLIEST),
    target: Math.round(readyMin),
    max: Math.round(tooFarMin),
    from: "model",
  };
}

function relaxed(rest: DoughRest, kind: RelaxationKind, { water }: DoughShares): DoughRest {
  const readyMin = Math.round(relaxation({ kind, tempC: rest.atC, hydrationPct: water, factor: 1 }).readyMin);
  const target = Math.round(readyMin * USUAL_REST);
  return {
    ...rest,
    min: readyMin,
    target,
    max: Math.max(rest.max, target),
    from: "model",
    follows: { by: "relaxation" },
  };
}
