// The server killed amid bursts of events, so many times: every confirmed event is there exactly once.
import { seeded } from "@/core/shared/chance";
import { eventKills } from "@tests/faults/event-kills";
import { FaultyServer } from "@tests/faults/server";
import { stopTrials } from "@tests/faults/tally";
import { numberFlags } from "./common";

const { values } = numberFlags(process.argv.slice(2), {
  kills: { min: 1, max: 1e6, whole: true },
  seed: { min: -2147483648, max: 2147483647, whole: true },
});
const { kills, seed } = { kills: 1000, seed: 1, ...values };
process.once("SIGINT", stopTrials);
const server = new FaultyServer();
try {
  const tally = await eventKills(server, kills, seeded(seed));
  console.log(tally.line);
  for (const line of tally.failed.slice(0, 20)) console.log(`  ${line}`);
  process.exitCode = tally.failed.length > 0 ? 1 : 0;
} finally {
  await server.remove();
}
