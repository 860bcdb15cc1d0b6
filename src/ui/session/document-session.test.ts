import { fail, ok, type Result } from "@/core/shared/issue";
import { DocumentSession, PAUSE_MS, type Revised } from "./document-session";
import { NO_ANSWER } from "./outbox";
import { handTimers, memoryStore, tabs } from "@tests/session-kit";

interface Note {
  name: string;
  line: string;
  guests: number[];
}
const START: Revised<Note> = { document: { name: "Lunch", line: "", guests: [4] }, revision: 1 };

/** A server with one document, as the actions answer it. */
function server() {
  let stored = START;
  const answers: (() => Result<{ revision: number }>)[] = [];
  return {
    get stored() {
      return stored;
    },
    /** The next saving is answered like this instead. */
    next: (answer: () => Result<{ revision: number }>) => answers.push(answer),
    save: (document: Note, from: number): Promise<Result<{ revision: number }>> => {
      const special = answers.shift();
      if (special) return Promise.resolve().then(special);
      if (from !== stored.revision) return Promise.resolve(fail({ code: "conflict", path: [], got: stored }));
      stored = { document, revision: from + 1 };
      return Promise.resolve(ok({ revision: stored.revision }));
    },
  };
}

const open = (host: ReturnType<typeof server>, over: Partial<ConstructorParameters<typeof DocumentSession<Note>>[0]> = {}) => {
  const timers = handTimers();
  const store = memoryStore();
  const options = {
    key: "note",
    initial: host.stored,
    isRight: (note: Note) => note.name !== "",
    save: host.save,
    timers,
    store,
    ...over,
  };
  return { session: new DocumentSession<Note>(options), timers, store, options };
};

test("what is typed is saved once typing pauses, and says so", async () => {
  const host = server();
  const { session, timers } = open(host);
  session.change((note) => ({ ...note, name: "Dinner" }));
  expect(session.state).toMatchObject({ draft: { name: "Dinner" }, saving: "saving" });
  await timers.pass(PAUSE_MS - 1);
  expect(host.stored.document.name).toBe("Lunch");
  await timers.pass(1);
  expect(host.stored).toMatchObject({ document: { name: "Dinner" }, revision: 2 });
  expect(session.state.saving).toBe("saved");
});

test("a draft that is not right waits, and nothing of it is lost over a reload", async () => {
  const host = server();
  const { session, timers, options } = open(host);
  session.change((note) => ({ ...note, name: "" }));
  await timers.pass(60_000);
  expect(session.state.saving).toBe("invalid");
  expect(host.stored.revision).toBe(1);
  const again = new DocumentSession<Note>(options);
  expect(again.state).toMatchObject({ draft: { name: "" }, saving: "invalid", canUndo: true });
});

test("a saving that fails is told, tried again by itself, and goes through with all that was typed since", async () => {
  const host = server();
  const { session, timers } = open(host);
  host.next(() => fail({ code: "failed", path: [], got: "database is locked" }));
  host.next(() => {
    throw new Error("no connection");
  });
  session.change((note) => ({ ...note, name: "Dinner" }));
  await timers.pass(PAUSE_MS);
  expect(session.state).toMatchObject({ saving: "not-saved", issue: { code: "failed", got: "database is locked" } });
  expect(session.unsaved).toBe(true);
  await timers.pass(2000);
  expect(session.state).toMatchObject({ saving: "not-saved", issue: { got: NO_ANSWER } });
  session.change((note) => ({ ...note, line: "by the lake" }));
  await timers.pass(60_000);
  expect(session.state.saving).toBe("saved");
  expect(host.stored.document).toMatchObject({ name: "Dinner", line: "by the lake" });
});

test("what the server does not take is told with its reason and not sent again until it is changed", async () => {
  const host = server();
  const { session, timers } = open(host);
  host.next(() => fail({ code: "out_of_range", path: ["guests"], got: 900, wanted: "at most 500" }));
  session.change((note) => ({ ...note, guests: [900] }));
  await timers.pass(120_000);
  expect(session.state).toMatchObject({ saving: "not-saved", issue: { path: ["guests"], got: 900 } });
  expect(host.stored.revision).toBe(1);
  session.change((note) => ({ ...note, guests: [9] }));
  await timers.pass(PAUSE_MS);
  expect(host.stored.document.guests).toEqual([9]);
});

test("changes of different fields in two tabs both stand", async () => {
  const host = server();
  const [a, b] = [open(host), open(host)];
  a.session.change((note) => ({ ...note, name: "Dinner" }));
  b.session.change((note) => ({ ...note, line: "by the lake" }));
  await a.timers.pass(PAUSE_MS);
  await b.timers.pass(2 * PAUSE_MS);
  expect(host.stored.document).toEqual({ name: "Dinner", line: "by the lake", guests: [4] });
  expect(b.session.state).toMatchObject({ saving: "saved", draft: host.stored.document });
});

test("the same field in two tabs is chosen by the cook, and whatever was not taken can be had back", async () => {
  const host = server();
  const [a, b] = [open(host), open(host)];
  a.session.change((note) => ({ ...note, name: "Dinner", line: "at home" }));
  await a.timers.pass(PAUSE_MS);
  b.session.change((note) => ({ ...note, name: "Supper" }));
  await b.timers.pass(PAUSE_MS);
  const { conflict, saving, draft } = b.session.state;
  expect(saving).toBe("conflict");
  expect(draft.name).toBe("Supper");
  expect(conflict!.differences).toEqual([
    { path: ["name"], mine: "Supper", theirs: "Dinner" },
    { path: ["line"], mine: "", theirs: "at home" },
  ]);
  expect(conflict!.mine).toEqual([]);
  b.session.resolve([conflict!.differences[0]]);
  await b.timers.pass(PAUSE_MS);
  expect(host.stored.document).toEqual({ name: "Supper", line: "at home", guests: [4] });
  b.session.undo();
  expect(b.session.state.draft).toMatchObject({ name: "Supper", line: "" });
});

