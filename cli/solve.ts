// One solution on standard output for the problem on standard input (or in the file named).
import { parseProblem } from "@/core/schedule/problem";
import { outOfReach } from "@/core/schedule/out-of-reach";
import { issueText } from "@/core/shared/issue-text";
import type { Solution } from "@/core/schedule/solution";
import { solve } from "@/core/schedule/solve";
import { jsonOf, numberFlags, readText, refuse, valueOrRefuse } from "./common";
import { inTime } from "./in-time";

const text = ({ format, status, cost, bound, tasks, why }: Solution): string =>
  `${JSON.stringify({ format, status, cost, bound, tasks, why })}\n`;

inTime({
  read() {
    const { values, rest } = numberFlags(process.argv.slice(2), {
      seconds: { min: 0, max: 86400, whole: false },
      seed: { min: -2147483648, max: 2147483647, whole: true },
      iterations: { min: 0, max: 1e9, whole: true },
    });
    if (rest.length > 1) refuse(`${rest[1]} is one file too many; expected one problem`);
    const file = rest[0] ?? "-";
    return { file, written: readText(file, "a JSON file"), ...values };
  },
  work({ file, written, seconds, seed, iterations }, watch) {
    if (seconds !== undefined) watch.limit(seconds);
    const problem = valueOrRefuse(parseProblem(jsonOf(written, file)));
    const [impossible] = outOfReach(problem);
    if (impossible) refuse(issueText(impossible));
    const left = seconds === undefined ? {} : { seconds: watch.limit(seconds) };
    return text(
      solve(problem, { seed, iterations, ...left, now: watch.now, better: (solution) => watch.soFar(() => text(solution)) }),
    );
  },
  nothing: (seconds) =>
    text({
      format: "unisynth-solution/1",
      status: "infeasible",
      cost: 0,
      bound: 0,
      tasks: [],
      why: [`none was found within ${seconds} s, which does not mean that there is none`],
    }),
});
