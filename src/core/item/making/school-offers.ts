import type { Step } from "../step";
import { handsMinutes, workMinutes } from "../step-minutes";
import { generateSteps } from "./generate";
import type { Making } from "./making";
import { SCHOOLS, withChoices, type SchoolChoices } from "./schools";

/** What another way of doing it does to an item made fresh, for its own batch. */
export interface SchoolEffect {
  /** More (or, below 0, less) of hands, min. */
  readonly handsMin: number;
  /** The longest chain of steps to the table grows by so much, min. */
  readonly leadMin: number;
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
    const end = begins + (step.rest?.target ?? workMinutes(step, pieces));
    ends.set(step.id, end);
    return end;
  };
  return Math.max(0, ...steps.map(endOf));
}

function effectOf(now: readonly Step[], then: readonly Step[], pieces: number): SchoolEffect {
  const had = new Map(now.map((step) => [step.id, step]));
  const has = new Set(then.map((step) => step.id));
  const plain = ({ sources: _sources, after: _after, ...step }: Step) => JSON.stringify(step);
  return {
    handsMin: Math.round(handsMinutes(then, pieces) - handsMinutes(now, pieces)),
    leadMin: Math.round(leadOf(then, pieces) - leadOf(now, pieces)),
    added: then.filter((step) => !had.has(step.id)),
    removed: now.filter((step) => !has.has(step.id)),
    changed: then.filter((step) => had.has(step.id) && plain(had.get(step.id)!) !== plain(step)),
  };
}

const doesNothing = ({ handsMin, leadMin, added, removed, changed }: SchoolEffect): boolean =>
  handsMin === 0 && leadMin === 0 && added.length + removed.length + changed.length === 0;

/**
 * The questions on which cooks differ that an item raises, each answer with what it does against what is done now. An answer
 * that changes nothing is not offered, nor a question with one answer.
 * @param plain the making before any choice
 */
export function schoolOffers(plain: Making, choices: SchoolChoices): SchoolOffer[] {
  const stepsWith = (one: SchoolChoices) => generateSteps(withChoices(plain, one)).filter(isFresh);
  const now = stepsWith(choices);
  return SCHOOLS.filter((school) => school.fits(plain)).flatMap((school): SchoolOffer[] => {
    const said = school.options.find(({ id }) => id === choices[school.id]);
    const chosen = said?.id ?? school.usual(plain);
    const options = school.options.flatMap(({ id, name, note }): OfferedOption[] => {
      if (id === chosen) return [{ id, name, note, effect: undefined }];
      const effect = effectOf(now, stepsWith({ ...choices, [school.id]: id }), plain.pieces);
      return doesNothing(effect) ? [] : [{ id, name, note, effect }];
    });
    return options.length > 1 ? [{ id: school.id, question: school.question, chosen, options }] : [];
  });
}
