import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { createServer, type AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const SEED = ["scripts/run.mjs", "cli/seed.ts"];
const SERVE = ["scripts/run.mjs", "cli/serve.ts"];
/** A server that does not answer after so long does not start, ms; it is looked at so often. */
const MOST_START_MS = 120_000;
const LOOK_MS = 50;

/** A server on a data file of its own, for what takes it away, spoils its disk or fills it. It keeps its port. */
export class OwnServer {
  private readonly folder = mkdtempSync(join(tmpdir(), "unisynth-server-"));
  private running: ChildProcess | undefined;
  port = 0;
  /** All that it said on standard error. */
  said = "";

  /** @param file where its data are; by default a file that goes when the server is removed */
  constructor(readonly file = "") {
    this.file ||= join(this.folder, "unisynth.db");
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Whether its process is there. */
  get isAlive(): boolean {
    return this.running !== undefined && this.running.exitCode === null && this.running.signalCode === null;
  }

  /** Fills its data file with the demo. */
  seed(): this {
    const seeded = spawnSync(process.execPath, SEED, { env: this.env({}), encoding: "utf8" });
    if (seeded.status !== 0) throw new Error(seeded.stderr);
    return this;
  }

  /** Starts it, again after it was killed. */
  async start(more: Readonly<Record<string, string>> = {}): Promise<void> {
    this.port ||= await freePort();
    const server = spawn(process.execPath, [...SERVE, "--port", String(this.port)], {
      env: this.env(more),
      stdio: ["ignore", "ignore", "pipe"],
    });
    this.running = server;
    server.stderr.on("data", (part) => (this.said += part));
    for (let waited = 0; waited < MOST_START_MS && this.isAlive; waited += LOOK_MS) {
      const isUp = await fetch(`${this.url}/icon.svg`).then(
        () => true,
        () => false,
      );
      if (isUp) return;
      await new Promise((wake) => setTimeout(wake, LOOK_MS));
    }
    throw new Error(`the server does not start: ${this.said.slice(-500)}`);
  }

  /** Ends it as a power cut does. */
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
