import type { Step } from "../step";

/** Kinds of dough, ways of finishing, by their short names in data. */
export const FAMILY_IDS = ["EY", "LY", "SY", "PY", "HW", "CW", "SS", "SH", "FS", "FR", "OS", "BD"] as const;
export type FamilyId = (typeof FAMILY_IDS)[number];
export const METHOD_IDS = ["tray", "dish", "blind", "tin", "steam", "fry", "pan", "dry"] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** A wait that a dough needs, min: ready, as usual, too far; at °C. */
export interface DoughRest {
  readonly kind: Step["kind"];
  readonly min: number;
  readonly target: number;
  readonly max: number;
  readonly atC: number;
  readonly where: "room" | "fridge";
  readonly yeasted?: true;
  /** Worked out for this dough. */
  readonly from?: "model";
  readonly follows?: NonNullable<Step["rest"]>["follows"];
  readonly early: string;
  readonly right: string;
  readonly late: string;
}

/** How a dough is mixed. Minutes of a mixer's two speeds, or of hands alone. */
export interface Mixing {
  readonly mixer?: { readonly slowMin: number; readonly mediumMin: number };
  readonly handMin: number;
  /** Only brought together: kneading spoils it. */
  readonly gather?: true;
  readonly how: string;
  readonly stop: string;
}

/** How the blanks are made: weighed and rolled one by one, cut from a sheet, or one thin sheet for each. */
export type Blank = "disc" | "wrapper" | "cut" | "sheet" | "cup";

/** How a kind of dough behaves and is handled. Kitchen figures of our own: defaults until a recipe or a log says otherwise. */
export interface Dough {
  readonly id: FamilyId;
  /** Ways in which it is finished, the usual first. */
  readonly methods: readonly MethodId[];
  /** Temperature of the mixed dough, °C. */
  readonly doughC?: number;
  readonly holdBackPct: number;
  readonly mixing: Mixing;
  /** After mixing. */
  readonly first?: DoughRest;
  /** After dividing. */
  readonly bench?: DoughRest;
  /** The second rise of formed pieces. */
  readonly final?: DoughRest;
  /** What formed pieces need before heat, by method; `default` for the others. */
  readonly formed?: Partial<Record<MethodId | "default", DoughRest>>;
  readonly blank: Blank;
  readonly pieceG: readonly [least: number, usual: number, most: number];
  /** At the centre, and at the rim where that is thinner. */
  readonly thicknessMm: readonly [centre: number, rim?: number];
  /** The filling is no warmer than this when it meets the dough, °C; raw meat and fish are colder by their own rule. */
  readonly fillMaxC: number;
  readonly seal: string;
  /** Sealed pieces may wait so long before heat, min; undefined where their rest says it. */
  readonly sealedMaxMin?: number;
  /** Open rolled dough may wait so long, min. */
  readonly rolledMaxMin: number;
  /** Lost in the bowl and in offcuts, %. */
  readonly lossPct: number;
  /** Keys of the tables of keeping: in the fridge, and as a lump in the freezer. */
  readonly fridge: string;
  readonly freezer: string;
  readonly freeze: "raw" | "cooked";
  readonly vent: string | undefined;
  readonly wash: boolean;
}

const rise = (
  kind: "bulk-rest" | "final-proof",
  [min, target, max]: readonly [number, number, number],
  right: string,
): DoughRest => ({
  kind,
  min,
  target,
  max,
  atC: 24,
  where: "room",
  yeasted: true,
  early: "Firm, hardly larger; a dent springs straight back.",
  right,
  late: "A dent stays; blisters, spreading, a sour smell.",
});
const bench = (min: number, target: number, max: number): DoughRest => ({
  kind: "bench-rest",
  min,
  target,
  max,
  atC: 22,
  where: "room",
  early: "It springs back when it is rolled.",
  right: "It rolls out and stays.",
  late: "Skin on it, slack and sticky below.",
});
const rest = (min: number, target: number, max: number, atC: number, late: string): DoughRest => ({
  ...bench(min, target, max),
  atC,
  late,
});
const chill = (
  min: number,
  target: number,
  max: number,
  late = "Hard: let it stand 10 to 25 min before rolling.",
): DoughRest => ({
  kind: "chill",
  min,
  target,
  max,
  atC: 4,
  where: "fridge",
  early: "Soft, shiny with fat, sticks to the pin.",
  right: "Firm all through and cold, still bends a little.",
  late,
});

