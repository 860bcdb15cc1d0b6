import { expect, planFits, type Page } from "./test";

/** The card of what a cook does now. */
const nowOf = (page: Page, cook: string) => page.getByRole("region", { name: cook, exact: true }).getByRole("article").first();

export const runOf = (page: Page) => new URL(page.url()).pathname.split("/").at(-1)!;

/** Lays events on the device as a page that was closed before it could send them. */
export const hold = (page: Page, run: string, ...events: object[]) =>
  page.evaluate(
    ([run, events]) =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open("unisynth-runs");
        opening.onerror = () => fail(opening.error!);
        opening.onsuccess = () => {
          const change = opening.result.transaction("events", "readwrite");
          for (const event of events)
            change.objectStore("events").put({ run, id: (event as { id: string }).id, isTaken: false, event });
          change.oncomplete = () => done();
        };
      }),
    [run, events] as const,
  );

/** Ends the search for a better plan; it may end by itself in that moment. */
export async function goodEnough(page: Page): Promise<void> {
  const stop = page.getByRole("button", { name: "Good enough" });
  if (await stop.isVisible()) await stop.click({ timeout: 3000 }).catch(() => expect(stop).toBeHidden());
}

/** A timetable's own tasks in their order, by key. */
const tasksOn = async (page: Page): Promise<string[]> => {
  const blocks = await page
    .locator("[data-block]")
    .evaluateAll((all) => all.map((one) => [one.getBoundingClientRect().left, one.getAttribute("data-block")!] as const));
  return [...new Set(blocks.sort((a, b) => a[0] - b[0]).map(([, task]) => task))];
};

/** What tests of the day itself do with a demo server of their own. */
export function cooking(own: { readonly url: string }) {
  /** Goes to a gathering's timetable, and on to its Cook once the plan stands. @returns its tasks */
  const toCook = async (page: Page, gathering: string): Promise<string[]> => {
    await page.goto(`${own.url}/g/${gathering}/timeline`);
    await planFits(page);
    await goodEnough(page);
    const tasks = await tasksOn(page);
    await page.getByRole("link", { name: "Cook" }).click();
    return tasks;
  };
  /** What a run's server knows, in the order in which it came in. A line that lay idle is shut, and asked again as a browser does. */
  const toldIn = async (page: Page, run: string) =>
    (await (await page.request.get(`${own.url}/cook/${run}/events`, { maxRetries: 2 })).json()) as {
      id: string;
      at: string;
      kind: string;
    }[];
  /**
   * Begins with what somebody pressed on this device before the page was there, one after the other from the beginning of the day,
   * or so many minutes after it.
   */
  const withPressed = async (
    page: Page,
    run: string,
    events: readonly { readonly afterMin?: number; readonly [field: string]: unknown }[],
  ): Promise<void> => {
    const first = page.getByRole("button", { name: "Done" }).first();
    await first.click();
    await expect.poll(async () => (await toldIn(page, run)).some(({ kind }) => kind === "done")).toBe(true);
    const from = Date.parse((await toldIn(page, run))[0].at);
    await hold(
      page,
      run,
      ...events.map(({ afterMin, ...event }, k) => ({
        ...event,
        id: `held ${k}`,
        device: "earlier",
        at: new Date(from + (afterMin === undefined ? 100 * (k + 1) : 60_000 * afterMin)).toISOString(),
      })),
    );
    await page.reload();
  };
  return {
    nowOf,
    toCook,
    toldIn,
    withPressed,
    /** Practises a gathering's plan. @returns its tasks */
    async practise(page: Page, gathering: string): Promise<string[]> {
      const tasks = await toCook(page, gathering);
      await page.getByRole("button", { name: "Practise it" }).click();
      await expect(page).toHaveURL(new RegExp(`/cook/${gathering}-`));
      return tasks;
    },
  };
}
