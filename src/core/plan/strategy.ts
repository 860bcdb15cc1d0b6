import type { Carrier } from "./capacity";

/**
 * The free decisions of an expansion, where the rules leave a choice. The planner tries several when one has no plan.
 */
export interface Strategy {
  /** Preferred carrier where a step allows either, by item id; "first-on-tiers" puts the first steamer load on the tiers. */
  readonly carrier: (item: string) => Carrier | "first-on-tiers";
  /** Cut shaping into lots of one carrier instead of whole mixes. */
  readonly fineParts: boolean;
  /** One oven load for each mix instead of filling the oven across mixes. */
  readonly loadsByMix: boolean;
}

export const PLAIN: Strategy = { carrier: () => "first-on-tiers", fineParts: false, loadsByMix: false };

/** Strategies in the order in which they are tried. */
export function strategies(eitherCarrier: readonly string[]): Strategy[] {
  const single = eitherCarrier.map((item): Strategy => ({ ...PLAIN, carrier: (id) => (id === item ? "tray" : "first-on-tiers") }));
  return [
    PLAIN,
    { ...PLAIN, fineParts: true },
    { ...PLAIN, carrier: () => "board" },
    ...single,
    { ...PLAIN, carrier: () => "tray" },
    { ...PLAIN, fineParts: true, carrier: () => "tray" },
    { ...PLAIN, loadsByMix: true },
  ];
}
