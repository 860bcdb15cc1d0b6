import type { Kitchen } from "./schema";

/** Carriers and pans, which a plan takes from a pool; ovens, steamers and fryers, each a chamber of its own. */
export const SIZED_POOLS = ["tray", "board", "lidded-pan"] as const;
export type SizedPool = (typeof SIZED_POOLS)[number];
export type ChamberKind = "oven" | "steamer" | "fryer";
export type Sized = SizedPool | ChamberKind;
type Equipment = Kitchen["equipment"];

/** Things of one kind and one size. */
export interface OfOneSize<K extends Sized> {
  /** Resources of a plan: one pool (`tray`, `tray-2` for the second size), or one chamber each (`oven`, `oven-2`, …). */
  readonly ids: readonly string[];
  readonly count: number;
  readonly is: NonNullable<Equipment[K]>;
}

const isPool = (kind: Sized): kind is SizedPool => (SIZED_POOLS as readonly string[]).includes(kind);

const numbered = (kind: string, n: number): string => (n === 0 ? kind : `${kind}-${n + 1}`);

/** The sizes of a kind that a kitchen names, in its order; of some there may be none. */
export function sizesOf<K extends Sized>(kind: K, { equipment }: Pick<Kitchen, "equipment">): OfOneSize<K>[] {
  const first = equipment[kind];
  if (!first) return [];
  const all = [first, ...(first.others ?? [])];
  let at = 0;
  return all.map((size, n) => ({
    ids: isPool(kind) ? [numbered(kind, n)] : Array.from({ length: size.count }, () => numbered(kind, at++)),
    count: size.count,
    // What a size does not say of itself (its washing, its rings) is as with the first.
    is: { ...first, ...size, others: undefined } as OfOneSize<K>["is"],
  }));
}
