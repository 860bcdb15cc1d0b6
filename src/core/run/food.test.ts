import { cookedDay, demoPlan, firstPlan, ownDay } from "@tests/cooked-day";
import { expectRequest, supperInput } from "@tests/demo";
import fc from "fast-check";
import { isHeat } from "../item/step";
import { stepIn, type Plan } from "../plan/schema";
import { changeover } from "../schedule/model";
import type { Chamber } from "../schedule/problem";
import { verify } from "../schedule/verify";
import type { RunEvent } from "./events";
import { runDocument } from "./document";
import { heatsToSet } from "./heats-to-set";
import { outcomeOf } from "./outcome";
import { replay } from "./replay";
import { clockText } from "../shared/clock";
import { gateKey } from "./run-state";
import { pieceNumbers } from "./piece-numbers";
import { restOfDay } from "./rest-of-day";
import { clocksOf, foodClocks } from "./stand";
import { foodWindows, windowLevel } from "./windows";

const big = demoPlan("launch-night");
const day = cookedDay(big);
const { said, own, asPlanned } = day;
const of = (plan: Plan, want: (id: string) => boolean) => cookedDay(plan).own.filter(({ id }) => want(id));

const windowsAt = (plan: Plan, events: readonly RunEvent[], now: number) => {
  const state = replay(plan, events);
  return foodWindows(plan, state, restOfDay(plan, state, now), now);
};

describe("windows of food", () => {
  it("meat in soda is said from 20 min on and stops at 24, for a window of 8 to 24", () => {
    const {
      plan,
      said: say,
      own: tasks,
    } = ownDay(
      {
        name: "Dumplings",
        makes: 24,
        dough: ["400 g flour", "200 g water"],
        fillings: ["500 g raw minced pork", "2 spring onions"],
        method: ["Mix. Fill. Steam 10 min."],
      },
      24,
      { tenderising: "alkali" },
    );
    const soda = tasks.find(({ id }) => /soda/.test(stepIn(plan, id)?.do ?? "") && stepIn(plan, id)?.rest)!;
    const began = [say(soda.start, { kind: "started", task: soda.id })];
    const at = (minutes: number) => {
      const [window] = windowsAt(plan, began, soda.start + minutes).filter(({ code }) => code === "alkali");
      return [window.until - window.since, windowLevel(window, soda.start + minutes)];
    };
    expect([at(19), at(20), at(23), at(24)]).toEqual([
      [24, "ok"],
      [24, "soon"],
      [24, "soon"],
      [24, "over"],
    ]);
    expect(windowsAt(plan, [...began, say(soda.start + 15, { kind: "done", task: soda.id })], soda.start + 16)).toEqual([]);
  });

  it("egg for brushing stands for two hours from its first coat, until the last is on", () => {
    const isBrushed = (item: string) =>
      big.batches.some(
        (one) => one.item === item && one.ingredients.some(({ name }) => /egg/.test(name)) && one.part === "finish",
      );
    const glazes = of(big, (id) => stepIn(big, id)?.kind === "glaze" && isBrushed(big.tasks[id].item)).sort(
      (a, b) => a.start - b.start,
    );
    const windows = (minutes: number) => windowsAt(big, asPlanned(glazes[0].start), glazes[0].start + minutes);
    const wash = windows(1).find(({ code }) => code === "egg-wash")!;
    expect([wash.since, wash.until - wash.since]).toEqual([glazes[0].start, 120]);
    expect(windowLevel(wash, glazes[0].start + 89)).toBe("ok");
    expect(windowLevel(wash, glazes[0].start + 90)).toBe("soon");
    expect(windowLevel(wash, glazes[0].start + 120)).toBe("over");
    const mine = big.tasks[glazes[0].id].item;
    const printed = runDocument(big, asPlanned(glazes[0].start), wash.since + 90).windows;
    expect(printed.find(({ code }) => code === "egg-wash")).toMatchObject({
      ...wash,
      level: "soon",
      text: expect.stringContaining(`no longer than ${clockText(wash.until % 1440)}`) as string,
    });
    const done = glazes
      .filter(({ id }) => big.tasks[id].item === mine)
      .map(({ id, end }) => said(end, { kind: "done", task: id }));
    const last = Math.max(...glazes.map(({ end }) => end));
    expect(windowsAt(big, done, last).filter((one) => one.code === "egg-wash" && one.item === mine)).toEqual([]);
  });

  it("what is open to the air is said when its time is nearly over, by the limit that its step has", () => {
    const open = of(
      big,
      (id) => stepIn(big, id)?.after.some(({ maxGapMin = 0 }) => maxGapMin > 0 && maxGapMin <= 60) ?? false,
    )[0];
    const [limit] = stepIn(big, open.id)!.after.filter(({ maxGapMin = 0 }) => maxGapMin > 0 && maxGapMin <= 60);
    const { item, range } = big.tasks[open.id];
    const before = own.find(({ id }) => {
      const info = big.tasks[id];
      return info.item === item && info.step === limit.step && info.range[0] < range[1] && info.range[1] > range[0];
    })!;
    const waits = (minutes: number) =>
      windowsAt(big, [said(before.end, { kind: "done", task: before.id })], before.end + minutes).find(
        (one) => one.code === "waits" && one.task === open.id,
      );
    expect(waits(0)).toBeUndefined();
    const late = waits(limit.maxGapMin!)!;
    expect(late.until).toBe(before.end + limit.maxGapMin!);
    expect(windowLevel(late, late.until)).toBe("over");
  });

  it("hot oil with nothing in it is turned off: at once when nothing is to come, after ten minutes else", () => {
    const fries = of(big, (id) => stepIn(big, id)?.kind === "fry").sort((a, b) => a.start - b.start);
    const first = asPlanned(fries[0].end).filter((one) => !("task" in one) || fries.every(({ id }) => id !== one.task));
    const one = [
      ...first,
      said(fries[0].start, { kind: "started", task: fries[0].id }),
      said(fries[0].end, { kind: "done", task: fries[0].id }),
    ];
    const idle = windowsAt(big, one, fries[0].end + 1).find(({ code }) => code === "hot-oil")!;
    expect(idle.until).toBe(fries[0].end + 10);
    const last = fries.at(-1)!;
    const over = windowsAt(big, asPlanned(last.end), last.end).find(({ code }) => code === "hot-oil")!;
    expect([over.until, "nextAt" in over]).toEqual([last.end, false]);
  });

  it("a pie out at 88 °C waits about 25 min for a grown-up, longer for a child", () => {
    const bake = of(big, (id) => stepIn(big, id)?.coreC !== undefined && stepIn(big, id)?.kind === "bake")[0];
    const events = [
      ...asPlanned(bake.end).filter((one) => one.kind !== "done" || one.task !== bake.id),
      said(bake.end, { kind: "measured", task: bake.id, what: "core", value: 88 }),
      said(bake.end, { kind: "done", task: bake.id }),
    ];
    const [hot] = windowsAt(big, events, bake.end + 1).filter((one) => one.code === "too-hot" && one.task === bake.id);
    expect(hot).toMatchObject({ since: bake.end, coreC: 88, isMeasured: true });
    expect(hot.until - bake.end).toBeGreaterThan(8);
    expect((hot as { childUntil: number }).childUntil).toBeGreaterThan(hot.until);
    expect(windowsAt(big, events, (hot as { childUntil: number }).childUntil)).not.toContainEqual(hot);
  });
});

