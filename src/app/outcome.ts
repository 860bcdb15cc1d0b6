import "server-only";
import { fail, type Result } from "@/core/shared/issue";
import { databaseFile } from "@/db/database";
import { troubleOf } from "@/db/trouble";

/** Pauses between tries while another program holds the database, ms. Other requests are answered meanwhile. */
const PAUSES_MS = [20, 40, 80, 160, 320, 640];

/**
 * Runs what an action does. Whatever goes wrong inside (a locked database, a full disk) becomes an issue like any other:
 * the form keeps what was typed and tries again.
 */
export async function outcome<T>(work: () => Result<T>): Promise<Result<T>> {
  for (let tries = 0; ; tries++) {
    try {
      return work();
    } catch (error) {
      const trouble = troubleOf(error, databaseFile());
      if (trouble?.code === "locked" && tries < PAUSES_MS.length) {
        await new Promise((wake) => setTimeout(wake, PAUSES_MS[tries]));
        continue;
      }
      const { message } = (error as { cause?: { message?: unknown } })?.cause ?? (error as { message?: unknown }) ?? {};
      return fail({ code: "failed", path: [], got: trouble?.message ?? String(message ?? error) });
    }
  }
}
