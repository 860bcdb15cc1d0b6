import { ALLERGENS, allergensOf, allergensCalled, tagsFor } from "./allergen";
import { STANDARD } from "./catalogue";
import { lineClaims } from "./claims";
import { findIngredient } from "./find";
import { identityOf } from "./lookup";
import { catalogueWith, OURS } from "./own";
import { ownEntry, settleDiet } from "./settle";

const claims = (name: string) => lineClaims(findIngredient(name), name);
const answers = (name: string) => {
  const { vegetarian, vegan } = claims(name).diets;
  return `${vegetarian} ${vegan}`;
};
const contains = (name: string) => allergensOf(claims(name).contains);

test("the catalogue has what goes into filled doughs, each once", () => {
  expect(STANDARD.size).toBeGreaterThanOrEqual(450);
  for (const one of STANDARD.values()) {
    expect(one.names.length).toBeGreaterThan(0);
    for (const share of Object.values(one.per100)) expect(share === undefined || (share >= 0 && share <= 100)).toBe(true);
    for (const tag of [...one.contains, ...one.may]) expect(ALLERGENS).toContain(allergensOf([tag])[0]);
    if (one.diets.vegan === "yes") expect(one.diets.vegetarian).toBe("yes");
    // What is known to contain something of an animal is not vegan.
    for (const tag of ["milk", "egg", "fish", "crustaceans", "molluscs"] as const)
      if (one.contains.includes(tag)) expect([one.id, one.diets.vegan]).not.toEqual([one.id, "yes"]);
    const { water = 0, fat = 0, protein = 0, sugar = 0, salt = 0 } = one.per100;
    expect([one.id, water + fat + protein + sugar + salt <= 108]).toEqual([one.id, true]);
  }
});

describe("who may eat it", () => {
  test.each([
    "poultry bouillon",
    "rabbit",
    "goose fat",
    "squid",
    "mussels",
    "chorizo",
    "chicken liver",
    "gelatine leaves",
    "anchovy paste",
    "lard",
    "fish sauce",
    "nduja",
    "smoked eel",
    "oxtail",
  ])("%s is neither vegetarian nor vegan", (name) => expect(answers(name)).toBe("no no"));
  test.each(["halloumi", "custard", "honey", "ghee", "egg noodles", "mayonnaise", "milk chocolate"])(
    "%s is vegetarian, not vegan",
    (name) => expect(answers(name)).toBe("yes no"),
  );
  test.each(["peanut butter", "cocoa butter", "coconut milk", "butternut squash", "oat drink", "vegan butter", "nutmeg"])(
    "%s is vegan",
    (name) => expect(answers(name)).toBe("yes yes"),
  );
  test.each(["Worcestershire sauce", "parmesan", "white wine", "stock cube", "zorbel", "potato zorbel", "marshmallows"])(
    "%s is not known to be vegan",
    (name) => expect(claims(name).diets.vegan).not.toBe("yes"),
  );
  test("halal and kosher: what is known is said, what depends is not", () => {
    expect(["pork", "lard", "rum", "white wine"].map((name) => claims(name).diets.halal)).toEqual(["no", "no", "no", "no"]);
    expect(claims("beef").diets).toMatchObject({ halal: "depends", kosher: "depends" });
    expect([claims("halal chicken").diets.halal, claims("kosher beef").diets.kosher]).toEqual(["yes", "yes"]);
    expect(["prawns", "rabbit", "eel"].map((name) => claims(name).diets.kosher)).toEqual(["no", "no", "no"]);
    expect(claims("halal pork").diets.halal).toBe("no");
  });
  test("what stands behind a comma, or beside an “or”, counts against", () => {
    expect(answers("onions, fried in lard")).toBe("no no");
    expect(answers("lard or butter")).toBe("no no");
    expect(contains("oil or butter")).toEqual(["milk"]);
  });
});

