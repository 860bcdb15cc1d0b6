import { LONGEST_TEXT } from "@/core/shared/guard";
import { fail, ok, type Result } from "@/core/shared/issue";
import { handTimers } from "@tests/session-kit";
import { MOST_RETRY_MS, Outbox, RETRY_MS, type Letter, type Letters, type Sender } from "./outbox";
import { sendersFor, type Actions } from "./senders";
import { waitingText } from "./waiting-text";

/** A device that several tabs share. */
function device(): Letters & { readonly lies: Map<string, Letter> } {
  const lies = new Map<string, Letter>();
  return {
    lies,
    put: async (letter) => void lies.set(letter.id, structuredClone(letter)),
    remove: async (id) => void lies.delete(id),
    all: async () => [...lies.values()],
  };
}
const away = (): Result<unknown> => fail({ code: "failed", path: [], got: "away" });

function tab(name: string, letters: Letters, send: Sender, openTabs: readonly string[] = [name]) {
  const timers = handTimers();
  const outbox = new Outbox({
    tab: name,
    letters,
    senders: { note: send },
    timers,
    isOpen: async (other) => openTabs.includes(other),
    today: () => timers.now(),
  });
  return { outbox, timers };
}

test("what the server takes leaves nothing on the device", async () => {
  const letters = device();
  const sent: unknown[] = [];
  const { outbox, timers } = tab("a", letters, async (body) => ok(sent.push(body)));
  const answer = outbox.post("x", "note", 1);
  await timers.pass(10);
  expect(await answer).toMatchObject({ ok: true });
  expect([sent, letters.lies.size, outbox.state.waiting]).toEqual([[1], 0, 0]);
});

test("a server that is away: kept, counted, tried with a growing pause, and the newest arrives once", async () => {
  const letters = device();
  let isThere = false;
  const tries: number[] = [];
  const got: unknown[] = [];
  const { outbox, timers } = tab("a", letters, async (body) => {
    tries.push(timers.now());
    if (!isThere) throw new Error("no line");
    return ok(got.push(body));
  });
  expect(await Promise.all([outbox.post("x", "note", 1), timers.pass(1)])).toMatchObject([{ ok: true }, undefined]);
  void outbox.post("y", "note", "other");
  await timers.pass(100);
  expect(outbox.state.waiting).toBe(2);
  expect([...letters.lies.values()].map((one) => one.body)).toEqual([1, "other"]);
  await timers.pass(120_000);
  const ofX = tries.filter((_, i) => i % 2 === 0);
  const pauses = ofX.slice(1).map((at, i) => at - ofX[i]);
  expect(pauses[0]).toBeLessThanOrEqual(RETRY_MS + 100);
  expect(pauses.every((pause, i) => i === 0 || pause >= pauses[i - 1])).toBe(true);
  expect(Math.max(...pauses)).toBeLessThanOrEqual(MOST_RETRY_MS);
  isThere = true;
  void outbox.post("x", "note", 2);
  await timers.pass(MOST_RETRY_MS);
  expect([...got].sort()).toEqual([2, "other"]);
  expect([letters.lies.size, outbox.state.waiting]).toEqual([0, 0]);
});

test("what is changed while it is under way goes out after it, in order", async () => {
  const answers: ((answer: Result<unknown>) => void)[] = [];
  const sent: unknown[] = [];
  const letters = device();
  const { outbox, timers } = tab("a", letters, (body) => {
    sent.push(body);
    return new Promise((answer) => answers.push(answer));
  });
  void outbox.post("x", "note", 1);
  void outbox.post("x", "note", 2);
  void outbox.post("x", "note", 3);
  await timers.pass(1);
  expect(sent).toEqual([1]);
  answers[0](ok(1));
  await timers.pass(1);
  expect(sent).toEqual([1, 3]);
  answers[1](ok(1));
  await timers.pass(1);
  expect(letters.lies.size).toBe(0);
});

test("what is refused is told to whoever asked; of a tab that was closed it stays and is shown", async () => {
  const letters = device();
  const no = fail({ code: "unknown", path: ["id"], got: "x", wanted: "one that is there" });
  const first = tab("a", letters, async () => no);
  const answer = first.outbox.post("x", "note", 1);
  await first.timers.pass(1);
  expect(await answer).toBe(no);
  expect(letters.lies.size).toBe(0);

  letters.lies.set("y@gone", { id: "y@gone", document: "y", kind: "note", body: 1, changes: 2, at: 1, tab: "gone" });
  first.outbox.open();
  await first.timers.pass(10);
  expect(first.outbox.state).toMatchObject({ waiting: 0, refused: [{ document: "y" }] });
  expect(letters.lies.size).toBe(1);
});

test("a tab that was closed: another sends what it left, one that is open is left alone", async () => {
  const letters = device();
  const closed = tab("closed", letters, async () => away());
  void closed.outbox.post("x", "note", "from closed");
  const busy = tab("busy", letters, async () => away());
  void busy.outbox.post("y", "note", "from busy");
  await closed.timers.pass(1);
  await busy.timers.pass(1);
  const got: unknown[] = [];
  const next = tab("next", letters, async (body) => ok(got.push(body)), ["next", "busy"]);
  next.outbox.open();
  await next.timers.pass(10);
  expect(got).toEqual(["from closed"]);
  expect([...letters.lies.keys()]).toEqual(["y@busy"]);
});

