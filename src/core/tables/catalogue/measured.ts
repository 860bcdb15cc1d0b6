/** Ingredients that tables of measured foods have as well, by the food's code in the Indian food composition tables of 2017. */
export const MEASURED: Readonly<Record<string, string>> = {};
