import type { FamilyId, MethodId } from "./doughs";

/** Time and setting of a heat for a piece of a certain weight; other pieces, loads and settings are worked out from there. */
export interface ReferenceHeat {
  readonly min: number;
  readonly settingC: number;
  /** Settings that are usual, °C. */
  readonly fromC: number;
  readonly toC: number;
  /** Weight of the piece that the minutes are for, g. */
  readonly pieceG: number;
  /** What lies on the tray with it, g. */
  readonly trayG?: number;
}

/** What a way of finishing asks for, whatever the dough. Kitchen figures of our own. */
export interface Method {
  readonly id: MethodId;
  readonly name: string;
  /** What a step of it is called. */
  readonly kind: "bake" | "blind-bake" | "steam" | "fry" | "pan-fry";
  readonly early: string;
  readonly right: string;
  readonly late: string;
  readonly caution: string;
  /** From the heat to the first bite, min. */
  readonly eatAfterMin: number;
  readonly best: string;
  /** A raw filling takes so much longer; its core ends it, not the clock. */
  readonly rawFactor: number;
}

export const METHODS: Readonly<Record<MethodId, Method>> = {
  tray: {
    id: "tray",
    name: "baked on a tray",
    kind: "bake",
    early: "Pale and soft, the base white.",
    right: "Gold on top, the base tan and firm; it smells baked.",
    late: "Brown, bitter at the edge.",
    caution: "Oven gloves; a tray that raw pieces lay on serves nothing. The filling is hotter than the crust.",
    eatAfterMin: 8,
    best: "warm",
    rawFactor: 1.3,
  },
  dish: {
    id: "dish",
    name: "baked in a dish",
    kind: "bake",
    early: "Pale and damp.",
    right: "Gold, and the filling bubbles at the slits.",
    late: "Hard crust, sauce over the rim.",
    caution:
      "The dish stands on a rimmed tray. No cold glass into the heat, no liquid on hot glass; the dish scalds for a long time.",
    eatAfterMin: 30,
    best: "warm, when it has set",
    rawFactor: 1.3,
  },
  blind: {
    id: "blind",
    name: "baked blind, then filled",
    kind: "bake",
    early: "Grey and damp.",
    right: "Dry, sandy, pale gold; then the filling is set.",
    late: "Brown before the filling is done.",
    caution: "Weights are scalding when they come out; rice that was a weight stays a weight.",
    eatAfterMin: 25,
    best: "warm or cold",
    rawFactor: 1,
  },
  tin: {
    id: "tin",
    name: "baked in small tins",
    kind: "bake",
    early: "Pale, the walls cling.",
    right: "Gold, the walls come away from the tin.",
    late: "Brown rim, the filling cracked.",
    caution: "Let the tins stand before they are turned out: hot fat and filling run.",
    eatAfterMin: 25,
    best: "warm or cold",
    rawFactor: 1.3,
  },
  steam: {
    id: "steam",
    name: "steamed",
    kind: "steam",
    early: "Sticky and wet.",
    right: "Matt, springs back.",
    late: "Yellow and wrinkled.",
    caution: "Lift the lid away from the face; top up with boiling water only, and never let it run dry.",
    eatAfterMin: 5,
    best: "hot, within the shut tiers",
    rawFactor: 1.3,
  },
  fry: {
    id: "fry",
    name: "deep-fried",
    kind: "fry",
    early: "Pale, large bubbles.",
    right: "Even gold, the bubbles calmer.",
    late: "Dark, silent.",
    caution:
      "Dry pieces, no frost; oil at most a third of the vessel, the lid at hand. Stay beside it. It smokes: heat off. Fire: cover it, never water.",
    eatAfterMin: 5,
    best: "hot and crisp",
    rawFactor: 1.4,
  },
  pan: {
    id: "pan",
    name: "fried and steamed in a lidded pan",
    kind: "pan-fry",
    early: "White, a wet hiss.",
    right: "Base gold, it crackles, the pieces slide.",
    late: "It smokes.",
    caution:
      "Water on hot fat spits: measure it, heat off, the lid as a shield, from the far side. Or begin cold, with all of it in the pan.",
    eatAfterMin: 4,
    best: "at once, crisp side up",
    rawFactor: 1.2,
  },
  dry: {
    id: "dry",
    name: "in a dry pan",
    kind: "pan-fry",
    early: "Pale, the fold doughy.",
    right: "Brown freckles on both sides.",
    late: "Hard.",
    caution: "Hot metal; no paper near the flame.",
    eatAfterMin: 5,
    best: "hot, in a cloth",
    rawFactor: 1.3,
  },
};

