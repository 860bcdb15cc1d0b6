import { freshId } from "../../shared/fresh-id";
import { capitalised } from "../../shared/words";
import type { Catalogue } from "../../ingredients/own";
import { isNamedIn, wordsOf } from "../paper/named-in";
import { lengthOf, plannedOf } from "../paper/times";
import type { Paper } from "../paper/sections";
import { VERBS } from "../paper/words";
import { fromLines } from "../recipe";
import type { Item } from "../schema";

type Beside = NonNullable<Item["beside"]>[number];

const DRINK = /drink|tea|punch|juice|lassi|cider|getränk|boisson|bebida|bevanda/iu;
/** A pot of it cools for so long before it is served or kept, min. */
const COOL_MIN = 60;

/** What a recipe serves beside its pieces: its lines by weight, and how long it is cooked where its method says so. */
export function besideOf({ beside, method }: Paper, catalogue: Catalogue): Beside[] {
  const made: Beside[] = [];
  for (const { name = "Beside it", lines } of beside) {
    const { components } = fromLines(lines, "filling", { components: [], gaps: [] }, catalogue);
    if (components.length === 0) continue;
    const words = wordsOf(name.toLowerCase());
    const said = method.find((sentence) => VERBS.cookFilling.test(sentence) && isNamedIn(sentence, words));
    const length = said === undefined ? undefined : lengthOf(said);
    const hobMin = length && !length.night ? Math.round(plannedOf(length)) : 0;
    made.push({
      id: freshId(
        name,
        made.map(({ id }) => id),
      ),
      name: capitalised(name),
      kind: DRINK.test(name) ? "drink" : "dip",
      components: components.map(({ cook: _cook, lossPct: _loss, ...line }) => line),
      hobMin,
      coolMin: hobMin > 0 ? COOL_MIN : 0,
    });
  }
  return made;
}
