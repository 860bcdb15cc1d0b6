/** Minutes until a dough no longer springs back, at 24 °C. Kitchen figures. */
const RELAXED_MIN = {
  wrapper: 30,
  hotWater: 20,
  flatbread: 20,
  stretched: 60,
  shortcrust: 20,
  puffTurn: 15,
  betweenRolls: 10,
} as const;
export type RelaxationKind = keyof typeof RELAXED_MIN;
/** Too far: in the room, and in the fridge, min. */
const TOO_FAR = { roomMin: 240, coldMin: 2880, coldC: 8 } as const;

/** How long a dough rests until it can be rolled, and how long it may, min. Colder and stiffer is longer. */
export const relaxation = ({
  kind,
  tempC,
  hydrationPct,
  factor,
}: {
  readonly kind: RelaxationKind;
  readonly tempC: number;
  readonly hydrationPct: number;
  readonly factor: number;
}) => ({
  readyMin: RELAXED_MIN[kind] * 1.5 ** ((24 - tempC) / 10) * (1 + 0.03 * Math.max(0, 50 - hydrationPct)) * factor,
  tooFarMin: tempC <= TOO_FAR.coldC ? TOO_FAR.coldMin : TOO_FAR.roomMin,
});
