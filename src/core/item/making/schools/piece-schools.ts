import { DOUGH_DENSITY } from "../piece-geometry";
import { isBaked, type Making } from "../making";
import { line } from "./line";
import { asIs, unsaid, withDough, type School } from "./school";

/** A coat of wash on 1 cm² of a face, g, and the least that can be brushed with. */
const WASH_G_PER_CM2 = 0.03;
const LEAST_WASH_G = 8;
/** What one coat takes for a batch, g: half of the dough's two faces is seen. */
function coatG({ piece, pieces, dough }: Making): number {
  const faceCm2 = piece.doughG / DOUGH_DENSITY / (dough.thicknessMm[0] / 10) / 2;
  return Math.max(LEAST_WASH_G, Math.round(faceCm2 * WASH_G_PER_CM2 * pieces));
}
const washedWith =
  (name: string) =>
  (making: Making): Making => ({ ...making, lines: { ...making.lines, finish: [line(name, coatG(making))] } });
/** So much sticks on the rims of one piece, g. */
const RIM_G = 0.5;
const rimmedWith =
  (name: string) =>
  (making: Making): Making => ({ ...making, rim: line(name, Math.max(5, making.pieces * RIM_G)) });
const vented = (vent: string) => (making: Making) => withDough(making, { vent });
const isClosed = ({ shape, method, dough }: Making): boolean =>
  isBaked(method.id) && method.id !== "blind" && shape.open !== true && dough.vent !== undefined;

/** What is done with formed pieces. */
export const PIECE_SCHOOLS: readonly School[] = [
  {
    id: "formed-cold",
    question: "Do formed pieces go into the cold before the heat?",
    fits: (making) =>
      making.bought !== "pieces" &&
      making.dough.final === undefined &&
      (making.dough.formed !== undefined || making.says.formedRest !== undefined),
    usual: () => "yes",
    options: [
      { id: "yes", name: "yes", note: "seams hold, edges stay sharp, fat stays in the dough", of: asIs },
      {
        id: "no",
        name: "no, straight on",
        note: "sooner; seams may open and edges soften",
        of: (making) => unsaid(withDough(making, { formed: undefined }), "formedRest"),
      },
    ],
  },
  {
    id: "wash",
    question: "What are the pieces brushed with?",
    fits: ({ method, dough, bought }) => isBaked(method.id) && dough.wash && bought !== "pieces",
    usual: ({ lines }) => (lines.finish.length > 0 ? "recipe" : "none"),
    options: [
      { id: "recipe", name: "as the recipe says", note: "what it has been brushed with all along", of: asIs },
      { id: "yolk", name: "egg yolk", note: "darkest; watch it from the middle on", of: washedWith("egg yolk") },
      { id: "egg", name: "whole egg", note: "gold, a little gloss", of: washedWith("egg") },
      { id: "milk", name: "milk", note: "pale gold and soft", of: washedWith("milk") },
      { id: "oil", name: "oil", note: "plant only; crisp, no gloss", of: washedWith("sunflower oil") },
      {
        id: "none",
        name: "nothing",
        note: "dull, and nothing of an egg or of milk on them",
        of: (making) => ({ ...making, lines: { ...making.lines, finish: [] } }),
      },
    ],
  },
  {
    id: "rim",
    question: "What closes the rim?",
    fits: ({ dough, bought, shape }) =>
      ["SH", "FS", "FR", "HW", "CW"].includes(dough.id) && bought !== "pieces" && shape.open !== true,
    usual: () => "usual",
    options: [
      { id: "usual", name: "as is usual", note: "water where the dough is dry", of: asIs },
      { id: "egg", name: "egg", note: "closes best, and is an egg in it", of: rimmedWith("egg") },
      { id: "milk", name: "milk", note: "browns a little at the seam, and is milk in it", of: rimmedWith("milk") },
      {
        id: "none",
        name: "nothing",
        note: "only pressed: for a dough that is soft and fresh",
        of: (making) => withDough(making, { seal: "the rim dry, pressed twice" }),
      },
    ],
  },
  {
    id: "vents",
    question: "How does steam get out?",
    fits: isClosed,
    usual: () => "usual",
    options: [
      { id: "usual", name: "as is usual for this dough", note: "pricks or a slit, as deep as the lid", of: asIs },
      {
        id: "pricks",
        name: "pricked",
        note: "two or three holes of a fork; they may close again",
        of: vented("prick the top two or three times"),
      },
      { id: "slit", name: "a slit", note: "12 mm, straight through", of: vented("cut a slit of 12 mm in the top") },
      {
        id: "cross",
        name: "a cross",
        note: "for wet fillings; juice shows in it",
        of: vented("cut a cross of 12 mm in the top"),
      },
    ],
  },
  {
    id: "coats",
    question: "How many coats of wash?",
    fits: ({ method, lines }) => isBaked(method.id) && lines.finish.length > 0,
    usual: () => "one",
    options: [
      { id: "one", name: "one", note: "even, and quick", of: asIs },
      {
        id: "two",
        name: "two",
        note: "darker and glossier; the first one dries before the second, which takes as much again",
        of: (making) => ({ ...making, secondCoat: true }),
      },
    ],
  },
];
