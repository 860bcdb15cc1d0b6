/** What has to be named, in one closed list for the whole application. Public lists; local rules come first. */
export const ALLERGENS = [
  "gluten",
  "crustaceans",
  "egg",
  "fish",
  "peanuts",
  "soy",
  "milk",
  "tree nuts",
  "celery",
  "mustard",
  "sesame",
  "sulphites",
  "lupin",
  "molluscs",
] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** Grains with gluten; the lists of nine name wheat by itself. */
export const GRAINS = ["wheat", "rye", "barley", "oats"] as const;
export type Grain = (typeof GRAINS)[number];

/** What an ingredient is marked with: an allergen, gluten by its grain. */
export type AllergenTag = Grain | Exclude<Allergen, "gluten">;
export const ALLERGEN_TAGS: readonly AllergenTag[] = [...GRAINS, ...ALLERGENS.filter((a) => a !== "gluten")];

/** Whose rules: fourteen groups or nine. */
export type Regime = "eu" | "us";

/** The groups of each list, in the order in which they are shown, with the tags that each stands for. */
const GROUPS: Readonly<Record<Regime, readonly string[]>> = {
  eu: ALLERGENS,
  us: ["milk", "egg", "fish", "crustaceans", "tree nuts", "peanuts", "wheat", "soy", "sesame"],
};

const isGrain = (tag: string): tag is Grain => (GRAINS as readonly string[]).includes(tag);

/** The allergen that a tag stands for. */
export const allergenOf = (tag: AllergenTag): Allergen => (isGrain(tag) ? "gluten" : tag);

/** Tags as groups of one list, each once, in its order. */
export function groupsOf(tags: Iterable<AllergenTag>, regime: Regime): string[] {
  const all = new Set<string>(tags);
  return GROUPS[regime].filter((group) => (group === "gluten" ? GRAINS.some((grain) => all.has(grain)) : all.has(group)));
}

/** Tags as allergens of the closed list, each once, in its order. */
export const allergensOf = (tags: Iterable<AllergenTag>): Allergen[] => groupsOf(tags, "eu") as Allergen[];

/** Words that cooks, forms and older documents use for an allergen. */
const SAME: Readonly<Record<string, readonly AllergenTag[]>> = {
  gluten: GRAINS,
  eggs: ["egg"],
  nut: ["tree nuts"],
  nuts: ["tree nuts"],
  "tree nut": ["tree nuts"],
  peanut: ["peanuts"],
  groundnuts: ["peanuts"],
  crustacean: ["crustaceans"],
  shellfish: ["crustaceans", "molluscs"],
  seafood: ["fish", "crustaceans", "molluscs"],
  mollusc: ["molluscs"],
  mollusks: ["molluscs"],
  soya: ["soy"],
  soybeans: ["soy"],
  dairy: ["milk"],
  lactose: ["milk"],
  celeriac: ["celery"],
  sulfites: ["sulphites"],
  sulphite: ["sulphites"],
  lupine: ["lupin"],
  spelt: ["wheat"],
};

/** The tags that a word for an allergen means; none where it is no allergen. */
export function tagsFor(word: string): readonly AllergenTag[] {
  const plain = word.trim().toLowerCase();
  if (Object.hasOwn(SAME, plain)) return SAME[plain];
  return ALLERGEN_TAGS.filter((tag) => tag === plain);
}

/** A word that somebody typed for an allergen as those of the closed list; a word that is none stays as it is, to be refused. */
export function allergensCalled(word: unknown): unknown[] {
  const tags = typeof word === "string" ? tagsFor(word) : [];
  return tags.length > 0 ? allergensOf(tags) : [word];
}
