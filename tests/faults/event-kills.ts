import Database from "better-sqlite3";
import { makePlan } from "@/core/plan/pipeline";
import type { KeptPlan } from "@/core/plan/kept-plan";
import type { RunEvent } from "@/core/run/events";
import type { Chance } from "@/core/shared/chance";
import type { Result } from "@/core/shared/issue";
import { openDatabase } from "@/db/database";
import { planRepository } from "@/db/plans";
import { runRepository } from "@/db/runs";
import { demoInput, expectRequest } from "../demo";
import type { FaultyServer } from "./server";
import { isStopped, Tally } from "./tally";

const RUN = "killed-run";
const STARTED = "2026-12-05T08:00:00.000Z";
/** Senders at once, and events in one sending at the most: what several devices say after a line was down. */
const SENDERS = 4;
const MOST_TOLD = 8;
/** The power goes within so long of the first answer, ms. */
const MOST_WAIT_MS = 60;

/** Begins a run in a data file, as its page does. */
function beginIn(file: string): void {
  const request = expectRequest({ ...demoInput("first-try"), solve: { seed: 1, iterations: 0 } });
  const kept = { request, plan: makePlan(request, { now: () => 0 }), search: "ended" } as KeptPlan;
  const db = openDatabase(file);
  const planId = planRepository(db).save("first-try", kept, STARTED);
  runRepository(db).begin({ id: RUN, gatheringId: "first-try", planId, startedAt: STARTED, shiftMs: 0 });
  db.$client.close();
}

function timesStored(file: string): ReadonlyMap<string, number> {
  const db = new Database(file, { readonly: true });
  try {
    const rows = db
      .prepare("select event_id as id, count(*) as times from run_events where run_id = ? group by event_id")
      .all(RUN);
    return new Map((rows as { id: string; times: number }[]).map(({ id, times }) => [id, times]));
  } finally {
    db.close();
  }
}

/** Kills amid bursts of events, each burst sent again where nothing was answered: what was confirmed is there exactly once. */
export async function eventKills(server: FaultyServer, count: number, chance: Chance): Promise<Tally> {
  const tally = new Tally("kills amid bursts of events");
  beginIn(server.file);
  const confirmed = new Set<string>();
  /** What was sent and not answered: sent once more after the next start. */
  let open: RunEvent[][] = [];
  let made = 0;
  const burst = (): RunEvent[] =>
    Array.from({ length: 1 + chance.below(MOST_TOLD) }, () => {
      const id = `event-${made++}`;
      return { id, device: `device-${made % SENDERS}`, at: STARTED, kind: "note", text: id };
    });
  for (let i = 0; i < count && !isStopped(); i++) {
    await server.start();
    let first: () => void = () => undefined;
    const answered = new Promise<void>((done) => (first = done));
    let isDown = false;
    const again = open;
    open = [];
    const sender = async (): Promise<void> => {
      while (!isDown) {
        const events = again.pop() ?? burst();
        const answer = await server
          .callOn<Result<unknown>>(`/cook/${RUN}`, "tellRun", { run: RUN, events })
          .catch(() => undefined);
        first();
        if (answer?.ok) events.forEach(({ id }) => confirmed.add(id));
        else open.push(events);
      }
    };
    const senders = Array.from({ length: SENDERS }, sender);
    await answered;
    await new Promise((wake) => setTimeout(wake, chance.below(MOST_WAIT_MS)));
    await server.kill();
    isDown = true;
    await Promise.all(senders);
    open.push(...again);
    const stored = timesStored(server.file);
    const wrong = [...confirmed].filter((id) => stored.get(id) !== 1).concat([...stored].flatMap(([id, n]) => (n > 1 ? id : [])));
    tally.count(wrong.length > 0 ? `kill ${i}: ${wrong.length} not exactly once, such as ${wrong[0]}` : undefined);
  }
  tally.note = `${confirmed.size} events were confirmed, ${made} were sent`;
  tally.count(confirmed.size > 0 || count === 0 ? undefined : "nothing was ever confirmed: nothing was tried");
  return tally;
}
