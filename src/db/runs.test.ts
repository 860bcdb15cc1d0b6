import fc from "fast-check";
import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "@/core/plan/pipeline";
import type { KeptPlan } from "@/core/plan/kept-plan";
import type { RunEvent } from "@/core/run/events";
import { openDatabase, type Db } from "./database";
import { clearAll, seedDemo } from "./demo";
import { gatheringRepository } from "./gatherings";
import { planRepository } from "./plans";
import { runRepository } from "./runs";
import { runEvents } from "./schema";

const NOW = "2026-11-25T08:00:00.000Z";
const request = expectRequest({ ...demoInput("first-try"), solve: { seed: 1, iterations: 0 } });
const plan = makePlan(request, { now: () => 0 });
const kept = { request, plan, search: "ended" } as KeptPlan;

let db: Db;
let planId: number;
beforeEach(() => {
  db = openDatabase(":memory:");
  seedDemo(db, NOW);
  planId = planRepository(db).save("first-try", kept, NOW);
  runRepository(db).begin({ id: "r", gatheringId: "first-try", planId, startedAt: NOW, shiftMs: 0 });
});

const note = (id: string): RunEvent => ({ id, device: "phone", at: NOW, kind: "note", text: id });
const idsAfter = (sequence: number) =>
  runRepository(db)
    .after("r", sequence)
    .map(({ event }) => event.id);

test("each event is kept once, in the order in which it came, whatever is sent again", () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.constantFrom("a", "b", "c", "d", "e"), { minLength: 1, maxLength: 4 }), { maxLength: 6 }),
      (sendings) => {
        const id = `run-${runRepository(db).of("first-try").length}`;
        runRepository(db).begin({ id, gatheringId: "first-try", planId, startedAt: NOW, shiftMs: 0 });
        for (const sent of sendings) runRepository(db).tell(id, sent.map(note), NOW);
        const kept = runRepository(db).after(id, 0);
        expect(kept.map(({ event }) => event.id)).toEqual([...new Set(sendings.flat())]);
        expect(kept.map(({ sequence }) => sequence)).toEqual(kept.map((_, k) => k + 1));
      },
    ),
    { numRuns: 40 },
  );
});

test("what came in after a place is told to whoever knows the rest", () => {
  runRepository(db).tell("r", [note("a"), note("b")], NOW);
  const [{ sequence }] = runRepository(db).after("r", 0).slice(-1);
  runRepository(db).tell("r", [note("b"), note("c")], NOW);
  expect(idsAfter(sequence)).toEqual(["c"]);
});

test("what happened cannot be changed or taken out, but by throwing everything away", () => {
  runRepository(db).tell("r", [note("a")], NOW);
  const cause = (act: () => unknown): string => {
    try {
      act();
      return "";
    } catch (error) {
      return String((error as { cause?: Error }).cause?.message ?? error);
    }
  };
  expect(cause(() => db.update(runEvents).set({ kind: "done" }).run())).toMatch(/append-only/);
  expect(cause(() => db.delete(runEvents).run())).toMatch(/append-only/);
  expect(cause(() => gatheringRepository(db).remove("first-try"))).toMatch(/FOREIGN KEY/);
  clearAll(db);
  expect(runRepository(db).find("r")).toBeUndefined();
  expect(cause(() => db.delete(runEvents).run())).toBe("");
});

test("the plan of a run stays, however many plans come after it", () => {
  for (let k = 0; k < 8; k++) planRepository(db).save("first-try", kept, NOW);
  expect(runRepository(db).planOf("r")?.plan.solution).toEqual(plan.solution);
  expect(runRepository(db).of("first-try")).toHaveLength(1);
});
