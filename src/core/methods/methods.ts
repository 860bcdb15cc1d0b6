import type { z } from "zod";
import { propagateInWords } from "./allergen-words";
import { orderLoads } from "../batching/load-order";
import { cutWithRerolls, doughFor, doughForRounds, piecesFromDough } from "../item/dough";
import { wholeEggs } from "../ingredients/eggs";
import { convertYeast } from "../ingredients/yeast";
import { balance, fillingYield } from "../item/filling";
import { gramsFromPercents, holdBack, hydration, pastryByParts, percentsFromGrams } from "../item/formula";
import { roundUpToCarrier } from "../quantities/round-up";
import { splitBatches, splitLoads, vesselCapacity } from "../batching/split";
import { piecesForGuests, piecesFromStock } from "../quantities/count";
import { piecesByDiet } from "../quantities/count-by-diet";
import { apportion } from "../quantities/apportion";
import { displayMass, displayOunces, displayVolume } from "../quantities/display";
import { coil, cutLog, disc, liningOf, shapeCapacity } from "../quantities/geometry";
import { piecesOnCarrier, roundsFromSheet } from "../quantities/packing";
import { parseLine } from "../ingredients/parse-line";
import { scaleIngredient } from "../quantities/scale";
import { choosePacks, consolidate, costPerPiece } from "../batching/shopping";
import { convert } from "../quantities/units";
import { convertTemperature } from "../quantities/temperature";
import { ovenDial } from "../quantities/oven-dial";
import { toGrams } from "../ingredients/grams";
import { eggs } from "../ingredients/eggs";
import { shrink } from "../process/calibrate";
import { chillSlab, workTime } from "../process/chill";
import { coolCheck, coolNewton } from "../process/cool";
import { freezeLimit, freezePlank, frozenCookTime } from "../process/freeze";
import { fryDrop, fryFill, fryMaxLoad, frySchedule } from "../process/fry";
import { handsLine, handsParallel, handsTime } from "../process/hands-time";
import { doughTemperature, kneadingRise, waterFor } from "../process/mixing";
import { bakeTime, doorLoss, ovenChange } from "../process/oven";
import { panSteamFry } from "../process/pan";
import { doughTau, proofLot, proofMinutes, proofProfile, proofRate } from "../process/proof";
import { relaxation } from "../process/rest";
import { lognormal, riskChain, riskSimulate } from "../process/risk";
import { coreFor, fridgeTime, holdTime, lethality } from "../process/safety";
import { steamTime, steamWater } from "../process/steam";
import { bestBefore, drawDown, stockLabel } from "../process/stock";
import { INPUTS } from "./inputs";
import { readInput } from "./read-input";
import { ok, type Result } from "../shared/issue";

/** A method of the arithmetic by name: one object in, one object out, or the first fault. */
export type Method = (input: unknown) => Result<unknown>;

const isResult = (value: unknown): value is Result<unknown> =>
  value !== null && typeof value === "object" && "ok" in value && ("issues" in value || "value" in value);

/** What each name computes, once its input is read by the rules of that name. */
const FUNCTIONS = {
  "units.parse": ({ text }: { text: string }) => parseLine(text),
  "units.convert": convert,
  "units.temperature": convertTemperature,
  "units.ovenDial": ovenDial,
  "units.toGrams": toGrams,
  "units.displayMass": displayMass,
  "units.displayVolume": displayVolume,
  "units.egg": eggs,
  "units.displayOunces": displayOunces,
  "formula.fromPercents": gramsFromPercents,
  "formula.toPercents": percentsFromGrams,
  "formula.hydration": hydration,
  "formula.fatRatio": pastryByParts,
  "formula.holdBack": holdBack,
  "dough.need": doughFor,
  "dough.pieces": piecesFromDough,
  "dough.rerolls": cutWithRerolls,
  "dough.forRounds": doughForRounds,
  "filling.yield": fillingYield,
  "balance.doughFilling": balance,
  "eggs.round": wholeEggs,
  "scale.ingredient": scaleIngredient,
  "yeast.convert": convertYeast,
  "batches.capacity": vesselCapacity,
  "batches.split": splitBatches,
  "loads.split": splitLoads,
  "count.pieces": piecesForGuests,
  "count.apportion": apportion,
  "count.diets": piecesByDiet,
  "count.roundUp": ({ pieces, perCarrier, maxExtraPct }: { pieces: number; perCarrier: number; maxExtraPct: number }) =>
    roundUpToCarrier(pieces, perCarrier, maxExtraPct),
  "count.fromLimiting": piecesFromStock,
  "geometry.disc": disc,
  "geometry.capacity": shapeCapacity,
  "geometry.coil": coil,
  "geometry.case": liningOf,
  "geometry.log": cutLog,
  "geometry.rounds": roundsFromSheet,
  "geometry.carrier": piecesOnCarrier,
  "shopping.consolidate": consolidate,
  "shopping.packs": choosePacks,
  "cost.perPiece": costPerPiece,
  "temperature.dough": doughTemperature,
  "temperature.friction": kneadingRise,
  "temperature.water": waterFor,
  "proof.rate": proofRate,
  "proof.minutes": proofMinutes,
  "proof.tau": doughTau,
  "proof.profile": proofProfile,
  "proof.lot": proofLot,
  "rest.relaxation": relaxation,
  "chill.slab": chillSlab,
  "chill.workTime": workTime,
  "oven.bakeTime": bakeTime,
  "oven.change": ovenChange,
  "oven.door": doorLoss,
  "steam.water": steamWater,
  "steam.time": steamTime,
  "fry.drop": fryDrop,
  "fry.maxLoad": fryMaxLoad,
  "fry.schedule": frySchedule,
  "fry.fill": fryFill,
  "pan.steamFry": panSteamFry,
  "cool.newton": coolNewton,
  "cool.check": coolCheck,
  "freeze.plank": freezePlank,
  "freeze.limit": freezeLimit,
  "frozen.cookTime": frozenCookTime,
  "safety.core": coreFor,
  "safety.lethality": lethality,
  "safety.hold": holdTime,
  "safety.fridge": fridgeTime,
  "hands.time": handsTime,
  "hands.parallel": handsParallel,
  "hands.line": handsLine,
  "risk.lognormal": lognormal,
  "risk.chain": riskChain,
  "risk.simulate": riskSimulate,
  "calibrate.shrink": shrink,
  "stock.bestBefore": bestBefore,
  "stock.label": stockLabel,
  "stock.drawDown": drawDown,
  "allergens.propagate": propagateInWords,
  "allergens.order": orderLoads,
} satisfies { readonly [K in keyof typeof INPUTS]: (input: z.output<(typeof INPUTS)[K]>) => unknown };

/** Every method there is; the runner of vector files looks names up here. */
export const METHODS: Readonly<Record<string, Method | undefined>> = Object.fromEntries(
  (Object.keys(FUNCTIONS) as (keyof typeof INPUTS)[]).map((name): [string, Method] => [
    name,
    (input) => {
      const read = readInput(INPUTS[name], input);
      if (!read.ok) return read;
      const answer: unknown = (FUNCTIONS[name] as (input: unknown) => unknown)(read.value);
      // Some answers say by "ok" whether all is well; a result has a value or issues beside it.
      return isResult(answer) ? answer : ok(answer);
    },
  ]),
);
