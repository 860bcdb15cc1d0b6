import { demoInput, expectRequest } from "@tests/demo";

/** A worker that never answers; a test says what befalls it. */
class SilentWorker extends EventTarget {
  static made: SilentWorker[] = [];
  terminated = false;
  constructor() {
    super();
    SilentWorker.made.push(this);
  }
  /** Nobody listens at the other end of what is handed over: closed, or the process would wait for it. */
  postMessage(_: unknown, handed: readonly MessagePort[] = []) {
    handed.forEach((port) => port.close());
  }
  terminate() {
    this.terminated = true;
  }
}

const request = expectRequest(demoInput("first-try"));
const told = { better: () => undefined, progress: () => undefined };

async function ask() {
  (globalThis as unknown as { Worker: unknown }).Worker = SilentWorker;
  const { runPlan } = await import("./plan.client");
  const run = runPlan(request, told);
  return { run, worker: SilentWorker.made.at(-1)! };
}

test("a worker whose script cannot be read is an issue, and is let go", async () => {
  const { run, worker } = await ask();
  worker.dispatchEvent(Object.assign(new Event("error"), { message: "" }));
  expect(await run.done).toMatchObject({ ok: false, issues: [{ code: "failed", got: "the planning worker broke down" }] });
  expect(worker.terminated).toBe(true);
});

test("one that broke down while it stood ready is an issue for whoever asks next", async () => {
  (globalThis as unknown as { Worker: unknown }).Worker = SilentWorker;
  const { prepare, runPlan } = await import("./plan.client");
  prepare(undefined);
  SilentWorker.made.at(-1)!.dispatchEvent(Object.assign(new Event("error"), { message: "" }));
  expect(await runPlan(request, told).done).toMatchObject({ ok: false, issues: [{ code: "failed" }] });
});

test("so is one that says something unreadable", async () => {
  const { run, worker } = await ask();
  worker.dispatchEvent(new Event("messageerror"));
  expect(await run.done).toMatchObject({ ok: false, issues: [{ code: "failed", path: ["worker"] }] });
});

test("one that is cancelled is let go at once", async () => {
  const { run, worker } = await ask();
  run.cancel();
  expect(worker.terminated).toBe(true);
});

test("one that falls silent is an issue after half a minute, not a search without an end", async () => {
  jest.useFakeTimers();
  try {
    const { run, worker } = await ask();
    jest.advanceTimersByTime(29_000);
    expect(worker.terminated).toBe(false);
    jest.advanceTimersByTime(2_000);
    expect(await run.done).toMatchObject({
      ok: false,
      issues: [{ code: "failed", path: ["worker"], got: "the planning worker said nothing for half a minute" }],
    });
    expect(worker.terminated).toBe(true);
  } finally {
    jest.useRealTimers();
  }
});
