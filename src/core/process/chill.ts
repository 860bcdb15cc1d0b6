import { fail, ok, type Result } from "../shared/issue";
import { crossing } from "./crossing";

export interface SlabInput {
  readonly thicknessMm: number;
  readonly faces: number;
  readonly startC: number;
  readonly ambientC: number;
  readonly targetC: number;
  /** W/m²K, W/mK, kg/m³, J/kgK. */
  readonly h: number;
  readonly k: number;
  readonly rho: number;
  readonly c: number;
}

/** The root of ζ tan ζ = Bi in (0, π/2). */
const firstRoot = (biot: number): number => crossing((zeta) => zeta * Math.tan(zeta) - biot, 0, Math.PI / 2);

/**
 * Minutes until the core of a slab has `targetC`: plane wall with convection, first term of the Fourier series; `approximate` where
 * that is a rough figure (short times). No freezing inside. Issues: `infeasible` targetC (not between start and ambient).
 */
export function chillSlab({ thicknessMm, faces, startC, ambientC, targetC, h, k, rho, c }: SlabInput): Result<{
  readonly minutes: number;
  readonly biot: number;
  readonly approximate: boolean;
}> {
  const half = thicknessMm / 1000 / faces;
  const biot = (h * half) / k;
  if (Math.abs(targetC - startC) < 1e-12) return ok({ minutes: 0, biot, approximate: false });
  const left = (targetC - ambientC) / (startC - ambientC);
  if (!(left > 0 && left < 1))
    return fail({ code: "infeasible", path: ["targetC"], got: targetC, wanted: `between ${startC} and ${ambientC} °C` });
  const root = firstRoot(biot);
  const factor = (4 * Math.sin(root)) / (2 * root + Math.sin(2 * root));
  const fourier = Math.max(0, Math.log(factor / left) / root ** 2);
  return ok({ minutes: (fourier * half ** 2 * rho * c) / k / 60, biot, approximate: fourier < 0.2 });
}

/** J/m³K of a dough: 1200 kg/m³ of 2600 J/kgK. */
const DOUGH_HEAT = 1200 * 2600;

/** How long rolled dough may lie out, min: 0 where it is too warm already, null where it never gets there. */
export function workTime({
  thicknessMm,
  startC,
  roomC,
  limitC,
  h,
  faces,
}: Readonly<Record<"thicknessMm" | "startC" | "roomC" | "limitC" | "h" | "faces", number>>): { readonly minutes: number | null } {
  if (startC >= limitC) return { minutes: 0 };
  if (roomC <= limitC) return { minutes: null };
  const minutes = ((DOUGH_HEAT * (thicknessMm / 1000 / faces)) / h) * (Math.log((roomC - startC) / (roomC - limitC)) / 60);
  return { minutes };
}
