import Papa from "papaparse";
import type { ListLine, ShoppingList, WholeCount } from "@/core/batching/shopping-list";

const UNIT_TEXT: Readonly<Record<string, readonly [one: string, many: string]>> = {
  each: ["of them", "of them"],
  tin: ["tin", "tins"],
  can: ["tin", "tins"],
  jar: ["jar", "jars"],
  head: ["head", "heads"],
  bulb: ["bulb", "bulbs"],
  cube: ["cube", "cubes"],
  sachet: ["sachet", "sachets"],
  block: ["block", "blocks"],
  leaf: ["leaf", "leaves"],
};

/** "4 of them, usual size", "2 tins". */
export function countText({ n, unit, eachG }: WholeCount): string {
  const [one, many] = UNIT_TEXT[unit] ?? [unit, unit];
  return `${n} ${n === 1 ? one : many} of ${eachG < 10 ? Math.round(eachG * 10) / 10 : Math.round(eachG)} g`.replace(
    "of them of",
    "of",
  );
}

/** Which packs are bought, what is left of them and what they cost. */
export function packText(line: ListLine, weight: (grams: number) => string, money: (price: number) => string): string {
  if (!line.packs || line.buyG === 0) return "";
  const { counts, leftG, cost } = line.packs;
  const several = line.soldIn.length > 1;
  const bought = counts.flatMap((n, i) =>
    n > 0 ? [`${n} ${several ? `× ${weight(line.soldIn[i].sizeG)}` : n === 1 ? "pack" : "packs"}`] : [],
  );
  const left = leftG >= 1 ? `, ${weight(leftG)} left` : "";
  const priced = line.soldIn.every((pack) => pack.price !== undefined);
  return `${bought.join(" + ")}${left}${priced ? `, ${money(cost)}` : ""}`;
}

/** The list as a table that a spreadsheet opens; a text that looks like a formula stays a text. */
export function shoppingTable(
  list: ShoppingList,
  how: {
    readonly day: (line: ListLine) => string;
    readonly price: (price: number) => string;
    readonly separator: "," | ";";
  },
): string {
  const rows = list.groups.flatMap((group) =>
    group.lines.map((line) => ({
      group: group.name,
      ingredient: line.name,
      need_g: Math.round(line.needG),
      have_g: line.haveG,
      buy_g: Math.round(line.buyG),
      whole: line.count ? countText(line.count) : "",
      packs: line.packs ? line.packs.counts.map((n, i) => `${n} x ${line.soldIn[i].sizeG} g`).join(" + ") : "",
      left_g: line.packs ? Math.round(line.packs.leftG) : "",
      cost: line.packs && line.soldIn.every((pack) => pack.price !== undefined) ? how.price(line.packs.cost) : "",
      needed_on: how.day(line),
      for: line.items.join(" / "),
    })),
  );
  return Papa.unparse(rows, { escapeFormulae: true, newline: "\r\n", delimiter: how.separator });
}
