// Makes the data file ready (created, checked, copied, migrated) and fills in the demo where it is empty; --reset restores the demo.
import { backUp } from "@/db/backups";
import { clearAll, seedDemo } from "@/db/demo";
import { databaseFile, openDatabase } from "@/db/database";
import { itemRepository } from "@/db/items";
import { prepareDatabase } from "@/db/prepare";
import { troubleOf } from "@/db/trouble";

const file = databaseFile();
try {
  const now = new Date();
  const reset = process.argv.includes("--reset");
  await prepareDatabase(file, now, { anew: reset });
  const db = openDatabase(file);
  if (reset && itemRepository(db).count() > 0) {
    await backUp(db.$client, file, "before-reset", now);
    clearAll(db);
  }
  const seeded = seedDemo(db, now.toISOString());
  db.$client.close();
  process.stderr.write(seeded ? "Demo data are in place.\n" : "Your data are as you left them.\n");
} catch (error) {
  // The application starts all the same: it shows what can be read, and says what is wrong.
  const trouble = troubleOf(error, file);
  process.stderr.write(`${trouble?.message ?? `The data file ${file} cannot be made ready: ${(error as Error).message}`}\n`);
  process.exitCode = trouble ? 0 : 1;
}
