import type { AllergenTag } from "./allergen";

export type Answer = "yes" | "no" | "depends";
/** As it is told to programs: null where it is not known. */
export const TRUTH: Readonly<Record<Answer, boolean | null>> = { yes: true, no: false, depends: null };
export const DIETS = ["vegetarian", "vegan", "halal", "kosher", "alcohol-free"] as const;
export type Diet = (typeof DIETS)[number];
export type Diets = Readonly<Record<Diet, Answer>>;

/** What `safety.core` asks for, the highest temperature first. */
export const HAZARDS = ["poultry", "leftovers", "mincedMeat", "egg", "meat", "fish", "vegetable"] as const;
export type Hazard = (typeof HAZARDS)[number];

/** Milk and meat do not go together in a kosher kitchen. */
export type KosherClass = "meat" | "dairy" | "pareve";

/** What belongs together in the family tree of ingredients; a kind has what its parent has unless it says otherwise. */
export interface Kind {
  readonly parent?: string;
  readonly diets?: Partial<Diets>;
  readonly kosherClass?: KosherClass;
  readonly contains?: readonly AllergenTag[];
  readonly hazard?: Hazard;
  /** It has been cooked or rendered: what it was made of is no longer a hazard of its own. */
  readonly cooked?: Hazard | "none";
  readonly group?: string;
  readonly flour?: true;
  /** Water in it is bound: it does not wet a dough. */
  readonly dry?: true;
  readonly whole?: true;
}

const PLANT: Diets = { vegetarian: "yes", vegan: "yes", halal: "yes", kosher: "yes", "alcohol-free": "yes" };
const FLOURS = "Flours and grains";
const SWEET = "Sugar and sweet things";
const FATS = "Fats and oils";
const COLD = "Milk, cheese, eggs";
const BUTCHER = "Meat";
const FISHMONGER = "Fish and shellfish";
const FRESH = "Vegetables and herbs";
const FRUIT = "Fruit and nuts";
const PULSES = "Pulses and tofu";
const SPICE = "Spices, salt, raising";
const SHELF = "Sauces, stock, drinks";

/** The groups in the order in which a list is walked. */
export const SHOP_GROUPS: readonly string[] = [
  FRESH,
  FRUIT,
  COLD,
  BUTCHER,
  FISHMONGER,
  PULSES,
  FLOURS,
  SWEET,
  FATS,
  SPICE,
  SHELF,
  "Other",
];

const PROCESSED: Kind = { diets: PLANT, kosherClass: "pareve" };
const slaughtered: Partial<Diets> = { vegetarian: "no", vegan: "no", halal: "depends", kosher: "depends" };

