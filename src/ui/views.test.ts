import { demoGathering, demoInput, demoItem, demoKitchen, expectRequest, TODAY } from "@tests/demo";
import { makePlan } from "@/core/plan/pipeline";
import { quantitiesOf } from "@/core/plan/quantities";
import { stepIn } from "@/core/plan/schema";
import { demandRow, spreadTotal } from "./gathering/gathering.view-model";
import { issueAt } from "./gathering/issues";
import { checkDraft, planKey, requestOf } from "./plan/plan-state";
import { momentText, summarise } from "./plan/plan-summary";
import { planDays } from "@/core/gathering/calendar";
import { targetsOf } from "@/core/plan/targets";
import { daySheets, inPlace } from "./quantities/quantities.view-model";
import { timeScale, ticksOf } from "./timeline/scale";
import { timelineModel } from "./timeline/timeline.view-model";

const request = expectRequest(demoInput("first-try"));
const plan = makePlan(request, { now: () => 0 });
const source = {
  items: ["slipway-pie", "reed-pocket"].map(demoItem),
  inUse: ["slipway-pie"],
  kitchens: [demoKitchen("first-kitchen")],
  today: TODAY,
  zone: "UTC",
  now: "09:00",
};

describe("the form", () => {
  test("only the items it names go into the request", () => {
    expect(requestOf(demoGathering("first-try"), source).items.map((i) => i.id)).toEqual(["slipway-pie"]);
  });

  test("a wrong number keeps the form and is told at its field, in one sentence", () => {
    const draft = demoGathering("first-try");
    draft.guests![0].count = -2;
    const checked = checkDraft(draft, source);
    expect(checked.ok).toBe(false);
    expect(issueAt(checked, ["gathering", "guests", 0, "count"], "Guests")).toBe(
      "Guests is -2; expected a whole number from 0 to 500",
    );
    expect(issueAt(checked, ["gathering", "guests", 1, "count"], "Guests")).toBeUndefined();
  });

  test("a wave of today that is over needs another time", () => {
    const draft = { ...demoGathering("first-try"), date: { on: TODAY } };
    const at = (now: string) => issueAt(checkDraft(draft, { ...source, now }), ["gathering", "waves", 0, "time"], "Serving time");
    expect(at("12:59")).toBeUndefined();
    expect(at("13:00")).toBe('Serving time is "13:00"; expected a time after now (13:00)');
  });

  test("what changes no plan asks for no new one", () => {
    expect(planKey({ ...request, gathering: { ...request.gathering } })).toBe(planKey(request));
    expect(planKey({ ...request, today: "2026-11-26" })).toBe(planKey(request));
    expect(planKey({ ...request, today: "2026-11-29" })).not.toBe(planKey(request));
  });

  test("a new total is spread over the groups in proportion", () => {
    expect(spreadTotal([{ count: 10 }, { count: 10 }], 21)).toEqual({ counts: [11, 10] });
    expect(spreadTotal([{ count: 0 }, { count: 0 }], 5)).toEqual({ counts: [5, 0] });
  });
  test("who has a diet or an allergy is never scaled away", () => {
    const groups = [{ count: 20 }, { count: 1, avoid: ["egg"] }, { count: 2, diet: ["vegan"] }, { count: 5 }];
    expect(spreadTotal(groups, 8)).toEqual({ counts: [4, 1, 2, 1] });
    expect(spreadTotal(groups, 3)).toEqual({ counts: [0, 1, 2, 0] });
    expect(spreadTotal(groups, 2)).toEqual({ least: 3 });
    // There and back again is where it began.
    const small = spreadTotal(groups, 8) as { counts: number[] };
    expect(
      spreadTotal(
        groups.map((g, i) => ({ ...g, count: small.counts[i] })),
        28,
      ),
    ).toEqual({ counts: [20, 1, 2, 5] });
  });

  test("a row says what a count weighs and how it is heated", () => {
    const row = demandRow(quantitiesOf(request), "lunch", "slipway-pie")!;
    expect(row.pieces).toBe(16);
    expect(Math.round(row.doughG)).toBe(899);
    expect(row.loads).toContain("1 oven load");
  });
});

describe("the day in short", () => {
  test("it begins with the first task, and hands are counted from then on", () => {
    const summary = summarise(plan)!;
    expect(summary.firstStart).toBe(Math.min(...plan.solution.tasks.map((t) => t.start)));
    expect(summary.cooks[0].name).toBe("Teo");
    expect(summary.cooks[0].busy).toBeGreaterThan(30);
    expect(summary.cooks[0].busy).toBeLessThanOrEqual(summary.cooks[0].there);
  });
  test("where nothing is to be made there is nothing to sum up", () => {
    const input = demoInput("first-try");
    const nothing = expectRequest({
      ...input,
      gathering: { ...input.gathering, waves: [{ ...input.gathering.waves![0], items: [] }] },
    });
    expect(summarise(makePlan(nothing, { now: () => 0 }))).toBeUndefined();
  });
  test("a moment names its day only where there are several", () => {
    const when = { origin: "2026-11-29T00:00", clockChanges: [] };
    expect(momentText(when, 780, false)).toBe("13:00");
    expect(momentText(when, 1440 + 780, true)).toBe("Mon 13:00");
  });
  test("waves and freezer deadlines come in order of time", () => {
    const launch = expectRequest(demoInput("launch-night"));
    expect(targetsOf(launch.gathering, planDays(launch)).map((t) => t.name)).toEqual(["Supper", "Lantern sweets", "Freezer"]);
  });
});

