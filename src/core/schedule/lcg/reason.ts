/** What made a bound rise: a clause, an arc, or a propagator that has said so. */
export const CLAUSE = 1;
export const ARC = 2;
export const SAID = 3;

/** A kind and where its clause, arc or explanation lies, in one number; 0 stands for a decision and for the root. */
export const reason = (kind: number, at: number): number => (at << 2) | kind;
export const kindOf = (reason: number): number => reason & 3;
export const placeOf = (reason: number): number => reason >> 2;