test("tabs tell each other: one that changed nothing follows, and does not echo", async () => {
  const host = server();
  const [first, second] = tabs(2);
  const [a, b] = [open(host), open(host)];
  const hangUp = a.session.connect(first);
  b.session.connect(second);
  a.session.change((note) => ({ ...note, name: "Dinner" }));
  await a.timers.pass(PAUSE_MS);
  expect(b.session.state).toMatchObject({ draft: { name: "Dinner" }, saving: "saved" });
  b.session.change((note) => ({ ...note, line: "late" }));
  await b.timers.pass(PAUSE_MS);
  expect(host.stored).toEqual({ document: { name: "Dinner", line: "late", guests: [4] }, revision: 3 });
  expect(a.session.state.draft.line).toBe("late");
  // What is under way when a view goes is still told; afterwards it hears nothing more.
  a.session.change((note) => ({ ...note, line: "early" }));
  a.session.flush();
  hangUp();
  await a.timers.pass(0);
  expect(b.session.state.draft.line).toBe("early");
  b.session.change((note) => ({ ...note, line: "never" }));
  await b.timers.pass(PAUSE_MS);
  expect(a.session.state.draft.line).toBe("early");
});

test("news that comes while a saving is under way counts where the saving does not go through", async () => {
  let answer: (result: Result<{ revision: number }>) => void = () => undefined;
  const b = open(server(), { save: () => new Promise((settle) => (answer = settle)) });
  b.session.change((note) => ({ ...note, name: "Of B" }));
  await b.timers.pass(PAUSE_MS);
  b.session.heard({ document: { ...START.document, name: "Of A" }, revision: 2 });
  expect(b.session.state.conflict).toBeUndefined();
  answer(fail({ code: "failed", path: [], got: NO_ANSWER }));
  await b.timers.pass(0);
  expect(b.session.state.saving).toBe("conflict");
  expect(b.session.state.conflict?.theirs.document.name).toBe("Of A");
});

test("a tab that could not listen yet when the other saved is told as soon as it can", async () => {
  const host = server();
  const [first, second] = tabs(2);
  const [a, b] = [open(host), open(host)];
  a.session.connect(first);
  a.session.change((note) => ({ ...note, name: "Dinner" }));
  await a.timers.pass(PAUSE_MS);
  expect(b.session.state.draft.name).toBe("Lunch");
  b.session.connect(second);
  expect(b.session.state).toMatchObject({ draft: { name: "Dinner" }, saving: "saved" });
  // And one that knows no more than the others leaves them as they are.
  expect(a.session.state.draft.name).toBe("Dinner");
});

test("undo survives a reload and takes quick typing back as one", async () => {
  const host = server();
  const { session, timers, options } = open(host);
  session.change((note) => ({ ...note, name: "D" }));
  session.change((note) => ({ ...note, name: "Di" }));
  await timers.pass(1000);
  session.change((note) => ({ ...note, line: "x" }));
  await timers.pass(1000);
  const again = new DocumentSession<Note>({ ...options, initial: host.stored });
  again.undo();
  expect(again.state.draft).toMatchObject({ name: "Di", line: "" });
  again.undo();
  expect(again.state).toMatchObject({ draft: START.document, canUndo: false });
  await timers.pass(PAUSE_MS);
  expect(host.stored.document).toEqual(START.document);
});

test.each([{}, { guests: [7] }])(
  "what the device still holds of a page that had saved it is no change that could be taken back: %j since",
  async (more) => {
    const host = server();
    const { session, timers, options } = open(host);
    session.change((note) => ({ ...note, name: "Dinner" }));
    await timers.pass(PAUSE_MS);
    await host.save({ ...host.stored.document, ...more }, host.stored.revision);
    const again = new DocumentSession<Note>({ ...options, initial: host.stored });
    expect(again.takeUp({ draft: session.state.draft, base: START }, 1)).toBe(true);
    expect(again.state).toMatchObject({ draft: host.stored.document, saving: "saved" });
    again.undo();
    expect(again.state.draft.name).toBe("Lunch");
  },
);

test("leaving the page sends what waits; a full or damaged store does no harm", async () => {
  const host = server();
  const { session, timers } = open(host, { store: { get: () => "{broken", put: () => undefined } });
  session.change((note) => ({ ...note, name: "Dinner" }));
  session.flush();
  await timers.pass(0);
  expect(host.stored.document.name).toBe("Dinner");
});

test("a session that is only made sends nothing: a page may be drawn many times before it is there", async () => {
  const host = server();
  const { session, timers, options } = open(host);
  host.next(() => fail({ code: "failed", path: [], got: "away" }));
  session.change((note) => ({ ...note, name: "Dinner" }));
  await timers.pass(PAUSE_MS);
  const sent = jest.fn(options.save);
  const made = [1, 2, 3].map(() => new DocumentSession<Note>({ ...options, save: sent }));
  await timers.pass(0);
  expect(made.map(({ state }) => state.saving)).toEqual(["saving", "saving", "saving"]);
  expect(sent).not.toHaveBeenCalled();
  made[0].open();
  made[0].open();
  await timers.pass(0);
  expect(sent).toHaveBeenCalledTimes(1);
  expect(host.stored.document.name).toBe("Dinner");
});
