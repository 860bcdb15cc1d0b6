/** Pieces `[from, to)` of an item, numbered through all that is made of it. */
export type Range = readonly [number, number];

export const overlaps = (a: Range, b: Range): boolean => a[0] < b[1] && b[0] < a[1];

export const sizeOf = ([from, to]: Range): number => to - from;
