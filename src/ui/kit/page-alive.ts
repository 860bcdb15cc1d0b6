let come: () => void = () => undefined;
const alive = new Promise<void>((resolve) => (come = resolve));

/** A page without a part that is worked in is looked at this often, ms: it counts as alive as it is. */
const LOOK_MS = 3000;

/** What is worked in takes presses now. */
export const pageIsAlive = (): void => come();

/** Whether there is a part that is to be worked in and is not alive yet, or the page is still on its way. */
const isComing = (): boolean => document.readyState !== "complete" || document.querySelector("main[inert]") !== null;

/**
 * Does something once the page is alive. What asks the server before, changes the state of the router under a part that is not
 * alive yet, and keeps it from ever being.
 * @returns how to do without
 */
export function whenAlive(work: () => void): () => void {
  let wanted = true;
  let timer: ReturnType<typeof setTimeout>;
  const once = () => {
    if (!wanted) return;
    wanted = false;
    clearTimeout(timer);
    work();
  };
  const look = () => {
    timer = setTimeout(() => (isComing() ? look() : once()), LOOK_MS);
  };
  look();
  void alive.then(once);
  return () => {
    wanted = false;
    clearTimeout(timer);
  };
}
