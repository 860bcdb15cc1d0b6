import { near } from "../shared/rounding";

export type OvenKind = "conventional" | "fan";

/** What a fan oven is set to for a conventional one's setting, and back; `dialC` to the nearest 5 °C. Kitchen figure. */
export function ovenDial({ celsius: c, from, to }: { celsius: number; from: OvenKind; to: OvenKind }): {
  celsius: number;
  dialC: number;
} {
  const celsius = from === to ? c : from === "conventional" ? c - Math.min(20, 0.1 * c) : Math.min(c + 20, c / 0.9);
  return { celsius, dialC: 5 * near(celsius / 5) };
}
