// How pages stand up to data: first byte of the list with many gatherings against one with three, alone and fifty at once, as ratios.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { GatheringSchema } from "@/core/gathering/schema";
import { makePlan } from "@/core/plan/pipeline";
import { parseRequest } from "@/core/plan/request-check";
import type { KeptPlan } from "@/core/plan/kept-plan";
import { openDatabase } from "@/db/database";
import { seedDemo } from "@/db/demo";
import demoGatherings from "@/db/demo/gatherings.json";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { planRepository } from "@/db/plans";
import { OwnServer } from "@tests/own-server";
import { numberFlags, print } from "./common";

const COUNT = { min: 3, max: 100_000, whole: true } as const;
const { values } = numberFlags(process.argv.slice(2), {
  gatherings: COUNT,
  plans: { min: 1, max: 20, whole: true },
  rounds: { min: 5, max: 10_000, whole: true },
});
const { gatherings: many = 1000, plans: plansEach = 5, rounds = 60 } = values;
const AT_ONCE = 50;
const folder = mkdtempSync(join(tmpdir(), "unisynth-pages-"));

/** A database with so many gatherings, each with so many plans of the smallest demo day. */
function filled(name: string, count: number): string {
  const file = join(folder, `${name}.db`);
  const db = openDatabase(file);
  const savedAt = new Date().toISOString();
  seedDemo(db, savedAt);
  // The one with the fewest waves is the smallest.
  const models = demoGatherings.map((one) => GatheringSchema.parse(one)).filter((one) => one.waves.length > 0);
  const [model] = models.sort((x, y) => x.waves.length - y.waves.length);
  const request = parseRequest({
    format: "unisynth-request/1",
    today: "2026-11-25",
    items: itemRepository(db)
      .all()
      .filter((item) => JSON.stringify(model).includes(`"${item.id}"`)),
    kitchen: (() => {
      const kitchen = kitchenRepository(db).find(model.kitchen ?? "");
      if (!kitchen?.ok) throw new Error("no kitchen");
      return kitchen.value.document;
    })(),
    gathering: model,
    solve: { seconds: 0.2, seed: 1 },
  });
  if (!request.ok) throw new Error(JSON.stringify(request.issues));
  const plan = makePlan(request.value, { now: () => performance.now() });
  const kept = JSON.parse(JSON.stringify({ request: request.value, plan, search: "ended" })) as KeptPlan;
  db.transaction(() => {
    for (let i = 3; i < count; i++) {
      const on = new Date(Date.now() + (i % 400) * 86_400_000).toISOString().slice(0, 10);
      gatheringRepository(db).save(
        { ...model, id: `g-${i}`, name: `Gathering ${i}`, date: { on } },
        { savedAt, kitchenId: model.kitchen },
      );
    }
    const ids = db.$client.prepare("select id from gatherings").all() as { id: string }[];
    for (const { id } of ids) for (let p = 0; p < plansEach; p++) planRepository(db).save(id, kept, savedAt);
  });
  db.$client.pragma("wal_checkpoint(TRUNCATE)");
  db.$client.close();
  return file;
}

async function served(file: string): Promise<OwnServer> {
  const server = new OwnServer(file);
  await server.start();
  return server;
}

/** Time to the first byte, ms; the rest is read as well. */
async function firstByte(url: string): Promise<number> {
  const began = performance.now();
  const answer = await fetch(url);
  const reader = answer.body!.getReader();
  await reader.read();
  const at = performance.now() - began;
  while (!(await reader.read()).done);
  return at;
}
const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[all.length >> 1];

const few = await served(filled("few", 3));
const lots = await served(filled("many", many));
try {
  for (const { url } of [few, lots]) for (let i = 0; i < 10; i++) await firstByte(url);
  const times = { few: [] as number[], lots: [] as number[] };
  for (let i = 0; i < rounds; i++) {
    times.few.push(await firstByte(few.url));
    times.lots.push(await firstByte(lots.url));
  }
  const atOnce = async (url: string) => {
    const began = performance.now();
    const each = await Promise.all(Array.from({ length: AT_ONCE }, () => firstByte(url)));
    return { all: performance.now() - began, p95: [...each].sort((a, b) => a - b)[Math.floor(0.95 * AT_ONCE)] };
  };
  const together = { few: [] as number[], lots: [] as number[], p95: [] as number[] };
  for (let i = 0; i < 5; i++) {
    together.few.push((await atOnce(few.url)).all);
    const busy = await atOnce(lots.url);
    together.lots.push(busy.all);
    together.p95.push(busy.p95);
  }
  const ratio = (a: number, b: number) => (a / b).toFixed(2);
  print(
    [
      `first byte of the list with ${many} gatherings and ${many * plansEach} plans: ${ratio(median(times.lots), median(times.few))} times that with three`,
      `fifty at once: ${ratio(median(together.lots), median(together.few))} times as long as with three; ${ratio(median(together.p95), median(times.lots))} first bytes of one alone at the 95th of 100`,
      `(here: ${median(times.few).toFixed(1)} ms, ${median(times.lots).toFixed(1)} ms; fifty in ${median(together.lots).toFixed(0)} ms)`,
      "",
    ].join("\n"),
  );
} finally {
  await few.remove();
  await lots.remove();
  rmSync(folder, { recursive: true, force: true });
}
