const MINUTES_A_DAY = 1440;

const two = (n: number) => String(n).padStart(2, "0");

export type ClockStyle = "24" | "12";

/** The one clock format: "18:30", or "6:30 pm", minutes counted from the midnight at which the plan begins; days are not shown. */
export function clockText(minute: number, style: ClockStyle = "24"): string {
  const ofDay = ((minute % MINUTES_A_DAY) + MINUTES_A_DAY) % MINUTES_A_DAY;
  const hour = Math.floor(ofDay / 60);
  if (style === "24") return `${two(hour)}:${two(ofDay % 60)}`;
  return `${hour % 12 === 0 ? 12 : hour % 12}:${two(ofDay % 60)} ${hour < 12 ? "am" : "pm"}`;
}

/** A length of time in words as short as they go: "45 min", "2 h", "2 h 05". */
export function lengthText(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${two(rest)}`;
}

/** Minutes after midnight of "hh:mm" (24:00 allowed), or undefined when it is not such a text. */
export function minutesOfClock(text: string): number | undefined {
  const match = /^([01]?\d|2[0-4]):([0-5]\d)$/.exec(text);
  if (!match) return undefined;
  const minutes = Number(match[1]) * 60 + Number(match[2]);
  return minutes <= MINUTES_A_DAY ? minutes : undefined;
}

/** From minute `at` on the wall clock is `shiftMin` minutes from where days of 24 hours would have it. */
export interface ClockChange {
  readonly at: number;
  readonly shiftMin: number;
}

/** Wall-clock minutes since the midnight at which the plan begins: a change of the clock in between counted in. */
export function wallMinute(minute: number, changes: readonly ClockChange[]): number {
  let shift = 0;
  for (const change of changes) if (minute >= change.at) shift = change.shiftMin;
  return minute + shift;
}

export { MINUTES_A_DAY };