describe("a lot out of the cold", () => {
  const heat = of(
    big,
    (id) => stepIn(big, id)?.coreC !== undefined && isHeat(stepIn(big, id)!) && stepIn(big, id)!.part === "piece",
  )
    .filter(({ id, start }) => foodClocks(big, replay(big, asPlanned(start - 1)), start - 1).some((one) => one.task === id))
    .at(-1)!;
  const now = heat.start - 1;
  const clocks = (events: readonly RunEvent[], at = now) =>
    foodClocks(big, replay(big, events), at).filter(({ task }) => task === heat.id);
  const used = (events: readonly RunEvent[], at = now) => clocks(events, at).map((one) => [one.share, one.isCold, one.usedMin]);

  it("half of it back in the fridge stands still there, the other half goes on", () => {
    const events = asPlanned(now);
    const [[, , before]] = used(events, now - 10);
    const half = [...events, said(now - 10, { kind: "cooled", task: heat.id, share: 0.5 })];
    expect(used(half)).toEqual([
      [0.5, false, (before as number) + 10],
      [0.5, true, before],
    ]);
    const out = [...half, said(now - 4, { kind: "cooled", task: heat.id, share: 1, isOut: true })];
    expect(used(out)).toEqual([[1, false, (before as number) + 10]]);
  });

  it("no part's minutes ever fall, whatever goes in and out", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ before: fc.integer({ min: 1, max: 60 }), share: fc.constantFrom(0.25, 0.5, 1), isOut: fc.boolean() }),
          {
            maxLength: 5,
          },
        ),
        (moves) => {
          const told = [
            ...asPlanned(now),
            ...moves.map(({ before, share, isOut }) => said(now - before, { kind: "cooled", task: heat.id, share, isOut })),
          ];
          let least = 0;
          for (let at = now - 60; at <= now; at += 6) {
            const all = clocks(
              told.filter(({ at: said_ }) => Date.parse(said_) <= Date.parse(said(at, { kind: "note", text: "x" }).at)),
              at,
            );
            if (all.length === 0) continue;
            const total = all.reduce((sum, { share }) => sum + share, 0);
            expect(total).toBeCloseTo(1, 9);
            const low = Math.min(...all.map(({ usedMin }) => usedMin));
            expect(low).toBeGreaterThanOrEqual(least);
            // What lies in the fridge may come to lie beside what was out longer: then the lot counts as that.
            least = Math.max(least, low);
          }
        },
      ),
      { numRuns: 12 },
    );
  });

  it("all of it in the fridge for a while is no fault of the day", () => {
    const late = [...asPlanned(now), said(now, { kind: "cooled", task: heat.id, share: 1 })];
    const began = [
      ...late,
      said(now + 300, { kind: "started", task: heat.id }),
      said(now + 330, { kind: "done", task: heat.id }),
    ];
    const unsafe = (events: RunEvent[]) =>
      outcomeOf(big, replay(big, events)).unsafe.filter((one) => one.task === heat.id && one.code === "out-of-cold");
    expect(unsafe(began.filter(({ kind }) => kind !== "cooled"))).toHaveLength(1);
    expect(unsafe(began)).toEqual([]);
  });
});

