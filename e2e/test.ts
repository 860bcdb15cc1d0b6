import { expect, test as base, type Page, type Response } from "@playwright/test";

export { expect, type Page } from "@playwright/test";

type Options = { readonly waitUntil?: "load" | "domcontentloaded" | "networkidle" | "commit" } | undefined;

/** Keys pressed before a page takes any go nowhere; a person sees that, a test has to wait for it. */
function waitsUntilAlive(page: Page): void {
  const alive = async (response: Response | null, options: Options) => {
    if (options?.waitUntil !== "commit") await page.locator("main[inert]").waitFor({ state: "detached" });
    return response;
  };
  const goto = page.goto.bind(page);
  const reload = page.reload.bind(page);
  page.goto = async (url, options) => alive(await goto(url, options), options);
  page.reload = async (options) => alive(await reload(options), options);
}

/** The planner says that the plan fits, whether it is still made better or not. */
export const planFits = (page: Page): Promise<void> => expect(page.getByTestId("plan-state")).toHaveText(/^The plan fits/);

export const test = base.extend({
  context: async ({ context }, provide) => {
    context.on("page", waitsUntilAlive);
    await provide(context);
  },
});
