/** Pieces `[from, to)` of an item, numbered through all that is made of it. */
export type Range = readonly [number, number];

/** Whether two half-open ranges share a piece. */
export const overlaps = (a: Range, b: Range): boolean => a[0] < b[1] && b[0] < a[1];

/** Pieces in a range. */
export const sizeOf = ([from, to]: Range): number => to - from;
