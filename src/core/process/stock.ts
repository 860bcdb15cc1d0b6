import { addMonths, differenceInCalendarDays, format, isValid, parse } from "date-fns";
import { fail, ok, type Result } from "../shared/issue";
import { FREEZE_MONTHS } from "../tables/keeping";

const DAY = "yyyy-MM-dd";

/** A calendar day as written; undefined where there is none. */
function dayOf(text: string): Date | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return undefined;
  const day = parse(text, DAY, new Date(2000, 0, 1));
  return isValid(day) && format(day, DAY) === text ? day : undefined;
}
const unreadable = (path: readonly (string | number)[], got: string) =>
  fail({ code: "unreadable", path: [...path], got, wanted: "a day such as 2026-11-28" });

/** Warmer than this a freezer keeps half as long, °C. */
const WARM_FREEZER_C = -15;

/** Best before in the freezer, for quality and not for safety; usual guidance. Issues: `unreadable` frozenOn, today. */
export function bestBefore({
  frozenOn,
  family,
  months,
  freezerC,
  today,
}: {
  readonly frozenOn: string;
  readonly family: string;
  readonly months?: number | undefined;
  readonly freezerC: number;
  readonly today?: string | undefined;
}): Result<{ readonly bestBefore: string; readonly daysLeft?: number }> {
  const frozen = dayOf(frozenOn);
  if (!frozen) return unreadable(["frozenOn"], frozenOn);
  const now = today === undefined ? undefined : dayOf(today);
  if (today !== undefined && !now) return unreadable(["today"], today);
  const usual = months ?? FREEZE_MONTHS[family] ?? 0;
  const day = addMonths(frozen, freezerC > WARM_FREEZER_C ? Math.max(1, Math.floor(usual / 2)) : usual);
  return ok({ bestBefore: format(day, DAY), ...(now && { daysLeft: differenceInCalendarDays(day, now) }) });
}

export interface LabelInput {
  readonly name: string;
  readonly count: number;
  readonly state: "raw" | "cooked";
  readonly frozenOn: string;
  readonly bestBefore: string;
  readonly finish: string;
  readonly coreC?: number | undefined;
  readonly contains: readonly string[];
  readonly lot?: string | undefined;
}

/** Lines of a label. Issues: `unreadable` frozenOn, bestBefore; `inconsistent` bestBefore (before it was frozen). */
export function stockLabel(input: LabelInput): Result<{ readonly lines: readonly string[] }> {
  const { name, count, state, frozenOn, finish, coreC, contains, lot } = input;
  const frozen = dayOf(frozenOn);
  if (!frozen) return unreadable(["frozenOn"], frozenOn);
  const best = dayOf(input.bestBefore);
  if (!best) return unreadable(["bestBefore"], input.bestBefore);
  if (best < frozen)
    return fail({ code: "inconsistent", path: ["bestBefore"], got: input.bestBefore, wanted: `${frozenOn} or later` });
  return ok({
    lines: [
      `${name.trim()} × ${count}${lot === undefined ? "" : ` · ${lot}`}`,
      state === "raw" ? "RAW: cook before eating" : "COOKED: reheat",
      `Frozen ${frozenOn} · best before ${input.bestBefore}`,
      `${finish.trim()}${coreC === undefined ? "" : ` · core ${coreC} °C`}`,
      ...(contains.length > 0 ? [`Contains: ${contains.join(", ")}`] : []),
    ],
  });
}

export interface StockLot {
  readonly id: string;
  readonly item: string;
  readonly count: number;
  readonly frozenOn: string;
  readonly bestBefore: string;
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** What is taken out of the freezer first: what is to be used soonest, never what is past unless that is allowed. */
export function drawDown({
  item,
  need,
  today,
  allowPast,
  lots,
}: {
  readonly item: string;
  readonly need: number;
  readonly today: string;
  readonly allowPast: boolean;
  readonly lots: readonly StockLot[];
}): Result<{
  readonly take: readonly { readonly id: string; readonly n: number }[];
  readonly taken: number;
  readonly short: number;
  readonly past: readonly string[];
}> {
  if (!dayOf(today)) return unreadable(["today"], today);
  for (const [i, lot] of lots.entries()) {
    if (!dayOf(lot.frozenOn)) return unreadable(["lots", i, "frozenOn"], lot.frozenOn);
    if (!dayOf(lot.bestBefore)) return unreadable(["lots", i, "bestBefore"], lot.bestBefore);
  }
  const own = lots
    .filter((lot) => lot.item === item && lot.count > 0)
    .sort((a, b) => compare(a.bestBefore, b.bestBefore) || compare(a.frozenOn, b.frozenOn) || compare(a.id, b.id));
  const take: { id: string; n: number }[] = [];
  const past: string[] = [];
  let left = need;
  for (const lot of own) {
    const isPast = lot.bestBefore < today;
    if (isPast && !allowPast) {
      past.push(lot.id);
      continue;
    }
    if (left === 0) continue;
    const n = Math.min(left, lot.count);
    take.push({ id: lot.id, n });
    if (isPast) past.push(lot.id);
    left -= n;
  }
  return ok({ take, taken: need - left, short: left, past });
}
