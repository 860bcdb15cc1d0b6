import { fail, ok, type Result } from "../shared/issue";

/** Plank's shape factors. */
const SHAPE = { slab: [1 / 2, 1 / 8], cylinder: [1 / 4, 1 / 16], sphere: [1 / 6, 1 / 24] } as const;
/** Latent heat of water, kJ/kg, and what of it freezes. */
const LATENT = 334 * 0.9;

export interface PlankInput {
  readonly mode: "freeze" | "thaw";
  readonly shape: keyof typeof SHAPE;
  readonly sizeMm: number;
  readonly startC: number;
  readonly endC: number;
  readonly ambientC: number;
  readonly waterFrac: number;
  readonly freezeC: number;
  /** W/m²K, W/mK, kg/m³. */
  readonly h: number;
  readonly k?: number | undefined;
  readonly rho: number;
}

/**
 * Minutes to freeze or thaw a piece by Plank's equation; `bagMin` until its outside is hard enough to bag. A home freezer with loose
 * pieces: expect a third more or less. Issues: `infeasible` ambientC; `inconsistent` startC, endC.
 */
export function freezePlank(
  input: PlankInput,
): Result<{ readonly minutes: number; readonly bagMin: number | null; readonly enthalpyKJ: number }> {
  const { mode, shape, sizeMm, startC, endC, ambientC, waterFrac, freezeC, h, rho } = input;
  const isFreezing = mode === "freeze";
  // Thawing is the same the other way round.
  const sign = isFreezing ? 1 : -1;
  const wanted = `${isFreezing ? "colder" : "warmer"} than ${freezeC} °C`;
  if (sign * ambientC >= sign * freezeC - 0.5) return fail({ code: "infeasible", path: ["ambientC"], got: ambientC, wanted });
  if (sign * startC < sign * freezeC)
    return fail({ code: "inconsistent", path: ["startC"], got: startC, wanted: `${isFreezing ? "not frozen" : "frozen"} yet` });
  if (sign * endC > sign * freezeC || sign * endC <= sign * ambientC)
    return fail({ code: "inconsistent", path: ["endC"], got: endC, wanted: `between ${freezeC} and ${ambientC} °C` });
  const [warm, cold] = [1.5 + 2.7 * waterFrac, 1.3 + 0.8 * waterFrac];
  const [before, after] = isFreezing ? [warm, cold] : [cold, warm];
  const enthalpyKJ = before * Math.abs(startC - freezeC) + LATENT * waterFrac + after * Math.abs(freezeC - endC);
  const [p, r] = SHAPE[shape];
  const size = sizeMm / 1000;
  const k = input.k ?? (isFreezing ? 1 : 0.45);
  const minutes = (((rho * enthalpyKJ * 1000) / Math.abs(freezeC - ambientC)) * ((p * size) / h + (r * size ** 2) / k)) / 60;
  return ok({ minutes, bagMin: isFreezing ? minutes / 2 : null, enthalpyKJ });
}

/** g that a litre of freezer freezes in 24 h, where its plate does not say. */
const G_PER_LITRE = 40;
const MOST_PERIODS = 1000;

/** What a freezer takes in 24 h, and in how many such periods a load is frozen. Issues: `missing` litres; `out_of_range` loadG. */
export function freezeLimit({
  loadG,
  litres,
  ratedKgPer24h,
  alreadyG,
}: {
  readonly loadG: number;
  readonly litres?: number | undefined;
  readonly ratedKgPer24h?: number | undefined;
  readonly alreadyG: number;
}): Result<{ readonly limitG: number; readonly days: number; readonly perDayG: readonly number[] }> {
  if (litres === undefined && ratedKgPer24h === undefined)
    return fail({ code: "missing", path: ["litres"], wanted: "litres of the freezer, or what its plate says it freezes" });
  const limitG = ratedKgPer24h !== undefined ? ratedKgPer24h * 1000 : G_PER_LITRE * litres!;
  const perDayG: number[] = [];
  for (let left = loadG; left > 0;) {
    if (perDayG.length === MOST_PERIODS)
      return fail({
        code: "out_of_range",
        path: ["loadG"],
        got: loadG,
        wanted: `what it freezes within ${MOST_PERIODS} periods`,
      });
    const takes = Math.min(left, perDayG.length === 0 ? Math.max(0, limitG - alreadyG) : limitG);
    perDayG.push(takes);
    left -= takes;
  }
  return ok({ limitG, days: perDayG.length, perDayG });
}

/** Longer for what is frozen, a part of the fresh time for 25 mm. */
const LONGER = { bake: 0.3, steam: 0.3, boil: 0.35, fry: 0.4, pan: 0.35 } as const;
const THICK_MM = 35;

/** Minutes straight from the freezer, and by how much the setting changes, °C. Issues: `infeasible` rawYeastDough (it is thawed first). */
export function frozenCookTime({
  freshMin,
  method,
  thicknessMm,
  rawYeastDough,
}: {
  readonly freshMin: number;
  readonly method: keyof typeof LONGER;
  readonly thicknessMm: number;
  readonly rawYeastDough: boolean;
}): Result<{ readonly minutes: number; readonly addMin: number; readonly settingDeltaC: number }> {
  if (rawYeastDough)
    return fail({
      code: "infeasible",
      path: ["rawYeastDough"],
      got: rawYeastDough,
      wanted: "pieces that need no rise: thaw and proof these first",
    });
  const add = Math.min(0.75, Math.max(0.15, (LONGER[method] * thicknessMm) / 25));
  return ok({
    minutes: freshMin * (1 + add),
    addMin: freshMin * add,
    settingDeltaC: method === "bake" && thicknessMm > THICK_MM ? -15 : method === "fry" ? -10 : 0,
  });
}
