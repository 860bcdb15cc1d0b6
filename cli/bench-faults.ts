// Everything that may go wrong, so many times each: spoiled documents and requests, kills, locks, full disks, inputs without end.
import { mkdirSync } from "node:fs";
import { seeded } from "@/core/shared/chance";
import { spoiledDocuments } from "@tests/faults/documents";
import { longInputs } from "@tests/faults/long-inputs";
import { FaultyServer } from "@tests/faults/server";
import { isStopped, stopTrials, type Tally } from "@tests/faults/tally";
import { fullDisks, kills, locks, spoiledRequests } from "@tests/faults/trials";
import { numberFlags } from "./common";

const COUNT = { min: 0, max: 1e6, whole: true } as const;
const { values } = numberFlags(process.argv.slice(2), {
  documents: COUNT,
  requests: COUNT,
  kills: COUNT,
  locks: COUNT,
  disks: COUNT,
  long: COUNT,
  seed: { min: -2147483648, max: 2147483647, whole: true },
});
const count = { documents: 500, requests: 200, kills: 20, locks: 10, disks: 3, long: 10, seed: 1, ...values };
/** What failed is laid here, to be looked at. */
const KEEP = "test-results/faults";
mkdirSync(KEEP, { recursive: true });

// Whoever has seen enough presses Ctrl+C, and is told what was tried.
process.once("SIGINT", stopTrials);

const tallies: Tally[] = [];
async function trial(wanted: number, work: () => Promise<Tally>): Promise<void> {
  if (wanted === 0 || isStopped()) return;
  const tally = await work();
  tallies.push(tally);
  console.log(tally.line);
  for (const line of tally.failed.slice(0, 20)) console.log(`  ${line}`);
}

const server = new FaultyServer();
try {
  await trial(count.documents, () => spoiledDocuments(count.documents, seeded(count.seed), KEEP));
  await trial(count.long, () => longInputs(count.long));
  await trial(count.requests, () => spoiledRequests(server, count.requests, seeded(count.seed)));
  await trial(count.locks, () => locks(server, count.locks, seeded(count.seed)));
  await trial(count.disks, () => fullDisks(server, count.disks));
  await trial(count.kills, () => kills(server, count.kills, seeded(count.seed)));
} finally {
  await server.remove();
}
const tried = tallies.reduce((sum, tally) => sum + tally.tried, 0);
const failed = tallies.reduce((sum, tally) => sum + tally.failed.length, 0);
console.log(`${tried} tried, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
