import type { ProblemInput } from "../../schedule/problem";

/** A task of the problem as it is put together. */
export type TaskInput = ProblemInput["tasks"][number];
