// Each rule that a solution breaks, a line each; exit 1 if any.
import { parseProblem } from "@/core/schedule/problem";
import { SolutionSchema } from "@/core/schedule/solution";
import { verify } from "@/core/schedule/verify";
import { oneLine } from "@/core/shared/one-line";
import { parseWith } from "@/core/shared/parse";
import { print, readJson, refuse, valueOrRefuse } from "./common";

const files = process.argv.slice(2);
const flag = files.find((file) => file.startsWith("--"));
if (flag) refuse(`${flag} is not an option; expected two files: problem.json solution.json`);
if (files.length !== 2) refuse(`${files.length} files are named; expected two: problem.json solution.json`);
const problem = valueOrRefuse(parseProblem(readJson(files[0])), "problem: ");
const solution = valueOrRefuse(parseWith(SolutionSchema, readJson(files[1])), "solution: ");
const violations = verify(problem, solution);
print(violations.map(({ rule, text }) => `${oneLine(`${rule}: ${text}`)}\n`).join(""), violations.length > 0 ? 1 : 0);
