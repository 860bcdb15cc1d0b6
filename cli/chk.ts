import { readFileSync } from "node:fs";
import { brokenRules } from "../tests/plan-rules";
import { parseRequest } from "../src/core/plan/make-plan";
const r = parseRequest(JSON.parse(readFileSync(process.argv[2], "utf8")));
if (r.ok) console.log(process.argv[2], brokenRules(r.value, JSON.parse(readFileSync(process.argv[3], "utf8"))).slice(0, 12));
