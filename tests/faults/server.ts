import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createServer, type AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** A server on a database of its own, filled with the demo, to be killed, started again, and spoken to as a page does. */
export class FaultyServer {
  private readonly folder = mkdtempSync(join(tmpdir(), "unisynth-server-"));
  readonly file = join(this.folder, "unisynth.db");
  private running: ChildProcess | undefined;
  private port = 0;
  /** All that it said on standard error. */
  said = "";

  constructor() {
    const seeded = spawnSync(process.execPath, ["scripts/run.mjs", "cli/seed.ts"], { env: this.env({}), encoding: "utf8" });
    if (seeded.status !== 0) throw new Error(seeded.stderr);
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Whether its process is there. */
  get isAlive(): boolean {
    return this.running !== undefined && this.running.exitCode === null && this.running.signalCode === null;
  }

  async start(more: Readonly<Record<string, string>> = {}): Promise<void> {
    this.port ||= await freePort();
    const server = spawn(process.execPath, ["scripts/run.mjs", "cli/serve.ts", "--port", String(this.port)], {
      env: this.env(more),
      stdio: ["ignore", "ignore", "pipe"],
    });
    this.running = server;
    server.stderr.on("data", (part) => (this.said += part));
    for (let tries = 0; tries < 600; tries++) {
      if (
        await fetch(`${this.url}/icon.svg`).then(
          () => true,
          () => false,
        )
      )
        return;
      if (!this.isAlive) break;
      await new Promise((wake) => setTimeout(wake, 50));
    }
    throw new Error(`the server does not start: ${this.said.slice(-500)}`);
  }

  async kill(): Promise<void> {
    if (!this.isAlive) return;
    const ended = new Promise((end) => this.running!.once("exit", end));
    this.running!.kill("SIGKILL");
    await ended;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** Calls an action as its page does; `body` as it is, right or not. Where it is asked to wait it waits, and asks again. */
  async send(action: string, body: string, most = 15_000): Promise<{ status: number; text: string }> {
    for (;;) {
      const answer = await fetch(`${this.url}/`, {
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
    const { text } = await this.send(action, JSON.stringify(args));
    const line = text.split("\n").find((one) => /^1:/.test(one));
    if (!line) throw new Error(`no answer of ${action}: ${text.slice(0, 200)}`);
    return JSON.parse(line.slice(2)) as T;
  }

  private env(more: Readonly<Record<string, string>>): NodeJS.ProcessEnv {
    return { ...process.env, UNISYNTH_DB: this.file, ...more };
  }
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

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
