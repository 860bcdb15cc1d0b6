import { readFileSync } from "node:fs";
import { issueText } from "@/core/shared/issue-text";
import type { Result } from "@/core/shared/issue";

/** Ends the program for a bad input: one line on standard error, exit 2. */
export function refuse(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}

/** The value of a result, or the program's end with the first issue as one line. */
export function valueOrRefuse<T>(result: Result<T>, where = ""): T {
  return result.ok ? result.value : refuse(`${where}${issueText(result.issues[0])}`);
}

/** Reads JSON from a file, or from standard input where the name is "-". Anything unreadable ends the program with exit 2. */
export function readJson(file: string): unknown {
  const name = file === "-" ? "standard input" : file;
  let text: string;
  try {
    text = readFileSync(file === "-" ? 0 : file, "utf8");
  } catch {
    refuse(`${name} cannot be read; expected a JSON file`);
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    refuse(`${name} is not JSON (${(error as Error).message}); expected a JSON document`);
  }
}

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
    else if (!(name in flags))
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

/** Prints on standard output and leaves when all of it is written. */
export function print(text: string, code = 0): void {
  process.exitCode = code;
  process.stdout.write(text);
}
