import { fail, ok, type Result } from "../shared/issue";
import { down } from "../shared/rounding";

const { PI } = Math;
/** g/mm³ of a density in g/ml. */
const perMm3 = (density: number): number => density / 1000;

/** Mass, thickness and diameter of a disc of dough: two give the third. Issues: `inconsistent` massG (not exactly two). */
export function disc(input: {
  massG?: number;
  thicknessMm?: number;
  diameterMm?: number;
  density: number;
}): Result<{ massG: number; thicknessMm: number; diameterMm: number }> {
  const { massG: m, thicknessMm: t, diameterMm: d } = input;
  if ([m, t, d].filter((value) => value !== undefined).length !== 2)
    return fail({ code: "inconsistent", path: ["massG"], got: m, wanted: "exactly two of mass, thickness and diameter" });
  const k = (perMm3(input.density) * PI) / 4;
  if (m === undefined) return ok({ massG: k * d! ** 2 * t!, thicknessMm: t!, diameterMm: d! });
  if (t === undefined) return ok({ massG: m, thicknessMm: m / (k * d! ** 2), diameterMm: d! });
  return ok({ massG: m, thicknessMm: t, diameterMm: Math.sqrt(m / (k * t)) });
}

export type Shape = "halfMoon" | "purse" | "triangle" | "pillow";

/**
 * How much filling a shape holds at the most and in comfort, and the footprint of the closed piece. Shape factors are
 * our own, corrected by weighing one piece. Issues: `inconsistent` seamMm (the seam leaves nothing).
 */
export function shapeCapacity(input: {
  shape: Shape;
  sizeMm: number;
  seamMm: number;
  size2Mm?: number;
  fillDensity: number;
}): Result<{
  maxMl: number;
  comfortableMl: number;
  comfortableG: number;
  lengthMm: number;
  widthMm: number;
}> {
  const cm = (mm: number) => mm / 10;
  const { shape, sizeMm, seamMm } = input;
  const second = input.size2Mm ?? sizeMm;
  const answer = (inner: number, maxMl: number, comfort: number, lengthMm: number, widthMm: number) => {
    if (inner <= 0)
      return fail({ code: "inconsistent", path: ["seamMm"], got: seamMm, wanted: "a seam that leaves room for filling" });
    const comfortableMl = comfort * maxMl;
    return ok({ maxMl, comfortableMl, comfortableG: comfortableMl * input.fillDensity, lengthMm, widthMm });
  };
  switch (shape) {
    case "halfMoon": {
      const r = cm(sizeMm / 2 - seamMm);
      return answer(r, 0.15 * PI * r ** 3, 0.75, sizeMm, sizeMm / 2);
    }
    case "purse": {
      const r = Math.sqrt((0.85 * PI * cm(sizeMm) ** 2) / 4 / (4 * PI));
      return answer(r, (4 / 3) * PI * r ** 3, 0.7, 20 * r, 20 * r);
    }
    case "triangle": {
      const l = cm(sizeMm - 2 * seamMm);
      return answer(l, 0.075 * l ** 3, 0.75, sizeMm * Math.SQRT2, sizeMm / Math.SQRT2);
    }
    case "pillow": {
      const a = cm(Math.min(sizeMm, second) - 2 * seamMm);
      const b = cm(Math.max(sizeMm, second) - 2 * seamMm);
      return answer(a, 0.2 * a ** 2 * b, 0.75, Math.max(sizeMm, second), Math.min(sizeMm, second));
    }
  }
}

/** A filled rope, coiled: its length, the coil's diameter, the turns. */
export function coil({ massG, ropeDiameterMm: d, density }: { massG: number; ropeDiameterMm: number; density: number }) {
  const ropeMm = massG / ((perMm3(density) * PI * d ** 2) / 4);
  const outerDiameterMm = Math.max(d, Math.sqrt((4 * ropeMm * d) / PI));
  return { ropeMm, outerDiameterMm, turns: outerDiameterMm / (2 * d) };
}

/** Lining a tapered tin: the round to cut, what stays in the case, a lid, and the filling it takes. Issues: `inconsistent` topMm. */
export function liningOf(input: {
  baseMm: number;
  topMm: number;
  heightMm: number;
  overhangMm: number;
  thicknessMm: number;
  density: number;
  lidded: boolean;
  fillFrac: number;
}): Result<{ cutMm: number; cutG: number; keptG: number; lidMm: number; lidG: number; fillMl: number }> {
  const { baseMm, topMm, heightMm, thicknessMm } = input;
  if (topMm < baseMm)
    return fail({ code: "inconsistent", path: ["topMm"], got: topMm, wanted: `at least the base (${baseMm} mm)` });
  const r1 = baseMm / 2;
  const r2 = topMm / 2;
  const side = Math.hypot(heightMm, r2 - r1);
  const cutMm = baseMm + 2 * side + 2 * input.overhangMm;
  const perMm2 = perMm3(input.density) * thicknessMm;
  const lidMm = input.lidded ? topMm + 10 : 0;
  const b1 = Math.max(0, r1 - thicknessMm);
  const b2 = Math.max(0, r2 - thicknessMm);
  const depth = Math.max(0, heightMm - thicknessMm);
  return ok({
    cutMm,
    cutG: (perMm2 * PI * cutMm ** 2) / 4,
    keptG: perMm2 * PI * (r1 ** 2 + (r1 + r2) * side),
    lidMm,
    lidG: (perMm2 * PI * lidMm ** 2) / 4,
    fillMl: (input.fillFrac * PI * depth * (b1 ** 2 + b1 * b2 + b2 ** 2)) / 3 / 1000,
  });
}

/** Cutting a log into pieces of one weight: where to cut, how many, and the last stub. */
export function cutLog({
  doughG,
  logDiameterMm,
  pieceG,
  density,
}: {
  doughG: number;
  logDiameterMm: number;
  pieceG: number;
  density: number;
}) {
  const perMm = (perMm3(density) * PI * logDiameterMm ** 2) / 4;
  const pieces = down(doughG / pieceG);
  return { lengthMm: doughG / perMm, cutMm: pieceG / perMm, pieces, endG: doughG - pieces * pieceG };
}