describe("the timeline", () => {
  const model = timelineModel(plan);
  const lane = (id: string) => model.lanes.find((l) => l.id === id)!;

  test("cooks come first, then heat, then cold, then rests", () => {
    const groups = model.lanes.map((l) => l.group);
    expect([...new Set(groups)]).toEqual(["Hands", "Heat", "Machines and cold", "Resting and waiting"]);
  });

  test("no two blocks of a cook share a minute", () => {
    const blocks = [...lane("teo").blocks].sort((a, b) => a.start - b.start);
    blocks.forEach((block, i) => i > 0 && expect(block.start).toBeGreaterThanOrEqual(blocks[i - 1].end));
  });

  test("the oven says how full it is and when it is switched on", () => {
    expect(lane("oven").blocks[0]).toMatchObject({ fill: "2/2", settingC: 210, saysSetting: true });
    // From 20 to 210 °C at 9 °C a minute.
    const [change] = lane("oven").changes;
    expect(change.end - change.start).toBe(Math.ceil(190 / 9));
    expect(change).toMatchObject({ rises: true, toC: 210 });
  });

  test("a rest shows the window in which it may end", () => {
    const rest = model.lanes.find((l) => l.id === "rest:slipway-pie")!.blocks.find((b) => b.window)!;
    expect(rest.window![0]).toBeLessThanOrEqual(rest.end);
    expect(rest.window![1]).toBeGreaterThanOrEqual(rest.end);
  });

  test("a block's step is the one under the options that were chosen", () => {
    const bake = Object.keys(plan.tasks).find((id) => plan.tasks[id].step === "a-bake")!;
    expect(stepIn(plan, bake)!.time.fixedMin).toBe(26);
  });
});

describe("time on the screen", () => {
  test("a night without work is folded, the evenings keep one scale", () => {
    const scale = timeScale(
      [
        [0, 200],
        [1440, 1640],
      ],
      { fit: 1000 },
    );
    expect(scale.pieces.map((p) => p.folded)).toEqual([false, true, false]);
    expect(scale.x(100) - scale.x(0)).toBeCloseTo(scale.x(1540) - scale.x(1440), 6);
    expect(scale.width).toBeCloseTo(1000, 6);
  });
  test("marks stand at full and half hours", () => {
    expect(ticksOf(timeScale([[50, 200]], { pxPerMin: 3 }))).toEqual([60, 90, 120, 150, 180]);
  });
});

describe("what is weighed", () => {
  const sheets = daySheets(quantitiesOf(request), plan);
  test("sheets come in the order of the day; a finish when it is put on", () => {
    expect(sheets.map((s) => s.title).sort()).toEqual(["Dough", "Filling", "Finish: seeds", "Finish: wash"]);
    sheets.forEach((sheet, i) => i > 0 && expect(sheet.start!).toBeGreaterThanOrEqual(sheets[i - 1].start!));
    const glaze = plan.solution.tasks.filter((t) => plan.tasks[t.id].step === "a-glaze").map((t) => t.start);
    expect(sheets.find((s) => s.title === "Finish: wash")!.start).toBe(Math.min(...glaze));
  });
  test("water that is held back in part is two lines, which add up", () => {
    const lines = sheets.find((s) => s.title === "Dough")!.groups.flatMap((g) => g.lines);
    const water = lines.filter((line) => line.name.startsWith("water"));
    expect(water.map((line) => line.when)).toEqual(["now", "by feel"]);
    // 15 % of it by feel.
    expect(water[1].grams / (water[0].grams + water[1].grams)).toBeCloseTo(0.15, 6);
  });
  test("a dough says its pieces and what lies on each tray", () => {
    expect(sheets.find((s) => s.title === "Dough")!.portions).toEqual([
      "16 pieces of 50 g",
      "rolled to 3.2 mm, rounds of 130 mm; offcuts stacked, chilled 20 min and rolled again",
      "2 × 8 on a tray",
      "still sticky? 10 g more flour, no more than that",
    ]);
  });
  test("while a plan gets better the sheets stay where they were, and new ones come last", () => {
    const before = [...sheets].reverse().slice(1);
    expect(inPlace(sheets, before).map((s) => s.batch.id)).toEqual([...before, sheets.at(-1)!].map((s) => s.batch.id));
  });
  test("without a plan there are weights and no times", () => {
    expect(daySheets(quantitiesOf(request), undefined)[0].start).toBeUndefined();
  });
});
