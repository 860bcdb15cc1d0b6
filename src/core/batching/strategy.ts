import type { Carrier } from "../kitchen/capacity";

/**
 * The free decisions of an expansion, where the rules leave a choice. The planner tries several when one has no plan.
 */
export interface Strategy {
  /** Preferred carrier where a step allows either, by item id; "first-on-tiers" puts the first steamer load on the tiers. */
  readonly carrier: (item: string) => Carrier | "first-on-tiers";
  /** Cut shaping into lots of one carrier instead of whole mixes. */
  readonly fineParts: boolean;
  /**
   * Shaping, and fillings that are not cooked, in lots of one load of the pan, steamer or fryer that comes next: where pieces may
   * wait only minutes, they keep its pace.
   */
  readonly smallLots: boolean;
  /** One oven load for each mix instead of filling the oven across mixes. */
  readonly loadsByMix: boolean;
  /** Every tray an oven load of its own, in and out when it is ready: fewer wait for one another. */
  readonly trayByTray: boolean;
  /** Set each lot out as it is done instead of all together, so that its rack or shelf is free for the next. */
  readonly serveInLots: boolean;
  /** Plan with rises as slow as is to be expected, so that a dough that takes its time makes nothing late. */
  readonly slowRises: boolean;
  /** Raw food is back at the heat within the usual time out of the cold. */
  readonly soonFromCold: boolean;
}

/** The way with no departures: the first that is tried. */
export const PLAIN: Strategy = {
  carrier: () => "first-on-tiers",
  fineParts: false,
  smallLots: false,
  loadsByMix: false,
  trayByTray: false,
  serveInLots: false,
  slowRises: false,
  soonFromCold: false,
};

/**
 * Strategies in the order in which they are tried: those with the fewest departures from the plain way first.
 * @param hasLoads something goes through a pan, a steamer or a fryer in several loads
 */
export function strategies(eitherCarrier: readonly string[], hasLoads: boolean = false): Strategy[] {
  const onTray = eitherCarrier.map((item): Partial<Strategy> => ({ carrier: (id) => (id === item ? "tray" : "first-on-tiers") }));
  const carriers: Partial<Strategy>[] =
    eitherCarrier.length === 0
      ? []
      : [{ carrier: () => "board" }, ...onTray.slice(0, onTray.length > 1 ? undefined : 0), { carrier: () => "tray" }];
  const parts: Partial<Strategy>[] = [{ fineParts: true }, { serveInLots: true }, { loadsByMix: true }];
  const fineServed: Partial<Strategy> = { fineParts: true, serveInLots: true };
  const pairs = carriers.flatMap((carrier) => [
    { ...carrier, fineParts: true },
    { ...carrier, serveInLots: true },
    { ...carrier, ...fineServed },
  ]);
  const small: Partial<Strategy>[] = hasLoads
    ? [
        { ...fineServed, smallLots: true },
        { fineParts: true, smallLots: true },
      ]
    : [];
  const trays: Partial<Strategy>[] = [{ trayByTray: true }, { ...fineServed, trayByTray: true }];
  return [{}, ...parts.slice(0, 2), ...small, ...carriers, fineServed, ...pairs, parts[2], ...trays].map((change) => ({
    ...PLAIN,
    ...change,
  }));
}
