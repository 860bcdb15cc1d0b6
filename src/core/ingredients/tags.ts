import { inEnglish } from "./translate";

/**
 * What a name gives away about allergens and diets. A first guess that the cook looks over: a brand's label may say
 * more, and local rules come first.
 */
const TAGS: readonly (readonly [tag: string, words: RegExp])[] = [
  [
    "gluten",
    /\b(wheat|rye|barley|oats?|semolina|spelt|breadcrumbs?|bread|couscous|bulgur)\b|(?<!rice |corn |glutinous rice |chickpea |buckwheat )\bflour\b/i,
  ],
  [
    "milk",
    /\b(milk|butter(?!nut)|buttermilk|cream|cheese|cheddar|mozzarella|parmesan|feta|ricotta|quark|curd|yog(?:h)?urt|ghee)\b/i,
  ],
  ["egg", /\beggs?\b|\bmayonnaise\b/i],
  ["soy", /\b(soy|soya|tofu|miso|tempeh)\b/i],
  ["fish", /\b(fish|trout|salmon|tuna|anchov(?:y|ies)|cod|haddock)\b/i],
  ["celery", /\b(celery(?!-free)|celeriac)\b/i],
  ["mustard", /\bmustard\b/i],
  ["tree nuts", /\b(almonds?|hazelnuts?|walnuts?|cashews?|pecans?|pistachios?)\b/i],
  ["peanuts", /\bpeanuts?\b/i],
  ["sesame", /\b(sesame|tahini)\b/i],
  ["crustaceans", /\b(prawns?|shrimps?|crab|lobster)\b/i],
];
const PLANT_MILK = /\b(coconut|oat|soy|soya|almond|rice|plant)[- ](milk|cream|butter|drink)\b/i;
const MEAT = /\b(beef|pork|lamb|mutton|veal|turkey|chicken|duck|ham|bacon|mince|minced|sausage|lard|suet|gelatine?|meat)\b/i;
const ANIMAL = /\bhoney\b/i;

/** Allergens that the names of ingredients give away, each once, in a fixed order. */
export function tagsOf(written: readonly string[]): string[] {
  const names = written.map(inEnglish);
  return TAGS.filter(([tag, words]) =>
    names.some((name) => words.test(tag === "milk" ? name.replace(PLANT_MILK, "") : name)),
  ).map(([tag]) => tag);
}

/** Diets that nothing in the names speaks against. */
export function dietsOf(written: readonly string[]): string[] {
  const names = written.map(inEnglish);
  const tags = tagsOf(names);
  if (names.some((name) => MEAT.test(name)) || tags.includes("fish") || tags.includes("crustaceans")) return [];
  return tags.includes("milk") || tags.includes("egg") || names.some((name) => ANIMAL.test(name))
    ? ["vegetarian"]
    : ["vegetarian", "vegan"];
}
