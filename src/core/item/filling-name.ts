import type { Item } from "./schema";

/** The name of one of several fillings by its id; undefined where nobody named it. */
export const fillingName = ({ filling }: Pick<Item, "filling">, id: string | undefined): string | undefined =>
  filling.variants?.find((variant) => variant.id === id)?.name ?? filling.name;
