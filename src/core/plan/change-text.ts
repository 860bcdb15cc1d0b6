import { equipmentWord } from "../kitchen/equipment";
import type { ChangeKind } from "./change";

const ONE_MORE: Readonly<Record<string, string>> = {
  tray: "one more tray",
  board: "one more board",
  rack: "one more rack",
  tins: "a dozen more tins",
  mixer: "a second mixer",
  oven: "a second oven",
  "oven-shelf": "an oven shelf more",
  hob: "one more hob ring",
  "lidded-pan": "one more lidded pan",
  steamer: "a second steamer",
  "steamer-tier": "a steamer tier more",
  fryer: "a second fryer",
  "fridge-shelf": "one more fridge shelf",
  "freezer-tray": "one more freezer tray",
};

const PART: Readonly<Record<string, string>> = { dough: "the dough", filling: "the filling", piece: "all but the last steps" };

/** A change to a day in words, as the beginning of a sentence in the middle. `clock`: a clock time, hh:mm, as the cook has it. */
export function changeText(kind: ChangeKind, clock: (time: string) => string = (time) => time): string {
  switch (kind.code) {
    case "one-more":
      if (kind.count === 1) return `${/^[aeiou]/.test(kind.equipment) ? "an" : "a"} ${equipmentWord(kind.equipment)}, borrowed`;
      return ONE_MORE[kind.equipment] ?? `one more ${kind.equipment}`;
    case "helper":
      return `a pair of hands more from ${clock(kind.from)} to ${clock(kind.to)}`;
    case "earlier":
      return `${kind.cook} begins at ${clock(kind.from)}`;
    case "together":
      return `the ${kind.part} of ${kind.items.join(" and ")} made ${kind.apart ? "apart" : "once for all"}`;
    case "ahead":
      return `${PART[kind.part]} of ${kind.item} done the day before`;
    case "without":
      return `without ${kind.item}`;
    case "fewer":
      return `${kind.pieces} ${kind.item} instead of ${kind.from}`;
    case "two-waves":
      return `${kind.pieces} of ${kind.item} served ${kind.minutes} min after the others, at ${clock(kind.time)}`;
    case "otherwise":
      return `${kind.item}: ${kind.option.charAt(0).toLowerCase()}${kind.option.slice(1)}`;
    case "elsewhere":
      return `in ${kind.kitchen} instead`;
    case "both":
      return kind.kinds.map((one) => changeText(one, clock)).join(" and ");
    case "later":
      return `serving ${kind.minutes} min later`;
  }
}
