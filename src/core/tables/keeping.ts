/** Usual guidance, where nobody's authority says otherwise: hours at 5 °C and below; months at -18 °C, for quality. */
export const FRIDGE_HOURS: Readonly<Record<string, number>> = {
  "yeast-dough": 72,
  "unleavened-dough": 48,
  "shortcrust-dough": 72,
  "filo-dough": 72,
  "raw-meat-filling": 24,
  "raw-fish-filling": 24,
  "raw-vegetable-filling": 48,
  "cooked-meat-filling": 72,
  "cooked-fish-filling": 48,
  "cooked-vegetable-filling": 72,
  "sweet-filling": 96,
  "custard-filling": 48,
  "shaped-raw-meat": 24,
  "shaped-raw-fish": 12,
  "shaped-cooked-filling": 24,
  "shaped-sweet": 48,
  "cooked-pieces": 72,
};
export const FREEZE_MONTHS: Readonly<Record<string, number>> = {
  "shaped-raw-vegetable": 3,
  "shaped-raw-meat": 3,
  "shaped-raw-fish": 2,
  "shaped-raw-sweet": 4,
  baked: 3,
  steamed: 3,
  fried: 2,
};
/** Pieces out of the cold, all stretches together: with raw meat, fish, egg or dairy, min. */
export const OUT_OF_COLD_MIN = 120;
