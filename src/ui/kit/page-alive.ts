let come: () => void = () => undefined;
const alive = new Promise<void>((resolve) => (come = resolve));

/** A page without a part that is worked in counts as alive so long after its frame, ms. */
const AT_LAST_MS = 3000;

/** What is worked in takes presses now. */
export const pageIsAlive = (): void => come();

/**
 * Does something once the page is alive. What asks the server before, changes the state of the router under a part that is not
 * alive yet, and keeps it from ever being.
 * @returns how to do without
 */
export function whenAlive(work: () => void): () => void {
  let wanted = true;
  const once = () => {
    if (!wanted) return;
    wanted = false;
    work();
  };
  const timer = setTimeout(once, AT_LAST_MS);
  void alive.then(once);
  return () => {
    wanted = false;
    clearTimeout(timer);
  };
}
