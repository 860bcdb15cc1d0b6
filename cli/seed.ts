// Creates the database, runs its migrations and fills in the demo where it is empty; --reset restores the demo.
import { clearAll, seedDemo } from "@/db/demo";
import { databaseFile, openDatabase } from "@/db/database";

try {
  const db = openDatabase(databaseFile());
  if (process.argv.includes("--reset")) clearAll(db);
  const seeded = seedDemo(db, new Date().toISOString());
  process.stderr.write(seeded ? "Demo data are in place.\n" : "Your data are as you left them.\n");
} catch (error) {
  process.stderr.write(
    `The database ${databaseFile()} cannot be opened or written (${(error as Error).message}); make its folder writable or set UNISYNTH_DB to another file.\n`,
  );
  process.exit(1);
}
