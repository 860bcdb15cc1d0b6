/** Slack below which two figures are the same, so that 3.0000000001 carriers are three. */
export const EPSILON = 1e-9;

/** Least whole number that is at least x, up to the slack. */
export const up = (x: number): number => Math.ceil(x - EPSILON);
/** Greatest whole number that is at most x, up to the slack. */
export const down = (x: number): number => Math.floor(x + EPSILON);
/** Nearest whole number; halves go up. */
export const near = (x: number): number => Math.floor(x + 0.5 + EPSILON);

/** Sum of a list; 0 of none. */
export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
