import { proxy, wrap, type Remote } from "comlink";
import type { Plan } from "@/core/plan/schema";
import { slipOf } from "@/core/plan/slip";
import type { PlanRequest } from "@/core/plan/request";
import type { Progress } from "@/core/schedule/budget";
import type { Replanned } from "@/core/schedule/replan/replan";
import type { ExecutionState } from "@/core/schedule/replan/execution-state";
import { fail, ok, type Result } from "@/core/shared/issue";
import type { RunEvent } from "@/core/run/events";
import type { Reordered, Wish } from "@/core/run/reorder";
import type { RunState } from "@/core/run/run-state";
import type { WayEffect, WayOut } from "@/core/run/ways-out";
import type { PlanService, RestAnswer } from "./plan.protocol";

export interface Run<T> {
  /** The answer; the issue `failed` where the worker broke down before it had one. */
  readonly done: Promise<Result<T>>;
  /** Ends the search at once; `done` then never settles. */
  cancel(): void;
}

interface Hand {
  readonly worker: Worker;
  readonly service: Remote<PlanService>;
  rehearsed: boolean;
  /** Comes true, with what it says, when its script cannot be read or it breaks down outside a question: it never answers then. */
  readonly broken: Promise<string>;
}

function hire(): Hand {
  const worker = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  // Listened to from the first moment: one that stands ready may break down before anybody asks it.
  const broken = new Promise<string>((say) => {
    worker.addEventListener("error", (event) => say(event.message || "the planning worker broke down"));
    worker.addEventListener("messageerror", () => say("the planning worker said something unreadable"));
  });
  return { worker, service: wrap<PlanService>(worker), rehearsed: false, broken };
}

/**
 * A worker that is there already when the next question comes. The first one is hired as soon as this script is read:
 * it reads its own (a third of a second) while the page is still being put together.
 */
let spare: Hand | undefined = typeof Worker === "undefined" ? undefined : hire();

/**
 * Has a worker ready, which has planned the rest of the day at hand once where there is one: the first time takes several
 * times as long as the second, and whoever asks what a late step comes to stands at the stove.
 */
export function prepare(plan: Plan | undefined): void {
  spare ??= hire();
  const task = plan?.solution.tasks.find(({ id }) => plan.tasks[id]?.step)?.id;
  if (spare.rehearsed || !plan || task === undefined) return;
  spare.rehearsed = true;
  const { minutes, seconds } = REHEARSED;
  const soFar = slipOf(plan, task, minutes);
  // What comes of it is of no interest; a fault would come again when somebody asks.
  spare.service
    .replan(
      plan.problem,
      plan.solution,
      soFar,
      seconds,
      proxy(() => undefined),
    )
    .catch(() => undefined);
}
const REHEARSED = { minutes: 10, seconds: 0.05 } as const;

/** A worker says something several times a second; one that is silent for so long was stopped by the browser, ms. */
const SILENCE_MS = 90_000;

/** A promise that comes true when `heard` was not called for so long; `over` ends the watch. */
function watch() {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let say: (got: string) => void;
  const silent = new Promise<string>((resolve) => (say = resolve));
  const heard = () => {
    clearTimeout(timer);
    timer = setTimeout(() => say("the planning worker said nothing for a minute and a half"), SILENCE_MS);
  };
  heard();
  return { silent, heard, over: () => clearTimeout(timer) };
}

/** One question to a worker of its own, so that a search in progress never blocks typing and can be stopped at any moment. */
function ask<T>(question: (service: Remote<PlanService>, heard: () => void) => Promise<T>): Run<T> {
  const { worker, service, broken } = spare ?? hire();
  spare = undefined;
  const { silent, heard, over } = watch();
  const lost = Promise.race([broken, silent]).then((got): Result<T> => fail({ code: "failed", path: ["worker"], got }));
  const answered = question(service, heard).then(
    (value): Result<T> => ok(value),
    (error: unknown): Result<T> =>
      fail({ code: "failed", path: ["worker"], got: error instanceof Error ? error.message : String(error) }),
  );
  const end = () => {
    over();
    worker.terminate();
  };
  return { done: Promise.race([answered, lost]).finally(end), cancel: end };
}

