import { carriersOf, sharesOf, type Work } from "../../batching/work";
import type { Item } from "../../item/schema";
import type { FigureSource, Step } from "../../item/step";
import { followsRoom } from "../../item/rest-in-room";
import { usualMinutes } from "../../item/step-minutes";
import { chambersAt, isChamber } from "../../kitchen/equipment";
import type { Kitchen } from "../../kitchen/schema";
import { sizesOf } from "../../kitchen/sizes";
import { sizeOf } from "../../shared/range";
import type { DurationSource, TaskInfo } from "../schema";
import { taskText } from "../task-text";
import type { Wait } from "./precedences";
import type { RestWindow } from "./timing";

/** The steps of a plan as they are done, each content once: by `item/step`, and `#2`, `#3` … where demands differ. */
export class StepTable {
  private readonly byKey = new Map<string, Step>();
  private readonly keys = new Map<Step, string>();
  private readonly contents = new Map<string, string>();

  /** Key of a step of an item. */
  keyOf(item: Item, step: Step): string {
    const known = this.keys.get(step);
    if (known !== undefined) return known;
    const content = `${item.id} ${JSON.stringify(step)}`;
    const key = this.contents.get(content) ?? this.freeKey(`${item.id}/${step.id}`);
    this.contents.set(content, key);
    this.byKey.set(key, step);
    this.keys.set(step, key);
    return key;
  }

  private freeKey(wanted: string): string {
    if (!this.byKey.has(wanted)) return wanted;
    for (let n = 2; ; n++) if (!this.byKey.has(`${wanted}#${n}`)) return `${wanted}#${n}`;
  }

  get all(): Record<string, Step> {
    return Object.fromEntries(this.byKey);
  }
}

/** Where a figure that was made by rule comes from, as a cook is told. */
const TOLD: Readonly<Record<FigureSource, DurationSource>> = {
  recipe: "recipe",
  model: "model",
  cook: "cook",
  ...{ family: "usual", method: "usual", shape: "usual", filling: "usual", table: "usual" },
};

/** Where the length of a work comes from. `otherwise`: that is not the step's own word. */
export function sourceOf(
  { step, item }: Work,
  otherwise: DurationSource | undefined,
  window: RestWindow | undefined,
): DurationSource {
  if (otherwise) return otherwise;
  const planned = usualMinutes(step, item.base.pieces);
  if (step.tookMin !== undefined && Math.abs(planned - step.tookMin) < 1e-6) return "took-here";
  const { rest } = step;
  const moved =
    rest !== undefined && followsRoom(rest) && (window?.ready !== Math.ceil(rest.min) || window.max !== Math.floor(rest.max));
  const from = step.sources?.minutes ?? step.sources?.hands;
  return moved ? "room" : from ? TOLD[from] : "recipe";
}

/** What a work is, in codes. */
export function infoOf(work: Work, kitchen: Kitchen, as: string, source: DurationSource, window?: RestWindow): TaskInfo {
  const { step, carrier, carriers } = work;
  const sizes = carrierSizes(work, kitchen);
  const panMm = panSize(work, kitchen);
  const setting = step.equipment.find((e) => e.settingC !== undefined && e.id !== "lidded-pan");
  return {
    item: work.item.id,
    step: step.id,
    as,
    pieces: sizeOf(work.range),
    range: work.range,
    ...(work.also.length > 0 && {
      also: work.also.map(({ item, step, range }) => ({ item: item.id, step: step.id, pieces: sizeOf(range), range })),
    }),
    for: [...new Set(work.demands.map((demand) => demand.for))],
    what: {
      code: "step",
      kind: step.kind,
      ...(step.title !== undefined && { title: step.title }),
      part: step.part,
      ...(step.base && { base: true as const }),
      ...(carrier && (carriers > 1 || sizes) && { carrier, carriers, ...(sizes && { sizes }) }),
      ...(panMm !== undefined && { panMm }),
      ...(setting && setting.id !== "steamer" && { settingC: settingOf(setting, work.into, kitchen) }),
    },
    source,
    ...(window?.firstLook !== undefined && { rise: { firstLookMin: window.firstLook, readyMin: window.ready } }),
  };
}

const settingOf = ({ id, settingC = 0 }: Step["equipment"][number], into: Work["into"], kitchen: Kitchen): number =>
  isChamber(id) ? chambersAt(id, settingC, kitchen, into).setting : settingC;

/** The sizes of a work's carriers, where the kitchen has several of them. */
function carrierSizes(work: Work, kitchen: Kitchen) {
  if (work.carrier !== "tray" && work.carrier !== "board") return undefined;
  const all = sizesOf(work.carrier, kitchen);
  if (all.length < 2) return undefined;
  return carriersOf(work).flatMap(([pool, count]) => {
    const size = all.find(({ ids }) => ids.includes(pool));
    return size ? [{ count, mm: size.is.mm }] : [];
  });
}

/** Across the pan that a work goes into, mm, where the kitchen has several sizes of them. */
const panSize = ({ chamber, into }: Work, kitchen: Kitchen): number | undefined =>
  chamber === "lidded-pan" && into
    ? sizesOf(chamber, kitchen).find(({ ids }) => ids.some((id) => into.includes(id)))?.is.mm
    : undefined;

/** What a wait is, in codes: whose pieces, on what. */
export const waitInfo = ({ before, carriers, onShelf }: Wait, kitchen: Kitchen): TaskInfo => ({
  item: before.item.id,
  step: null,
  pieces: sizeOf(before.range),
  range: before.range,
  for: [...new Set(before.demands.map((demand) => demand.for))],
  what: {
    code: "wait",
    ...(before.carrier && { carrier: before.carrier, sizes: carrierSizes(before, kitchen) }),
    carriers,
    onShelf,
  },
  source: "plan",
});

/** A task's label in the problem: its text with the items' own names. */
export function labelOf(info: TaskInfo, work: Work): string {
  const names = new Map(sharesOf(work).map(({ item }) => [item.id, item.name]));
  return taskText(info, (id) => names.get(id) ?? id);
}
