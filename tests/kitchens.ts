import type { ProblemInput } from "@/core/schedule/problem";
import { seeded } from "@/core/shared/chance";

/** A day of `n` tasks for a few cooks: chains of hands-on work, rests and oven loads, due towards its end. */
export function kitchen(n: number, seed: number): ProblemInput {
  const chance = seeded(seed);
  const horizon = 200 + n * 8;
  const tasks: ProblemInput["tasks"] = [];
  for (let i = 0; i < n; i++) {
    const last = i % 4 === 3;
    const minutes = 4 + chance.below(16);
    const after = i % 4 > 0 ? [{ task: `t${i - 1}`, max: 60 + chance.below(60) }] : [];
    const kinds = [
      { duration: minutes, uses: [{ resource: ["ada", "ben", "cyd"] }, { resource: "bowls" }] },
      { duration: [minutes * 2, minutes * 5] as [number, number], stretchCost: 0.1, uses: [{ resource: "trays" }] },
      {
        duration: minutes + 8,
        uses: [
          { resource: "oven", setting: 180 + 20 * chance.below(3) },
          { resource: ["ada", "ben"], from: 0, minutes: [1, 2] },
        ],
      },
      { duration: { of: 0, minutes: [minutes, minutes + 3] }, uses: [{ resource: ["ada", "ben"] }] },
    ];
    tasks.push({
      id: `t${i}`,
      after,
      ...kinds[i % 4],
      ...(last && { due: horizon - chance.below(horizon >> 1), earlyCost: 0.5, lateCost: 5 }),
    });
  }
  return {
    format: "unisynth-problem/1",
    horizon: horizon + 240,
    resources: [
      ...["ada", "ben", "cyd"].map((id) => ({ id, kind: "pool" as const, capacity: 1 })),
      { id: "bowls", kind: "pool", capacity: 4 },
      { id: "trays", kind: "pool", capacity: 6 },
      { id: "oven", kind: "chamber", slots: 2, start: 20, heat: 10, cool: 5 },
    ],
    tasks,
    costs: { span: 0.2 },
  };
}
