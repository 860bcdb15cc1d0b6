import type { Step } from "./step";

/** What can hurt at a step, in codes. */
export const HAZARDS = [
  "water-into-fat",
  "deep-oil",
  "steam",
  "glass",
  "mixer",
  "blade",
  "raw-hands",
  "hot-metal",
  "hot-filling",
  "microwave",
] as const;
export type Hazard = (typeof HAZARDS)[number];

const WORDS: Readonly<Record<Hazard, RegExp>> = {
  "water-into-fat":
    /\b(water|stock|liquid|broth)\b[^.;]*\b(hot|frying)\b[^.;]*\b(pan|wok|skillet|oil|fat)\b|\b(hot|frying)\b[^.;]*\b(pan|wok|skillet|oil|fat)\b[^.;]*\b(add|pour|splash)[^.;]*\b(water|stock|liquid|broth)\b|\bbase is gold; heat off,[^.;]*\bwater\b/i,
  "deep-oil": /\b(deep[- ]?fr(y|ied|ying)|deep oil|hot oil|fr(y|ied) in oil)\b/i,
  steam: /\b(steam(er|ed|ing)?|boiling water|lid off)\b/i,
  glass: /\b(glass|ceramic|pyrex|stoneware)\b/i,
  mixer: /\b(mixer|food processor|processor|blender|dough hook)\b/i,
  blade: /\b(knife|knives|slice|dice|diced|chop(ped)?|mince(d)? by hand|cut|scissors|scraper|peel(er|ed)?|grate(d|r)?)\b/i,
  "raw-hands": /\braw (meat|mince|pork|beef|chicken|poultry|prawns?|fish|egg|filling)\b|\b(pound|rinse) (the )?meat\b/i,
  "hot-metal": /\b(cast iron|hot (tray|pan|sheet|griddle)|ramekin)\b/i,
  "hot-filling": /\b(hot|boiling|bubbling) (filling|sauce|sugar|syrup|caramel|jam)\b/i,
  microwave: /\bmicrowave\b/i,
};

const MACHINES: Readonly<Record<string, Hazard>> = {
  mixer: "mixer",
  "food-processor": "mixer",
  fryer: "deep-oil",
  steamer: "steam",
};

/**
 * What can hurt at a step: from its own words, whoever wrote them, and from what it takes. Usual caution and no more: local rules and
 * trained advice come first.
 */
export function hazardsOf(step: Pick<Step, "do" | "title" | "kind" | "equipment">): Hazard[] {
  const words = [step.title, step.do].filter(Boolean).join(". ");
  const found = new Set<Hazard>(HAZARDS.filter((hazard) => WORDS[hazard].test(words)));
  for (const { id } of step.equipment) if (MACHINES[id]) found.add(MACHINES[id]);
  if (step.kind === "fry") found.add("deep-oil");
  if (step.kind === "bake" || step.kind === "blind-bake") found.add("hot-metal");
  return HAZARDS.filter((hazard) => found.has(hazard));
}

/** What to mind, as a sentence each. */
export const HAZARD_TEXT: Readonly<Record<Hazard, string>> = {
  "water-into-fat": "Water into hot fat: heat off, the water measured first, the lid as a shield, from the far side.",
  "deep-oil": "Deep oil: never leave it; dry pieces; a lid at hand. On fire: heat off, cover, never water.",
  steam: "Steam: open it away from the face, with a dry cloth; it must not boil dry.",
  glass: "Glass: nothing cold into the heat, nothing wet on hot glass, on a rimmed tray.",
  mixer: "The machine: stay by it; unplug it before fingers go in.",
  blade: "A blade: a damp cloth under the board.",
  "raw-hands": "Raw: hands, board and tools washed before anything else is touched.",
  "hot-metal": "Hot metal: dry gloves, handles marked, no paper near a flame.",
  "hot-filling": "Hot filling sticks and burns: keep children away.",
  microwave: "Microwave: short bursts, stirred between; it spatters.",
};