describe("what is in it", () => {
  test.each([
    ["mussels", ["molluscs"]],
    ["lupin flour", ["lupin"]],
    ["white wine", ["sulphites"]],
    ["peanut butter", ["peanuts"]],
    ["cocoa butter", []],
    ["Worcestershire sauce", ["fish"]],
    ["soy sauce", ["gluten", "soy"]],
    ["celeriac", ["celery"]],
    ["vegetable stock", ["celery"]],
    ["vegetable stock, celery-free", []],
    ["tahini", ["sesame"]],
    ["oyster sauce", ["molluscs"]],
    ["oyster mushrooms", []],
    ["buckwheat flour", []],
    ["pesto", ["milk", "tree nuts"]],
    ["water chestnuts", []],
    ["butter beans", []],
    ["hazelnuts, toasted", ["tree nuts"]],
    ["gluten-free flour", []],
    ["spelt flour", ["gluten"]],
    ["champignons", []],
  ])("%s: %j", (name, expected) => expect(contains(name)).toEqual(expected));
  test("an allergen has one word, whatever others are written", () => {
    expect(allergensCalled("nuts")).toEqual(["tree nuts"]);
    expect(allergensCalled("eggs")).toEqual(["egg"]);
    expect(allergensCalled("shellfish")).toEqual(["crustaceans", "molluscs"]);
    expect(allergensCalled("glutn")).toEqual(["glutn"]);
    expect(tagsFor("gluten")).toEqual(["wheat", "rye", "barley", "oats"]);
  });
  test("hazard: the highest of what is raw, and cooked is cooked", () => {
    const hazard = (name: string) => claims(name).hazard;
    expect(hazard("chicken thighs, diced")).toBe("poultry");
    expect(hazard("minced pork")).toBe("mincedMeat");
    expect(hazard("lamb shoulder, boneless, 20 mm dice")).toBe("mincedMeat");
    expect(hazard("beef chuck")).toBe("meat");
    expect(hazard("prawns")).toBe("fish");
    expect(hazard("roast chicken, shredded")).toBe("leftovers");
    expect(hazard("2 eggs")).toBe("egg");
    expect(hazard("potatoes")).toBe("vegetable");
    expect(hazard("vegan mince")).not.toBe("mincedMeat");
    expect(hazard("zorbel")).toBeNull();
  });
});

describe("what the cook knows better", () => {
  const sauce = { name: "Worcestershire sauce" };
  const claimsIn = (own: Parameters<typeof catalogueWith>[0], name: string) =>
    lineClaims(findIngredient(name, catalogueWith(own).index), name);
  test("one question settles a sauce for good", () => {
    const settled = settleDiet(ownEntry(sauce, OURS), "vegan", "yes");
    expect(claimsIn([settled], "2 tbsp Worcestershire sauce").diets).toMatchObject({ vegan: "yes", vegetarian: "yes" });
  });
  test("what nobody knew is known once its label was read", () => {
    const entry = ownEntry({ name: "zorbel paste, smooth" }, OURS);
    expect(claimsIn([entry], "zorbel paste").may).toHaveLength(17);
    const known = { ...settleDiet(entry, "vegetarian", "yes"), contains: ["soy" as const], labelRead: true };
    const said = claimsIn([known], "zorbel paste");
    expect([allergensOf(said.contains), said.may, said.diets.vegetarian]).toEqual([["soy"], [], "yes"]);
  });
  test("an allergen is taken away only with a reason", () => {
    const milk = { ...ownEntry({ name: "ghee" }, OURS), without: [{ allergen: "milk" as const, why: "from plants" }] };
    expect(allergensOf(claimsIn([milk], "ghee").contains)).toEqual([]);
  });
});

describe("what makes two lines one on a list", () => {
  const same = (a: string, b: string) => identityOf({ name: a }) === identityOf({ name: b });
  test("never similar words", () => {
    expect(same("poultry stock", "vegetable stock")).toBe(false);
    expect(same("vegetable stock, celery-free", "vegetable stock")).toBe(false);
    expect(same("sunflower oil", "rapeseed oil")).toBe(false);
    expect(same("fennel", "asparagus")).toBe(false);
    expect(same("zorbel paste", "zorbel sauce")).toBe(false);
  });
  test("the same in other words", () => {
    expect(same("butter, unsalted, cold", "butter, melted")).toBe(true);
    expect(same("onion, finely chopped", "2 onions")).toBe(true);
    expect(same("Weizenmehl", "plain flour")).toBe(true);
  });
});
