/** Turns in a row that nothing else delayed, for the server to count as having nothing to do. */
const QUIET_TURNS = 5;
/** A turn of a timer of 1 ms that nothing else delayed, ms. */
const QUIET_MS = 3;
const LONGEST_MS = 150;

/** Waits until what is under way on the only thread there is has been done and sent; not for ever where it is never quiet. */
export async function whenQuiet(): Promise<void> {
  const begun = performance.now();
  for (let quiet = 0, at = begun; quiet < QUIET_TURNS && at - begun < LONGEST_MS;) {
    await new Promise((turn) => setTimeout(turn, 1));
    const now = performance.now();
    quiet = now - at < QUIET_MS ? quiet + 1 : 0;
    at = now;
  }
}
