import type { Step } from "../item/step";

/** What is done in a step, as the first word of a task's text. */
export const VERB: Readonly<Record<Step["kind"], string>> = {
  weigh: "Weigh out",
  mix: "Mix",
  knead: "Knead",
  "bulk-rest": "Let rise",
  "bench-rest": "Rest",
  chill: "Chill",
  "cook-filling": "Cook",
  "cool-filling": "Cool",
  divide: "Divide",
  preshape: "Pre-shape",
  roll: "Roll",
  fill: "Fill",
  seal: "Seal",
  "final-proof": "Proof",
  glaze: "Brush",
  dock: "Prick",
  "blind-bake": "Blind-bake",
  bake: "Bake",
  steam: "Steam",
  fry: "Fry",
  "pan-fry": "Pan-fry",
  cool: "Cool",
  freeze: "Freeze",
  bag: "Bag and label",
  reheat: "Reheat",
  serve: "Serve",
};

/** The carriers in plain words, one and many. */
const CARRIER_WORD: Readonly<Record<string, readonly [string, string]>> = {
  tray: ["tray", "trays"],
  board: ["board", "boards"],
  "steamer-tier": ["tier", "tiers"],
};

export const carrierText = (carrier: string, n: number): string =>
  `${n} ${(CARRIER_WORD[carrier] ?? [carrier, carrier])[n === 1 ? 0 : 1]}`;

export const piecesText = (n: number): string => (n === 1 ? "1 piece" : `${n} pieces`);
