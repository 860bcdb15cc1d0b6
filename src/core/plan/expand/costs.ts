/** Costs per minute. Freshness outweighs a short day, a short day outweighs short rests. */
export const COST = { early: 0.5, freshness: 0.5, span: 0.2, stretch: 0.02, wait: 0.02 } as const;
