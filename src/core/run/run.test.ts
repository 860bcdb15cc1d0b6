import fc from "fast-check";
import { cookedDay, demoPlan } from "@tests/cooked-day";
import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import { verify } from "../schedule/verify";
import { momentOf } from "./clock";
import { runDocument } from "./document";
import { countedEvents, type RunEvent } from "./events";
import { replay } from "./replay";

const plan = demoPlan("launch-night");
const { said, asPlanned, own: ownTasks, start } = cookedDay(plan);
const document = (events: readonly RunEvent[], now?: number, of: Plan = plan) => runDocument(of, events, now);
const whole = (events: readonly RunEvent[], now: number) => JSON.stringify(document(events, now));
const first = (kind: string) => ownTasks.filter(({ id }) => stepIn(plan, id)?.kind === kind).sort((a, b) => a.start - b.start)[0];
const supper = plan.day.targets[0];

describe("what happened, replayed", () => {
  it("is the same in any order of arrival, and however often each event comes", () => {
    const now = start + 150;
    const events = asPlanned(now);
    const once = whole(events, now);
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), fc.subarray(events), (shuffled, again) => {
        const { events: _count, ...rest } = JSON.parse(whole([...shuffled, ...again], now)) as Record<string, unknown>;
        const { events: _same, ...was } = JSON.parse(once) as Record<string, unknown>;
        expect(rest).toEqual(was);
      }),
      { numRuns: 8 },
    );
  });

  it("undoing restores, and an undoing may be undone", () => {
    const { id } = ownTasks[0];
    const began = said(start, { kind: "started", task: id });
    const undone = said(start + 1, { kind: "undone", event: began.id });
    const again = said(start + 2, { kind: "undone", event: undone.id });
    expect(replay(plan, [began, undone]).tasks).toEqual(replay(plan, []).tasks);
    expect(replay(plan, [again, began, undone]).tasks).toEqual(replay(plan, [began]).tasks);
    expect([...countedEvents([again, undone, began]).undone]).toEqual([undone.id]);
  });

  it("of a day as planned nothing moves, and every wave stays", () => {
    const now = start + 200;
    const run = document(asPlanned(now), now);
    expect(run.replan.late).toEqual([]);
    expect(run.replan.moves).toEqual([]);
    expect(run.replan.sentence).toMatch(new RegExp(`^${supper.name} stays 18:30.*; nothing else moves\\.$`));
    for (const { cook, now: at } of run.cooks) expect([cook, at.length <= 2]).toEqual([cook, true]);
  });

  it("keeps every note of a long day, in the order of their moments", () => {
    const notes = Array.from({ length: 2000 }, (_, k) =>
      said(start + (k % 300), { kind: "note", text: `${k}` }, k % 2 ? "phone" : "wall"),
    );
    const minutes = replay(plan, notes).notes.map(({ minute }) => minute);
    expect(minutes).toEqual(notes.map((_, k) => start + (k % 300)).sort((a, b) => a - b));
  });
});

describe("a step that is judged", () => {
  const proof = first("final-proof");

  it("stays open when its time is over, is looked at again, and moves what follows and nothing that is done", () => {
    const now = proof.end + 5;
    const before = asPlanned(proof.end - 1);
    const look = said(proof.end, { kind: "checked", task: proof.id, seen: "early" });
    const run = document([...before, look], now);
    expect(run.tasks[proof.id]).toMatchObject({ status: "running", lookAgain: proof.end + 10 });
    for (const { id, start, end } of ownTasks.filter((one) => one.end < proof.end)) {
      expect(run.replan.solution.tasks.find((one) => one.id === id)).toMatchObject({ start, end });
    }
  });

  it("is over when it looks right, and a share says when it will be", () => {
    const before = asPlanned(proof.start);
    const half = said(proof.start + 20, { kind: "checked", task: proof.id, seen: "early", share: 0.4 });
    expect(replay(plan, [...before, half]).tasks.get(proof.id)).toMatchObject({
      status: "running",
      expectedEnd: proof.start + 50,
    });
    const right = said(proof.start + 44, { kind: "checked", task: proof.id, seen: "right" });
    expect(replay(plan, [...before, half, right]).tasks.get(proof.id)).toMatchObject({ status: "done", end: proof.start + 44 });
  });

  it("takes longer in a room that is measured to be colder", () => {
    const before = asPlanned(proof.start);
    const cold = said(proof.start + 5, { kind: "measured", what: "room", value: 15 });
    const end = (events: RunEvent[]) => replay(plan, events).tasks.get(proof.id)!.expectedEnd!;
    expect(end([...before, cold])).toBeGreaterThan(end(before) + 10);
    const dough = (value: number) => said(proof.start + 5, { kind: "measured", task: proof.id, what: "dough", value });
    expect(end([...before, dough(15)])).toBe(end([...before, cold]));
    expect(end([...before, dough(33)])).toBeLessThan(end(before));
    // Another dough's warmth is none of its own.
    const other = ownTasks.find(({ id }) => id !== proof.id)!.id;
    expect(end([...before, said(proof.start + 5, { kind: "measured", task: other, what: "dough", value: 15 })])).toBe(
      end(before),
    );
  });

  it("is not over with a core below its figure, but for a reason", () => {
    const heat = ownTasks.find(({ id }) => stepIn(plan, id)?.coreC !== undefined && isHeat(stepIn(plan, id)!))!;
    const wanted = stepIn(plan, heat.id)!.coreC!;
    const events = [
      said(heat.start, { kind: "started", task: heat.id }),
      said(heat.end - 1, { kind: "measured", task: heat.id, what: "core", value: wanted - 6 }),
    ];
    const done = said(heat.end, { kind: "done", task: heat.id });
    const run = document([...events, done], heat.end);
    expect(run.tasks[heat.id].status).toBe("running");
    expect(run.warnings.find(({ code }) => code === "core-short")?.text).toMatch(/wanted\. It stays in the heat/);
    expect(replay(plan, [...events, { ...done, reason: "cut open, done" } as RunEvent]).tasks.get(heat.id)!.status).toBe("done");
    const hot = said(heat.end + 2, { kind: "measured", task: heat.id, what: "core", value: wanted });
    const now = said(heat.end + 3, { kind: "done", task: heat.id });
    expect(replay(plan, [...events, done, hot, now]).tasks.get(heat.id)!.status).toBe("done");
  });
});

