/** What a kitchen's instruments read at a minute of the plan, °C; undefined where nothing is connected that could tell. A driver of real ones has the same shape. */
export interface KitchenDevices {
  /** In the thickest piece of a heat that is under way. */
  readonly coreC: (task: string, minute: number) => number | undefined;
  /** Of the oil that a task fries in. */
  readonly oilC: (task: string, minute: number) => number | undefined;
  readonly roomC: (minute: number) => number | undefined;
}
