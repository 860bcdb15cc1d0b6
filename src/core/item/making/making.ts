import type { Hazard } from "../../ingredients/kinds";
import type { MethodRead } from "../paper/method-text";
import type { Component } from "../schema";
import type { Dough, DoughRest, MethodId } from "./doughs";
import type { Filling } from "./fillings";
import type { Method } from "./methods";
import type { Shape } from "./shapes";

/** Everything from which an item's steps follow. */
export interface Making {
  readonly dough: Dough;
  readonly method: Method;
  readonly shape: Shape;
  readonly filling: Filling;
  /** What is raw in the filling when it is wrapped decides the core; null where nothing asks for one. */
  readonly hazard: Hazard | null;
  readonly isRaw: boolean;
  /** What all fillings share, cooked once and divided by weight; only where there are several. */
  readonly base?: { readonly lines: readonly Component[]; readonly minutes: number | undefined };
  readonly lines: {
    readonly dough: readonly Component[];
    readonly filling: readonly Component[];
    readonly finish: readonly Component[];
  };
  readonly pieces: number;
  /** One piece, g. */
  readonly piece: { readonly doughG: number; readonly fillingG: number };
  /** Bought ready: the dough, or whole frozen pieces. */
  readonly bought?: "dough" | "pieces";
  /** Active dry yeast is woken first. */
  readonly blooms: boolean;
  /** A part of the flour is cooked to a paste first. */
  readonly paste: boolean;
  readonly coldStart: boolean;
  /** Soft or tight dough takes longer to roll, s a piece. */
  readonly rollMoreSec?: number;
  readonly secondCoat?: true;
  /** The filling goes hot under a lid that is not sealed. */
  readonly hotFilling?: true;
  /** Watery vegetables are salted and squeezed before the meat is mixed. */
  readonly saltsApart?: true;
  /** The meat stands with baking soda and is rinsed. */
  readonly alkali?: true | undefined;
  readonly pounded?: true;
  /** Cut by hand and not minced. */
  readonly diced?: true;
  /** A cold filling stands before it is wrapped. */
  readonly tempered?: true;
  /** The fat is frozen first, in cubes or to be grated. */
  readonly fatFrozen?: "cubes" | "grated";
  /** What closes the rim, for a batch. */
  readonly rim?: Component;
  /** Times that the lid is lifted. */
  readonly looks?: number;
  /** Trays in the oven at once, where it is not as many as there are shelves. */
  readonly traysAtOnce?: 1 | 2;
  readonly flame?: "gentle" | "full";
  /** Starch in the water makes a crust that holds all pieces of a pan together. */
  readonly lace?: true;
  /** How deep the filling is spread to cool, mm, where it is not as flat as it can be. */
  readonly coolDepthMm?: number;
  /** It cools in closed bags that lie flat in ice water. */
  readonly coolsInIce?: true;
  /** The filling is roasted in the oven, °C. */
  readonly roastC?: number;
  /** What the recipe says of each stage. */
  readonly says: MethodRead;
}

/** Whether a method is the oven's. */
export const isBaked = (method: MethodId): boolean => ["tray", "dish", "blind", "tin"].includes(method);

/** What formed pieces of a dough without a second rise need before their heat. */
export const formedRule = ({ dough, method }: Pick<Making, "dough" | "method">): DoughRest | undefined =>
  dough.formed?.[method.id] ?? dough.formed?.default;

/** As it comes off the hob. */
const HOT_C = 95;

/** The filling is no warmer than this when it meets the dough, °C. */
export const fillAtMostC = ({ dough, filling, hotFilling }: Pick<Making, "dough" | "filling" | "hotFilling">): number =>
  hotFilling ? HOT_C : Math.min(dough.fillMaxC, filling.atMostC ?? Infinity);

/** Whether pieces go into the freezer raw; a whole dish goes in cooked, whatever its dough. */
export const freezesRaw = ({ dough, method }: Pick<Making, "dough" | "method">): boolean =>
  dough.freeze === "raw" && method.id !== "dish";
