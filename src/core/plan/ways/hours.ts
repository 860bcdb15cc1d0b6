import { addDays, differenceInCalendarDays, formatISO, parseISO } from "date-fns";
import { gatheringDate } from "../../gathering/calendar";
import { keepable } from "../../item/keepable";
import type { Cook } from "../../kitchen/schema";
import { clockText, MINUTES_A_DAY, minutesOfClock } from "../../shared/clock";
import { freshId } from "../../shared/fresh-id";
import type { PlanRequest } from "../request";
import type { Change } from "./change";
import { itemOf, oneChange, served, swapped, withHours } from "./edits";

/** By so much later it could be served, min: the least that does is offered. */
const LATER_MIN = [20, 60, 120, 240] as const;

/** The cook who stays longest stays so long after the last serving, min. */
const AFTER_LAST_MIN = 15;

/** Days after the asked one on which it could be held. */
const OTHER_DAYS = [1, 2, 3] as const;

/** A day is asked for in good time if it is so many days away; nothing is gained by another then. */
const SOON_DAYS = 1;

/** A helper comes for these hours before the first wave, min. */
const HELP = { from: 150, to: 30 } as const;
/** So much earlier a cook could begin, min: the least that does is offered. */
const EARLIER_MIN = [60, 120, 180] as const;

export const otherTimes = (request: PlanRequest): Change[] => LATER_MIN.flatMap((minutes) => laterBy(request, minutes) ?? []);

/** Everything served so much later, min; whoever is there last stays for it. Undefined where that would be past midnight. */
export function laterBy(request: PlanRequest, minutes: number): Change | undefined {
  const waves = served(request);
  const times = waves.map((wave) => minutesOfClock(wave.time)!);
  const last = Math.max(...times) + minutes;
  if (waves.length === 0 || last + AFTER_LAST_MIN >= MINUTES_A_DAY) return undefined;
  const leaving = lastThere(request.kitchen.cooks);
  const to = clockText(last + AFTER_LAST_MIN);
  const stays = leaving && minutesOfClock(leaving.hours.to)! < last + AFTER_LAST_MIN ? leaving : undefined;
  return {
    id: `later-${minutes}`,
    group: "later",
    kind: {
      code: "later",
      minutes,
      time: clockText(Math.min(...times) + minutes),
      ...(stays && { stays: { cook: stays.cook.name, to } }),
    },
    edit: (g) => {
      const later = {
        ...g,
        waves: (g.waves ?? []).map((wave) => ({ ...wave, time: clockText((minutesOfClock(wave.time) ?? 0) + minutes) })),
      };
      return stays ? withHours(later, stays.cook, swapped(stays.cook.hours, stays.hours, { ...stays.hours, to })) : later;
    },
  };
}

/** Who leaves last on the day, and that stretch of hours. */
const lastThere = (cooks: readonly Cook[]) =>
  cooks
    .flatMap((cook) => cook.hours.filter(({ day }) => day === 0).map((hours) => ({ cook, hours })))
    .sort((a, b) => minutesOfClock(a.hours.to)! - minutesOfClock(b.hours.to)!)
    .at(-1);

/** The same some days later, where the day is so near that there may be no time. */
export function otherDays({ gathering, today }: PlanRequest): Change[] {
  const date = gatheringDate(gathering.date, today);
  if (differenceInCalendarDays(parseISO(date), parseISO(today)) > SOON_DAYS) return [];
  return OTHER_DAYS.map((days) => {
    const on = formatISO(addDays(parseISO(date), days), { representation: "date" });
    return {
      id: `on-${on}`,
      group: "another-day",
      kind: { code: "another-day", date: on },
      edit: (g) => ({ ...g, date: { ...("on" in g.date && g.date), on } }),
    };
  });
}

/** Somebody comes to help, or whoever is there first begins earlier. */
export function hands(request: PlanRequest): Change[] {
  const { kitchen } = request;
  const changes: Change[] = [];
  const waves = served(request);
  const first = waves.length > 0 ? Math.min(...waves.map((wave) => minutesOfClock(wave.time)!)) : undefined;
  if (first !== undefined && first > HELP.from) {
    const hours = { day: 0, from: clockText(first - HELP.from), to: clockText(first - HELP.to) };
    changes.push(
      oneChange("helper", { code: "helper", from: hours.from, to: hours.to }, (g) => ({
        ...g,
        attendance: [
          ...(g.attendance ?? []),
          {
            cook: freshId("helper", [...kitchen.cooks.map(({ id }) => id), ...(g.attendance ?? []).map(({ cook }) => cook)]),
            name: "Helper",
            hours: [hours],
          },
        ],
      })),
    );
  }
  const onDay = kitchen.cooks.flatMap((cook) => cook.hours.filter(({ day }) => day === 0).map((hours) => ({ cook, hours })));
  const earliest = onDay.sort((a, b) => minutesOfClock(a.hours.from)! - minutesOfClock(b.hours.from)!).at(0);
  if (!earliest) return changes;
  const { cook, hours } = earliest;
  const begins = minutesOfClock(hours.from)!;
  const sooner = EARLIER_MIN.filter((minutes) => begins >= minutes).map((minutes): Change => {
    const from = clockText(begins - minutes);
    return {
      id: `earlier-${minutes}`,
      group: "earlier",
      kind: { code: "earlier", cook: cook.name, from },
      edit: (g) => withHours(g, cook, swapped(cook.hours, hours, { ...hours, from })),
    };
  });
  return [...changes, ...sooner];
}

/** What keeps is made the day before; not where the day before is over. */
export function before(request: PlanRequest): Change[] {
  const { gathering, today } = request;
  if (gatheringDate(gathering.date, today) <= today) return [];
  const recipes = new Set(gathering.waves.flatMap((wave) => wave.items.map((entry) => entry.recipe)));
  return [...recipes].flatMap((recipe): Change[] => {
    const item = itemOf(request, recipe);
    if (gathering.doneAhead.some((entry) => entry.recipe === recipe)) return [];
    const parts = keepable(item).filter(({ keeps }) => keeps?.where !== "freezer");
    const last = parts.findLast(({ step }) => step.part !== "piece") ?? parts.at(-1);
    if (!last) return [];
    return [
      oneChange(`ahead-${recipe}`, { code: "ahead", item: item.name, part: last.step.part }, (g) => ({
        ...g,
        doneAhead: [...(g.doneAhead ?? []), { recipe, through: last.step.id, when: { day: -1 } }],
      })),
    ];
  });
}
