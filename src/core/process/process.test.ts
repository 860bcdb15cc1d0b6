import fc from "fast-check";
import { chillSlab } from "./chill";
import { coolNewton, trayCoolingMin } from "./cool";
import { freezePlank, frozenCookTime } from "./freeze";
import { fryDrop, fryMaxLoad } from "./fry";
import { handsTime } from "./hands-time";
import { waterFor } from "./mixing";
import { bakeTime } from "./oven";
import { normalCdf, normalQuantile } from "./normal";
import { proofMinutes, proofProfile } from "./proof";
import { holdTime, lethality } from "./safety";
import { steamTime } from "./steam";
import type { Result } from "../shared/issue";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Two numbers, the smaller first. */
const pair = (min: number, max: number) => fc.tuple(num(min, max), num(min, max)).map(([a, b]) => (a <= b ? [a, b] : [b, a]));
const FORMULA = { yeastPct: 1, sugarPct: 0, saltPct: 2, fatPct: 0 };
const Q10 = { q10Warm: 2, q10Cold: 4 };
const rise = (tempC: number, yeastPct = 1) =>
  value(
    proofMinutes({
      ...Q10,
      refMin: 60,
      refC: 26,
      tempC,
      ref: FORMULA,
      actual: { ...FORMULA, yeastPct },
      yeastExponent: 0.8,
      factor: 1,
      tooFarFactor: 1.5,
    }),
  ).readyMin;

test("warmer, up to 40 °C, never rises slower; more yeast is never slower", () => {
  fc.assert(fc.property(pair(1, 40), ([cold, warm]) => expect(rise(warm)).toBeLessThanOrEqual(rise(cold) + 1e-9)));
  fc.assert(fc.property(pair(0.1, 6), ([less, more]) => expect(rise(24, more)).toBeLessThanOrEqual(rise(24, less) + 1e-9)));
});

test("at one temperature the curve of the room and the plain time agree, wherever it is cut in two", () => {
  fc.assert(
    fc.property(num(6, 38), fc.integer({ min: 0, max: 500 }), (tempC, at) => {
      const atRefMin = 60;
      const profile = [
        { atMin: 0, tempC },
        { atMin: at + 1, tempC },
      ];
      const run = {
        ...Q10,
        startMin: 0,
        atRefMin,
        refC: 26,
        profile,
        tauMin: 0,
        progress: 0,
        tooFarFactor: 1.5,
        horizonMin: 5000,
      };
      const { readyAtMin } = value(proofProfile(run));
      if (readyAtMin === null) return;
      expect(readyAtMin).toBeCloseTo(rise(tempC), 6);
    }),
  );
});

const OIL = { oilMl: 2000, powerW: 1500, lossW: 150, startC: 8, frozen: false, evapFrac: 0.1, setC: 175 };
test("a bigger load never keeps the oil hotter; a smaller fryer never takes more", () => {
  const lowest = (loadG: number) => value(fryDrop({ ...OIL, loadG })).lowestC;
  fc.assert(fc.property(pair(1, 2000), ([less, more]) => expect(lowest(more)).toBeLessThanOrEqual(lowest(less) + 1e-9)));
  const most = (oilMl: number, powerW: number) =>
    value(
      fryMaxLoad({ ...OIL, oilMl, powerW, pieceG: 45, panDiameterMm: 260, footprintMm2: 4000, coverFrac: 0.6, minOilRatio: 5 }),
    ).pieces;
  fc.assert(
    fc.property(pair(500, 5000), pair(200, 3000), ([small, large], [weak, strong]) => {
      expect(most(small, weak)).toBeLessThanOrEqual(most(large, weak));
      expect(most(small, weak)).toBeLessThanOrEqual(most(small, strong));
    }),
  );
  // A load that is taken keeps the oil above its floor, one piece more does not, or something else binds.
  fc.assert(
    fc.property(num(500, 5000), num(200, 3000), (oilMl, powerW) => {
      const { byHeat } = value(
        fryMaxLoad({ ...OIL, oilMl, powerW, pieceG: 45, panDiameterMm: 260, footprintMm2: 4000, coverFrac: 0.6, minOilRatio: 5 }),
      );
      const at = (pieces: number) => value(fryDrop({ ...OIL, oilMl, powerW, loadG: pieces * 45 })).lowestC;
      if (byHeat > 0) expect(at(byHeat)).toBeGreaterThanOrEqual(160 - 1e-6);
      expect(at(byHeat + 1)).toBeLessThan(160 + 1e-6);
    }),
  );
});

test("deeper never cools faster; thicker never chills or freezes sooner", () => {
  const cool = (depthMm: number) =>
    value(coolNewton({ startC: 85, ambientC: 21, targetC: 30, depthMm, faces: 1, medium: "air", k: 0.5, rhoC: 3.7 })).minutes!;
  const chill = (thicknessMm: number) =>
    value(chillSlab({ thicknessMm, faces: 2, startC: 22, ambientC: 4, targetC: 12, h: 8, k: 0.35, rho: 1200, c: 2600 })).minutes;
  const freeze = (sizeMm: number) =>
    value(
      freezePlank({
        mode: "freeze",
        shape: "slab",
        sizeMm,
        startC: 10,
        endC: -12,
        ambientC: -18,
        waterFrac: 0.5,
        freezeC: -3,
        h: 10,
        rho: 1050,
      }),
    ).minutes;
  for (const minutes of [cool, chill, freeze])
    fc.assert(fc.property(pair(5, 120), ([thin, thick]) => expect(minutes(thick)).toBeGreaterThanOrEqual(minutes(thin) - 1e-9)));
});