/** The same callback; each call shows that the worker is there. */
const hearing = <A>(tell: (news: A) => void, heard: () => void) =>
  proxy((news: A) => {
    heard();
    tell(news);
  });

export const runPlan = (
  request: PlanRequest,
  told: { better: (plan: Plan) => void; progress: (state: Progress) => void },
  from?: Plan,
): Run<Plan> => ask((service, heard) => service.plan(request, from, hearing(told.better, heard), hearing(told.progress, heard)));

export const runReplan = (
  plan: Plan,
  soFar: ExecutionState,
  seconds: number,
  better: (answer: Replanned) => void,
): Run<Replanned> => ask((service, heard) => service.replan(plan.problem, plan.solution, soFar, seconds, hearing(better, heard)));

/** Somebody who is asked for the rest of a day again and again: only the newest question is answered. */
export interface RestDesk {
  ask(state: RunState, minute: number): void;
  close(): void;
}

export interface RestTold {
  /** Answers to a question: `first` before it was worked at any further. */
  readonly first: (rest: Replanned, state: RunState, minute: number) => void;
  readonly last: (answer: RestAnswer, state: RunState, minute: number) => void;
  readonly broken: () => void;
}

interface RestQuestion {
  readonly count: number;
  readonly state: RunState;
  readonly minute: number;
}

/**
 * Hires two workers for the rest of a day, as long as it is cooked: one gives first answers only, so that nobody at the
 * stove waits until what was asked before is worked out to its end. The other does that, once the first answer is there.
 */
export function restDesk(plan: Plan, told: RestTold): RestDesk {
  let asked = 0;
  let lastTold = 0;
  let isClosed = false;
  /** A worker that takes the newest question of those that it is handed whenever it is done with one. */
  const hand = (answer: (service: Remote<PlanService>, question: RestQuestion) => Promise<void>) => {
    const { worker, service, broken } = spare ?? hire();
    spare = undefined;
    let next: RestQuestion | undefined;
    let isBusy = false;
    const ready = service.cook(plan);
    void broken.then(() => !isClosed && told.broken());
    const take = async (question: RestQuestion): Promise<void> => {
      next = question;
      if (isBusy) return;
      isBusy = true;
      while (next && !isClosed) {
        const own: RestQuestion = next;
        next = undefined;
        try {
          await ready;
          await answer(service, own);
        } catch {
          if (!isClosed) told.broken();
        }
      }
      isBusy = false;
    };
    return { take, worker };
  };
  const last = hand(async (service, { count, state, minute }) => {
    const answer = await service.rest(state, minute);
    lastTold = count;
    if (!isClosed) told.last(answer, state, minute);
  });
  const first = hand(async (service, question) => {
    const { count, state, minute } = question;
    const rest = await service.first(state, minute);
    if (isClosed) return;
    if (count > lastTold) told.first(rest, state, minute);
    void last.take(question);
    // What comes of it is of no interest; a fault would come again with the next question.
    if (count === 1) service.rehearse().catch(() => undefined);
  });
  return {
    ask(state, minute) {
      void first.take({ count: ++asked, state, minute });
    },
    close() {
      isClosed = true;
      for (const { worker } of [first, last]) worker.terminate();
    },
  };
}

/** Tries ways out of being late one after another, in a worker of their own; tells of each as it is known. */
export function tryWays(
  plan: Plan,
  events: readonly RunEvent[],
  ways: readonly WayOut[],
  minute: number,
  told: (effect: WayEffect) => void,
): Run<undefined> {
  return ask(async (service, heard) => {
    await service.cook(plan);
    for (const way of ways) {
      told(await service.tried(events, way, minute));
      heard();
    }
    return undefined;
  });
}

/** Tries an order that somebody wants, in a worker of its own. */
export const tryOrder = (plan: Plan, events: readonly RunEvent[], wish: Wish, minute: number): Run<Reordered> =>
  ask(async (service) => {
    await service.cook(plan);
    return service.reorder(events, wish, minute);
  });