test("what was said before the page was loaded is known to it, waiting or taken while it opened", async () => {
  const letters = device();
  const before = tab("a", letters, async () => away());
  void before.outbox.post("x", "note", "of before");
  await before.timers.pass(1);
  // The same tab, loaded anew.
  const { outbox, timers } = tab("a", letters, async () => ok(1));
  expect(await outbox.waitsOf("note")).toMatchObject([{ document: "x", body: "of before" }]);
  outbox.open();
  await timers.pass(10);
  expect(letters.lies.size).toBe(0);
  expect(await outbox.waitsOf("note")).toMatchObject([{ body: "of before" }]);
  expect(await outbox.waitsOf("other")).toEqual([]);
  expect(await outbox.waitsFor("x")).toBeUndefined();
  // Later a page is given what was taken.
  await timers.pass(6000);
  expect(await outbox.waitsOf("note")).toEqual([]);
});

test("a view that is open sends by itself; once it is gone, what it could not save is sent from here", async () => {
  const letters = device();
  const got: unknown[] = [];
  const { outbox, timers } = tab("a", letters, async (body) => ok(got.push(body)));
  expect(await outbox.claim("x")).toBeUndefined();
  outbox.hold("x", "note", "typed", 3, true);
  outbox.tryNow();
  await timers.pass(60_000);
  expect([got, outbox.state.waiting, letters.lies.size]).toEqual([[], 3, 1]);
  outbox.release("x");
  await timers.pass(60_000);
  expect([got, outbox.state.waiting, letters.lies.size]).toEqual([["typed"], 0, 0]);
});

test("a view that opens after its document was taken over, and while it is under way, is given what was refused", async () => {
  const letters = device();
  const closed = tab("a", letters, async () => away());
  void closed.outbox.post("x", "note", "typed");
  await closed.timers.pass(10);
  let answer: (result: Result<unknown>) => void = () => undefined;
  const { outbox, timers } = tab("b", letters, () => new Promise((given) => (answer = given)));
  outbox.open();
  await timers.pass(10);
  const claimed = outbox.claim("x");
  await timers.pass(10);
  answer(fail({ code: "conflict", path: [], got: null }));
  await timers.pass(10);
  expect((await claimed)?.body).toBe("typed");
  expect(outbox.state.refused).toEqual([]);
});

test("a view that opens takes up the newest of what closed tabs left of its document", async () => {
  const letters = device();
  for (const [at, name] of [
    [1, "old"],
    [2, "new"],
  ] as const)
    letters.lies.set(`x@${name}`, { id: `x@${name}`, document: "x", kind: "note", body: name, changes: 1, at, tab: name });
  const { outbox } = tab("a", letters, async () => away());
  expect(await outbox.claim("x")).toMatchObject({ body: "new" });
  expect([...letters.lies.keys()]).toEqual(["x@old"]);
});

describe("senders", () => {
  const actions = (over: Partial<Actions>): Actions => ({
    saveGathering: async () => ok({ revision: 1 }),
    saveItem: async () => ok({ revision: 1 }),
    saveKitchen: async () => ok({ revision: 1 }),
    savePlanPiece: async () => ok(undefined),
    savePantry: async () => ok(undefined),
    keepOwn: async () => ok(undefined),
    forgetOwn: async () => ok(undefined),
    ...over,
  });
  test("a document that was saved elsewhere since is laid into it, field by field", async () => {
    const saved: unknown[] = [];
    const { gathering } = sendersFor(
      actions({
        async saveGathering(draft, from) {
          if (from === 1)
            return fail({ code: "conflict", path: [], got: { document: { name: "A", line: "theirs" }, revision: 4 } });
          saved.push([draft, from]);
          return ok({ revision: from + 1 });
        },
      }),
    );
    const base = { document: { name: "A", line: "" }, revision: 1 };
    expect(await gathering({ draft: { name: "B", line: "" }, base })).toMatchObject({ ok: true });
    expect(saved).toEqual([[{ name: "B", line: "theirs" }, 4]]);
    expect(await gathering({ draft: { name: "A", line: "mine" }, base })).toMatchObject({ ok: false });
  });
  test("a plan goes in pieces that make the whole, and stops at the first that fails", async () => {
    const texts: string[] = [];
    const body = { request: "x".repeat(1_000_000), plan: "ü" };
    const { plan } = sendersFor(actions({ savePlanPiece: async ({ text }) => ok(texts.push(text)) }));
    expect(await plan(body)).toMatchObject({ ok: true });
    expect(texts).toHaveLength(11);
    expect(Math.max(...texts.map((text) => text.length))).toBeLessThanOrEqual(LONGEST_TEXT);
    expect(JSON.parse(texts.join(""))).toEqual(body);
    let tries = 0;
    const failing = sendersFor(actions({ savePlanPiece: async () => (tries++ === 1 ? away() : ok(undefined)) }));
    expect(await failing.plan(body)).toMatchObject({ ok: false });
    expect(tries).toBe(2);
  });
});

test("a plan that waits is no change of the cook's, and is said beside it", async () => {
  const { outbox, timers } = tab("a", device(), async () => away());
  expect(waitingText(outbox.state)).toBeUndefined();
  void outbox.post("plan-of-x", "note", "worked out", 0);
  await timers.pass(1);
  expect(waitingText(outbox.state)).toBe("1 plan waits for the server");
  void outbox.post("x", "note", "typed");
  await timers.pass(1);
  expect(outbox.state).toMatchObject({ waiting: 1, workedOut: 1 });
  expect(waitingText(outbox.state)).toBe("1 change and 1 plan wait for the server");
  void outbox.post("y", "note", "typed too");
  await timers.pass(1);
  expect(waitingText(outbox.state)).toBe("2 changes and 1 plan wait for the server");
});
