import type { Hazard } from "../../ingredients/kinds";
import type { Reading } from "../../ingredients/read-line";
import { sum } from "../../shared/rounding";
import type { DoughShares } from "../families";
import type { MethodRead } from "../paper/method-text";
import { says } from "../paper/says";
import { DOUGHS, type FamilyId, type MethodId } from "./doughs";
import { FILLINGS, type FillingId } from "./fillings";
import { SHAPES, type Shape } from "./shapes";

/** A proposal, and in a phrase what it follows from; `sure` false: two fit, or nothing was said. */
export interface Proposed<T> {
  readonly value: T;
  readonly because: string;
  readonly sure: boolean;
}
/** What the cook said is sure. */
export const byWord = <T>(value: T): Proposed<T> => ({ value, because: "the cook's word", sure: true });
const proposed = <T>(value: T, because: string, sure = true): Proposed<T> => ({ value, because, sure });

const TIN_WORDS = [
  "tartlet",
  "tartlets",
  "muffin tin",
  "muffin tray",
  "muffin pan",
  "tart tins",
  "small tins",
  "mini pie",
  "mini pies",
  "patty tin",
  "individual tins",
  "bun tin",
  "cupcake tin",
];
const DISH_WORDS = [
  "pie dish",
  "pie plate",
  "baking dish",
  "casserole",
  "casserole dish",
  "ramekin",
  "ramekins",
  "pot pie",
  "pot pies",
  "ovenproof dish",
  "pie tin",
  "deep dish",
  "gratin dish",
  "auflaufform",
  "plat à four",
  "foncer le moule",
  "fonce le moule",
  "tourtière",
  "springform",
  "springform tin",
  "molde",
  "teglia",
  "tortiera",
];

/** How pieces are finished, by what the recipe says is done last, else as is usual for the dough. */
export function proposeMethod(read: MethodRead, text: string, family: FamilyId | undefined): Proposed<MethodId> {
  const { verbs, heat } = read;
  const dish = says(text, DISH_WORDS);
  const tin = says(text, TIN_WORDS);
  const last = heat?.text ?? "";
  if (verbs.has("fry")) return proposed("fry", "it is fried in oil");
  if (verbs.has("steam") && !verbs.has("pan")) return proposed("steam", "it is steamed");
  const wet = /\b(?:water|wasser|eau|agua|acqua|su|wod[aęy]|air)\b|水/iu;
  if (verbs.has("pan") && (verbs.has("lid") || wet.test(last)) && (verbs.has("lid") || verbs.has("steam")))
    return proposed("pan", "a pan, water and a lid");
  if (!verbs.has("bake") && verbs.has("lid") && wet.test(last)) return proposed("pan", "water and a lid");
  if (verbs.has("steam")) return proposed("steam", "it is steamed");
  if (verbs.has("dryPan")) return proposed("dry", "a griddle or a dry pan");
  const bakes = verbs.has("bake") || heat?.celsius !== undefined;
  if (bakes && tin) return proposed(verbs.has("blind") ? "blind" : "tin", verbs.has("blind") ? "the case is baked blind" : tin);
  if (bakes && dish) return proposed("dish", dish);
  // A tart or a lattice needs walls: one of a hand's breadth and more a dish, smaller ones tins.
  const tart = says(text, ["lattice", "tarts", "tart"]);
  if (bakes && !verbs.has("blind") && tart && (family === undefined || family === "SH" || family === "FS"))
    return proposed(/\b(?:1[6-9]|[23]\d)\s*cm\b/.test(text) ? "dish" : "tin", tart);
  if (bakes && verbs.has("blind")) return proposed("blind", "the case is baked blind");
  if (bakes) return proposed("tray", "it is baked");
  if (verbs.has("pan"))
    return proposed(family && ["BD", "LY", "OS", "SS"].includes(family) ? "dry" : "pan", "it is done in a pan", false);
  const usual = family ? DOUGHS[family].methods[0] : "tray";
  return proposed(usual, "the recipe does not say; usual for this dough", false);
}