const heat = (min: number, settingC: number, fromC: number, toC: number, pieceG: number, trayG?: number): ReferenceHeat => ({
  min,
  settingC,
  fromC,
  toC,
  pieceG,
  ...(trayG !== undefined && { trayG }),
});
const OTHER_TRAY = heat(20, 200, 190, 210, 65, 650);
const TRAY: Readonly<Partial<Record<FamilyId, ReferenceHeat>>> = {
  EY: heat(18, 180, 165, 195, 100, 1200),
  LY: heat(17, 205, 190, 225, 100, 1000),
  SH: heat(24, 190, 175, 200, 95, 760),
  FS: heat(24, 200, 185, 215, 95, 760),
  FR: heat(22, 190, 180, 200, 70, 700),
  SS: heat(20, 220, 195, 225, 123, 740),
};
const FRY: Readonly<Partial<Record<FamilyId, ReferenceHeat>>> = {
  EY: heat(3.5, 170, 165, 175, 46),
  LY: heat(3.5, 170, 165, 175, 46),
  HW: heat(3, 177, 170, 182, 25),
  CW: heat(3, 177, 170, 182, 25),
  SS: heat(4, 177, 170, 182, 60),
  BD: heat(4, 175, 170, 180, 60),
  OS: heat(6.5, 160, 150, 170, 65),
};
const isWrapper = (family: FamilyId): boolean => family === "HW" || family === "CW";

/** Heat of a method for a kind of dough: where a piece weighs as much as the reference. */
export function referenceHeat(method: MethodId, family: FamilyId): ReferenceHeat {
  switch (method) {
    case "tray":
      return TRAY[family] ?? OTHER_TRAY;
    case "dish":
      // By the crust, not by the weight.
      return heat(30, 190, 180, 210, 0);
    case "blind":
    case "tin":
      return heat(17, 175, 165, 185, 61);
    case "steam":
      return isWrapper(family) ? heat(6, 100, 100, 100, 22) : heat(10.5, 100, 100, 100, 75);
    case "fry":
      return FRY[family] ?? heat(4, 177, 170, 182, 47);
    case "pan":
      return isWrapper(family) ? heat(5, 200, 180, 220, 22) : heat(family === "PY" ? 9 : 8, 200, 180, 220, 70);
    case "dry":
      return heat(8, 190, 170, 210, 60);
  }
}

/** Hours that finished pieces wait and are still good, min: on a rack, in shut tiers, in a cloth. */
export function holdMin(method: MethodId, family: FamilyId): number {
  switch (method) {
    case "tray":
      return family === "SS"
        ? 45
        : family === "EY"
          ? 60
          : family === "LY"
            ? 90
            : ["SH", "FS", "FR", "OS"].includes(family)
              ? 120
              : 45;
    case "dish":
      return 60;
    case "blind":
    case "tin":
      return 120;
    case "steam":
      return 25;
    case "fry":
      return 50;
    case "pan":
      return family === "PY" ? 20 : 10;
    case "dry":
      return 20;
  }
}

/** The blind bake of a case: with weights, and dry without them; °C of a fan oven, min. */
export const BLIND = { settingC: 180, weightsMin: 12, handsMin: 3, dryMin: 4 } as const;
/** A filling over a raw case under a lid or lattice, low in the oven. */
export const LIDDED_TIN = { settingC: 185, min: 27 } as const;
export const DISH = {
  lid: { settingC: 190, min: 30, fromMin: 25, toMin: 35 },
  double: { settingC: 190, min: 50, fromMin: 45, toMin: 55 },
  lattice: { settingC: 185, min: 40, fromMin: 35, toMin: 45 },
} as const;
/** Cold from the start, or until steam is full, min. */
export const STEAM_SETTLE = { min: 3, max: 6 } as const;
/** Before the lid and after it, min: heat and gold; dry and crisp. */
export const PAN_AROUND = { beforeMin: 5, afterMin: 2, coldStartMin: 3 } as const;
