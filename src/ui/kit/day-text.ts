/** Days from a gathering's own that can be chosen. */
export const DAYS_AROUND: readonly number[] = [0, -1, -2, -3, -4, -5, -6, -7, 1];

/** A day as it lies to the gathering's own. */
export const dayText = (day: number): string =>
  day === 0
    ? "on the day"
    : day === -1
      ? "the day before"
      : day === 1
        ? "the day after"
        : day < 0
          ? `${-day} days before`
          : `${day} days after`;
