import { isMainThread, parentPort, Worker, workerData } from "node:worker_threads";
import { breakDown, print, Refusal, refuse } from "./common";

/** A program that has an answer by its time limit, whatever the input and however far it has come. */
export interface TimedProgram<Input> {
  /** On the main thread: reads arguments and files. Nothing here may take long. */
  readonly read: () => Input;
  /** In a worker: the answer, as text. */
  readonly work: (input: Input, watch: Watch) => string;
  /** What is printed where the time was over before there was any answer; undefined: it is refused. */
  readonly nothing?: (seconds: number) => string;
}

/** What a worker tells while it works, and how it sees the time. */
export interface Watch {
  /** Says how long the whole may take, from before the first byte is read, s. @returns what is left of it, s */
  limit(seconds: number): number;
  /** An answer that would do, should there be no time for a better one. It is made only when it is told. */
  soFar(answer: () => string): void;
  /** A clock that only goes forward, ms. */
  now(): number;
}

type Message =
  { readonly kind: "limit"; readonly seconds: number } | { readonly kind: "so-far" | "done" | "refused"; readonly text: string };

/** Beyond the limit the worker is stopped: the search has its own sense of time, and needs this seldom. Share of the limit, and ms. */
const OVER = { share: 0.12, ms: 150 } as const;
/** Answers so far are told at most this often, ms. */
const TELL_EVERY_MS = 150;
/** Time that is left for a search that was begun late, s. */
const LEAST_SECONDS = 0.02;

const absolute = (): number => performance.timeOrigin + performance.now();

/** Runs a timed program: called at the top of its entry, which the worker loads as well. */
export function inTime<Input>(program: TimedProgram<Input>): void {
  if (isMainThread) watchOver(program);
  else workFor(program);
}

function watchOver<Input>({ read, nothing }: TimedProgram<Input>): void {
  const began = absolute();
  const input = read();
  const worker = new Worker(new URL(import.meta.url), { workerData: { input, began } });
  let soFar: string | undefined;
  let over: NodeJS.Timeout | undefined;
  const settle = (finish: () => void) => {
    clearTimeout(over);
    worker.removeAllListeners();
    finish();
    void worker.terminate();
  };
  const overAt = (seconds: number) => () =>
    settle(() => {
      const text = soFar ?? nothing?.(seconds);
      if (text === undefined) refuse(`nothing was found within ${seconds} s; expected a longer time limit or a smaller input`);
      print(text!);
    });
  worker.on("message", (message: Message) => {
    if (message.kind === "limit") {
      clearTimeout(over);
      const ends = began + 1000 * message.seconds * (1 + OVER.share) + OVER.ms;
      over = setTimeout(overAt(message.seconds), Math.max(0, ends - absolute()));
    } else if (message.kind === "so-far") soFar = message.text;
    else if (message.kind === "done") settle(() => print(message.text));
    else settle(() => refuse(message.text));
  });
  worker.on("error", breakDown);
}

function workFor<Input>({ work }: TimedProgram<Input>): void {
  const { input, began } = workerData as { input: Input; began: number };
  const post = (message: Message) => parentPort!.postMessage(message);
  let answer: (() => string) | undefined;
  let told = -Infinity;
  const watch: Watch = {
    limit(seconds) {
      post({ kind: "limit", seconds });
      return Math.max(LEAST_SECONDS, seconds - (absolute() - began) / 1000);
    },
    soFar(made) {
      answer = made;
    },
    now() {
      const now = performance.now();
      if (answer && now - told > TELL_EVERY_MS) {
        const made = answer;
        answer = undefined;
        post({ kind: "so-far", text: made() });
        told = performance.now();
      }
      return now;
    },
  };
  try {
    post({ kind: "done", text: work(input, watch) });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    post({ kind: "refused", text: error.message });
  }
}
