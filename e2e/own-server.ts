import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** A server on a database of its own (filled with the demo, or empty), for tests that take it away or spoil its disk. */
export interface OwnServer {
  readonly url: string;
  readonly port: number;
  readonly file: string;
  /** Starts it, again after it was killed. */
  readonly start: (env?: Record<string, string>) => Promise<void>;
  /** Ends it as a power cut does. */
  readonly kill: () => Promise<void>;
  readonly remove: () => Promise<void>;
  /** All that it said on standard error. */
  readonly said: () => string;
}

export function ownServer(port: number, { demo = true } = {}): OwnServer {
  const folder = mkdtempSync(join(tmpdir(), "unisynth-"));
  const file = join(folder, "unisynth.db");
  const url = `http://127.0.0.1:${port}`;
  const env = (more: Record<string, string>) => ({ ...process.env, UNISYNTH_DB: file, ...more });
  let said = "";
  let running: ChildProcess | undefined;
  const program = (name: string, ...args: string[]) => ["scripts/run.mjs", `cli/${name}.ts`, ...args];
  if (demo) {
    const seeded = spawnSync(process.execPath, program("seed"), { env: env({}), encoding: "utf8" });
    if (seeded.status !== 0) throw new Error(seeded.stderr);
  }
  const kill = async () => {
    if (!running || running.exitCode !== null || running.signalCode !== null) return;
    const ended = new Promise((end) => running!.once("exit", end));
    running.kill("SIGKILL");
    await ended;
  };
  return {
    url,
    port,
    file,
    said: () => said,
    async start(more = {}) {
      running = spawn(process.execPath, program("serve", "--port", String(port)), {
        env: env(more),
        stdio: ["ignore", "ignore", "pipe"],
      });
      running.stderr!.on("data", (part) => (said += part));
      for (let tries = 0; tries < 300; tries++) {
        if (
          await fetch(url, { method: "HEAD" }).then(
            () => true,
            () => false,
          )
        )
          return;
        if (running.exitCode !== null) throw new Error(said);
        await new Promise((wake) => setTimeout(wake, 100));
      }
      throw new Error(`no answer: ${said}`);
    },
    kill,
    async remove() {
      await kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
