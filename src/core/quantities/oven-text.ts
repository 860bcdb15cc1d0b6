import { fail, ok, type Result } from "../shared/issue";
import { convertTemperature } from "./temperature";
import { ovenDial } from "./oven-dial";

/**
 * An oven temperature as written in a recipe ("375 °F", "gas 5", "190", "180 fan") as °C of a fan oven. Without a unit,
 * 300 and more is °F and 100 to 199 is °C; between them nobody can tell, and it asks.
 * Issues on `temperature`: `missing`, `unreadable` (also where the unit is missing and not plain), `out_of_range`.
 */
export function readOvenTemperature(text: string): Result<{ fanC: number; read: string }> {
  const refuse = (code: "unreadable" | "out_of_range", wanted: string) =>
    fail({ code, path: ["temperature"], got: text, wanted });
  if (text.trim() === "")
    return fail({ code: "missing", path: ["temperature"], wanted: "an oven temperature, such as 375 °F, 190 °C or gas 5" });
  const gas = /\bgas(?: mark)?\s*(\d+(?:[.,/]\d+)?)/i.exec(text);
  const number = /(\d+(?:[.,]\d+)?)\s*(?:°|º|degrees?)?\s*([cf])?\b/i.exec(text);
  if (!gas && !number) return refuse("unreadable", "a number with °C or °F, or a gas mark");
  const fan = /\bfan\b|\bconvection\b/i.test(text);
  if (gas) {
    const mark = gas[1].includes("/")
      ? Number(gas[1].split("/")[0]) / Number(gas[1].split("/")[1])
      : Number(gas[1].replace(",", "."));
    const c = convertTemperature({ value: mark, from: "gas", to: "C" });
    return c.ok ? settled(c.value.value, false, `gas mark ${gas[1]}`) : refuse("out_of_range", "a gas mark from ¼ to 9");
  }
  const value = Number(number![1].replace(",", "."));
  const unit = number![2]?.toUpperCase() ?? (value >= 300 ? "F" : value >= 100 && value < 200 ? "C" : undefined);
  if (!unit) return refuse("unreadable", "°C or °F behind it: it could be either");
  const c = unit === "F" ? ((value - 32) * 5) / 9 : value;
  if (c < 50 || c > 300) return refuse("out_of_range", "an oven temperature from 50 to 300 °C");
  return settled(c, fan, `${value} °${unit}`);
}

function settled(c: number, fan: boolean, read: string): Result<{ fanC: number; read: string }> {
  const { dialC } = ovenDial({ celsius: c, from: fan ? "fan" : "conventional", to: "fan" });
  return ok({ fanC: dialC, read: `${read}${fan ? ", fan" : ""}` });
}
