import type { Item } from "../schema";
import type { Step } from "../step";
import type { FamilyId, MethodId } from "./doughs";
import type { FillingId } from "./fillings";
import type { Making } from "./making";

/** Something that goes wrong, by what is seen; where it is seen, and on what kinds of pieces. Kitchen experience of our own. */
interface FaultRule {
  readonly id: string;
  readonly sign: string;
  readonly cause: string;
  /** What helps now, and what the next time. */
  readonly now: string;
  readonly next: string;
  /** Steps at which it is seen. */
  readonly at: readonly Step["kind"][];
  readonly part?: Step["part"];
  readonly families?: readonly FamilyId[];
  readonly methods?: readonly MethodId[];
  readonly fillings?: readonly FillingId[];
}

const YEAST: readonly FamilyId[] = ["EY", "LY", "SY", "PY"];
const SHORT: readonly FamilyId[] = ["SH", "FS"];
const WRAPPER: readonly FamilyId[] = ["HW", "CW"];
const OVEN: readonly MethodId[] = ["tray", "dish", "blind", "tin"];

const RULES: readonly FaultRule[] = [
  {
    id: "no-rise",
    sign: "It has hardly grown",
    cause: "a cool room, old yeast, liquid that was too hot, salt or sugar on the yeast",
    now: "somewhere warm, and wait for the volume; nothing after twice the time: begin again",
    next: "measure the liquid; wake the yeast first",
    at: ["bulk-rest", "final-proof"],
    families: YEAST,
  },
  {
    id: "sinks",
    sign: "It puffs up, then sinks over the heat",
    cause: "air was left in, it rose too long, or the lid was opened",
    now: "eat it as it is",
    next: "press all air out, a shorter rise, the lid shut",
    at: ["steam", "pan-fry"],
    families: YEAST,
  },
  {
    id: "wrinkled",
    sign: "A wrinkled skin",
    cause: "air below the skin, rolled roughly, too wet or risen too long",
    now: "seam side up it is not seen",
    next: "roll it smooth, gentle steam",
    at: ["steam"],
    families: ["SY", "PY"],
  },
  {
    id: "cracked",
    sign: "The tops crack open",
    cause: "steam too strong, too much water, a dry dough",
    now: "a lower flame, the lid ajar for the next tier",
    next: "less water, a medium flame",
    at: ["steam"],
    families: ["SY", "PY"],
  },
  {
    id: "leans",
    sign: "It flattens or leans",
    cause: "too wet, shaped flat or risen too long",
    now: "round the raw ones again with a little flour",
    next: "hold water back, shape them tall",
    at: ["final-proof", "steam"],
    families: ["SY", "EY"],
  },
  {
    id: "hard-bun",
    sign: "Hard when it is done",
    cause: "a dry dough, flour kneaded in, too long over the heat",
    now: "brush with fat, or steam it for a moment",
    next: "a softer dough, less flour on the table",
    at: ["bake", "steam"],
    families: YEAST,
  },
  {
    id: "not-closing",
    sign: "It will not close",
    cause: "too much filling, filling on the rim, a small disc",
    now: "take some out, wipe the rim, pinch, seam down",
    next: "fill less, roll the rim wider",
    at: ["seal"],
  },
  {
    id: "opened",
    sign: "A seam opens over the heat",
    cause: "a weak or wet seam, or the seam lay above",
    now: "turn it seam down; eat that one first",
    next: "pinch longer on a clean rim",
    at: ["bake", "fry", "steam", "pan-fry"],
  },
  {
    id: "springs-back",
    sign: "It springs back when it is rolled",
    cause: "no rest, or kneaded too much",
    now: "cover it, 10 min",
    next: "20 min of rest at the least",
    at: ["roll"],
  },
  {
    id: "tears",
    sign: "The sheet tears",
    cause: "too thin, too little rest, sharp bits in the filling",
    now: "patch it and fold that side under",
    next: "even and rested, the filling cut small",
    at: ["roll", "fill", "seal"],
    families: ["SS", "BD", "CW", "HW", "OS"],
  },
  {
    id: "will-not-open",
    sign: "The sheet will not stretch",
    cause: "too little fat, cold, or it waited too long",
    now: "more fat, and ten minutes more",
    next: "oil it well and keep it at room warmth",
    at: ["roll"],
    families: ["SS"],
  },
  {
    id: "unwinds",
    sign: "The coil unwinds",
    cause: "a loose end",
    now: "tuck it under or against its neighbour",
    next: "the tail below, neighbours close",
    at: ["seal", "bake"],
    families: ["SS"],
  },
  {
    id: "crumbles",
    sign: "It crumbles and will not hold",
    cause: "too dry or too cold",
    now: "water by the spoon, pressed in",
    next: "add the last of the liquid in steps",
    at: ["mix", "roll"],
    part: "dough",
    families: ["SH", "FS", "FR", "OS"],
  },
  {
    id: "greasy",
    sign: "Sticky and greasy",
    cause: "the fat has melted, or too much water",
    now: "20 min in the fridge, a little flour",
    next: "cold tools, half of it stays cold",
    at: ["mix", "roll"],
    families: SHORT,
  },
  {
    id: "tough",
    sign: "The crust is tough",
    cause: "handled or watered too much",
    now: "nothing helps; cut it thin",
    next: "gather it only, fewer passes of the pin",
    at: ["bake"],
    families: SHORT,
  },
  {
    id: "shrinks",
    sign: "Walls shrink or sag",
    cause: "too short a rest, no weights",
    now: "trim it warm",
    next: "chill it, bake it with weights",
    at: ["blind-bake", "bake"],
    families: SHORT,
    methods: ["blind", "tin"],
  },
  {
    id: "base-puffs",
    sign: "The base puffs up",
    cause: "no pricks, no weights",
    now: "prick it and press it down while it is hot",
    next: "prick it, weights to the edge",
    at: ["blind-bake"],
    families: SHORT,
  },
  {
    id: "soggy",
    sign: "The base is wet",
    cause: "a wet or warm filling, a base that was not baked",
    now: "5 min more on the lowest shelf",
    next: "thicken and cool the filling; bake the base first",
    at: ["bake"],
    families: SHORT,
  },
  {
    id: "lid-splits",
    sign: "The lid lifts, sauce runs out",
    cause: "no slits, too full",
    now: "pierce it now, a tray below",
    next: "slits, and 12 mm of room below the rim",
    at: ["bake"],
    methods: ["dish", "tin"],
  },
  {
    id: "edges-dark",
    sign: "Edges brown before the rest",
    cause: "wash on the edge, or an edge rolled thin",
    now: "foil around the rim",
    next: "brush the face only",
    at: ["bake"],
    families: ["SH", "FS", "EY", "LY"],
    methods: OVEN,
  },
  {
    id: "pale-base",
    sign: "A pale underside",
    cause: "a crowded tray, a high shelf, too short",
    now: "low in the oven, 3 min more",
    next: "look at a base before the tray comes out",
    at: ["bake"],
    methods: ["tray"],
  },
  {
    id: "pale-top",
    sign: "A pale top",
    cause: "little wash, low heat",
    now: "top heat for a moment",
    next: "a second coat when the first is dry",
    at: ["bake"],
    methods: OVEN,
  },
  {
    id: "streaked",
    sign: "The wash runs or streaks",
    cause: "the first coat was wet, or too much of it",
    now: "wipe it, brush lightly",
    next: "let the first coat dry",
    at: ["glaze"],
  },
  {
    id: "runny",
    sign: "The filling runs and will not be wrapped",
    cause: "not cooked down, weakly bound, or still warm",
    now: "a few minutes more, starch, or into the fridge",
    next: "try it cold on a tilted spoon",
    at: ["cook-filling", "cool-filling", "fill"],
  },
  {
    id: "lumpy",
    sign: "Lumps in the filling",
    cause: "dry starch, or starch in too little hot liquid",
    now: "whisk it, or through a sieve",
    next: "stir the starch with cold liquid first",
    at: ["cook-filling"],
    fillings: ["meat-in-sauce", "cream", "fruit"],
  },
  {
    id: "watery",
    sign: "Water under the salted vegetables",
    cause: "salt draws it",
    now: "drain it, or starch",
    next: "salt them first, squeeze, add them last",
    at: ["mix", "fill"],
    fillings: ["raw-meat", "raw-vegetable"],
  },
  {
    id: "meat-mushy",
    sign: "The meat is slimy",
    cause: "too long in baking soda",
    now: "rinse it and cook it at once",
    next: "rinse it on time",
    at: ["mix"],
    part: "filling",
    fillings: ["raw-meat"],
  },
  {
    id: "stick",
    sign: "Pieces stick to the pan",
    cause: "a cool pan, little oil, moved too early",
    now: "let them crisp, then a thin spatula",
    next: "oil all over, wait until they slide",
    at: ["pan-fry"],
    methods: ["pan", "dry"],
  },
  {
    id: "joined",
    sign: "Pieces join or burst",
    cause: "too close, too full",
    now: "part them with a wet spoon",
    next: "leave room",
    at: ["pan-fry", "steam"],
    families: WRAPPER,
  },
  {
    id: "burnt-base",
    sign: "The base burns, the inside is raw",
    cause: "too hot, too little water",
    now: "20 ml of water, the lid on",
    next: "measure the water, a lower flame",
    at: ["pan-fry"],
    methods: ["pan"],
  },
  {
    id: "wet-base",
    sign: "A pale base, a wet skin",
    cause: "water is left",
    now: "lid off, let it dry, a spoon of oil",
    next: "go by the sound: it crackles when it is dry",
    at: ["pan-fry"],
    methods: ["pan"],
  },
  {
    id: "spits",
    sign: "The fat spits",
    cause: "water or ice in hot fat",
    now: "the lid as a shield, heat off, step back",
    next: "dry pieces; or begin in the cold pan",
    at: ["fry", "pan-fry"],
    methods: ["fry", "pan"],
  },
  {
    id: "no-puff",
    sign: "It does not puff",
    cause: "pieces overlap, the oil is off, too thick or turned too early",
    now: "one by one, and wait",
    next: "an even thickness, oil by thermometer",
    at: ["fry"],
    families: ["OS", "BD", "LY"],
    methods: ["fry"],
  },
  {
    id: "not-crisp",
    sign: "It stays soft",
    cause: "kneaded too much, a wet filling, cool oil",
    now: "a short second frying",
    next: "handle it less, a dry filling",
    at: ["fry"],
    methods: ["fry"],
  },
  {
    id: "oily",
    sign: "Greasy, or oil inside",
    cause: "a leak, cool oil, too many at once",
    now: "drain it hot, on paper",
    next: "press the seam twice, fewer at once",
    at: ["fry"],
    methods: ["fry"],
  },
  {
    id: "hollow",
    sign: "Hollow inside",
    cause: "little filling, air left in",
    now: "nothing helps",
    next: "press the air out before it is closed",
    at: ["seal"],
  },
  {
    id: "raw-egg",
    sign: "Egg in the middle is still raw",
    cause: "too thick, too hot outside",
    now: "lower heat, the lid on, turn it more often",
    next: "spread it thin, measure the core",
    at: ["pan-fry"],
    families: ["BD", "LY"],
    methods: ["dry"],
  },
  {
    id: "clumped",
    sign: "Frozen pieces are one lump",
    cause: "bagged before they were hard",
    now: "knock them apart while they are hard",
    next: "spaced on a tray until they are",
    at: ["freeze", "bag"],
  },
];

/** What may go wrong with pieces made so, each with the steps at which it is seen. */
export function faultsOf({ dough, method, filling, lines, bought }: Making, steps: readonly Step[]): Item["faults"] {
  return RULES.filter(
    (rule) =>
      (!rule.families || (rule.families.includes(dough.id) && bought !== "pieces")) &&
      (!rule.methods || rule.methods.includes(method.id)) &&
      (!rule.fillings || (rule.fillings.includes(filling.id) && lines.filling.length > 0)),
  ).flatMap(({ id, sign, cause, now, next, at, part }) => {
    const seen = steps.filter((step) => at.includes(step.kind) && (!part || step.part === part)).map((step) => step.id);
    return seen.length > 0 ? [{ id, sign, cause, remedy: `Now: ${now}. Next time: ${next}.`, steps: seen }] : [];
  });
}
