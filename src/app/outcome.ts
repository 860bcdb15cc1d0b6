import "server-only";
import { fail, type Result } from "@/core/shared/issue";

/**
 * Runs what an action does. Whatever goes wrong inside (a locked database, a full disk) becomes an issue like any other:
 * the form keeps what was typed and offers to try again.
 */
export function outcome<T>(work: () => Result<T>): Result<T> {
  try {
    return work();
  } catch (error) {
    const cause = (error as { cause?: unknown }).cause ?? error;
    return fail({ code: "failed", path: [], got: cause instanceof Error ? cause.message : String(cause) });
  }
}
