/**
 * What a kitchen's instruments read at a minute of the plan; undefined where nothing is connected that could tell. A driver of real ones
 * has the same shape.
 */
export interface KitchenDevices {
  /** In the thickest piece of a heat that is under way, °C. */
  readonly coreC: (task: string, minute: number) => number | undefined;
  /** Of the oil that a task fries in, °C. */
  readonly oilC: (task: string, minute: number) => number | undefined;
  /** Of an oven or a steamer, as the plan's problem names it, °C. */
  readonly ovenC: (resource: string, minute: number) => number | undefined;
  /** What lies on the scale while a task is done: a piece of it, the so-manieth, g. */
  readonly scaleG: (task: string, nth: number) => number | undefined;
  readonly roomC: (minute: number) => number | undefined;
}
