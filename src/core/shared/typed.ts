import { clockText } from "./clock";

/** What a time may look like, for the sentence about one that cannot be read. */
export const A_TIME = "a time of day such as 18:30, 1830 or 6.30 pm";

/** A time of day as cooks type it ("13.30", "1330", "1pm", "13 h 30", "noon"), as hh:mm; undefined where it is none. */
export function readClock(text: string): string | undefined {
  const plain = text.trim().toLowerCase();
  if (plain === "noon" || plain === "midday") return "12:00";
  if (plain === "midnight") return "24:00";
  const match =
    /^(\d{1,2})(?:\s*[:.,h]\s*(\d{2})?)?\s*(am|pm|a\.m\.|p\.m\.|a|p|h|o'clock)?$/.exec(plain) ??
    /^(\d{1,2})(\d{2})\s*(am|pm|a\.m\.|p\.m\.|a|p|h)?$/.exec(plain);
  if (!match) return undefined;
  const [, hours, minutes = "0", half = ""] = match;
  let hour = Number(hours);
  const minute = Number(minutes);
  if (half.startsWith("a") || half.startsWith("p")) {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half.startsWith("p") ? 12 : 0);
  }
  if (minute > 59 || hour > 24 || (hour === 24 && minute > 0)) return undefined;
  return hour === 24 ? "24:00" : clockText(hour * 60 + minute);
}

/** A number as cooks type it: "3.5", "3,5", "½", "1 1/2", "1½", "1/3"; undefined where it is none. */
export function readNumber(text: string): number | undefined {
  const plain = text
    .trim()
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (sign) => ` ${sign.normalize("NFKD").replace("\u2044", "/")}`)
    .replace("\u2212", "-")
    .trim();
  const decimal = /^-?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.exec(plain);
  if (decimal) return Number(plain.replace(",", "."));
  const fraction = /^(-?)(?:(\d+)\s+)?(\d+)\s*\/\s*([1-9]\d*)$/.exec(plain);
  if (!fraction) return undefined;
  const [, sign, whole = "0", over, under] = fraction;
  return (Number(whole) + Number(over) / Number(under)) * (sign === "-" ? -1 : 1);
}
