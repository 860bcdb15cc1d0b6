import { differences, isMine, merged, type Difference } from "@/core/shared/differences";

/** Two forms of one document: laid into one where they changed different fields, else every field to choose from. */
export type Clash<T> =
  | { readonly merged: T }
  | {
      readonly differences: readonly Difference[];
      /** Those that were changed here only. */ readonly mine: readonly Difference[];
    };

/** @param base what both began from */
export function clashOf<T>(draft: T, base: T, theirs: T): Clash<T> {
  const found = differences(draft, theirs);
  const mine = found.filter((one) => isMine(one, base));
  // A difference was made on their side only where mine is still what both began from.
  const isTheirs = ({ path, mine: value }: Difference) => isMine({ path, mine: value, theirs: value }, base);
  return found.every((one) => mine.includes(one) || isTheirs(one))
    ? { merged: merged(theirs, mine) }
    : { differences: found, mine };
}
