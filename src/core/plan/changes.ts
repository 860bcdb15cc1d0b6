import { alikeGroups } from "../batching/joint";
import { keepable } from "../item/keepable";
import type { Item } from "../item/schema";
import { optionsOf, resolveItem } from "../item/resolve";
import { isHeat } from "./expand/timing";
import type { GatheringInput } from "../gathering/schema";
import { countOf, EQUIPMENT_COUNTS, withCounts, type Counted } from "../kitchen/counts";
import type { Kitchen } from "../kitchen/schema";
import { clockText, MINUTES_A_DAY, minutesOfClock } from "../shared/clock";
import { freshId } from "../shared/fresh-id";
import { gatheringDate } from "../gathering/calendar";
import { both, type Change, type ChangeKind } from "./change";
import { quantitiesOf, type Quantities } from "./quantities";
import type { PlanRequest } from "./request";

const LATER_MIN = 20;
/** A second serving comes so long after the first, min. */
const AFTER_MIN = 30;
/** A helper comes for these hours before the first wave, and a cook begins so much earlier, min. */
const HELP = { from: 150, to: 30 } as const;
const EARLIER_MIN = 60;
/** More tins are borrowed by the dozen. */
const MORE: Readonly<Record<string, number>> = { tins: 12 };

type Entry = NonNullable<GatheringInput["waves"]>[number]["items"][number];
const oneChange = (id: string, kind: ChangeKind, edit: Change["edit"]): Change => ({ id, kind, edit });

/** The gathering with other entries in one wave. */
const inWave = (
  gathering: GatheringInput,
  wave: string,
  edit: (items: readonly Entry[]) => readonly Entry[],
): GatheringInput => ({
  ...gathering,
  waves: (gathering.waves ?? []).map((one) => (one.id === wave ? { ...one, items: [...edit(one.items)] } : one)),
});

/**
 * Changes that could help this day: less of one kind, in two goes, another way of making it, work done before, more time, hands, a
 * piece of equipment. Each is one edit of the gathering.
 */
export function changesFor(request: PlanRequest, kitchens: readonly Kitchen[] = []): Change[] {
  const quantities = quantitiesOf(request);
  return [
    ...smaller(request, quantities),
    ...otherTimes(request),
    ...hands(request),
    ...before(request),
    ...otherwise(request),
    ...together(request, quantities),
    ...equipment(request, quantities),
    ...elsewhere(request, kitchens),
  ];
}

/** Changes of hands, time and places that go with any other. */
const GOES_WITH: ReadonlySet<ChangeKind["code"]> = new Set(["helper", "earlier", "later", "one-more"]);

/** Two changes at once, for a day that none makes possible by itself. `near`: those that are refused only by the timetable. */
export function pairsOf(changes: readonly Change[], near: readonly Change[]): Change[] {
  const others = changes.filter(({ kind }) => GOES_WITH.has(kind.code) && (kind.code !== "one-more" || HEAT.has(kind.equipment)));
  const pairs = near
    .slice(0, MOST_NEAR)
    .flatMap((one) => others.filter((other) => other !== one).map((other) => both(one, other)));
  const known = new Set<string>();
  return pairs.filter(({ id }) => {
    const key = id.split(" ").sort().join(" ");
    return !known.has(key) && known.add(key);
  });
}
const MOST_NEAR = 3;
const HEAT: ReadonlySet<string> = new Set(["oven", "fryer", "steamer", "lidded-pan", "tray"]);

/** In another of the cook's kitchens. */
const elsewhere = ({ kitchen }: PlanRequest, kitchens: readonly Kitchen[]): Change[] =>
  kitchens
    .filter(({ id }) => id !== kitchen.id)
    .map(({ id, name }) =>
      oneChange(`in-${id}`, { code: "elsewhere", kitchen: name }, (g) => ({ ...g, kitchen: id, equipment: undefined })),
    );

const itemOf = ({ items }: PlanRequest, recipe: string): Item => items.find((item) => item.id === recipe)!;