test("a tray cools to what is wanted and no further than its room, without a jump", () => {
  fc.assert(
    fc.property(num(20, 95), num(6, 30), num(16, 32), (fromC, toC, roomC) => {
      const total = (from: number) => {
        const { roomMin, fridgeMin } = trayCoolingMin(from, toC, roomC);
        expect(roomMin).toBeGreaterThanOrEqual(0);
        expect(fridgeMin).toBeGreaterThanOrEqual(0);
        return roomMin + fridgeMin;
      };
      expect(Math.abs(total(fromC + 0.001) - total(fromC))).toBeLessThan(0.1);
    }),
  );
});

test("heavier and more is longer in oven and steamer; what is frozen is longer still", () => {
  const bake = (pieceG: number, trays: number) =>
    value(
      bakeTime({
        refMin: 20,
        refC: 180,
        refPieceG: 100,
        pieceG,
        refTrayG: 1000,
        trays,
        mode: "fan",
        startC: 20,
        coldOvenPreheatMin: 0,
        factor: 1,
      }),
    ).minutes;
  const steam = (pieceG: number, frozen: boolean) =>
    steamTime({ refMin: 10, refPieceG: 75, pieceG, tiers: 1, frozen, lidLifts: 0, factor: 1 }).minutes;
  fc.assert(
    fc.property(pair(20, 300), ([light, heavy]) => {
      expect(bake(light, 1)).toBeLessThanOrEqual(bake(heavy, 1));
      expect(bake(light, 1)).toBeLessThan(bake(light, 2));
      expect(steam(light, false)).toBeLessThanOrEqual(steam(heavy, false));
      expect(steam(light, false)).toBeLessThan(steam(light, true));
      expect(
        value(frozenCookTime({ freshMin: 20, method: "bake", thicknessMm: light / 10 + 3, rawYeastDough: false })).minutes,
      ).toBeGreaterThan(20);
    }),
  );
});

test("what is out of the cold adds up over a lot's whole way, in whatever pieces it is counted", () => {
  const stretch = fc.record({ minutes: num(0, 200), foodC: num(-10, 90), ambientC: num(10, 30) });
  const used = (periods: readonly { minutes: number; foodC: number; ambientC: number }[]) =>
    holdTime({ periods, guide: "us", service: "hot" }).usedMin;
  fc.assert(
    fc.property(fc.array(stretch, { maxLength: 8 }), num(0.05, 0.95), (periods, share) => {
      const cut = periods.flatMap((one) => [
        { ...one, minutes: one.minutes * share },
        { ...one, minutes: one.minutes * (1 - share) },
      ]);
      expect(used(cut)).toBeCloseTo(used(periods), 6);
      expect(periods.reduce((sum, one) => sum + used([one]), 0)).toBeCloseTo(used(periods), 6);
    }),
  );
});

test("a core log cut in two comes to the same; a hotter one never to less", () => {
  const log = fc.array(num(40, 95), { minLength: 3, maxLength: 8 });
  const at70 = (temps: readonly number[], from = 0) =>
    value(lethality({ points: temps.map((tempC, k) => ({ min: from + 3 * k, tempC })), fromC: 60, z: 7.5 })).minutesAt70;
  fc.assert(
    fc.property(log, num(0, 5), (temps, more) => {
      const half = Math.floor(temps.length / 2);
      const parts = temps.slice(0, half + 1).length > 1 ? at70(temps.slice(0, half + 1)) + at70(temps.slice(half)) : at70(temps);
      expect(parts).toBeCloseTo(at70(temps), 6);
      expect(at70(temps.map((tempC) => tempC + more))).toBeGreaterThanOrEqual(at70(temps) - 1e-9);
    }),
  );
});

test("each piece goes a little quicker than the one before, up to the sixtieth", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 80 }), fc.constantFrom("beginner", "practised", "expert"), (pieces, skill) => {
      const made = value(handsTime({ secondsPerPiece: 30, pieces, skill: skill as "beginner", doneBefore: 0, factor: 1 }));
      expect(made.lastS!).toBeLessThanOrEqual(made.firstS!);
      expect(made.minutes * 60).toBeCloseTo(made.meanS! * pieces, 6);
    }),
  );
});

test("water for a dough makes the dough that was wanted, with ice as well", () => {
  fc.assert(
    fc.property(num(18, 30), num(5, 30), num(0, 8), (desiredC, flourC, riseC) => {
      const made = waterFor({
        desiredC,
        riseC,
        waterG: 300,
        tapC: 18,
        iceC: -18,
        parts: [{ kind: "flour", grams: 500, tempC: flourC }],
        yeastMaxC: 60,
      });
      if (!made.ok) return;
      const { useC, liquidG, iceG, doughC, note } = made.value;
      expect(liquidG + iceG).toBeCloseTo(300, 6);
      if (note === "capped") return expect(doughC).toBeLessThan(desiredC);
      const heat = 500 * 1.8 * flourC + liquidG * 4.18 * useC + iceG * (2.1 * -18 - 334);
      expect(heat / (500 * 1.8 + 300 * 4.18) + riseC).toBeCloseTo(desiredC, 6);
    }),
  );
});

test("the normal distribution and its inverse agree", () => {
  expect(normalQuantile(0.9)).toBeCloseTo(1.2815515655446004, 12);
  fc.assert(fc.property(num(-6, 6), (x) => expect(normalQuantile(normalCdf(x))).toBeCloseTo(x, 6)));
});
