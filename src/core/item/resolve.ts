import type { Choices, Component, Item } from "./schema";
import type { Step } from "./step";
import { workMinutes } from "./step-minutes";
import { patchSteps } from "./step-patch";

/** An item as it is made for one demand: options chosen, filling chosen, steps changed, losses at hand. */
export interface ResolvedItem {
  readonly item: Item;
  readonly filling: string;
  /** Dough components with the part they belong to. */
  readonly dough: readonly (Component & { readonly in: string })[];
  readonly holdBack?: { readonly component: string; readonly pct: number };
  readonly fillingComponents: readonly Component[];
  readonly cookingLossPct: number;
  readonly handlingLossPct: number;
  readonly useAtMaxC?: number;
  readonly finish: Item["finish"];
  /** Steps that exist under these options, for every path, in the item's order. */
  readonly steps: readonly Step[];
  readonly fryerRefill?: { readonly coolDrainFillMin: number; readonly handsMin: number };
}

/** The option chosen in each school: the named one, else its default, else its first. */
export function optionsOf(item: Item, choices: Choices): Item["schools"][number]["options"] {
  return item.schools.map((school) => {
    const named = school.options.find((option) => option.id === choices[school.id]);
    return named ?? school.options.find((option) => option.default) ?? school.options[0];
  });
}

/**
 * A step with what it took in this kitchen where that is longer; it is this room's time, so no more correction for warmth.
 * @param pieces of the base batch, for which it was timed
 */
export function asItTook(step: Step, pieces: number): Step {
  const { tookMin, rest, time } = step;
  if (tookMin === undefined) return step;
  if (!rest) {
    // What it took was all of it, the minutes for the pieces as well; both grow alike.
    const saidMin = workMinutes(step, pieces);
    if (tookMin <= saidMin) return step;
    if (saidMin === 0) return { ...step, time: { ...time, fixedMin: tookMin } };
    const factor = tookMin / saidMin;
    return { ...step, time: { fixedMin: time.fixedMin * factor, secPerPiece: time.secPerPiece * factor } };
  }
  if (tookMin <= rest.target) return step;
  return {
    ...step,
    rest: { ...rest, min: tookMin, target: tookMin, max: Math.max(rest.max, tookMin), yeasted: false, follows: undefined },
  };
}

/** A component with what went in by feel the last time, as long as it is the same flour. */
export function asLastUsed(component: Component, dough: readonly Component[]): Component {
  const { lastUsed } = component;
  return lastUsed && mainFlour(dough)?.name === lastUsed.flour ? { ...component, grams: lastUsed.grams } : component;
}

/** The heaviest flour of a dough. */
export const mainFlour = (dough: readonly Component[]): Component | undefined =>
  dough.filter((c) => c.flour).sort((a, b) => b.grams - a.grams)[0];

/** Applies the chosen options and filling to an item. `filling` is "base" or the id of a variant. */
export function resolveItem(item: Item, choices: Choices, filling: string): ResolvedItem {
  const options = optionsOf(item, choices);
  const chosen = new Map(item.schools.map((school, i) => [school.id, options[i].id]));
  const fillingVariant = item.filling.variants?.find((variant) => variant.id === filling);
  const doughVariant = item.dough.variants?.find((variant) => options.some((option) => option.doughVariant === variant.id));
  const omitted = new Set(options.flatMap((option) => option.omit ?? []));

  const written = (
    doughVariant ? [{ id: item.dough.parts[0].id, components: doughVariant.components }] : item.dough.parts
  ).flatMap((part) => part.components.filter((c) => !omitted.has(c.id)).map((c) => ({ ...c, in: part.id })));
  const dough = written.map((c) => ({ ...asLastUsed(c, written), in: c.in }));
  const swaps = options.flatMap((option) => option.fillingSwap ?? []);
  const source = fillingVariant ?? item.filling;
  const fillingComponents = source.components
    .filter((c) => !omitted.has(c.id))
    .map((c) => {
      const swap = swaps.find(({ from }) => from === c.id);
      return swap ? { cook: c.cook, ...swap.to } : c;
    });

  const patches = [...options.flatMap((option) => option.changes), ...((fillingVariant ?? item.filling).stepChanges ?? [])];
  const there = item.steps.filter((step) => !step.when || chosen.get(step.when.school) === step.when.option);
  const steps = patchSteps(there, patches).map((step) => asItTook(step, item.base.pieces));

  const finish = item.finish.map((entry) => entry);
  for (const extra of options.flatMap((option) => option.finish ?? [])) {
    const at = finish.findIndex((entry) => entry.step === extra.step && entry.what === extra.what);
    if (at >= 0) finish[at] = extra;
    else finish.push(extra);
  }

  return {
    item,
    filling,
    dough,
    holdBack: doughVariant?.holdBack ?? item.dough.holdBack,
    fillingComponents,
    cookingLossPct: source.cookingLossPct ?? item.filling.cookingLossPct,
    handlingLossPct: source.handlingLossPct ?? item.filling.handlingLossPct,
    useAtMaxC: source.useAtMaxC,
    finish,
    steps,
    fryerRefill: options.find((option) => option.fryerRefill)?.fryerRefill,
  };
}

/** A step and all steps that it comes after, however far back. */
export function throughStep(steps: readonly Step[], through: string): Set<string> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const done = new Set<string>();
  const walk = (id: string) => {
    const step = byId.get(id);
    if (!step || done.has(id)) return;
    done.add(id);
    step.after.forEach((link) => walk(link.step));
  };
  walk(through);
  return done;
}
