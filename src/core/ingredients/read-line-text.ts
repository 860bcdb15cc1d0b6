import type { Gap } from "./read-line";

/** What is missing of a line, as a phrase. The only place that words it. */
export const GAP_TEXT: Readonly<Record<Gap, string>> = {
  "no-amount": "how much of it",
  "not-known": "what it is",
  "no-measure": "what that weighs",
  unreadable: "an amount that can be read",
};
