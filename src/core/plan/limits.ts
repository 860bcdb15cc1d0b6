import type { Obstacle } from "../batching/obstacle";
import { capacitiesOf, chamberOf, loadRooms } from "../kitchen/capacity";
import { type Demand } from "../gathering/demands";
import { throughStep } from "../item/resolve";
import { sizeOf } from "../shared/range";
import type { Kitchen } from "../kitchen/schema";
import { sum } from "../shared/rounding";

/**
 * Demands that cannot be kept whatever the timetable: the loads of one item must go through one chamber after another
 * and the pieces of the first would be older at the table than they may be. Proven from the item and the kitchen alone.
 */
export function holdLimits(demands: readonly Demand[], kitchen: Kitchen): Obstacle[] {
  const limits: Obstacle[] = [];
  const servings = demands
    .filter((demand) => demand.for !== "freezer")
    .flatMap((demand) => demand.resolved.steps.filter(({ kind }) => kind === "serve").map((serve) => ({ demand, serve })));
  for (const { demand, serve } of servings) {
    const { item, resolved } = demand;
    const hold = serve.hold?.maxMin;
    const before = throughStep(resolved.steps, serve.id);
    const steps = demand.steps.filter(({ id }) => before.has(id));
    const heated = steps.filter((step) => step.lot === "load" && chamberOf(step) && !step.rest).at(-1);
    if (hold === undefined || !heated) continue;
    const chamber = chamberOf(heated)!;
    const rooms = loadRooms(heated, capacitiesOf(item, kitchen)).filter(({ count, pieces }) => count > 0 && pieces > 0);
    if (rooms.length === 0) continue;
    const perRound = sum(rooms.map(({ count, pieces }) => count * pieces));
    const loads = Math.ceil(sizeOf(demand.range) / rooms[0].pieces);
    // From one load's end to the next one's: its own minutes, the settling in the closed chamber, the chamber's recovery.
    const settling = steps
      .filter((step) => step.rest && step.equipment.some((e) => e.id === chamber))
      .reduce((sum, s) => sum + s.rest!.min, 0);
    const recovery = Math.ceil(heated.equipment.find((e) => e.id === chamber)?.recoveryMin ?? 0);
    const cycle = Math.ceil(heated.time.fixedMin) + settling + recovery;
    const rounds = Math.ceil(sizeOf(demand.range) / perRound);
    // Rests between the heat and the table do not count as age until they could have ended; those after which the item is stored do not bind it.
    const between = steps
      .slice(steps.indexOf(heated) + 1)
      .filter((step) => step.rest && !step.equipment.some((e) => e.id === chamber));
    const slack = between.reduce((sum, step) => sum + (step.rest!.max - step.rest!.min), 0);
    const oldest = (rounds - 1) * cycle;
    if (rounds < 2 || oldest <= hold + slack) continue;
    limits.push({
      code: "too-many-loads",
      item: item.id,
      chamber,
      pieces: sizeOf(demand.range),
      loads,
      perLoad: rooms[0].pieces,
      apartMin: cycle,
      oldestMin: oldest,
      holdMin: hold,
      most: Math.floor((hold + slack) / cycle + 1) * perRound,
    });
  }
  return limits;
}
