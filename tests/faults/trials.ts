import Database from "better-sqlite3";
import type { Chance } from "@/core/shared/chance";
import type { Result } from "@/core/shared/issue";
import { openDatabase } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { demoInput } from "../demo";
import { spoiled } from "./mutate";
import { actionNames, type FaultyServer } from "./server";
import { hasTrace, isStopped, Tally } from "./tally";

interface Stored {
  readonly name: string;
  readonly revision: number;
  readonly guests: string;
}
type Saved = Result<{ readonly revision: number }>;

const wait = (ms: number) => new Promise<void>((wake) => setTimeout(wake, ms));

function storedIn(file: string): Stored {
  const db = new Database(file, { readonly: true });
  try {
    return db
      .prepare("select name, revision, json_extract(data, '$.guests') as guests from gatherings where id = 'first-try'")
      .get() as Stored;
  } finally {
    db.close();
  }
}

/** What is stored of the gathering that the trials write. */
function documentOf(file: string): { readonly document: Readonly<Record<string, unknown>>; readonly revision: number } {
  const db = openDatabase(file);
  try {
    const found = gatheringRepository(db).find("first-try");
    if (!found?.ok) throw new Error("the gathering of the trials is not to be read");
    return { document: found.value.document, revision: found.value.revision };
  } finally {
    db.$client.close();
  }
}

/** What an action's page sends when all is right. */
function rightArguments(file: string): Readonly<Record<string, readonly unknown[]>> {
  const { document, revision } = documentOf(file);
  const [item] = (demoInput("first-try") as { items: readonly Record<string, unknown>[] }).items;
  const own = { id: "butter", names: ["butter"], like: "butter" };
  return {
    saveGathering: [document, revision],
    saveItem: [item, 1],
    createItem: [{ ...item, name: "Another" }],
    savePlanPiece: [{ upload: "upload-1", piece: 0, of: 1, text: "{}" }],
    savePantry: [{ ingredient: "butter", haveG: 10, packs: [{ sizeG: 250, price: 300 }] }],
    noteLiquid: [{ item: item.id, component: "water", usedG: 10, plannedG: 12 }],
    keepOwn: [own],
    forgetOwn: ["butter"],
    duplicateItem: [item.id, true],
    archiveItem: [item.id, false],
    beginRun: [{ gathering: "first-try", practice: true, cost: 1 }],
    tellRun: [{ run: "x", events: [{ id: "e", device: "d", at: "2026-12-05T08:00:00.000Z", kind: "note", text: "t" }] }],
    makeCode: [],
    revokeDevice: ["x"],
  };
}

/** Where an action is called from that the first page does not have. */
const PAGES: Readonly<Record<string, string>> = { beginRun: "/g/first-try/cook", tellRun: "/cook/x" };

/** Spoiled bodies to every action: an answer in time, no trace in it, a server that lives, and data that can be read. */
export async function spoiledRequests(server: FaultyServer, count: number, chance: Chance): Promise<Tally> {
  const tally = new Tally("spoiled bodies to the actions");
  const actions = actionNames();
  const right = rightArguments(server.file);
  const answers = { taken: 0, refused: 0, other: new Map<number, number>() };
  await server.start();
  for (let i = 0; i < count && !isStopped(); i++) {
    const action = actions[chance.below(actions.length)];
    const body = spoiled(right[action] ?? [], chance).slice(0, 1_500_000);
    let wrong: string | undefined;
    try {
      const { text, status } = await server.send(action, body, PAGES[action]);
      if (hasTrace(text)) wrong = "a trace in the answer";
      if (text.includes('"ok":true')) answers.taken++;
      else if (text.includes('"ok":false')) answers.refused++;
      else answers.other.set(status, (answers.other.get(status) ?? 0) + 1);
    } catch (error) {
      wrong = `no answer (${(error as Error).name})`;
    }
    if (!server.isAlive) {
      wrong = "the server died";
      await server.start();
    }
    tally.count(wrong && `${action} ${i}: ${wrong}: ${body.slice(0, 200)}`);
  }
  const others = [...answers.other].map(([status, n]) => `${n} answered with ${status}`);
  tally.note = [`${answers.taken} taken, ${answers.refused} refused with a reason`, ...others].join(", ");
  for (const path of ["/", "/items", "/g/first-try", "/g/first-try/quantities", "/devices"]) {
    const { status } = await fetch(server.url + path);
    tally.count(status === 200 ? undefined : `${path} answers ${status} afterwards`);
  }
  await server.kill();
  const db = openDatabase(server.file);
  const unreadable = itemRepository(db).list({ archived: true }).unreadable.length;
  db.$client.close();
  tally.count(unreadable === 0 ? undefined : `${unreadable} items cannot be read afterwards`);
  tally.count(hasTrace(server.said) ? `a trace in what the server says: ${server.said.slice(-400)}` : undefined);
  return tally;
}

