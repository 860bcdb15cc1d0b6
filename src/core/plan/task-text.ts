import { equipmentWord } from "../kitchen/equipment";
import { counted } from "../shared/words";
import { amountText } from "../quantities/display";
import type { Step } from "../item/step";
import type { Plan, TaskInfo } from "./schema";

/** What is done in a step, as the first word of a task's text. */
export const VERB: Readonly<Record<Step["kind"], string>> = {
  weigh: "Weigh out",
  mix: "Mix",
  knead: "Knead",
  "bulk-rest": "Let rise",
  "bench-rest": "Rest",
  chill: "Chill",
  "cook-filling": "Cook",
  "cool-filling": "Cool",
  divide: "Divide",
  preshape: "Pre-shape",
  roll: "Roll",
  fill: "Fill",
  seal: "Seal",
  "final-proof": "Proof",
  glaze: "Brush",
  dock: "Prick",
  "blind-bake": "Blind-bake",
  bake: "Bake",
  steam: "Steam",
  fry: "Fry",
  "pan-fry": "Pan-fry",
  cool: "Cool",
  "hold-warm": "Keep warm",
  freeze: "Freeze",
  bag: "Bag and label",
  reheat: "Reheat",
  serve: "Serve",
};

/** What a step is called: "Mix", or by its own name "Rinse the meat". */
export const stepName = ({ kind, title }: Pick<Step, "kind" | "title">): string => title ?? VERB[kind];

/** What a step does to what: "Mix filling", or by its own name "Rinse the meat". */
export const stepWith = (step: Pick<Step, "kind" | "title">, what: string): string => step.title ?? `${VERB[step.kind]} ${what}`;

/** The carriers in plain words, one and many. */
const CARRIER_WORD: Readonly<Record<string, readonly [string, string]>> = {
  tray: ["tray", "trays"],
  board: ["board", "boards"],
  "steamer-tier": ["tier", "tiers"],
};

/** "3 trays", "1 tier". */
export const carrierText = (carrier: string, n: number): string =>
  `${n} ${(CARRIER_WORD[carrier] ?? [carrier, carrier])[n === 1 ? 0 : 1]}`;

/** A size: "400 × 300 mm", "240 mm across". */
export const sizeText = (mm: number | readonly [number, number]): string =>
  typeof mm === "number" ? `${mm} mm across` : `${mm.join(" × ")} mm`;

/** "2 trays", or "1 tray of 400 × 300 mm and 1 tray of 300 × 200 mm". */
const onText = (carrier: string, n: number, sizes: CarrierSizes): string =>
  sizes && sizes.length > 0
    ? sizes.map(({ count, mm }) => `${carrierText(carrier, count)} of ${sizeText(mm)}`).join(" and ")
    : carrierText(carrier, n);
type CarrierSizes = Extract<TaskInfo["what"], { code: "wait" }>["sizes"];

/** "1 piece", "12 pieces". */
export const piecesText = (n: number): string => counted(n, "piece");

/** A temperature as a text. */
export type HeatText = (celsius: number) => string;
/** A temperature as other programs read it: "190 °C". */
export const inCelsius: HeatText = (celsius) => `${celsius} °C`;

/**
 * A task in words: "Bake 36 Pies, 3 trays, 190 °C". The only place that words tasks.
 * @param nameOf an item's name by its id
 */
export function taskText(info: TaskInfo, nameOf: (item: string) => string, heat: HeatText = inCelsius): string {
  const { what } = info;
  switch (what.code) {
    case "oil-change":
      return "Change the oil: drain, wipe, fill with fresh oil";
    case "wash":
      return `Wash the ${equipmentWord(what.equipment)} after ${nameOf(info.item)}`;
    case "beside": {
      const much = `${amountText(what.amount, what.unit)} of ${nameOf(info.item)}`;
      return what.job === "prepare"
        ? `Prepare ${much}`
        : what.job === "cook"
          ? `Cook ${much}`
          : `${nameOf(info.item)} cools and waits`;
    }
    case "wait":
      return what.carrier
        ? `${onText(what.carrier, what.carriers, what.sizes)}${what.sizes ? " with" : " of"} ${nameOf(info.item)} ${what.carriers === 1 ? "waits" : "wait"}${what.onShelf ? " in the fridge for the freezer" : ""}`
        : `${nameOf(info.item)} wait`;
    case "step": {
      const made = [info, ...(info.also ?? [])].map((share) => `${share.pieces} ${nameOf(share.item)}`);
      const done =
        what.part === "piece"
          ? `${stepName(what)}${what.title === undefined ? "" : ","} ${made[0]}`
          : `${stepWith(what, what.base ? "base of the fillings" : what.part)} for ${made.join(" and ")}`;
      return [
        `${what.first ? "First piece: " : ""}${done}`,
        ...(what.carrier ? [onText(what.carrier, what.carriers ?? 1, what.sizes)] : []),
        ...(what.panMm ? [`pan ${sizeText(what.panMm)}`] : []),
        ...(what.settingC !== undefined ? [heat(what.settingC)] : []),
      ].join(", ");
    }
  }
}

/** An item's name as the plan has it. */
export const itemNameIn = (plan: Pick<Plan, "day">, id: string): string =>
  plan.day.items.find((item) => item.id === id)?.name ?? id;

/** A task of a plan in words. */
export const planTaskText = (plan: Pick<Plan, "day" | "tasks">, task: string, heat: HeatText = inCelsius): string =>
  plan.tasks[task] ? taskText(plan.tasks[task], (id) => itemNameIn(plan, id), heat) : task;
