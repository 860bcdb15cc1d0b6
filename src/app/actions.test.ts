import { demoInput, expectRequest } from "@tests/demo";
import { makePlan } from "@/core/plan/pipeline";
import { issueText } from "@/core/shared/issue-text";
import { ok, type Result } from "@/core/shared/issue";
import { database } from "@/db/database";
import { seedDemo } from "@/db/demo";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { planRepository } from "@/db/plans";
import { sendersFor } from "@/ui/session/senders";
import { saveGathering, savePantry, savePlanPiece } from "./g/[id]/actions";
import { keepPlan } from "./g/[id]/keep-plan";
import { archiveItem, createItem, duplicateItem, noteLiquid, saveItem } from "./items/actions";

jest.mock("next/cache", () => ({ revalidatePath: () => undefined }));
jest.mock("server-only", () => ({}));

process.env.UNISYNTH_DB = ":memory:";
beforeAll(() => seedDemo(database(), "2026-11-25T08:00:00.000Z"));

const said = (result: Result<unknown>): string => (result.ok ? "" : issueText(result.issues[0]));
function stored<T>(found: Result<T> | undefined): T {
  if (!found?.ok) throw new Error("not there");
  return found.value;
}
const gathering = () => stored(gatheringRepository(database()).find("first-try"));
const pie = () => stored(itemRepository(database()).find("slipway-pie"));

describe("gatherings", () => {
  test("the next revision is saved, an older one is told what stands", async () => {
    const { document, revision } = gathering();
    expect(await saveGathering({ ...document, name: "Lunch for six" }, revision)).toMatchObject({ ok: true });
    const late = await saveGathering({ ...document, name: "Other" }, revision);
    expect(late).toMatchObject({ ok: false, issues: [{ code: "conflict", got: { document: { name: "Lunch for six" } } }] });
  });
  test.each([
    [{ guests: [{ count: -1, age: "adult" }] }, 1, "guests[0].count is -1; expected a whole number from 0 to 500"],
    [{ name: "" }, 1, 'name is ""; expected a name'],
    [{}, "soon", 'the input is "soon"; expected a number'],
    [JSON.parse('{"__proto__": {"x": 1}}'), 1, "__proto__"],
    [{ line: "x".repeat(10_000_000) }, 1, "expected at most 100000 characters"],
  ])("case %# is refused by field", async (over, from, sentence) => {
    const { document } = gathering();
    // Laid over as text: an object literal would take "__proto__" for its prototype.
    const fields = [document, over].map((part) => JSON.stringify(part).slice(1, -1)).filter((text) => text !== "");
    expect(said(await saveGathering(JSON.parse(`{${fields.join(",")}}`), from))).toContain(sentence);
  });
  test("what is no document at all", async () => {
    const ring: Record<string, unknown> = {};
    ring.ring = ring;
    for (const input of [undefined, null, 7, "x", [], ring]) expect((await saveGathering(input, 1)).ok).toBe(false);
  });
});

describe("items", () => {
  test("saved with the next revision; a step that waits for nothing that is there is refused", async () => {
    const { document, revision } = pie();
    expect(await saveItem({ ...document, line: "crisp" }, revision)).toMatchObject({
      ok: true,
      value: { revision: revision + 1 },
    });
    const [first, ...rest] = document.steps;
    expect(
      said(await saveItem({ ...document, steps: [{ ...first, after: [{ step: "nowhere" }] }, ...rest] }, revision + 1)),
    ).toContain("expected the id of a step of this item");
    expect(said(await saveItem({ ...document, name: "late" }, revision))).toContain("was changed elsewhere in the meantime");
  });
  test.each([
    [{ "__proto__.get": "x" }, "expected the name of a field"],
    [{ do: 5 }, "is 5; expected"],
    [{ "time.fixedMin": -5 }, "is -5; expected"],
  ])("a patch to a step that is none (%j) is refused and leaves everything else working", async (set, sentence) => {
    const { document, revision } = pie();
    const schools = [{ id: "s", options: [{ id: "o", name: "O", changes: [{ step: document.steps[0].id, set }] }] }];
    expect(said(await saveItem({ ...document, schools }, revision))).toContain(sentence);
    expect(itemRepository(database()).all()).toHaveLength(9);
  });
  test("copied, noted, put away; what is not there is said", async () => {
    const copy = await duplicateItem("slipway-pie", false);
    expect(copy.ok).toBe(true);
    const [one, other] = [await createItem(pie().document), await createItem(pie().document)];
    if (!one.ok || !other.ok) throw new Error("not made");
    // Two servers that make the same item at once make two.
    expect(new Set([one.value.id, other.value.id, "slipway-pie"]).size).toBe(3);
    expect(pie().revision).toBeGreaterThan(0);
    expect(await archiveItem("slipway-pie", true)).toMatchObject({ ok: true });
    for (const answer of [
      await duplicateItem("x", true),
      await archiveItem(7, true),
      await noteLiquid({ item: "x", component: "y", usedG: 1, plannedG: 1 }),
    ])
      expect(said(answer)).toContain("expected the id of an item");
  });
});

