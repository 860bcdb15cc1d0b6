"use client";
import { useMemo } from "react";
import { dialOf } from "@/core/quantities/heat-words";
import { degreesText, fineWeightText, heatText, weightText } from "@/core/quantities/display";
import type { System } from "@/core/quantities/unit-table";
import { clockText, type ClockStyle } from "@/core/shared/clock";
import { z } from "zod";
import { useStored } from "./use-stored";

export const SYSTEMS: readonly { value: System; name: string }[] = [
  { value: "metric", name: "metric cup, 250 ml" },
  { value: "us", name: "US cup, 240 ml" },
  { value: "au", name: "Australian spoons, 20 ml" },
  { value: "imperial", name: "imperial cup, 284 ml" },
];

const DisplaySchema = z.object({
  system: z.enum(["metric", "us", "au", "imperial"]).catch("metric"),
  weights: z.enum(["g", "oz"]).catch("g"),
  heat: z.enum(["C", "F"]).catch("C"),
  clock: z.enum(["24", "12"]).catch("24"),
  /** How much cooler this cook's fan oven is set than one without, °C. */
  fanLessC: z.int().min(0).max(40).catch(20),
  /** In which prices are. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .catch("EUR"),
  /** Between the columns of a table that a spreadsheet opens. */
  separator: z.enum([",", ";"]).catch(","),
  /** The hob's highest number, and the one that this cook calls medium. */
  hob: z.object({ most: z.int().min(2).max(20), medium: z.int().min(1).max(19) }).catch({ most: 9, medium: 5 }),
});
/** How figures are shown to this cook; nothing of it changes what is stored. */
export type Display = z.output<typeof DisplaySchema>;

const PLAIN = DisplaySchema.parse({});

function read(text: string): Display {
  try {
    return DisplaySchema.parse({ ...PLAIN, ...JSON.parse(text) });
  } catch {
    return PLAIN;
  }
}

export interface Shown {
  readonly display: Display;
  readonly set: (change: Partial<Display>) => void;
  /** "18:30" or "6:30 pm". */
  readonly clock: (minute: number) => string;
  /** "860 g", "2.16 kg" or "1 lb 14 oz". */
  readonly weight: (grams: number) => string;
  /** The same to a tenth of a gram below 100 g. */
  readonly fine: (grams: number) => string;
  /** A temperature in °C in the cook's scale. */
  readonly degrees: (celsius: number) => string;
  /** A text that a cook wrote, with its temperatures in the scale of whoever reads. */
  readonly heat: (text: string) => string;
  /** What a heat word in a text is on this cook's hob, "5 to 6 of 9"; undefined where it has none. */
  readonly dial: (text: string) => string | undefined;
  /** A price in the smallest coin, in the cook's currency. */
  readonly money: (coins: number) => string;
  /** How many of the smallest coin are one of the currency. */
  readonly coins: number;
}

/** Coins to one of a currency: 100 for most, 1 for some. */
function coinsOf(currency: string): number {
  try {
    return 10 ** (new Intl.NumberFormat("en", { style: "currency", currency }).resolvedOptions().maximumFractionDigits ?? 2);
  } catch {
    return 100;
  }
}

/** The cook's own units, clock and hob, remembered in this browser, with the texts that follow from them. */
export function useDisplay(): Shown {
  const [text, put] = useStored("unisynth-display");
  return useMemo(() => {
    const display = read(text);
    const coins = coinsOf(display.currency);
    const prices = new Intl.NumberFormat("en", { style: "currency", currency: display.currency });
    return {
      coins,
      money: (price) => prices.format(price / coins),
      display,
      set: (change) => put(JSON.stringify({ ...display, ...change })),
      clock: (minute) => clockText(minute, display.clock as ClockStyle),
      weight: (grams) => weightText(grams, display.weights),
      fine: (grams) => fineWeightText(grams, display.weights),
      degrees: (celsius) => degreesText(celsius, display.heat),
      heat: (words) => heatText(words, display.heat),
      dial: (words) => {
        const { most, medium } = display.hob;
        const found = dialOf(words, most, Math.min(medium, most - 1));
        return found && `${found.from === found.to ? found.from : `${found.from} to ${found.to}`} of ${most}`;
      },
    };
  }, [text, put]);
}
