import { equipmentWord } from "../../kitchen/equipment";
import { lengthText } from "../../shared/clock";
import { counted, uncapitalised } from "../../shared/words";
import type { ChangeKind } from "./change";
import { inCelsius, type HeatText } from "../task-text";

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

/** How the cook reads times (hh:mm), heat and dates. */
export interface ChangeWords {
  readonly clock: (time: string) => string;
  readonly heat: HeatText;
  readonly day: (date: string) => string;
}
const AS_WRITTEN: ChangeWords = { clock: (time) => time, heat: inCelsius, day: (date) => date };

/** A change to a day in words, as the beginning of a sentence in the middle. */
export function changeText(kind: ChangeKind, words: ChangeWords = AS_WRITTEN): string {
  const { clock, heat, day } = words;
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
    case "one-setting":
      return `${kind.items.join(" and ")} baked together at ${heat(kind.settingC)}`;
    case "ahead":
      return `${PART[kind.part]} of ${kind.item} done the day before`;
    case "without":
      return `without ${kind.item}`;
    case "fewer":
      return `${kind.pieces} ${kind.item} instead of ${kind.from}`;
    case "two-waves":
      return `${kind.pieces} of ${kind.item} served ${kind.minutes} min after the others, at ${clock(kind.time)}`;
    case "otherwise":
      return `${kind.item}: ${uncapitalised(kind.option)}`;
    case "elsewhere":
      return `in ${kind.kitchen} instead`;
    case "both":
      return kind.kinds.map((one) => changeText(one, words)).join(" and ");
    case "later": {
      const { stays } = kind;
      return `serving ${lengthText(kind.minutes)} later, at ${clock(kind.time)}${stays ? `, and ${stays.cook} stays until ${clock(stays.to)}` : ""}`;
    }
    case "another-day":
      return `the same on ${day(kind.date)}`;
    case "keep-warm":
      return `${kind.item} kept warm for up to ${kind.minutes} min, on a rack in the oven at ${heat(kind.celsius)}`;
    case "from-stock":
      return `${counted(kind.pieces, "piece")} of ${kind.item} from the freezer`;
    case "other-filling":
      return `${kind.item} with ${uncapitalised(kind.filling)}`;
    case "bigger-pan":
      return `a lidded pan ${kind.mm} mm across: ${kind.pieces} ${kind.item} at once instead of ${kind.from}`;
  }
}
