import { readFileSync, writeFileSync } from "node:fs";
const src = readFileSync(".scratch/shops.ts","utf8")+"\n"+readFileSync(".scratch/shops2.ts","utf8").replace("export const SHOPS","const SHOPS2");
const all={}; for (const m of src.matchAll(/(\w+):\[(\d+),`([^`]+)`\]/g)) all[m[1]]={best:+m[2],rows:m[3].split("\n")};
const want=["la01","la02","la03","la04","la05","la06","la16","la19","abz5","abz6"];
let out=readFileSync("tests/job-shops.ts","utf8");
out=out.replace("/** A job-shop as a problem",`/**
 * Ten job-shops of Lawrence (la, 1984) and of Adams, Balas and Zawack (abz, 1988), with their proven optima. Our own
 * search comes to each of these values and, where it proves one, to the same.
 */
export const CLASSICS: readonly { readonly name: string; readonly best: number; readonly rows: readonly string[] }[] = [
${want.map(n=>`  {
    name: "${n}",
    best: ${all[n].best},
    rows: [
${all[n].rows.map(r=>`      "${r}",`).join("\n")}
    ],
  },`).join("\n")}
];

/** A job-shop as a problem`);
writeFileSync("tests/job-shops.ts",out);