describe("plans that come from a browser", () => {
  const request = expectRequest(demoInput("first-try"));
  const plan = makePlan(request, { now: () => 0 });
  const sent = () => JSON.parse(JSON.stringify({ request, plan, search: "ended" }));

  test("a plan is kept", async () => {
    expect(await keepPlan(sent())).toMatchObject({ ok: true });
    expect(planRepository(database()).latest("first-try")!.plan.solution.cost).toBe(plan.solution.cost);
  });
  test.each([
    ["a task at another time", (s: ReturnType<typeof sent>) => (s.plan.solution.tasks[3].start -= 300), /plan\.solution is/],
    ["a task less", (s: ReturnType<typeof sent>) => s.plan.solution.tasks.pop(), /plan\.solution is/],
    ["other pieces", (s: ReturnType<typeof sent>) => (s.plan.pieces[0].range[1] += 4), /the pieces that its request asks for/],
    ["another gathering", (s: ReturnType<typeof sent>) => (s.request.gathering.id = "gone"), /still there/],
    ["steps that are not said", (s: ReturnType<typeof sent>) => (s.plan.steps = {}), /a step that the plan has/],
    ["no timetable", (s: ReturnType<typeof sent>) => (s.plan.solution.status = "infeasible"), /a plan with a timetable/],
    ["no number", (s: ReturnType<typeof sent>) => (s.plan.solution.cost = "cheap"), /plan\.solution\.cost is "cheap"/],
  ])("%s is refused", async (_, spoil, sentence) => {
    const one = sent();
    spoil(one);
    expect(said(await keepPlan(one))).toMatch(sentence);
  });
  test("the plan of a large day arrives as a page sends it", async () => {
    const day = expectRequest({ ...demoInput("launch-night"), solve: { iterations: 1, seed: 1 } });
    const body = JSON.parse(JSON.stringify({ request: day, plan: makePlan(day, { now: () => 0 }), search: "ended" }));
    const none = async () => ok({ revision: 1 });
    const senders = sendersFor({
      savePlanPiece,
      saveGathering: none,
      saveItem: none,
      saveKitchen: none,
      savePantry: none,
      keepOwn: none,
      forgetOwn: none,
    });
    expect(await senders.plan(body)).toMatchObject({ ok: true, value: { id: expect.any(Number) } });
    expect(planRepository(database()).latest("launch-night")!.plan.solution.cost).toBe(body.plan.solution.cost);
  });
  test("one that is large comes in pieces; pieces that are missing, or make no plan, are said", async () => {
    const text = JSON.stringify(sent());
    const half = Math.ceil(text.length / 2);
    const piece = (upload: string, n: number, part: string) => savePlanPiece({ upload, piece: n, of: 2, text: part });
    expect(await piece("upload-one", 0, text.slice(0, half))).toEqual({ ok: true, value: undefined });
    expect(await piece("upload-one", 1, text.slice(half))).toMatchObject({ ok: true, value: { id: expect.any(Number) } });
    expect(said(await piece("upload-one", 1, "x"))).toContain("all of it is sent again");
    expect(await piece("upload-two", 0, "{")).toMatchObject({ ok: true });
    expect(said(await piece("upload-two", 1, "nothing"))).toContain("expected a plan as JSON");
    expect(said(await savePlanPiece({ upload: "x", piece: -1, of: 1, text: 7 }))).toContain("upload is");
  });
});

test("a pantry entry is kept; a wrong one is said by field", async () => {
  expect(await savePantry({ ingredient: "butter", haveG: 100 })).toMatchObject({ ok: true });
  expect(said(await savePantry({ ingredient: "butter", haveG: -1 }))).toBe("haveG is -1; expected a number of at least 0");
});

test("a database that does not answer is an issue with its reason, not a broken page", async () => {
  const { document } = gathering();
  const holder = globalThis as { unisynthDatabase?: unknown };
  const real = holder.unisynthDatabase;
  const locked = () => {
    throw Object.assign(new Error("database is locked"), { code: "SQLITE_BUSY" });
  };
  holder.unisynthDatabase = { db: { transaction: locked, select: locked, $client: { close: locked } }, file: ":memory:" };
  try {
    expect(said(await saveGathering(document, 1))).toContain("is held by another program");
  } finally {
    holder.unisynthDatabase = real;
  }
});
