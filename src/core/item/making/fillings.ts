import type { Hazard } from "../../ingredients/kinds";

/** Kinds of filling by what happens to them. */
export const FILLING_IDS = [
  "raw-meat",
  "raw-fish",
  "meat-in-sauce",
  "vegetable",
  "raw-vegetable",
  "cheese",
  "fruit",
  "cream",
  "gelled",
  "egg-bound",
  "mash",
  "ready",
] as const;
export type FillingId = (typeof FILLING_IDS)[number];

/** How a kind of filling is made. Minutes for a batch; losses over heat. Kitchen figures of our own. */
export interface Filling {
  readonly id: FillingId;
  readonly name: string;
  /** On the hob, min: at the least, as usual, at the most; undefined where it is not cooked before it is filled in. */
  readonly cookMin?: readonly [least: number, usual: number, most: number];
  /** Hands stay with it throughout. */
  readonly stirred?: true;
  /** Lost over heat, % of all that goes in. */
  readonly lossPct: number;
  /** Stirred together at the end, min of hands. */
  readonly mixMin?: number;
  /** A wait before it is filled in, min, in the fridge where it is cold. */
  readonly set?: {
    readonly min: number;
    readonly target: number;
    readonly max: number;
    readonly where: "room" | "fridge";
    readonly why: string;
  };
  /** No warmer than this when it meets the dough, °C, where that is colder than the dough asks. */
  readonly atMostC?: number;
  /** Keys of the tables of keeping. */
  readonly fridge: string;
  readonly freezer: string | undefined;
  /** Cook's and table's rule: what is raw in it is not tasted. */
  readonly tasteNot?: true;
  readonly cue: { readonly early: string; readonly right: string; readonly late: string };
  /** Two words of each recipe that this is: where the dish has a state of its own. */
  readonly words?: readonly string[];
}

const COLD = "Firm and cold: it closes clean, and what is raw in it stays safe.";

export const FILLINGS: Readonly<Record<FillingId, Filling>> = {
  "raw-meat": {
    id: "raw-meat",
    name: "raw meat",
    lossPct: 0,
    mixMin: 6,
    set: { min: 20, target: 30, max: 1440, where: "fridge", why: COLD },
    atMostC: 5,
    fridge: "raw-meat-filling",
    freezer: undefined,
    tasteNot: true,
    cue: { early: "Liquid stands beside it.", right: "Sticky, holds together, cold.", late: "Warm and smeary." },
  },
  "raw-fish": {
    id: "raw-fish",
    name: "raw fish or shellfish",
    lossPct: 0,
    mixMin: 5,
    set: { min: 15, target: 20, max: 720, where: "fridge", why: COLD },
    atMostC: 4,
    fridge: "raw-fish-filling",
    freezer: undefined,
    tasteNot: true,
    cue: { early: "Wet.", right: "Dry, cold, holds together.", late: "Warm." },
  },
  "meat-in-sauce": {
    id: "meat-in-sauce",
    name: "cooked meat or fish in sauce",
    cookMin: [18, 28, 60],
    lossPct: 25,
    atMostC: 15,
    fridge: "cooked-meat-filling",
    freezer: "filling-meat",
    cue: { early: "Liquid runs on a tilted spoon.", right: "Coats the spoon, nothing runs.", late: "Dry, it catches." },
  },
  vegetable: {
    id: "vegetable",
    name: "cooked vegetables",
    cookMin: [8, 14, 25],
    lossPct: 30,
    fridge: "cooked-vegetable-filling",
    freezer: "filling-vegetable",
    cue: { early: "Steam still rises, liquid below.", right: "No steam and no liquid any more.", late: "Brown at the edges." },
  },
  "raw-vegetable": {
    id: "raw-vegetable",
    name: "raw vegetables, salted and squeezed",
    lossPct: 30,
    mixMin: 5,
    set: { min: 15, target: 20, max: 30, where: "room", why: "The salt draws the water out: squeeze it well." },
    atMostC: 12,
    fridge: "raw-vegetable-filling",
    freezer: undefined,
    cue: { early: "Stiff and dry.", right: "Limp; water runs when it is squeezed.", late: "Mushy." },
  },
  cheese: {
    id: "cheese",
    name: "cheese or curd",
    lossPct: 0,
    mixMin: 5,
    atMostC: 12,
    fridge: "custard-filling",
    freezer: "filling-dairy",
    cue: { early: "Whey runs out.", right: "Dry enough to stand in a heap.", late: "Grainy." },
  },
  fruit: {
    id: "fruit",
    name: "fruit",
    cookMin: [8, 12, 20],
    lossPct: 20,
    fridge: "sweet-filling",
    freezer: "filling-sweet",
    cue: { early: "Juice runs.", right: "Thick juice, the fruit still in pieces.", late: "Jam, it catches." },
  },
  cream: {
    id: "cream",
    name: "cooked cream",
    cookMin: [6, 9, 14],
    stirred: true,
    lossPct: 6,
    set: { min: 45, target: 60, max: 2880, where: "fridge", why: "A film on it; cold it stands." },
    atMostC: 20,
    fridge: "custard-filling",
    freezer: undefined,
    cue: { early: "Thin, froth on it.", right: "Boils thick for a minute.", late: "Lumps at the bottom." },
  },
  gelled: {
    id: "gelled",
    name: "stew that sets",
    cookMin: [100, 130, 200],
    lossPct: 40,
    set: { min: 480, target: 840, max: 2880, where: "fridge", why: "It sets overnight; skim it cold, cut it." },
    atMostC: 8,
    fridge: "cooked-meat-filling",
    freezer: "filling-meat",
    cue: { early: "The meat resists.", right: "A fork goes in without force.", late: "Threads, no liquid." },
    words: ["gel", "jelly", "aspic", "set overnight", "sets overnight", "until set", "until it sets", "gelatin", "gelatine"],
  },
  "egg-bound": {
    id: "egg-bound",
    name: "with raw egg",
    lossPct: 0,
    mixMin: 4,
    atMostC: 5,
    fridge: "custard-filling",
    freezer: undefined,
    tasteNot: true,
    cue: { early: "Streaks of egg.", right: "Even, just mixed.", late: "It separates." },
  },
  mash: {
    id: "mash",
    name: "mash of potato or pulses",
    cookMin: [20, 28, 45],
    lossPct: 3,
    mixMin: 5,
    fridge: "cooked-vegetable-filling",
    freezer: "filling-vegetable",
    cue: { early: "Lumps, wet.", right: "Dry, no lump over 3 mm.", late: "Gluey." },
  },
  ready: {
    id: "ready",
    name: "ready as it is",
    lossPct: 0,
    mixMin: 2,
    fridge: "sweet-filling",
    freezer: "filling-sweet",
    cue: { early: "", right: "Even, stands in a heap.", late: "" },
  },
};

/** Core that ends a heat, °C, by what is in the piece; undefined where the cue is enough. Usual guidance: local rules come first. */
export const CORE_C: Readonly<Record<Hazard, number | undefined>> = {
  poultry: 74,
  leftovers: 74,
  mincedMeat: 71,
  egg: 71,
  meat: 71,
  fish: 63,
  vegetable: undefined,
};
/** Cooked before it is filled in: its own core on the hob. */
export const REHEAT_CORE_C = 74;
