import type { Demand } from "../gathering/demands";
import type { Item } from "../item/schema";
import { isHeat, type Step } from "../item/step";
import { bakeTime, SAME_LOAD } from "../process/oven";

/** A bake may be so much hotter or cooler than its recipe says, °C, with its time moved. */
const BAND_C = 10;
/** Longest text of a step. */
const MOST_TEXT = 600;

/** One item's bake, by itself and at the setting that it shares, °C and min. */
export interface SharedBake {
  readonly item: Item;
  readonly step: string;
  readonly ownC: number;
  readonly ownMin: number;
  readonly minutes: number;
}

/** Bakes of several items at one setting that all their bands have. */
export interface OneSetting {
  readonly settingC: number;
  readonly bakes: readonly SharedBake[];
}

const ovenOf = (step: Step) => step.equipment.find(({ id, settingC }) => id === "oven" && settingC !== undefined);

/** Minutes of a bake at another setting; undefined where that is too far. */
function minutesAt({ time }: Step, ownC: number, settingC: number): number | undefined {
  if (time.fixedMin <= 0) return undefined;
  const baked = bakeTime({ ...SAME_LOAD, refMin: time.fixedMin, refC: ownC, ovenC: settingC, trays: 1 });
  return baked.ok ? Math.round(baked.value.minutes * 2) / 2 : undefined;
}

/** Every bake of these demands once, the coolest first. */
function bakesOf(demands: readonly Demand[]): { item: Item; step: Step; ownC: number }[] {
  const seen = new Set<string>();
  return demands
    .flatMap(({ item, steps }) =>
      steps.flatMap((step) => {
        const ownC = isHeat(step) ? ovenOf(step)?.settingC : undefined;
        const key = `${item.id} ${step.id} ${ownC}`;
        if (ownC === undefined || seen.has(key)) return [];
        seen.add(key);
        return [{ item, step, ownC }];
      }),
    )
    .sort((a, b) => a.ownC - b.ownC);
}

/**
 * Settings at which bakes of several items may share an oven although their recipes differ: 170 and 185 °C, each ten degrees
 * either way, meet at 177. Bakes that agree already need none.
 */
export function sharedBakes(demands: readonly Demand[]): OneSetting[] {
  const groups: { item: Item; step: Step; ownC: number }[][] = [];
  for (const bake of bakesOf(demands)) {
    const group = groups.at(-1);
    if (group && bake.ownC - BAND_C <= group[0].ownC + BAND_C) group.push(bake);
    else groups.push([bake]);
  }
  return groups.flatMap((group): OneSetting[] => {
    const [coolest, hottest] = [group[0].ownC, group[group.length - 1].ownC];
    if (coolest === hottest || new Set(group.map(({ item }) => item.id)).size < 2) return [];
    const settingC = Math.floor((coolest + hottest) / 2);
    const bakes = group.flatMap(({ item, step, ownC }) => {
      const minutes = minutesAt(step, ownC, settingC);
      return minutes === undefined ? [] : [{ item, step: step.id, ownC, ownMin: step.time.fixedMin, minutes }];
    });
    return bakes.length === group.length ? [{ settingC, bakes }] : [];
  });
}

/** The demands with those bakes at one setting. */
export function bakedTogether(demands: readonly Demand[]): Demand[] {
  const shared = sharedBakes(demands).flatMap(({ settingC, bakes }) => bakes.map((bake) => ({ ...bake, settingC })));
  // The same step of several demands stays the same step.
  const done = new Map<Step, Step>();
  const moved = (item: Item, step: Step): Step => {
    const known = done.get(step);
    if (known) return known;
    const oven = ovenOf(step);
    const bake = shared.find((one) => one.item.id === item.id && one.step === step.id && one.ownC === oven?.settingC);
    const next = bake ? atSetting(step, bake) : step;
    done.set(step, next);
    return next;
  };
  return demands.map((demand) => ({ ...demand, steps: demand.steps.map((step) => moved(demand.item, step)) }));
}

function atSetting(step: Step, { settingC, ownC, ownMin, minutes }: SharedBake & { readonly settingC: number }): Step {
  const oven = ovenOf(step);
  const said = `With others in one oven: ${settingC} °C for ${minutes} min (by itself ${ownC} °C for ${ownMin} min); go by its colour.`;
  return {
    ...step,
    do: `${said} ${step.do}`.slice(0, MOST_TEXT),
    time: { ...step.time, fixedMin: minutes },
    equipment: step.equipment.map((entry) => (entry === oven ? { ...entry, settingC } : entry)),
  };
}
