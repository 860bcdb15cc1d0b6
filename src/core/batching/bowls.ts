import { ingredientOf, type Named } from "../ingredients/lookup";
import { OURS, type Catalogue } from "../ingredients/own";
import { fillingComponents } from "../item/desk";
import type { Item } from "../item/schema";

/** Lines of a filling that stand ready together; no name where everything does. */
export interface Bowl<L> {
  readonly name: string;
  readonly lines: readonly L[];
}

const RAW: ReadonlySet<string> = new Set(["meat", "mincedMeat", "poultry", "fish"]);

/**
 * What is weighed for a filling, by when it is wanted: what goes into the pan at one moment shares a bowl, what is stirred in off
 * the heat another. Raw meat and fish stand by themselves, cold.
 */
export function bowlsOf<L extends Named & { readonly id?: string }>(
  lines: readonly L[],
  item: Pick<Item, "filling">,
  catalogue: Catalogue = OURS,
): Bowl<L>[] {
  const components = fillingComponents(item);
  const isHeated = ({ name }: L) => components.find((one) => one.name === name)?.cook === true;
  const raw = lines.filter((line) => RAW.has(ingredientOf(line, catalogue)?.hazard ?? ""));
  const others = lines.filter((line) => !raw.includes(line));
  const pan = others.filter(isHeated);
  const after = others.filter((line) => !isHeated(line));
  const isCooked = lines.some(isHeated);
  const bowls = [
    { name: "Raw, in a bowl of its own: cold until it goes in", lines: raw },
    { name: "First bowl: ready before the heat is on", lines: pan },
    { name: isCooked ? "Second bowl: when it is off the heat" : "Another bowl: all the rest", lines: after },
  ].filter(({ lines: some }) => some.length > 0);
  return bowls.length > 1 ? bowls : bowls.map((bowl) => ({ ...bowl, name: "" }));
}