export const KINDS: Readonly<Record<string, Kind>> = {
  plant: PROCESSED,
  flour: { ...PROCESSED, group: FLOURS, flour: true, dry: true, whole: true },
  "wheat-flour": { parent: "flour", contains: ["wheat"] },
  starch: { ...PROCESSED, group: FLOURS, dry: true, whole: true },
  "grain-dry": { ...PROCESSED, group: FLOURS, dry: true },
  "wheat-dry": { parent: "grain-dry", contains: ["wheat"] },
  "wheat-baked": { ...PROCESSED, group: FLOURS, contains: ["wheat"] },
  "cooked-starch": { ...PROCESSED, group: FLOURS, cooked: "leftovers" },
  "dry-good": { ...PROCESSED, group: FLOURS, dry: true },
  "dry-thing": { dry: true },
  sugar: { ...PROCESSED, group: SWEET, dry: true, whole: true },
  sweet: { ...PROCESSED, group: SWEET },
  "sweet-thing": { group: SWEET },
  salt: { ...PROCESSED, group: SPICE, dry: true, whole: true },
  leavener: { ...PROCESSED, group: SPICE, dry: true },
  yeast: { ...PROCESSED, group: SPICE },
  spice: { ...PROCESSED, group: SPICE, dry: true, whole: true },
  flavouring: { ...PROCESSED, group: SPICE },
  water: { ...PROCESSED, group: SHELF, whole: true },
  oil: { ...PROCESSED, group: FATS, whole: true },
  fat: { ...PROCESSED, group: FATS },
  "plant-fat": { ...PROCESSED, group: FATS },
  "animal-fat": { cooked: "none", group: FATS },
  butter: { parent: "dairy", group: FATS },
  vegetable: { ...PROCESSED, group: FRESH, hazard: "vegetable", whole: true },
  mushroom: { parent: "vegetable" },
  herb: { ...PROCESSED, group: FRESH, hazard: "vegetable", whole: true },
  fruit: { ...PROCESSED, group: FRUIT, hazard: "vegetable", whole: true },
  juice: { ...PROCESSED, group: FRUIT },
  "dried-fruit": { ...PROCESSED, group: FRUIT },
  nut: { ...PROCESSED, group: FRUIT, contains: ["tree nuts"], whole: true },
  seed: { ...PROCESSED, group: SPICE, whole: true },
  pulse: { ...PROCESSED, group: PULSES, hazard: "vegetable", whole: true },
  soy: { ...PROCESSED, group: PULSES, contains: ["soy"] },
  egg: { diets: { ...PLANT, vegan: "no" }, kosherClass: "pareve", contains: ["egg"], hazard: "egg", group: COLD, whole: true },
  dairy: { diets: { ...PLANT, vegan: "no" }, kosherClass: "dairy", contains: ["milk"], group: COLD },
  "fresh-cheese": { parent: "dairy", diets: { kosher: "depends" } },
  // Set with rennet of one kind or another: a vegetarian reads the label, see `rennet`.
  cheese: { parent: "dairy", diets: { halal: "depends", kosher: "depends" } },
  // By custom or by law with animal rennet.
  "rennet-cheese": { parent: "cheese", diets: { vegetarian: "depends" } },
  "plant-drink": { ...PROCESSED, group: COLD },
  "plant-substitute": { diets: { ...PLANT, kosher: "depends" }, kosherClass: "pareve", group: PULSES },
  "vegetarian-substitute": { diets: { ...PLANT, vegan: "depends", kosher: "depends" }, kosherClass: "pareve", group: PULSES },
  meat: { diets: { ...PLANT, ...slaughtered }, kosherClass: "meat", hazard: "meat", group: BUTCHER, whole: true },
  beef: { parent: "meat" },
  lamb: { parent: "meat" },
  goat: { parent: "meat" },
  game: { parent: "meat" },
  pork: { parent: "meat", diets: { halal: "no", kosher: "no" } },
  poultry: { parent: "meat", hazard: "poultry" },
  offal: { hazard: "mincedMeat" },
  minced: { hazard: "mincedMeat" },
  cured: {},
  "sausage-meat": { parent: "meat", hazard: "mincedMeat" },
  "sausage-made": { hazard: "mincedMeat" },
  "cooked-meat": { cooked: "leftovers" },
  "cooked-stock": { cooked: "leftovers" },
  "animal-extract": { diets: { ...PLANT, ...slaughtered }, kosherClass: "pareve", group: SWEET },
  fish: {
    diets: { ...PLANT, vegetarian: "no", vegan: "no" },
    kosherClass: "pareve",
    contains: ["fish"],
    hazard: "fish",
    group: FISHMONGER,
    whole: true,
  },
  crustacean: {
    diets: { ...PLANT, vegetarian: "no", vegan: "no", halal: "depends", kosher: "no" },
    kosherClass: "pareve",
    contains: ["crustaceans"],
    hazard: "fish",
    group: FISHMONGER,
    whole: true,
  },
  mollusc: { parent: "crustacean", contains: ["molluscs"] },
  broth: { ...PROCESSED, group: SHELF },
  sauce: { ...PROCESSED, group: SHELF },
  condiment: { ...PROCESSED, group: SHELF },
  vinegar: { ...PROCESSED, group: SHELF },
  drink: { ...PROCESSED, group: SHELF },
  alcoholic: { diets: { ...PLANT, halal: "no", kosher: "depends", "alcohol-free": "no" }, kosherClass: "pareve", group: SHELF },
  "wine-grain": { parent: "alcoholic" },
  // Fined with egg, milk, fish or nothing, and sulphured nearly always.
  wine: { parent: "alcoholic", diets: { vegetarian: "depends", vegan: "depends" }, contains: ["sulphites"] },
};

const RANK: Readonly<Record<Answer, number>> = { no: 0, depends: 1, yes: 2 };
/** The less favourable of answers; yes where there are none. */
export const worst = (answers: readonly Answer[]): Answer =>
  answers.reduce((least, answer) => (RANK[answer] < RANK[least] ? answer : least), "yes" as Answer);

/** The hazard that asks for the hottest core; null where there is none. */
export const worstHazard = (hazards: readonly (Hazard | null)[]): Hazard | null =>
  HAZARDS.find((hazard) => hazards.includes(hazard)) ?? null;

/** A kind with what it has from its parents. `contains` of a child stands for its parent's. */
export function kindOf(name: string): Kind {
  const own = KINDS[name];
  if (own === undefined) throw new Error(`no kind of ingredient is called ${name}`);
  if (own.parent === undefined) return own;
  const above = kindOf(own.parent);
  return { ...above, ...own, diets: { ...above.diets, ...own.diets } };
}