/** The kind of dough, by what is in it and what is done with it. */
export function proposeFamily(
  shares: DoughShares | undefined,
  read: MethodRead,
  text: string,
  bought: FamilyId | undefined,
): Proposed<FamilyId> {
  if (bought) return proposed(bought, "the dough is bought ready");
  const { verbs } = read;
  // Water that steams or boils pieces is none that wets a dough.
  const dry = text.replace(
    /\b(?:over|above|in|into)\s+(?:a (?:pan|pot) of )?(?:gently |rapidly |the )?(?:simmering|boiling|hot) water/giu,
    "",
  );
  const hot = says(dry, [
    "boiling water",
    "just-boiled",
    "just boiled",
    "hot water",
    "boiled water",
    "kochendes wasser",
    "heißes wasser",
    "eau bouillante",
    "agua hirviendo",
    "acqua bollente",
    "kaynar su",
    "wrzątek",
    "熱湯",
    "开水",
  ]);
  if (!shares) {
    if (verbs.has("rise")) return proposed(verbs.has("steam") ? "SY" : "EY", "it rises; its flour has no weight", false);
    return proposed(hot ? "HW" : "SH", "its flour has no weight", false);
  }
  const { fat, water, sugar, yeast, semolina } = shares;
  if (yeast > 0) {
    if (verbs.has("steam") && !verbs.has("pan")) return proposed("SY", "yeast, steamed");
    if (verbs.has("pan") && (verbs.has("lid") || verbs.has("steam"))) return proposed("PY", "yeast, in a lidded pan");
    if (fat >= 4 || sugar >= 4)
      return proposed("EY", `yeast, ${Math.round(fat)} % fat and ${Math.round(sugar)} % sugar on the flour`);
    return proposed("LY", "yeast, hardly any fat or sugar");
  }
  const laminated = says(text, [
    "fold in thirds",
    "turns",
    "flaky",
    "pea-sized",
    "pea sized",
    "size of peas",
    "lumps of butter",
    "visible butter",
  ]);
  if (fat >= 45) {
    const flaky = fat > 75 || (laminated !== undefined && water >= 28);
    return proposed(flaky ? "FS" : "SH", `${Math.round(fat)} % fat on the flour`, fat < 70 || fat > 80);
  }
  if (semolina >= 10) return proposed("OS", `${Math.round(semolina)} % semolina`);
  const stretched = says(text, [
    "stretch",
    "stretched",
    "paper-thin",
    "paper thin",
    "translucent",
    "see through",
    "very thin sheet",
    "coil",
    "coils",
    "spiral",
    "ince aç",
    "hauchdünn",
    "très fin",
  ]);
  if (stretched && water >= 48 && fat < 20) return proposed(verbs.has("dryPan") ? "BD" : "SS", stretched);
  if (fat >= 35 && !verbs.has("fry")) return proposed("SH", `${Math.round(fat)} % fat on the flour`, false);
  if (fat >= 10)
    return proposed(water >= 54 ? "BD" : "FR", `${Math.round(fat)} % fat, ${Math.round(water)} % water on the flour`, fat >= 14);
  if (hot) return proposed("HW", hot);
  if (verbs.has("dryPan") && water >= 54) return proposed("BD", "a soft dough for a dry pan");
  if (verbs.has("fry") && fat >= 6) return proposed("FR", "some fat in it, fried");
  return proposed("CW", "flour and cold water", verbs.has("pan") || verbs.has("steam"));
}

const USUAL_SHAPE: Readonly<Record<FamilyId, string>> = {
  EY: "smooth-bun",
  LY: "smooth-bun",
  SY: "smooth-bun",
  PY: "flat-bun",
  HW: "dumpling-folded",
  CW: "dumpling-folded",
  SS: "triangle",
  SH: "half-moon",
  FS: "half-moon",
  FR: "half-moon",
  OS: "stuffed-disc",
  BD: "square-parcel",
};

/** Shapes that a dough takes, and that the way of finishing has a place for. */
export const shapesFor = (family: FamilyId, method: MethodId): Shape[] =>
  SHAPES.filter(({ fits, foot }) => {
    if (!fits.includes(family)) return false;
    if (method === "dish") return foot.of === "dish";
    if (method === "tin" || method === "blind") return foot.of === "tin";
    return foot.of !== "dish" && foot.of !== "tin";
  });

