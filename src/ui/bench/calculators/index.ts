import type { Calculator } from "../calculator";
import { COLD } from "./cold";
import { FORMING } from "./forming";
import { HANDS } from "./hands";
import { HEAT } from "./heat";
import { MIXING } from "./mixing";
import { RISING } from "./rising";

/** Every question of the bench, in the order of the work. */
export const CALCULATORS: readonly Calculator[] = [...MIXING, ...RISING, ...FORMING, ...HANDS, ...HEAT, ...COLD];
export const calculatorOf = (id: string): Calculator | undefined => CALCULATORS.find((one) => one.id === id);