test("a first piece that takes 5 min instead of 4 makes all loads of it longer, and the rest of the day keeps every rule", () => {
  const fries = of(big, (id) => stepIn(big, id)?.kind === "fry").sort((a, b) => a.start - b.start);
  const [first] = fries;
  const same = fries.filter(({ id }) => big.tasks[id].item === big.tasks[first.id].item);
  const planned = first.end - first.start;
  const events = [
    ...asPlanned(first.start - 1),
    said(first.start, { kind: "piloted", task: first.id }),
    said(first.start + planned + 1, { kind: "retimed", task: first.id, minutes: planned + 1 }),
  ];
  const now = first.start + planned + 1;
  const state = replay(big, events);
  expect(state.tasks.get(first.id)).toMatchObject({ status: "waiting", pilotSince: first.start });
  const rest = restOfDay(big, state, now);
  expect(verify(rest.problem, rest.solution)).toEqual([]);
  for (const { id } of same) {
    const { start, end } = rest.solution.tasks.find((one) => one.id === id)!;
    expect([id, end - start]).toEqual([id, planned + 1]);
  }
});

describe("what is blanched", () => {
  const { item } = ownDay(
    {
      name: "Parcels",
      makes: 12,
      dough: ["400 g flour", "200 g butter", "100 g water"],
      fillings: ["300 g ham", "200 g chinese cabbage"],
      method: ["Blanch the cabbage for 4 minutes.", "Fill, fold over. Bake 25 min at 190 C."],
    },
    12,
  );
  // One cook: whose hands are at something has to leave it.
  const plan = firstPlan(expectRequest(supperInput("first-try", item, 12, "13:00")));
  const { said: say, own: tasks } = cookedDay(plan);
  const of = (step: string) => tasks.find(({ id }) => stepIn(plan, id)?.id === step)!;
  const blanch = of("blanch-filling");
  const drain = of("drain-filling");
  const done = (minute: number) =>
    tasks
      .filter(({ end }) => end <= blanch.start)
      .map(({ id, start }) => say(Math.min(start, minute), { kind: "done", task: id }));
  const drainedAt = (events: readonly RunEvent[], now: number) => {
    const { solution, problem, broken } = restOfDay(plan, replay(plan, events), now);
    expect([verify(problem, solution), broken]).toEqual([[], []]);
    return solution.tasks.find(({ id }) => id === drain.id)!.start;
  };

  it("is looked at so many minutes after it boils again, and comes out at once", () => {
    expect(drain.start).toBe(blanch.start + 4);
    const boils = blanch.start + 7;
    const events = [...done(boils), say(boils, { kind: "started", task: blanch.id })];
    const clock = clocksOf(plan, replay(plan, events)).find(({ task }) => task === blanch.id);
    expect(clock).toMatchObject({ since: boils, lookAt: boils + 4, target: boils + 4, tooFar: boils + 5 });
    expect(drainedAt(events, boils + 1)).toBe(boils + 4);
    const early = [...events, say(boils + 4, { kind: "checked", task: blanch.id, seen: "early" })];
    expect(replay(plan, early).tasks.get(blanch.id)).toMatchObject({ status: "running", lookAgain: boils + 5 });
  });

  it("begun long before its time, in the minute in which the same hands laid something else down, it comes out in time as well", () => {
    const boils = blanch.start - 30;
    const rest = of("rest-dough").id;
    const before = done(boils).filter((one) => !("task" in one) || one.task !== rest);
    const begun = [rest, blanch.id].map((task) => say(boils, { kind: "started", task }));
    expect(drainedAt([...before, ...begun], boils)).toBeLessThanOrEqual(boils + 5);
  });
});