const FINAL_BUN = "Half as large again and light; a dent fills slowly.";
const DOUBLED = "Twice as large, domed; a dent fills slowly.";
const WATER_RIM = "water on half of the rim, only where the dough is floury; press the air out";

export const DOUGHS: Readonly<Record<FamilyId, Dough>> = {
  EY: {
    id: "EY",
    methods: ["tray", "fry", "steam", "pan"],
    doughC: 26,
    holdBackPct: 10,
    mixing: {
      mixer: { slowMin: 4, mediumMin: 8 },
      handMin: 22,
      how: "The fat goes in once the dough is smooth.",
      stop: "Smooth, a thin membrane when stretched, the bowl clean. At 28 °C stop and cool it.",
    },
    first: rise("bulk-rest", [54, 77, 116], DOUBLED),
    bench: bench(10, 15, 30),
    final: rise("final-proof", [34, 48, 72], FINAL_BUN),
    blank: "disc",
    pieceG: [40, 60, 90],
    thicknessMm: [6, 3],
    fillMaxC: 22,
    seal: "clean dry rim, pinched together, seam down",
    rolledMaxMin: 20,
    lossPct: 2,
    fridge: "yeast-dough",
    freezer: "raw-yeast-dough",
    freeze: "cooked",
    vent: undefined,
    wash: true,
  },
  LY: {
    id: "LY",
    methods: ["tray", "dry", "fry", "steam"],
    doughC: 25,
    holdBackPct: 10,
    mixing: { mixer: { slowMin: 3, mediumMin: 7 }, handMin: 18, how: "", stop: "Smooth and elastic, the bowl clean." },
    first: rise("bulk-rest", [64, 92, 138], DOUBLED),
    bench: bench(10, 15, 30),
    final: rise("final-proof", [36, 52, 78], FINAL_BUN),
    blank: "disc",
    pieceG: [50, 80, 120],
    thicknessMm: [5, 3],
    fillMaxC: 22,
    seal: "pinched; water where the rim is floury; seam down",
    rolledMaxMin: 20,
    lossPct: 2,
    fridge: "yeast-dough",
    freezer: "raw-yeast-dough",
    freeze: "cooked",
    vent: "one hole of 5 mm where a flat piece is sealed all round",
    wash: true,
  },
  SY: {
    id: "SY",
    methods: ["steam", "pan"],
    doughC: 27,
    holdBackPct: 7,
    mixing: {
      mixer: { slowMin: 10, mediumMin: 2 },
      handMin: 18,
      how: "Then pass it through the pin, folded, until its skin is satin.",
      stop: "Satin skin, no air under it. At 28 °C stop.",
    },
    first: bench(8, 10, 20),
    final: rise("final-proof", [33, 46, 70], FINAL_BUN),
    blank: "disc",
    pieceG: [30, 45, 90],
    thicknessMm: [5, 2.5],
    fillMaxC: 25,
    seal: "dry rim, pinched; smooth ones seam down, pleated ones pleats up, on paper",
    rolledMaxMin: 20,
    lossPct: 2,
    fridge: "yeast-dough",
    freezer: "raw-yeast-dough",
    freeze: "cooked",
    vent: undefined,
    wash: false,
  },
  PY: {
    id: "PY",
    methods: ["pan", "steam", "tray"],
    doughC: 27,
    holdBackPct: 10,
    mixing: { handMin: 6, how: "Gather it until no dry flour is left, then a few minutes by hand.", stop: "Soft, no dry flour." },
    first: rise("bulk-rest", [49, 70, 105], DOUBLED),
    bench: bench(5, 10, 20),
    final: rise("final-proof", [18, 26, 39], "The pleats blur, light in the hand."),
    blank: "disc",
    pieceG: [25, 40, 60],
    thicknessMm: [5, 2],
    fillMaxC: 24,
    seal: "clean rim, pinched, pleats up or seam down; on an oiled board",
    rolledMaxMin: 20,
    lossPct: 2,
    fridge: "yeast-dough",
    freezer: "raw-yeast-dough",
    freeze: "cooked",
    vent: undefined,
    wash: false,
  },
  HW: {
    id: "HW",
    methods: ["pan", "steam", "dry", "fry"],
    holdBackPct: 5,
    mixing: {
      handMin: 6,
      how: "Most of the water at 90 °C or more, stirred in with a tool; the rest cold. Hands only below 45 °C.",
      stop: "Soft, smooth, not sticky.",
    },
    first: rest(23, 34, 180, 21, "It sweats and sticks."),
    blank: "wrapper",
    pieceG: [9, 12, 16],
    thicknessMm: [2, 1],
    fillMaxC: 12,
    seal: WATER_RIM,
    sealedMaxMin: 60,
    rolledMaxMin: 20,
    lossPct: 3,
    fridge: "unleavened-dough",
    freezer: "raw-unleavened-dough",
    freeze: "raw",
    vent: undefined,
    wash: false,
  },
  CW: {
    id: "CW",
    methods: ["pan", "steam", "fry"],
    holdBackPct: 5,
    mixing: { handMin: 8, how: "Stiff: knead, let it stand 10 min under a cloth, knead again.", stop: "Firm and smooth." },
    first: rest(36, 54, 240, 21, "Slack and sticky."),
    blank: "wrapper",
    pieceG: [8, 10, 14],
    thicknessMm: [2, 1],
    fillMaxC: 12,
    seal: WATER_RIM,
    sealedMaxMin: 60,
    rolledMaxMin: 20,
    lossPct: 3,
    fridge: "unleavened-dough",
    freezer: "raw-unleavened-dough",
    freeze: "raw",
    vent: undefined,
    wash: false,
  },
  SS: {
    id: "SS",
    methods: ["tray", "dry", "fry"],
    doughC: 27,
    holdBackPct: 7,
    mixing: {
      mixer: { slowMin: 2, mediumMin: 9 },
      handMin: 18,
      how: "",
      stop: "A dent springs back; from here on no flour and no water any more.",
    },
    first: rest(65, 98, 240, 22, "Slack, tears, a dry skin."),
    blank: "sheet",
    pieceG: [60, 70, 120],
    thicknessMm: [0.5],
    fillMaxC: 22,
    seal: "a film of fat, no water; the end under the piece or against its neighbour",
    sealedMaxMin: 120,
    rolledMaxMin: 10,
    lossPct: 3,
    fridge: "filo-dough",
    freezer: "raw-unleavened-dough",
    freeze: "raw",
    vent: undefined,
    wash: false,
  },
  SH: {
    id: "SH",
    methods: ["tray", "tin", "blind", "dish", "fry"],
    holdBackPct: 15,
    mixing: {
      handMin: 7,
      gather: true,
      how: "Rub the fat in to crumbs (or 8 to 12 pulses), then the liquid in steps, and press together. Do not knead.",
      stop: "It holds when it is squeezed.",
    },
    first: chill(30, 45, 2880),
    formed: { default: chill(15, 30, 1440), fry: chill(20, 30, 1440) },
    blank: "cut",
    pieceG: [40, 55, 90],
    thicknessMm: [3.2],
    fillMaxC: 20,
    seal: "water, milk or egg on 10 mm of the rim, no fat on it; pressed and crimped",
    sealedMaxMin: 40,
    rolledMaxMin: 30,
    lossPct: 5,
    fridge: "shortcrust-dough",
    freezer: "raw-shortcrust",
    freeze: "raw",
    vent: "2 to 3 pricks or a slit of 12 mm",
    wash: true,
  },
  FS: {
    id: "FS",
    methods: ["dish", "blind", "tray"],
    holdBackPct: 10,
    mixing: {
      handMin: 8,
      gather: true,
      how: "Bits of fat of 5 to 15 mm stay to be seen; gather it, do not knead.",
      stop: "It holds when it is squeezed, marbled with fat.",
    },
    first: chill(30, 45, 2880),
    formed: { default: chill(20, 30, 1440) },
    blank: "cut",
    pieceG: [40, 60, 90],
    thicknessMm: [3.5],
    fillMaxC: 18,
    seal: "water, milk or egg on 10 mm of the rim, no fat on it; folded under and crimped",
    sealedMaxMin: 40,
    rolledMaxMin: 30,
    lossPct: 5,
    fridge: "shortcrust-dough",
    freezer: "raw-laminated",
    freeze: "raw",
    vent: "a slit or a cross",
    wash: true,
  },
  FR: {
    id: "FR",
    methods: ["fry", "tray"],
    holdBackPct: 6,
    mixing: { handMin: 9, how: "Rub the fat in, then the liquid, then a few minutes by hand.", stop: "Smooth and firm." },
    first: rest(29, 44, 180, 21, "Fat weeps out of it."),
    formed: { fry: chill(20, 30, 1440), tray: chill(20, 30, 1440) },
    blank: "cut",
    pieceG: [20, 30, 45],
    thicknessMm: [2.4],
    fillMaxC: 22,
    seal: "a film of water, pressed twice, rope or fork: no gap, or it opens and spits",
    rolledMaxMin: 30,
    lossPct: 5,
    fridge: "unleavened-dough",
    freezer: "raw-shortcrust",
    freeze: "raw",
    vent: "2 to 3 pricks",
    wash: true,
  },
  OS: {
    id: "OS",
    methods: ["fry", "tray"],
    holdBackPct: 10,
    mixing: {
      handMin: 7,
      gather: true,
      how: "Rub the fat in until it holds when it is squeezed, gather it in a minute or two, never knead.",
      stop: "It holds when it is squeezed.",
    },
    first: rest(15, 22, 60, 22, "A crust on it, cracks."),
    formed: { default: bench(5, 10, 30) },
    blank: "cup",
    pieceG: [25, 35, 50],
    thicknessMm: [5, 3],
    fillMaxC: 24,
    seal: "gathered over the filling, the neck pinched off, seam under the middle",
    rolledMaxMin: 20,
    lossPct: 2,
    fridge: "unleavened-dough",
    freezer: "raw-unleavened-dough",
    freeze: "raw",
    vent: undefined,
    wash: false,
  },
  BD: {
    id: "BD",
    methods: ["dry", "fry", "tray"],
    doughC: 27,
    holdBackPct: 10,
    mixing: {
      mixer: { slowMin: 2, mediumMin: 7 },
      handMin: 12,
      how: "Beat 60 % of the flour with the water and the oil for 3 to 4 min, then the rest of the flour.",
      stop: "Tacky and elastic.",
    },
    first: rest(22, 33, 240, 22, "It runs."),
    blank: "sheet",
    pieceG: [40, 55, 80],
    thicknessMm: [0.8],
    fillMaxC: 15,
    seal: "a film of oil, edges over one another by 25 mm, folded down",
    sealedMaxMin: 5,
    rolledMaxMin: 10,
    lossPct: 3,
    fridge: "unleavened-dough",
    freezer: "raw-unleavened-dough",
    freeze: "cooked",
    vent: undefined,
    wash: false,
  },
};

/** Ids of the ways in which a dough may be finished, the usual first. */
export const methodsOf = (family: FamilyId): readonly MethodId[] => [
  ...DOUGHS[family].methods,
  ...METHOD_IDS.filter((id) => !DOUGHS[family].methods.includes(id)),
];
