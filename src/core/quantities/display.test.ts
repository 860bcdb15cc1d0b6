import fc from "fast-check";
import { clockText } from "../shared/clock";
import { heatText, weightText } from "./display";

describe("figures as a cook wants them", () => {
  test.each([
    [0, "12:00 am"],
    [750, "12:30 pm"],
    [1110, "6:30 pm"],
    [1440 + 65, "1:05 am"],
  ])("minute %i is %s", (minute, text) => expect(clockText(minute, "12")).toBe(text));
  test("temperatures in a text, ovens to 5 °F", () => {
    expect(heatText("oven 190 °C, fan; core 74 °C", "F")).toBe("oven 375 °F, fan; core 165 °F");
    expect(heatText("oven 190 °C", "C")).toBe("oven 190 °C");
    expect(heatText("from 57 to 21 °C in 2 h", "F")).toBe("from 135 to 70 °F in 2 h");
    expect(heatText("20 to 25 min at 190 °C", "F")).toBe("20 to 25 min at 375 °F");
    expect(heatText("freeze at -18 °C", "F")).toBe("freeze at 0 °F");
  });
  test("weights", () => {
    expect([weightText(860), weightText(2160)]).toEqual(["860 g", "2.16 kg"]);
    expect([weightText(100, "oz"), weightText(850, "oz")]).toEqual(["3.5 oz", "1 lb 14 oz"]);
  });
  test("ounces are never off by more than a twentieth of one", () =>
    fc.assert(
      fc.property(fc.double({ min: 1, max: 9000, noNaN: true }), (grams) => {
        const [, pounds, ounces] = /^(?:(\d+) lb )?([\d.]+) oz$/.exec(weightText(grams, "oz"))!;
        expect(Math.abs(Number(pounds ?? 0) * 453.59237 + Number(ounces) * 28.349523 - grams)).toBeLessThan(1.42);
      }),
    ));
});