/** Kills in the midst of saving: whatever was confirmed is there afterwards, or something newer that was on its way. */
export async function kills(server: FaultyServer, count: number, chance: Chance): Promise<Tally> {
  const tally = new Tally("kills in the midst of saving");
  let saves = 0;
  for (let i = 0; i < count && !isStopped(); i++) {
    await server.start();
    const { document, revision } = documentOf(server.file);
    let confirmed = { revision, name: storedIn(server.file).name };
    let stop = false;
    let begun: () => void = () => undefined;
    const firstSave = new Promise<void>((done) => (begun = done));
    const saving = (async () => {
      for (let n = 0; !stop; n++) {
        const name = `Round ${i}, save ${n}`;
        const answer = await server
          .call<Saved>("saveGathering", { ...document, name }, confirmed.revision)
          .catch(() => undefined);
        begun();
        if (!answer?.ok) return;
        saves++;
        confirmed = { revision: answer.value.revision, name };
      }
    })();
    await firstSave;
    await wait(chance.below(120));
    await server.kill();
    stop = true;
    await saving;
    const now = storedIn(server.file);
    const isThere = now.revision === confirmed.revision ? now.name === confirmed.name : now.revision === confirmed.revision + 1;
    tally.count(isThere ? undefined : `kill ${i}: ${JSON.stringify(confirmed)} was confirmed, ${JSON.stringify(now)} is there`);
  }
  tally.note = `${saves} saves were confirmed`;
  tally.count(saves > 0 || count === 0 ? undefined : "nothing was ever confirmed: nothing was tried");
  return tally;
}

/** Another program holds the file, for longer or shorter: pages are read meanwhile, saves go through afterwards. */
export async function locks(server: FaultyServer, count: number, chance: Chance): Promise<Tally> {
  const tally = new Tally("a locked data file");
  await server.start();
  for (let i = 0; i < count && !isStopped(); i++) {
    const { document, revision } = documentOf(server.file);
    const other = new Database(server.file);
    other.exec("begin immediate");
    const held = wait(chance.below(3000)).then(() => other.exec("rollback") && other.close());
    const name = `Lock ${i}`;
    let wrong: string | undefined;
    const saving = (async () => {
      for (let tries = 0; tries < 30; tries++) {
        const answer = await server.call<Saved>("saveGathering", { ...document, name }, revision);
        if (answer.ok) return;
        if (answer.issues[0].code !== "failed") throw new Error(JSON.stringify(answer.issues[0]));
        await wait(200);
      }
      throw new Error("it never went through");
    })().catch((error: Error) => (wrong = error.message));
    const began = performance.now();
    const page = await fetch(`${server.url}/`, { signal: AbortSignal.timeout(10_000) }).catch(() => undefined);
    if (page?.status !== 200) wrong = "the list is not read meanwhile";
    else if (performance.now() - began > 2500) wrong = "the list waits for the lock";
    await held;
    await saving;
    if (!wrong && storedIn(server.file).name !== name) wrong = "what was confirmed is not there";
    tally.count(wrong && `lock ${i}: ${wrong}`);
  }
  await server.kill();
  return tally;
}

/** A disk that fills up: refused with its reason, what was confirmed before is there, and it goes on where there is room again. */
export async function fullDisks(server: FaultyServer, count: number): Promise<Tally> {
  const tally = new Tally("a full disk");
  const [item] = (demoInput("first-try") as { items: readonly Record<string, unknown>[] }).items;
  for (let i = 0; i < count && !isStopped(); i++) {
    await server.start({ UNISYNTH_MOST_PAGES: "1" });
    let refusedWith = "";
    const confirmed: string[] = [];
    for (let n = 0; n < 60 && refusedWith === ""; n++) {
      const name = `Full ${i} ${n} ${"x".repeat(60)}`;
      const answer = await server.call<Result<{ id: string }>>("createItem", { ...item, name });
      if (answer.ok) confirmed.push(answer.value.id);
      else refusedWith = String(answer.issues[0].got);
    }
    const page = await fetch(`${server.url}/items`);
    await server.kill();
    await server.start();
    const db = openDatabase(server.file);
    const there = new Set(itemRepository(db).idsInUse());
    db.$client.close();
    const after = await server.call<Result<unknown>>("createItem", { ...item, name: `Room again ${i}` });
    await server.kill();
    const lost = confirmed.filter((id) => !there.has(id));
    tally.count(
      !/no room left/.test(refusedWith)
        ? `disk ${i}: not said: ${refusedWith}`
        : page.status !== 200
          ? `disk ${i}: pages are not read`
          : lost.length > 0
            ? `disk ${i}: ${lost.length} confirmed are gone`
            : after.ok
              ? undefined
              : `disk ${i}: it does not go on where there is room`,
    );
  }
  return tally;
}
