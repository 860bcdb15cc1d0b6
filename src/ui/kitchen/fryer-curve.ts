import type { Item } from "@/core/item/schema";
import { workMinutes } from "@/core/item/step-minutes";
import { capacitiesOf } from "@/core/kitchen/capacity";
import { bathOfFryer } from "@/core/kitchen/fry-load";
import type { Kitchen } from "@/core/kitchen/schema";
import { oilCurve } from "@/core/process/fry";
import { piecesText } from "@/core/plan/task-text";
import type { Chart } from "../kit/chart";

/** From one load out to the next in, min. */
const HANDLING_MIN = 1;
const LOADS = 3;
/** The oil may fall by so much, °C. */
const FALL_C = 15;

/** What this fryer's oil does through loads of an item; undefined where its power is not known, or the item is not fried. */
export function fryerCurve(kitchen: Kitchen, item: Item | undefined): Chart | undefined {
  const { fryer } = kitchen.equipment;
  const step = item?.steps.find(({ kind, equipment }) => kind === "fry" && equipment.some(({ id }) => id === "fryer"));
  const setC = step?.equipment.find(({ id }) => id === "fryer")?.settingC;
  if (!fryer?.kW || !item || !step || setC === undefined) return undefined;
  const { fryerLoad = 0 } = capacitiesOf(item, kitchen);
  if (fryerLoad < 1) return undefined;
  const loadG = fryerLoad * (item.piece.doughG + item.piece.fillingG);
  const cycleS = Math.round((workMinutes(step, fryerLoad) + HANDLING_MIN) * 60);
  const points = oilCurve(bathOfFryer(fryer.oilMl, fryer.kW), { setC, loadG, loads: LOADS, cycleS });
  return {
    title: `The oil through loads of ${piecesText(fryerLoad)}`,
    x: "min",
    y: "°C",
    series: [
      { name: "oil", points: points.map(({ s, tempC }) => [Math.round((s / 60) * 100) / 100, Math.round(tempC * 10) / 10]) },
    ],
    lines: [{ y: setC - FALL_C, label: "no colder" }],
  };
}
