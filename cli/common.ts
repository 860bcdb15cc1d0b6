import { closeSync, fstatSync, openSync, readFileSync, writeSync } from "node:fs";
import { isMainThread } from "node:worker_threads";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";
import { oneLine } from "@/core/shared/one-line";

/** A bad input that was found in a worker: the main thread ends the program with its line. */
export class Refusal extends Error {}

/** Ends the program for a bad input: one line on standard error, exit 2. */
export function refuse(line: string): never {
  if (!isMainThread) throw new Refusal(line);
  return end(line, 2);
}

/** Exit of a program that broke down through a fault of ours. */
const BROKEN = 70;

/** Ends the program for a fault of ours: one line, and no stack trace to whoever only wanted a plan. */
export const breakDown = (error: unknown): never =>
  end(
    `this is a fault of the program, and nothing is wrong with the input: ${(error as Error)?.message ?? String(error)}`,
    BROKEN,
  );

function end(line: string, code: number): never {
  try {
    writeSync(2, `${oneLine(line)}\n`);
  } catch {
    // Nobody reads what is said; the exit code says it as well.
  }
  process.exit(code);
}

/** The value of a result, or the program's end with the first issue as one line. */
export function valueOrRefuse<T>(result: Result<T>, where = ""): T {
  return result.ok ? result.value : refuse(`${where}${issueText(result.issues[0])}`);
}

/** More than any document of ours has, bytes. */
const MOST_BYTES = 48_000_000;

const nameOf = (file: string): string => (file === "-" ? "standard input" : file);

/**
 * The text of a file, or of standard input where the name is "-", without a byte order mark. Anything unreadable, larger than
 * `most` bytes, or not UTF-8 ends the program with exit 2.
 * @param what a phrase for what was expected: "a JSON file"
 */
export function readText(file: string, what: string, most = MOST_BYTES): string {
  const name = nameOf(file);
  let bytes: Buffer;
  try {
    bytes = bytesOf(file, most);
  } catch {
    return refuse(`${name} cannot be read; expected ${what}`);
  }
  if (bytes.length > most) refuse(`${name} has more than ${most} bytes; expected ${what} of at most so many`);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return refuse(`${name} is not text; expected ${what} in UTF-8`);
  }
}

/** The bytes of a file; of one that is larger than `most`, none of which is read, so many and one more. */
function bytesOf(file: string, most: number): Buffer {
  if (file === "-") return readFileSync(0);
  const opened = openSync(file, "r");
  try {
    const { size } = fstatSync(opened);
    return size > most ? Buffer.alloc(most + 1) : readFileSync(opened);
  } finally {
    closeSync(opened);
  }
}

/** A text as JSON; anything else ends the program with exit 2. */
export function jsonOf(text: string, file: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    return refuse(`${nameOf(file)} is not JSON (${(error as Error).message}); expected a JSON document`);
  }
}

/** Reads JSON from a file, or from standard input where the name is "-". Anything unreadable ends the program with exit 2. */
export const readJson = (file: string): unknown => jsonOf(readText(file, "a JSON file"), file);

export interface NumberFlag {
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
}

/** Reads `--name value` pairs of numbers; anything else on the line is returned in order. */
export function numberFlags<K extends string>(
  args: readonly string[],
  flags: Record<K, NumberFlag>,
): { values: Partial<Record<K, number>>; rest: string[] } {
  const values: Partial<Record<K, number>> = {};
  const rest: string[] = [];
  for (let i = 0; i < args.length; i++) {
    const name = args[i].replace(/^--/, "") as K;
    if (!args[i].startsWith("--")) rest.push(args[i]);
    else if (!Object.hasOwn(flags, name))
      refuse(
        `--${name} is not an option; expected ${Object.keys(flags)
          .map((f) => `--${f}`)
          .join(", ")}`,
      );
    else {
      const { min, max, whole } = flags[name];
      const text = args[++i];
      const value = Number(text);
      if (
        text === undefined ||
        text.trim() === "" ||
        !Number.isFinite(value) ||
        value < min ||
        value > max ||
        (whole && !Number.isInteger(value))
      )
        refuse(`--${name} is ${text ?? "missing"}; expected a ${whole ? "whole " : ""}number from ${min} to ${max}`);
      values[name] = value;
    }
  }
  return { values, rest };
}

/** Prints on standard output and leaves when all of it is written. Whoever reads may stop reading; a full disk is told. */
export function print(text: string, code = 0): void {
  process.exitCode = code;
  const failed = (error: NodeJS.ErrnoException) => {
    if (error.code === "EPIPE") process.exit(code);
    end(`the answer could not be written (${error.code ?? error.message}); expected room for it`, BROKEN);
  };
  process.stdout.on("error", failed);
  try {
    process.stdout.write(text);
  } catch (error) {
    failed(error as NodeJS.ErrnoException);
  }
}
