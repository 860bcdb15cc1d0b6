import { capitalised } from "@/core/shared/words";
import { valueAt, type Path } from "@/core/shared/differences";

/** "sparePct" → "spare pct": field names are words run together. */
const words = (key: string): string => key.replace(/([A-Z])/g, " $1").toLowerCase();

/** A field as people read it: "waves · Supper · time"; entries of lists by their names. */
export function fieldText(path: Path, document: unknown): string {
  const parts = path.map((key, i) => {
    if (typeof key === "string") return words(key);
    const entry = valueAt(document, path.slice(0, i + 1));
    const name = entry !== null && typeof entry === "object" ? (entry as { name?: unknown }).name : undefined;
    return typeof name === "string" && name !== "" ? name : `no. ${key + 1}`;
  });
  return capitalised(parts.join(" · "));
}

const LONGEST = 160;

/** A value as people read it: texts as they are, nothing as "nothing", parts by their names. */
export function valueText(value: unknown): string {
  if (value === undefined || value === null || value === "") return "nothing";
  const text =
    typeof value === "object"
      ? JSON.stringify(value)
          .replace(/"([^"]*)":/g, (_, key: string) => `${words(key)} `)
          .replace(/[{}[\]"]/g, " ")
          .replace(/\s+/g, " ")
          .trim()
      : String(value);
  if (text === "") return "nothing";
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}
