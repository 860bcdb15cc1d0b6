import type { Reading } from "../../ingredients/read-line";
import { says } from "./says";

/** Kinds of dough that are sold ready. */
export type BoughtDough = "FS" | "SS" | "SH" | "FR" | "CW" | "EY";

/** Doughs that are bought ready, by the names of their lines. */
const BOUGHT: readonly (readonly [BoughtDough, readonly string[]])[] = [
  [
    "FS",
    [
      "puff pastry",
      "rough puff",
      "flaky pastry",
      "blätterteig",
      "pâte feuilletée",
      "hojaldre",
      "pasta sfoglia",
      "milföy",
      "ciasto francuskie",
      "bladerdeeg",
    ],
  ],
  ["SS", ["filo", "phyllo", "fillo", "strudel sheets", "yufka", "brick pastry"]],
  [
    "SH",
    [
      "shortcrust",
      "short crust",
      "pie crust",
      "pie dough",
      "tart shells",
      "mürbeteig",
      "pâte brisée",
      "masa quebrada",
      "pasta brisée",
    ],
  ],
  ["FR", ["turnover discs", "turnover rounds", "discos", "tapas para", "frying discs"]],
  [
    "CW",
    ["wrappers", "dumpling skins", "dumpling wrappers", "gyoza skins", "wonton", "round skins", "餃子の皮", "饺子皮", "kulit"],
  ],
  ["EY", ["bread dough", "pizza dough", "brioche dough"]],
];

/** The kind of dough that is bought ready; undefined where none is. */
export const boughtFamily = (lines: readonly Reading[]): BoughtDough | undefined =>
  BOUGHT.find(([, words]) => lines.some(({ text }) => says(text, words)))?.[0];

/** Whether a line is a dough that is bought ready. */
export const isBoughtDough = (line: Reading): boolean => boughtFamily([line]) !== undefined;

const FROZEN = ["frozen", "gefroren", "tiefgekühlt", "surgelés", "congelados", "surgelati", "mrożone", "dondurulmuş"];
/** Words for a filled piece: what else is frozen is an ingredient. */
const PIECES =
  /dumpling|gyoza|\bbuns?\b|pasty|pasties|pierogi|turnover|samosa|\bpies?\b|momo|mandu|wonton|teigtasche|ravioli|empanada|börek|parcel|pocket|potsticker/iu;

/** Whether a line is of something that is bought frozen. */
export const isFrozen = ({ text }: Reading): boolean => says(text, FROZEN) !== undefined;
/** Whether it is of filled pieces that are bought frozen: "24 frozen dumplings". */
export const isFrozenPieces = (line: Reading): boolean => isFrozen(line) && PIECES.test(line.text);
