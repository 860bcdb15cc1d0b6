import { readFileSync } from "node:fs";
import { OwnServer } from "../own-server";

/** A server with the demo that is spoken to as its pages do. */
export class FaultyServer extends OwnServer {
  constructor() {
    super();
    this.seed();
  }

  /** Calls an action as a page does, by default the first; `body` as it is, right or not. Where it is asked to wait it waits, and asks again. */
  async send(action: string, body: string, page = "/", most = 15_000): Promise<{ status: number; text: string }> {
    for (;;) {
      const answer = await fetch(`${this.url}${page}`, {
        method: "POST",
        headers: { "Next-Action": actionId(action), "Content-Type": "text/plain;charset=UTF-8", Origin: this.url },
        body,
        signal: AbortSignal.timeout(most),
      });
      const text = await answer.text();
      if (answer.status !== 429) return { status: answer.status, text };
      await new Promise((wake) => setTimeout(wake, 1000 * Number(answer.headers.get("retry-after") ?? 1)));
    }
  }

  /** The result that an action answered with. */
  async call<T>(action: string, ...args: unknown[]): Promise<T> {
    return this.callOn<T>("/", action, ...args);
  }

  /** The same, of an action that only some pages have. */
  async callOn<T>(page: string, action: string, ...args: unknown[]): Promise<T> {
    const { text } = await this.send(action, JSON.stringify(args), page);
    const line = text.split("\n").find((one) => /^1:/.test(one));
    if (!line) throw new Error(`no answer of ${action}: ${text.slice(0, 200)}`);
    return JSON.parse(line.slice(2)) as T;
  }
}

interface Manifest {
  readonly node: Readonly<Record<string, { readonly exportedName: string }>>;
}
let ids: ReadonlyMap<string, string> | undefined;

/** The number under which the built application knows an action. */
function actionId(name: string): string {
  ids ??= new Map(
    Object.entries((JSON.parse(readFileSync(".next/server/server-reference-manifest.json", "utf8")) as Manifest).node).map(
      ([id, { exportedName }]) => [exportedName, id],
    ),
  );
  const id = ids.get(name);
  if (!id) throw new Error(`there is no action ${name} in the build`);
  return id;
}

/** The names of all actions that the built application has. */
export function actionNames(): string[] {
  actionId("saveGathering");
  return [...ids!.keys()].sort();
}
