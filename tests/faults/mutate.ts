import type { Chance } from "@/core/shared/chance";

/** Values that somebody's program, disk or hand puts where another was meant. */
const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e9,
  -1e308,
  1e-300,
  Number.MAX_SAFE_INTEGER,
  "",
  " ",
  "x".repeat(5000),
  "24:00",
  "25:61",
  "2026-02-30",
  "next Doomsday",
  "__proto__",
  "constructor",
  "a\u202eb\u0000\nc",
  "<script>alert(1)</script>",
  "'; drop table items; --",
  "\ud800",
  [],
  {},
  [[[[]]]],
  { __proto__x: 1 },
  Array.from({ length: 300 }, (_, i) => i),
];
const ODD_KEYS = ["__proto__", "constructor", "toString", "", "gests", "\u202e", "0", "x".repeat(300)];

type Box = Record<string | number, unknown>;
const isBox = (value: unknown): value is Box => value !== null && typeof value === "object";

/** Every place in a document where something stands. */
function placesOf(document: unknown): { readonly box: Box; readonly key: string | number }[] {
  const places: { box: Box; key: string | number }[] = [];
  const walk = (value: unknown) => {
    if (!isBox(value)) return;
    const keys = Array.isArray(value) ? value.map((_, i) => i) : Object.keys(value);
    for (const key of keys) {
      places.push({ box: value, key });
      walk(value[key]);
    }
  };
  walk(document);
  return places;
}

/** Lays a value under a key as JSON would: `__proto__` is a key like any other. */
const put = (box: Box, key: string | number, value: unknown) =>
  Object.defineProperty(box, key, { value, enumerable: true, configurable: true, writable: true });

function changeOne(document: unknown, chance: Chance): void {
  const places = placesOf(document);
  if (places.length === 0) return;
  const { box, key } = places[chance.below(places.length)];
  const value = box[key];
  switch (chance.below(8)) {
    case 0:
      if (Array.isArray(box)) box.splice(Number(key), 1);
      else delete box[key];
      return;
    case 1:
      if (Array.isArray(box)) box.splice(Number(key), 0, structuredClone(value));
      else put(box, ODD_KEYS[chance.below(ODD_KEYS.length)], structuredClone(value));
      return;
    case 2:
      if (typeof value === "number") put(box, key, [-value, value * 1000, value + 0.5, value / 1e9][chance.below(4)]);
      else if (typeof value === "string") put(box, key, [value.toUpperCase(), `${value}x`, value.slice(1)][chance.below(3)]);
      else put(box, key, value === true ? "yes" : [value]);
      return;
    case 3: {
      // One value in the place of another, of whatever kind.
      const other = places[chance.below(places.length)];
      put(box, key, structuredClone(other.box[other.key]));
      return;
    }
    case 4:
      if (Array.isArray(value) && value.length > 0)
        for (let n = chance.below(60); n > 0; n--) value.push(structuredClone(value[chance.below(value.length)]));
      else put(box, key, ODD[chance.below(ODD.length)]);
      return;
    default:
      put(box, key, structuredClone(ODD[chance.below(ODD.length)]));
  }
}

function spoilText(text: string, chance: Chance): string {
  const at = chance.below(Math.max(1, text.length));
  switch (chance.below(7)) {
    case 0:
      return text.slice(0, at);
    case 1:
      return `\uFEFF${text}`;
    case 2:
      return text.slice(0, at) + String.fromCharCode(chance.below(65536)) + text.slice(at + 1);
    case 3:
      return text.slice(0, at) + "[".repeat(20_000) + text.slice(at);
    case 4:
      return text + text;
    case 5:
      return "[".repeat(100_000);
    default:
      return text.split("\n").reverse().join("\n");
  }
}

/** A document as text, wrong in one to five places; now and then the text itself is broken. */
export function spoiled(document: unknown, chance: Chance): string {
  if (typeof document === "string") {
    let text = document;
    for (let n = chance.below(3); n >= 0; n--) text = spoilText(text, chance);
    return text.slice(0, 2_000_000);
  }
  const copy = structuredClone(document);
  for (let n = chance.below(5); n >= 0; n--) changeOne(copy, chance);
  const text = JSON.stringify(copy) ?? "";
  return chance.below(12) === 0 ? spoilText(text, chance) : text;
}
