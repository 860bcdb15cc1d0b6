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

test("one that falls silent is an issue after a minute and a half, not a search without an end", async () => {
  jest.useFakeTimers();
  try {
    const { run, worker } = await ask();
    jest.advanceTimersByTime(89_000);
    expect(worker.terminated).toBe(false);
    jest.advanceTimersByTime(2_000);
    expect(await run.done).toMatchObject({
      ok: false,
      issues: [{ code: "failed", path: ["worker"], got: "the planning worker said nothing for a minute and a half" }],
    });
    expect(worker.terminated).toBe(true);
  } finally {
    jest.useRealTimers();
  }
});

test("first answers to the rest of a day do not wait for what was asked before", async () => {
  const ends: (() => void)[] = [];
  const services = [0, 1].map(() => ({
    cook: () => undefined,
    rehearse: () => undefined,
    first: (_: unknown, minute: number) => ({ at: minute }),
    // Works until the test lets it go.
    rest: (_: unknown, minute: number) => new Promise((resolve) => ends.push(() => resolve({ rest: { at: minute } }))),
  }));
  const { MessageChannel } = await import("node:worker_threads");
  const { expose } = await import("comlink");
  const ports: { close(): void }[] = [];
  /** A worker that answers: the other end of it is a service of the test's. */
  class Answering extends EventTarget {
    private readonly port;
    constructor() {
      super();
      const { port1, port2 } = new MessageChannel();
      this.port = port1;
      ports.push(port1, port2);
      expose(services.shift()!, port2 as never);
      port2.start();
      port1.on("message", (data) => this.dispatchEvent(Object.assign(new Event("message"), { data })));
    }
    postMessage(said: unknown, handed: readonly never[] = []) {
      this.port.postMessage(said, handed);
    }
    terminate() {
      this.port.close();
    }
  }
  (globalThis as unknown as { Worker: unknown }).Worker = Answering;
  jest.resetModules();
  const { restDesk } = await import("./plan.client");
  const firsts: number[] = [];
  const lasts: number[] = [];
  const heard = jest.fn();
  const desk = restDesk({} as never, {
    first: (_, __, minute) => void firsts.push(minute),
    last: (_, __, minute) => void lasts.push(minute),
    broken: heard,
  });
  const until = async (isSo: () => boolean) => {
    for (let k = 0; k < 200 && !isSo(); k++) await new Promise((wake) => setTimeout(wake, 5));
  };
  desk.ask({} as never, 1);
  await until(() => ends.length === 1);
  desk.ask({} as never, 2);
  desk.ask({} as never, 3);
  await until(() => firsts.includes(3));
  expect(firsts.at(-1)).toBe(3);
  expect(lasts).toEqual([]);
  // Only the newest of what was asked meanwhile is worked out.
  ends[0]();
  await until(() => ends.length === 2);
  ends[1]();
  await until(() => lasts.length === 2);
  expect(lasts).toEqual([1, 3]);
  expect(heard).not.toHaveBeenCalled();
  desk.close();
  ports.forEach((port) => port.close());
});
