/** Errors as data: a literal code, where it is, what came and what was expected. Sentences are made in `issue-text.ts` only. */
export type IssueCode =
  | "missing"
  | "wrong_type"
  | "not_an_integer"
  | "out_of_range"
  | "unknown"
  | "unreadable"
  | "inconsistent"
  | "infeasible"
  | "conflict"
  | "failed";

export interface Issue {
  readonly code: IssueCode;
  /** Keys and list positions from the root of what was read, e.g. `["tasks", 3, "duration"]`. */
  readonly path: readonly (string | number)[];
  readonly got?: unknown;
  /** What was expected, as a phrase that follows "expected": `"a whole number from 0 to 500"`. */
  readonly wanted?: string;
}

export type Issues = readonly [Issue, ...Issue[]];
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: Issues };

/** A result that is there. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** A result that is not, with at least one issue. */
export const fail = (...issues: [Issue, ...Issue[]]): { readonly ok: false; readonly issues: Issues } => ({ ok: false, issues });

/** More faults than anybody reads: beyond them only the first ones are told. */
export const MOST_ISSUES = 20;

/** A result that is not, for a list of issues that is not empty and may be without end: the first ones are told. */
export const failWith = (issues: readonly Issue[]): { readonly ok: false; readonly issues: Issues } => ({
  ok: false,
  issues: issues.slice(0, MOST_ISSUES) as unknown as Issues,
});

/** For a case the types rule out; reaching it is our bug. */
export function unreachable(value: never): never {
  throw new Error(`unreachable: ${JSON.stringify(value)}`);
}
