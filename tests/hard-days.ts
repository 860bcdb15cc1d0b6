import type { ProblemInput } from "@/core/schedule/problem";
import { seeded, type Chance } from "@/core/shared/chance";

type Task = ProblemInput["tasks"][number];
type Resource = ProblemInput["resources"][number];

/**
 * A day that is hard on purpose: `n` tasks in a horizon with little to spare, one to three cooks, alike or not, with
 * pauses; two ovens of which one heats slowly, a ranked fryer that recovers, lags either way, two due times and much to
 * lose at both. Some have no schedule at all.
 * @param ease minutes a task by which the horizon is longer than the tightest
 */
export function hardDay(n: number, seed: number, ease = 0): ProblemInput {
  const chance = seeded(seed);
  const alike = chance.below(2) === 0;
  const cooks = 1 + chance.below(3);
  const horizon = 50 + n * (4 + ease + chance.below(7));
  const dues = [horizon >> 1, horizon - 10];
  const hands = alike ? ["hands"] : ["ada", "ben", "cyd"].slice(0, cooks);
  return {
    format: "unisynth-problem/1",
    horizon,
    resources: [
      ...hands.map((id) => cook(id, alike ? cooks : 1, horizon, chance)),
      { id: "bowls", kind: "pool", capacity: 2 + chance.below(3) },
      { id: "oven", kind: "chamber", slots: 2, start: 20, heat: 15, cool: 5 },
      { id: "slow oven", kind: "chamber", slots: 1 + chance.below(2), start: 20, heat: 6, cool: 3 },
      { id: "fryer", kind: "chamber", slots: 2, start: 20, heat: 20, cool: 4, recovery: 2 + chance.below(5), ranked: true },
    ],
    tasks: Array.from({ length: n }, (_, i) => task(i, i < n >> 1 ? 0 : 1, hands, dues, chance)),
    costs: { span: chance.below(3) / 4, makespan: chance.below(4) === 0 ? 0.5 : 0 },
  };
}

/** Units without a break, or with one of 10 to 30 minutes. */
function cook(id: string, capacity: number, horizon: number, chance: Chance): Resource {
  const pool = { id, kind: "pool" as const, capacity };
  if (chance.below(2) === 0) return pool;
  const from = 20 + chance.below(horizon >> 1);
  const to = Math.min(horizon - 1, from + 10 + chance.below(21));
  return {
    ...pool,
    calendar: [
      [0, from, capacity],
      [to, horizon, capacity],
    ],
  };
}

function task(i: number, rank: number, hands: string[], dues: readonly number[], chance: Chance): Task {
  const minutes = 3 + chance.below(15);
  const common = {
    id: `t${i}`,
    after: i > 0 && chance.below(3) > 0 ? [lag(i, chance)] : [],
    ...(chance.below(2) === 0 && { due: dues[chance.below(2)], earlyCost: chance.below(4) / 2, lateCost: 1 + chance.below(5) }),
  };
  const turn = { resource: hands, from: chance.below(2) === 0 ? 0 : -1, minutes: 1 };
  switch (chance.below(5)) {
    case 0:
      return { ...common, duration: [minutes, minutes * 3], stretchCost: 0.1, uses: [{ resource: "bowls" }] };
    case 1:
      return {
        ...common,
        duration: minutes + 5,
        uses: [
          {
            resource: chance.below(2) === 0 ? ["oven", "slow oven"] : "oven",
            setting: 180 + 40 * chance.below(2),
            sealed: chance.below(4) === 0 ? 5 : 0,
          },
          turn,
        ],
      };
    case 2:
      return {
        ...common,
        duration: 2 + (minutes >> 2),
        uses: [{ resource: "fryer", setting: 180, rank }, turn],
      };
    case 3:
      return {
        ...common,
        duration: { of: 0, minutes: hands.map((_, k) => minutes + 3 * k) },
        uses: [{ resource: hands }, { resource: "bowls" }],
      };
    default:
      return { ...common, duration: minutes, uses: [{ resource: hands }] };
  }
}

/** What comes before a task: one of the four before it, with a pause or an overlap at the least, at times with a most. */
function lag(i: number, chance: Chance): NonNullable<Task["after"]>[number] {
  const min = chance.below(4) === 0 ? -2 : chance.below(3) * 3;
  return {
    task: `t${i - 1 - chance.below(Math.min(i, 4))}`,
    min,
    ...(chance.below(2) === 0 && { max: min + 5 + chance.below(30) }),
  };
}
