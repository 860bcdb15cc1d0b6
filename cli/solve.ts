// One solution on standard output for the problem on standard input (or in the file named).
import { parseProblem } from "@/core/schedule/problem";
import { outOfReach } from "@/core/schedule/out-of-reach";
import { issueText } from "@/core/shared/issue-text";
import { solve } from "@/core/schedule/solve";
import { numberFlags, print, readJson, refuse, valueOrRefuse } from "./common";

const { values, rest } = numberFlags(process.argv.slice(2), {
  seconds: { min: 0, max: 86400, whole: false },
  seed: { min: -2147483648, max: 2147483647, whole: true },
  iterations: { min: 0, max: 1e9, whole: true },
});
if (rest.length > 1) refuse(`${rest[1]} is one file too many; expected one problem`);
const problem = valueOrRefuse(parseProblem(readJson(rest[0] ?? "-")));
const [impossible] = outOfReach(problem);
if (impossible) refuse(issueText(impossible));
const { format, status, cost, bound, tasks, why } = solve(problem, { ...values, now: () => performance.now() });
print(`${JSON.stringify({ format, status, cost, bound, tasks, why })}\n`);
