import type { Stage } from "@/core/item/making/drawing/stage";
import type { Step } from "@/core/item/step";

/** Pictures of how a piece is formed that belong to a step. */
export const PICTURES: Partial<Readonly<Record<Step["kind"], readonly Stage["id"][]>>> = {
  roll: ["blank"],
  fill: ["fill"],
  seal: ["fold", "seal", "done"],
};