/** The shape whose words stand in the recipe; the more exact words first. */
export function proposeShape(family: FamilyId, method: MethodId, text: string): Proposed<Shape> {
  const fitting = shapesFor(family, method);
  const named = fitting
    .map((shape) => ({ shape, word: says(text, shape.words) }))
    .filter((one): one is { shape: Shape; word: string } => one.word !== undefined)
    .sort((a, b) => exactness(b.word) - exactness(a.word) || b.shape.difficulty - a.shape.difficulty);
  const open = method === "blind" && says(text, LIDS) === undefined ? fitting.find(({ id }) => id === "tartlet") : undefined;
  if (open && named[0]?.shape.id === "tartlet-lidded") return proposed(open, `“${named[0].word}”, and no word of a lid`, true);
  if (named.length > 0) return proposed(named[0].shape, `“${named[0].word}”`, true);
  const usual =
    fitting.find(({ id }) => id === USUAL_SHAPE[family]) ?? fitting[0] ?? SHAPES.find(({ id }) => id === USUAL_SHAPE[family])!;
  return proposed(usual, "usual for this dough", false);
}
/** What closes a case. */
const LIDS = [
  "lid",
  "lids",
  "top crust",
  "pastry top",
  "pastry tops",
  "cover with pastry",
  "top with pastry",
  "deckel",
  "couvercle",
];
/** Words that many shapes are told with say little. */
const VAGUE: ReadonlySet<string> = new Set([
  "bun",
  "buns",
  "ball",
  "balls",
  "roll",
  "rolls",
  "round",
  "lid",
  "turnover",
  "turnovers",
  "flatten",
  "tart",
  "tarts",
  "disc",
  "discs",
  "square",
  "squares",
]);
const exactness = (word: string): number => (VAGUE.has(word) ? 0 : 1);

/** What a filling is, by its lines and by whether it is cooked before it is filled in. */
export function proposeFilling(
  lines: readonly Reading[],
  read: MethodRead,
  text: string,
  hazardOf: (line: Reading) => Hazard | null,
): Proposed<FillingId> {
  if (lines.length === 0) return proposed("ready", "nothing is said of it", false);
  const grams = (wanted: (line: Reading) => boolean) => sum(lines.filter(wanted).map((line) => line.grams ?? 0));
  const total = Math.max(
    1,
    grams(() => true),
  );
  const share = (...kinds: readonly string[]) =>
    grams((line) => line.found?.main.kinds.some((kind) => kinds.includes(kind)) === true) / total;
  const hazards = lines.map(hazardOf);
  const isCooked =
    (read.cooksFilling &&
      !says(text, [
        "raw meat",
        "raw mince",
        "uncooked filling",
        "raw filling",
        "rohe füllung",
        "farce crue",
        "relleno crudo",
        "ripieno crudo",
      ])) ||
    says(text, ["cooked filling", "cool the filling", "cooled filling", "roast the filling"]) !== undefined;
  const meat = hazards.some((hazard) => hazard === "poultry" || hazard === "mincedMeat" || hazard === "meat");
  const fish = hazards.includes("fish");
  const sets = says(text, FILLINGS.gelled.words!);
  if ((meat || fish || share("broth", "cooked-stock") > 0.3) && sets && isCooked) return proposed("gelled", `“${sets}”`);
  const wetDairy = share("dairy", "plant-drink") - share("cheese", "fresh-cheese", "rennet-cheese");
  if (hazards.includes("egg") && wetDairy > 0.25 && !isCooked) return proposed("egg-bound", "raw egg and cream or milk");
  if (meat || fish) {
    if (isCooked) return proposed("meat-in-sauce", "meat or fish, cooked before it is filled in");
    return proposed(meat ? "raw-meat" : "raw-fish", "meat or fish, and no word of cooking it first", read.sentences.length > 0);
  }
  const egg = hazards.includes("egg");
  if (egg && !isCooked) return proposed("egg-bound", "raw egg in it");
  if (isCooked && wetDairy > 0.4 && share("fruit", "vegetable") < 0.3) return proposed("cream", "milk or cream, cooked thick");
  if (share("cheese", "fresh-cheese", "rennet-cheese") >= 0.4) return proposed("cheese", "mostly cheese or curd");
  if (share("fruit", "dried-fruit") >= 0.4)
    return proposed(isCooked ? "fruit" : share("dried-fruit") > 0.3 ? "ready" : "fruit", "mostly fruit");
  const mealy = grams((line) => /potato|sweet-potato|lentil|bean|pea|chickpea/.test(line.found?.main.id ?? "")) / total;
  // A paste is bought, or made before, and goes in as it is.
  const isPaste = lines.some((line) => /\bpaste\b|puree|purée/i.test(line.name) && (line.grams ?? 0) > 0.4 * total);
  if (isPaste && !isCooked) return proposed("ready", "a paste, as it is");
  if (mealy >= 0.4) return proposed("mash", "mostly potato or pulses");
  if (share("vegetable", "mushroom", "herb", "soy", "pulse") >= 0.3)
    return isCooked
      ? proposed("vegetable", "vegetables, cooked before they are filled in")
      : proposed("raw-vegetable", "vegetables, and no word of cooking them first", false);
  if (hazards.includes("leftovers")) return proposed(isCooked ? "meat-in-sauce" : "ready", "cooked before");
  return proposed(isCooked ? "vegetable" : "ready", isCooked ? "it is cooked" : "as it is", isCooked);
}
