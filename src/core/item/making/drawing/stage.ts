import type { Measures } from "./measures";
import { circle, type Mark } from "./marks";

/** One picture of how a piece is formed. */
export interface Stage {
  readonly id: "blank" | "fill" | "fold" | "seal" | "done";
  readonly words: string;
  readonly marks: readonly Mark[];
}

/** A size as it is read. */
export const mm = (value: number): string => `${Math.round(value)} mm`;
export const fine = (value: number): string => `${Math.round(value * 10) / 10} mm`;
export const mark = (as: Mark["as"], path: string): Mark => ({ as, path });
export const thick = ({ thicknessMm, rimMm }: Measures): string =>
  rimMm === undefined ? `${fine(thicknessMm)} thick, even` : `${fine(thicknessMm)} in the middle, ${fine(rimMm)} at the rim`;

/** Clean rim, mm. */
export const RIM = 10;
/** Marks of steam holes on a closed top: three pricks in a row. */
export const pricks = (y: number, apart: number): Mark =>
  mark("line", [-1, 0, 1].map((k) => circle(1.5, [k * apart, y])).join(""));
