import type { ChangeKind } from "./what-if";

const ONE_MORE: Readonly<Record<string, string>> = {
  tray: "one more tray",
  board: "one more board",
  "lidded-pan": "a second lidded pan",
  hob: "one more hob ring",
  "fridge-shelf": "one more fridge shelf",
};

/** A change to a day in words, as the beginning of a sentence in the middle. `clock`: a clock time, hh:mm, as the cook has it. */
export function changeText(kind: ChangeKind, clock: (time: string) => string = (time) => time): string {
  switch (kind.code) {
    case "one-more":
      return ONE_MORE[kind.equipment] ?? `one more ${kind.equipment}`;
    case "steamer-tier":
      return "a steamer tier more";
    case "oven-shelf":
      return "an oven shelf more";
    case "helper":
      return `a second pair of hands from ${clock(kind.from)} to ${clock(kind.to)}`;
    case "together":
      return `the ${kind.part} of ${kind.items.join(" and ")} made ${kind.apart ? "apart" : "once for all"}`;
    case "filling-ahead":
      return `the filling of ${kind.item} done the day before`;
    case "without":
      return `without ${kind.item}`;
    case "later":
      return `serving ${kind.minutes} min later`;
  }
}