test("an oven is set so early that it is hot when its load goes in, and slides with what comes before", () => {
  const bake = of(big, (id) => stepIn(big, id)?.kind === "bake").sort((a, b) => a.start - b.start)[0];
  const events = asPlanned(bake.start - 60).filter((one) => !("task" in one) || one.task !== bake.id);
  const heats = (more: RunEvent[] = []) => {
    const state = replay(big, [...events, ...more]);
    return heatsToSet(big, state, restOfDay(big, state, bake.start - 60));
  };
  const [own1] = heats().filter(({ task }) => task === bake.id);
  const chamber = big.problem.resources.find(({ id }) => id === own1.resource) as Chamber;
  expect(own1.goesIn - own1.at).toBe(changeover(chamber, chamber.start, own1.settingC));
  const slid = heats([said(bake.start - 60, { kind: "late", task: bake.id, minutes: 12 })]).find(({ task }) => task === bake.id);
  if (slid) expect(slid.at - own1.at).toBe(slid.goesIn - own1.goesIn);
  const printed = runDocument(big, events, bake.start - 60).heats.find(({ task }) => task === bake.id)!;
  expect(printed).toMatchObject(own1);
  expect(printed.text).toContain(` to ${own1.settingC} °C at ${clockText(own1.at % 1440)}, for: `);
  const set = heats([said(bake.start - 60, { kind: "set", what: own1.resource, value: own1.settingC })]);
  expect(set.some(({ task }) => task === bake.id)).toBe(false);
});

test("a rise in the fridge keeps for longer, knocked back it rises once more in half the time", () => {
  const proof = of(big, (id) => big.tasks[id].rise !== undefined)[0];
  const began = asPlanned(proof.start);
  const at = proof.start + 20;
  const clock = (events: RunEvent[]) => clocksOf(big, replay(big, events)).find(({ task }) => task === proof.id)!;
  const usual = clock(began);
  const cold = clock([...began, said(at, { kind: "held", task: proof.id, place: "fridge" })]);
  expect(cold.held).toBe("fridge");
  expect(cold.tooFar!).toBe(at + 8 * (usual.tooFar! - at));
  const again = clock([...began, said(at, { kind: "held", task: proof.id, place: "knocked-back" })]);
  expect(again.target).toBe(at + Math.ceil((usual.target - proof.start) / 2));
});

test("what was seen at a gate is kept, the last answer counts, and nothing moves by it alone", () => {
  const task = own[0].id;
  const yes = said(own[0].start, { kind: "answered", task, gate: "runs", seen: { kind: "yes" } });
  const no = said(own[0].start + 5, { kind: "answered", task, gate: "runs", seen: { kind: "no" }, note: "thick enough for me" });
  const state = replay(big, [no, yes]);
  expect(state.answers.get(gateKey(task, "runs"))).toMatchObject({ seen: { kind: "no" }, note: "thick enough for me" });
  expect(state.tasks).toEqual(replay(big, []).tasks);
});

test("lots name their pieces by the order in which they are shaped, each piece once", () => {
  const items = new Set(own.map(({ id }) => big.tasks[id].item));
  let count = 0;
  for (const item of items)
    for (const kind of ["seal", "final-proof", "bake", "fry"]) {
      const lots = own
        .filter(({ id }) => big.tasks[id].item === item && stepIn(big, id)?.kind === kind)
        .flatMap(({ id }) => pieceNumbers(big, id) ?? []);
      if (lots.length < 2) continue;
      count += 1;
      const sorted = lots.toSorted((a, b) => a.from - b.from);
      for (let k = 1; k < sorted.length; k++) expect(sorted[k].from).toBeGreaterThan(sorted[k - 1].from - 1);
    }
  expect(count).toBeGreaterThan(2);
  const seals = of(big, (id) => stepIn(big, id)?.kind === "seal" && pieceNumbers(big, id) !== undefined).sort(
    (a, b) => a.start - b.start,
  );
  const [first] = seals.filter(({ id }) => big.tasks[id].item === big.tasks[seals[0].id].item);
  expect(pieceNumbers(big, first.id)!.from).toBe(1);
});