/** Fewer of one kind, half of it in a second serving, or none of it. */
function smaller(request: PlanRequest, { headcount, limits }: Quantities): Change[] {
  const { gathering } = request;
  const kinds = new Set(gathering.waves.flatMap((wave) => wave.items.map((entry) => entry.recipe)));
  return gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe }): Change[] => {
      const { name } = itemOf(request, recipe);
      const count = headcount.counts.find((one) => one.wave === wave.id && one.recipe === recipe);
      if (!count || count.pieces < 2) return [];
      const limit = limits.find((one) => one.code === "too-many-loads" && one.item === recipe);
      const most = limit && "most" in limit ? limit.most : Infinity;
      const part = (share: number) => {
        const loads = Math.floor((count.pieces * share) / count.perCarrier) * count.perCarrier;
        return Math.min(most, loads > 0 ? loads : Math.floor(count.pieces * share));
      };
      const fewer = [...new Set([part(2 / 3), part(1 / 3)])].filter((pieces) => pieces > 0);
      const half = Math.min(most, Math.ceil(count.pieces / 2));
      const minutes = (minutesOfClock(wave.time) ?? 0) + AFTER_MIN;
      const time = clockText(minutes);
      return [
        ...fewer.map((pieces) =>
          oneChange(`fewer-${wave.id}-${recipe}-${pieces}`, { code: "fewer", item: name, pieces, from: count.pieces }, (g) =>
            inWave(g, wave.id, (items) =>
              items.map((entry) => (entry.recipe === recipe ? { ...entry, pieces, split: undefined } : entry)),
            ),
          ),
        ),
        ...(minutes < MINUTES_A_DAY && half > 0 && half < count.pieces
          ? [
              oneChange(
                `waves-${wave.id}-${recipe}`,
                { code: "two-waves", item: name, pieces: count.pieces - half, minutes: AFTER_MIN, time },
                (g) => inTwoGoes(g, wave.id, recipe, half, count.pieces - half, time),
              ),
            ]
          : []),
        ...(kinds.size > 1
          ? [
              oneChange(`without-${wave.id}-${recipe}`, { code: "without", item: name }, (g) =>
                inWave(g, wave.id, (items) => items.filter((entry) => entry.recipe !== recipe)),
              ),
            ]
          : []),
      ];
    }),
  );
}

/** Part of an item's pieces in a wave of their own. */
function inTwoGoes(
  gathering: GatheringInput,
  wave: string,
  recipe: string,
  first: number,
  second: number,
  time: string,
): GatheringInput {
  const waves = gathering.waves ?? [];
  const of = waves.find((one) => one.id === wave);
  const entry = of?.items.find((one) => one.recipe === recipe);
  if (!of || !entry) return gathering;
  const id = freshId(
    `${of.name} again`,
    waves.map((one) => one.id),
  );
  const then = { ...of, id, name: `${of.name}, second go`, time, items: [{ ...entry, pieces: second, split: undefined }] };
  const cut = inWave(gathering, wave, (items) =>
    items.map((one) => (one.recipe === recipe ? { ...one, pieces: first, split: undefined } : one)),
  );
  const at = waves.indexOf(of);
  return { ...cut, waves: [...(cut.waves ?? []).slice(0, at + 1), then, ...(cut.waves ?? []).slice(at + 1)] };
}

const served = ({ gathering }: PlanRequest) => gathering.waves.filter((wave) => wave.items.length > 0);

function otherTimes(request: PlanRequest): Change[] {
  const waves = served(request);
  if (waves.length === 0 || waves.some((wave) => minutesOfClock(wave.time)! + LATER_MIN >= MINUTES_A_DAY)) return [];
  return [
    oneChange("later", { code: "later", minutes: LATER_MIN }, (g) => ({
      ...g,
      waves: (g.waves ?? []).map((wave) => ({
        ...wave,
        time: clockText((minutesOfClock(wave.time) ?? 0) + LATER_MIN),
      })),
    })),
  ];
}