describe("the rest of the day, planned again", () => {
  it("keeps every rule and what is done, whatever was late, lost or left out", () => {
    const tasks = ownTasks.filter(({ start: from }) => from < supper.minute - 60);
    fc.assert(
      fc.property(
        fc.integer({ min: start + 20, max: supper.minute - 20 }),
        fc.array(
          fc.tuple(
            fc.constantFrom(...tasks),
            fc.constantFrom("late", "extended", "lost", "skipped"),
            fc.integer({ min: 1, max: 40 }),
          ),
          {
            maxLength: 4,
          },
        ),
        (now, trouble) => {
          const odd = trouble.flatMap(([{ id, start: from, end }, kind, minutes]): RunEvent[] =>
            from > now
              ? []
              : kind === "late" || kind === "extended"
                ? [said(Math.min(now, from + 1), { kind, task: id, minutes })]
                : [said(Math.min(now, end), { kind: kind as "lost" | "skipped", task: id })],
          );
          const events = [...asPlanned(now), ...odd];
          const { replan, tasks: stand } = document(events, now);
          expect(replan.solution.tasks.length).toBeGreaterThan(0);
          expect(verify(replan.problem, replan.solution)).toEqual([]);
          const placed = new Map(replan.solution.tasks.map((one) => [one.id, one]));
          for (const [id, { status, start: from, end }] of Object.entries(stand))
            if (status === "done" || status === "skipped") expect(placed.get(id)).toMatchObject({ start: from, end });
        },
      ),
      { numRuns: 12 },
    );
  });

  it("a cook who leaves has nothing to do from then on", () => {
    const now = start + 60;
    const run = document([...asPlanned(now), said(now, { kind: "changed", who: "aud", isThere: false })], now);
    expect(run.cooks.find(({ cook }) => cook === "aud")).toMatchObject({ isAway: true });
    const own = run.replan.solution.tasks.filter(({ taken, start: from }) => taken.includes("aud") && from > now);
    expect(own).toEqual([]);
  });

  it("says which wave is late, and what happened to nobody's task is kept without effect", () => {
    const now = supper.minute - 30;
    const run = document([said(now, { kind: "started", task: "nobody/knows/0-1" })], now);
    expect(run.warnings.map(({ code }) => code)).toContain("no-such-task");
    expect(run.replan.late.length).toBeGreaterThan(0);
    expect(run.replan.sentence).toMatch(/late/);
  });
});

test("minutes out of the cold never fall while a lot waits for its heat", () => {
  const until = supper.minute - 90;
  const events = asPlanned(until);
  let before = new Map<string, number>();
  for (let now = start + 30; now <= until; now += 10) {
    const { lots } = document(
      events.filter(({ at }) => at <= momentOf(plan, now)),
      now,
    );
    const used = new Map(lots.map(({ task, usedMin }) => [task, usedMin]));
    for (const [task, minutes] of used) expect(minutes).toBeGreaterThanOrEqual(before.get(task) ?? 0);
    before = used;
  }
  expect(before.size).toBeGreaterThan(0);
});
