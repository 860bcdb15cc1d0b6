/** What stands behind a method's answer, beside the range of each input. */
export interface About {
  /** The model in a phrase. */
  readonly model: string;
  /** So much more or less is to be expected, % of the answer, where it is known. */
  readonly plusMinusPct?: number;
  /** What in the kitchen's own record makes it better. */
  readonly betterBy?: string;
  /** Figures of safety: usual guidance, local rules and trained advice first. */
  readonly isGuidance?: true;
}

const geometry = (model: string): About => ({ model });

/** What is known of the models, and of the sums that stand on the bench. */
export const ABOUT = {
  "temperature.water": {
    model: "heat balance of what goes into the bowl; none for the bowl itself",
    betterBy: "a dough's measured temperature",
  },
  "temperature.friction": { model: "usual warming by kneading, °C a minute", betterBy: "a dough's measured temperature" },
  "proof.minutes": {
    model: "speed of yeast by temperature, slowed by sugar, salt and fat",
    plusMinusPct: 25,
    betterBy: "rises that were timed here",
  },
  "proof.profile": {
    model: "speed of yeast minute by minute while the dough takes the room's temperature",
    plusMinusPct: 25,
    betterBy: "rises that were timed here",
  },
  "rest.relaxation": {
    model: "kitchen rule: half as long again for 10 °C less, longer for stiff dough",
    plusMinusPct: 25,
    betterBy: "rests that were timed here",
  },
  "chill.slab": { model: "heat through a slab, first term of the series", plusMinusPct: 20, betterBy: "a probe in the middle" },
  "oven.bakeTime": {
    model: "kitchen rule: time by the setting above 70 °C and the root of the mass",
    plusMinusPct: 15,
    betterBy: "bakes that were timed here",
  },
  "steam.water": {
    model: "water that boils off by the power that reaches it, and the pot's size",
    plusMinusPct: 20,
    betterBy: "weighing the pot before and after",
  },
  "steam.time": {
    model: "kitchen rule: root of the mass, a little more for each tier",
    plusMinusPct: 15,
    betterBy: "loads that were timed here",
  },
  "fry.maxLoad": {
    model: "heat balance of a stirred bath of oil",
    plusMinusPct: 20,
    betterBy: "an oil thermometer through one load",
    isGuidance: true,
  },
  "fry.drop": {
    model: "heat balance of a stirred bath of oil",
    plusMinusPct: 20,
    betterBy: "an oil thermometer through one load",
  },
  "fry.schedule": {
    model: "heat balance of a stirred bath of oil",
    plusMinusPct: 20,
    betterBy: "an oil thermometer through one load",
  },
  "cool.newton": {
    model: "Newton's cooling, the surface and half the depth in series",
    plusMinusPct: 25,
    betterBy: "a probe in the middle",
  },
  "cool.check": { model: "usual guidance: from 57 to 21 °C in 2 h, to 5 °C in 6 h", isGuidance: true },
  "freeze.plank": {
    model: "Plank's equation with all the heat that has to go",
    plusMinusPct: 30,
    betterBy: "a probe in one piece",
  },
  "freeze.limit": { model: "40 g in a day for each litre, or what its plate says" },
  "safety.core": { model: "usual core temperatures by what is in it", isGuidance: true },
  "safety.lethality": { model: "minutes at 70 °C by the z-model, from the readings alone", isGuidance: true },
  "temperature.dough": {
    model: "heat balance of what goes into the bowl; none for the bowl itself",
    betterBy: "a dough's measured temperature",
  },
  "proof.rate": { model: "speed of yeast by temperature: twice for 10 °C more above 15 °C, four times below", plusMinusPct: 25 },
  "proof.tau": { model: "a lump takes the room's temperature by the cube root of its mass", plusMinusPct: 25 },
  "proof.lot": { model: "the first piece is older than the last by the time it takes to form them" },
  "chill.workTime": {
    model: "a sheet that takes the room's temperature all through",
    plusMinusPct: 25,
    betterBy: "a probe in the dough",
  },
  "oven.change": { model: "the oven's own degrees a minute", betterBy: "timing it once" },
  "oven.door": { model: "air that is lost through the open door, and the power to heat it", plusMinusPct: 30 },
  "fry.fill": { model: "the pot's volume and what the load pushes up", isGuidance: true },
  "pan.steamFry": {
    model: "water that boils off under the lid and without it",
    plusMinusPct: 20,
    betterBy: "a pan that was timed here",
  },
  "frozen.cookTime": { model: "kitchen rule: longer by thickness", plusMinusPct: 20, betterBy: "a probe in the middle" },
  "safety.hold": { model: "usual limits of time between cold and hot, all stretches together", isGuidance: true },
  "safety.fridge": { model: "usual days in the fridge", isGuidance: true },
  "hands.time": {
    model: "power-law learning: practised from the twentieth piece",
    plusMinusPct: 25,
    betterBy: "pieces that were timed here",
  },
  "hands.parallel": { model: "paces that add, and a little for standing in each other's way", plusMinusPct: 25 },
  "hands.line": { model: "a line of stages: the slowest sets the pace" },
  "geometry.disc": geometry("a flat disc of even thickness"),
  "geometry.log": geometry("a round log of even thickness"),
  "geometry.carrier": geometry("rows, shifted rows or rings, whichever takes more"),
  "geometry.rounds": geometry("rows or shifted rows, whichever gives more"),
  "units.toGrams": { model: "usual weights of a cup, a spoon or a piece", plusMinusPct: 10, betterBy: "weighing it once" },
  "yeast.convert": { model: "1 g fresh for 0.4 g active dry for 0.33 g instant" },
} satisfies Readonly<Record<string, About>>;
export type Explained = keyof typeof ABOUT;