/** Somebody comes to help, or whoever is there first begins earlier. */
function hands(request: PlanRequest): Change[] {
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
  if (earliest && minutesOfClock(earliest.hours.from)! >= EARLIER_MIN) {
    const { cook, hours } = earliest;
    const from = clockText(minutesOfClock(hours.from)! - EARLIER_MIN);
    const next = cook.hours.map((one) => (one === hours ? { ...one, from } : one));
    changes.push(
      oneChange("earlier", { code: "earlier", cook: cook.name, from }, (g) => {
        const others = (g.attendance ?? []).filter((entry) => entry.cook !== cook.id);
        const own = g.attendance?.find((entry) => entry.cook === cook.id);
        return { ...g, attendance: [...others, { ...own, cook: cook.id, hours: next }] };
      }),
    );
  }
  return changes;
}

/** What keeps is made the day before; not where the day before is over. */
function before(request: PlanRequest): Change[] {
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

/** Another of an item's options where that is another heat: baked, not fried. */
function otherwise(request: PlanRequest): Change[] {
  const heats = (item: Item, choices: Readonly<Record<string, string>>) =>
    resolveItem(item, choices, "base")
      .steps.filter((step) => isHeat(step) && step.path.includes("fresh"))
      .map((step) => `${step.kind} ${step.equipment.map((e) => e.id).join()}`)
      .join();
  return request.gathering.waves.flatMap((wave) =>
    wave.items.flatMap(({ recipe, choices, split }): Change[] => {
      if (split && split.length > 0) return [];
      const item = itemOf(request, recipe);
      const now = optionsOf(item, choices);
      return item.schools.flatMap((school, s) =>
        school.options
          .filter((option) => option.id !== now[s].id)
          .filter((option) => heats(item, { ...choices, [school.id]: option.id }) !== heats(item, choices))
          .map((option) =>
            oneChange(
              `option-${wave.id}-${recipe}-${school.id}-${option.id}`,
              { code: "otherwise", item: item.name, option: option.name },
              (g) =>
                inWave(g, wave.id, (items) =>
                  items.map((entry) =>
                    entry.recipe === recipe ? { ...entry, choices: { ...entry.choices, [school.id]: option.id } } : entry,
                  ),
                ),
            ),
          ),
      );
    }),
  );
}

function together({ gathering }: PlanRequest, { expansion }: Quantities): Change[] {
  const common = alikeGroups(expansion.workload.groups);
  if (common.length === 0) return [];
  const [{ part }] = common[0];
  const items = [...new Set(common.flatMap((set) => set.map((group) => group.item.name)))];
  return [
    oneChange("together", { code: "together", part, items, apart: gathering.mixTogether === true }, (g) => ({
      ...g,
      mixTogether: !g.mixTogether,
    })),
  ];
}

/** One more of what the items use and the kitchen has; and one of what it lacks. */
function equipment({ kitchen, items }: PlanRequest, { limits }: Quantities): Change[] {
  const used = new Set(
    items.flatMap((item) => item.steps.flatMap((step) => step.equipment.flatMap((e) => [e.id, e.or ?? e.id]))),
  );
  const lacking = new Set(limits.flatMap((limit) => (limit.code === "not-there" ? [limit.equipment] : [])));
  return EQUIPMENT_COUNTS.flatMap((key): Change[] => {
    const there = countOf(key, kitchen);
    const whole = PART_OF[key] ?? key;
    if (!used.has(whole) || (there === 0 && !lacking.has(key))) return [];
    if (whole !== key && countOf(PART_OF[key]!, kitchen) === 0) return [];
    const count = there === 0 ? 1 : there + (MORE[key] ?? 1);
    // A thirteenth oven is no help: the kitchen's own limits hold.
    if (countOf(key, withCounts(kitchen, { [key]: count })) !== count) return [];
    return [
      oneChange(`more-${key}`, { code: "one-more", equipment: key, count }, (g) => ({
        ...g,
        equipment: { ...g.equipment, [key]: count },
      })),
    ];
  });
}
const PART_OF: Readonly<Partial<Record<Counted, Counted>>> = { "oven-shelf": "oven", "steamer-tier": "steamer" };
