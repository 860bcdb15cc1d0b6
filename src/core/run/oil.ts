import type { Step } from "../item/step";

/** Oil that is short of its figure by more than this is too cold to go on, and over it by more too hot, °C. */
export const OIL_OFF_C = 10;

/** The oil as a step has it set, °C; undefined where nothing is fried. */
export const oilSetC = (step: Step | undefined): number | undefined =>
  step?.kind === "fry" ? step.equipment.find(({ settingC }) => settingC !== undefined)?.settingC : undefined;
