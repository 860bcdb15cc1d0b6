import type { Step } from "../step";
import { handsMinutes, usualMinutes } from "../step-minutes";
import { generateSteps } from "./generate";
import type { Making } from "./making";
import { SCHOOLS, withChoices, type SchoolChoices } from "./schools";

/** What another way of doing it does to an item made fresh, for its own batch. */
export interface SchoolEffect {
  /** More (or, below 0, less) of hands, min. */
  readonly handsMin: number;
  /** The longest chain of steps to the table grows by so much, min. */
  readonly leadMin: number;
  /** What more of (or, below 0, less of) goes in for the recipe's own batch, g. */
  readonly grams: readonly { readonly name: string; readonly grams: number }[];
  readonly added: readonly Step[];
  readonly removed: readonly Step[];
  /** Steps that are there either way and are done otherwise. */
  readonly changed: readonly Step[];
}

interface OfferedOption {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** Against what it is now; undefined for the chosen one. */
  readonly effect: SchoolEffect | undefined;
}

export interface SchoolOffer {
  readonly id: string;
  readonly question: string;
  /** The option that the item follows. */
  readonly chosen: string;
  readonly options: readonly OfferedOption[];
}

const isFresh = ({ path }: Step): boolean => path.includes("fresh");

/** Minutes from the first step to the last along the longest chain. */
function leadOf(steps: readonly Step[], pieces: number): number {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ends = new Map<string, number>();
  const endOf = (step: Step): number => {
    const known = ends.get(step.id);
    if (known !== undefined) return known;
    const begins = Math.max(
      0,
      ...step.after.map((link) => {
        const before = byId.get(link.step);
        return before ? endOf(before) + (link.minGapMin ?? 0) : 0;
      }),
    );
    const end = begins + usualMinutes(step, pieces);
    ends.set(step.id, end);
    return end;
  };
  return Math.max(0, ...steps.map(endOf));
}

/** What goes into the dough, the filling and on the pieces, by name, g. */
function weightsIn({ lines, rim }: Making): Map<string, number> {
  const all = [...lines.dough, ...lines.filling, ...lines.finish, ...(rim ? [rim] : [])];
  const weights = new Map<string, number>();
  for (const { name, grams } of all) weights.set(name, (weights.get(name) ?? 0) + grams);
  return weights;
}

/** Less than this is rounding, g. */
const LEAST_G = 0.5;

function gramsBetween(now: Making, then: Making): SchoolEffect["grams"] {
  const [before, after] = [weightsIn(now), weightsIn(then)];
  return [...new Set([...before.keys(), ...after.keys()])]
    .map((name) => ({ name, grams: (after.get(name) ?? 0) - (before.get(name) ?? 0) }))
    .filter(({ grams }) => Math.abs(grams) >= LEAST_G);
}

/** @param now the steps of `nowMaking`, which are the same for every answer */
function effectOf(nowMaking: Making, now: readonly Step[], thenMaking: Making): SchoolEffect {
  const then = stepsOf(thenMaking);
  const { pieces } = nowMaking;
  const had = new Map(now.map((step) => [step.id, step]));
  const has = new Set(then.map((step) => step.id));
  const plain = ({ sources: _sources, after: _after, ...step }: Step) => JSON.stringify(step);
  return {
    handsMin: Math.round(handsMinutes(then, pieces) - handsMinutes(now, pieces)),
    leadMin: Math.round(leadOf(then, pieces) - leadOf(now, pieces)),
    grams: gramsBetween(nowMaking, thenMaking),
    added: then.filter((step) => !had.has(step.id)),
    removed: now.filter((step) => !has.has(step.id)),
    changed: then.filter((step) => had.has(step.id) && plain(had.get(step.id)!) !== plain(step)),
  };
}

const doesNothing = ({ handsMin, leadMin, grams, added, removed, changed }: SchoolEffect): boolean =>
  handsMin === 0 && leadMin === 0 && grams.length + added.length + removed.length + changed.length === 0;

const stepsOf = (making: Making): Step[] => generateSteps(making).filter(isFresh);

/**
 * The questions on which cooks differ that an item raises, each answer with what it does against what is done now. An answer
 * that changes nothing is not offered, nor a question with one answer.
 * @param plain the making before any choice
 */
export function schoolOffers(plain: Making, choices: SchoolChoices): SchoolOffer[] {
  const now = withChoices(plain, choices);
  const steps = stepsOf(now);
  return SCHOOLS.filter((school) => school.fits(plain)).flatMap((school): SchoolOffer[] => {
    const said = school.options.find(({ id }) => id === choices[school.id]);
    const chosen = said?.id ?? school.usual(plain);
    const options = school.options.flatMap(({ id, name, note }): OfferedOption[] => {
      if (id === chosen) return [{ id, name, note, effect: undefined }];
      const effect = effectOf(now, steps, withChoices(plain, { ...choices, [school.id]: id }));
      return doesNothing(effect) ? [] : [{ id, name, note, effect }];
    });
    return options.length > 1 ? [{ id: school.id, question: school.question, chosen, options }] : [];
  });
}
