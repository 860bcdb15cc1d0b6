/** Number words at the start of a line, in the languages that are read. */
const NUMBER_WORDS: Readonly<Record<string, string>> = {
  ein: "1", eine: "1", einen: "1", zwei: "2", drei: "3", vier: "4", fünf: "5", sechs: "6", halbe: "1/2", halber: "1/2", halbes: "1/2",
  un: "1", une: "1", deux: "2", trois: "3", quatre: "4", cinq: "5", demi: "1/2",
  una: "1", uno: "1", dos: "2", tres: "3", cuatro: "4", media: "1/2", medio: "1/2",
  due: "2", tre: "3", quattro: "4", mezzo: "1/2", mezza: "1/2",
  bir: "1", iki: "2", üç: "3", dört: "4", yarım: "1/2",
  jeden: "1", jedna: "1", dwa: "2", dwie: "2", trzy: "3", pół: "1/2",
  satu: "1", dua: "2", tiga: "3", setengah: "1/2",
}; // prettier-ignore
const STARTS_WITH_WORD = new RegExp(`^(${Object.keys(NUMBER_WORDS).join("|")})(?=\\s)`, "iu");

const WHOLES: Readonly<Record<string, string>> = { one: "1", two: "2", three: "3", four: "4", five: "5", six: "6" };
/** "1 heaped tbsp", "scant cup": how a spoon is filled stands between the number and its unit. */
const SPOONED =
  /^((?:\d[\d\s/.,]*|an?\s+|one\s+|two\s+|three\s+))?(?:heaped|heaping|level|scant|rounded|generous|good|packed|full|flat|big|large|small)\s+((?:cups?|tbsps?|tablespoons?|tsps?|teaspoons?|dessert ?spoons?|mugs?|glass(?:es)?|pinch(?:es)?|bunch(?:es)?|knobs?|jars?|tins?|cans?|heads?)\b)/i;

export const FRACTIONS = "¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞";
const UNSPACED_UNITS =
  "毫升|公斤|千克|束|把|汤匙|湯匙|茶匙|大勺|小勺|グラム|カップ|克|斤|两|杯|个|個|只|颗|瓣|片|根|本|枚|袋|g|ml|kg|cc";

/** Puts what cooks write in many ways into the one that is read. */
export function plainAmounts(text: string): string {
  let line = text
    .replace(new RegExp(`(\\d)([${FRACTIONS}])`, "g"), "$1 $2")
    .normalize("NFKC")
    .replace(/⁄/g, "/")
    .replace(/^\s*(?:[-–—•*·▢☐□▪◦✓]|\d+[.)](?=\s+\D))\s*/u, "")
    .replace(/(大さじ|小さじ|カップ)\s*([\d./]+)/g, "$2 $1 ")
    .replace(new RegExp(`(\\d)\\s*(${UNSPACED_UNITS})(?![\\p{Script=Latin}])`, "gu"), "$1 $2 ")
    .replace(/([\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}])(\d)/gu, "$1 $2")
    .replace(/[一二两三四五六]?(?=[个個只颗瓣])/g, (sign) =>
      sign === "" ? "" : `${" 一二三四五六".indexOf(sign === "两" ? "二" : sign)} `,
    )
    .trim();
  line = line
    .replace(/^00\s/, "tipo 00 ")
    .replace(
      /^(\d+|one|two|three|four|five|six)\s+and\s+(?:an?\s+)?(half|quarter|\d\/\d)\s*(?:a\s+)?/i,
      (_, whole: string, part: string) => {
        const n = WHOLES[whole.toLowerCase()] ?? whole;
        return `${n} ${{ half: "1/2", quarter: "1/4" }[part.toLowerCase()] ?? part} `;
      },
    )
    .replace(/\b(?!thumb|finger|medium|large|small)\p{L}+-sized?\s+/giu, "")
    .replace(SPOONED, (_, n: string | undefined, unit: string) => `${n ?? "1 "}${unit}`)
    .replace(/^([\d\s/.,]+)c\.?\s+(?=\p{L})/iu, "$1 cup ")
    .replace(/(\d+)\s*lbs?\.?\s*(\d+(?:\.\d+)?)\s*oz\b\.?/i, (_, lb: string, oz: string) => `${16 * Number(lb) + Number(oz)} oz`)
    .replace(/(\d)-(?=(?:oz|ounces?|g|grams?|ml|lb|pounds?|inch)\b)/gi, "$1 ")
    .replace(/([\p{L}.])\s*\/\s*(?=\d)/gu, "$1 / ")
    .replace(/^(\d+)\s*[x×]\s*(?=\d+(?:[.,]\d+)?\s*(?:oz|g|ml|kg|lb)\s+\p{L})/iu, "$1 ")
    .replace(/^(?:an?\s+|one\s+)?(?:small\s+|large\s+|big\s+|good\s+)?handful\b/i, "1 handful")
    .replace(STARTS_WITH_WORD, (word) => NUMBER_WORDS[word.toLowerCase()])
    .replace(/^(?:a\s+|one\s+)?half(?:\s+a)?\s+dozen(?:\s+of)?\b/i, "6")
    .replace(/^(?:a|one|1)\s+dozen(?:\s+of)?\b/i, "12")
    .replace(/^(\d+)\s+dozen(?:\s+of)?\b/i, (_, n: string) => String(12 * Number(n)))
    .replace(/^(?:a\s+)?(?:couple|pair)(?:\s+of)?\b/i, "2")
    .replace(
      /\b(?:(\d+|an?|one)\s+)?(?:thumb|finger)(?:[- ]?(?:sized?|length))?(?:\s+(?:piece|knob|lump|nub|chunk|nugget))?(?:\s+of)?\b/i,
      (_, n?: string) => `${n && /\d/.test(n) ? n : "1"} thumb `,
    )
    .replace(
      /\b(\d+(?:[.,]\d+)?|\d+\/\d+)[\s-]*(?:inch(?:es)?|in\.|"|″)[\s-]*(?:long\s+)?(?:piece|knob|chunk|length|stick)?(?:\s+of)?(?=\s|$)/i,
      "$1 inch ",
    )
    .replace(/\b(\d+(?:[.,]\d+)?)[\s-]*cm[\s-]*(?:long\s+)?(?:piece|knob|chunk|length)?(?:\s+of)?(?=\s|$)/i, "$1 cm ")
    .replace(
      /^(?:the\s+)?(?:freshly\s+)?(?:squeezed\s+)?(?:grated\s+|finely\s+grated\s+)?(juice|zest|rind|yolks?|whites?)(?:\s+(?:and|&)\s+(?:juice|zest|rind))?\s+(?:of|from)\s+(.+)$/i,
      (_, part: string, of: string) => `${of.replace(/s$/i, "")} ${part}`,
    )
    .replace(
      /\b(\d+(?:[.,]\d+)?)[\s-]*(oz|ounces?|g|grams?|ml|kg|lb)\.?[\s-]+(cans?|tins?|jars?|packs?|packets?|packages?|bags?|box(?:es)?|cartons?|tubs?|bottles?|blocks?|sachets?|tubes?|bars?)\b/i,
      "($1 $2) $3",
    )
    .replace(/\s+/g, " ");
  return line.trim();
}
