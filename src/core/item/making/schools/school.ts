import type { Making } from "../making";
import type { Dough, DoughRest } from "../doughs";

/** One way of doing it. `of`: the making done so. */
interface SchoolOption {
  readonly id: string;
  readonly name: string;
  /** What it is good for, and what it asks of the cook. */
  readonly note: string;
  readonly of: (making: Making) => Making;
}

/** A question on which cooks differ, as a rule: whatever it fits is asked it. Kitchen figures of our own. */
export interface School {
  readonly id: string;
  readonly question: string;
  readonly fits: (making: Making) => boolean;
  /** What is done where nobody says: by the recipe, else as is usual for it. */
  readonly usual: (making: Making) => string;
  readonly options: readonly SchoolOption[];
}

export const asIs = (making: Making): Making => making;
export const withDough = (making: Making, change: Partial<Dough>): Making => ({
  ...making,
  dough: { ...making.dough, ...change },
});
export const ownDough = ({ bought }: Making): boolean => bought === undefined;
export const isShort = (making: Making): boolean => ["SH", "FS"].includes(making.dough.id);
/** The rest of the recipe's own words about a stage falls away where the cook decides otherwise. */
export const unsaid = (making: Making, ...stages: (keyof Making["says"])[]): Making => ({
  ...making,
  says: { ...making.says, ...Object.fromEntries(stages.map((stage) => [stage, undefined])) },
});
export const times = (rest: DoughRest, factor: number): DoughRest => ({
  ...rest,
  min: Math.round(rest.min * factor),
  target: Math.round(rest.target * factor),
  max: Math.round(rest.max * factor),
});
/** As long as the cook says, whatever the room. */
export const lasting = (rest: DoughRest | undefined, min: number, target: number, max: number): DoughRest | undefined => {
  if (!rest) return undefined;
  const { from: _model, follows: _room, ...others } = rest;
  return { ...others, min, target, max };
};
export const later = (rest: DoughRest | undefined, minutes: number): DoughRest | undefined =>
  rest && { ...rest, min: rest.min + minutes, target: rest.target + minutes, max: rest.max + minutes };
