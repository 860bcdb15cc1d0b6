import type { BesideAmount } from "../gathering/beside";
import type { ExtraNeed } from "./shopping-list";

/** What the dips, drinks and sides take of the list, by weight. */
export const besideNeeds = (amounts: readonly BesideAmount[]): ExtraNeed[] =>
  amounts.flatMap(({ of, parts }) =>
    parts.flatMap(({ name, grams }) =>
      grams === undefined || grams <= 0 || name === ""
        ? []
        : [{ name, grams, items: [of.name], why: "beside" as const, fills: 1 }],
    ),
  );

/** Parts that are bought by volume: nobody knows what they weigh. */
export const besideByVolume = (amounts: readonly BesideAmount[]): { name: string; ml: number; of: string }[] =>
  amounts.flatMap(({ of, parts }) =>
    parts.flatMap(({ name, grams, amount }) =>
      grams === undefined && amount > 0 && name !== "" ? [{ name, ml: amount, of: of.name }] : [],
    ),
  );
