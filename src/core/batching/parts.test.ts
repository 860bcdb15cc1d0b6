import fc from "fast-check";
import { demoItem, demoKitchen } from "@tests/demo";
import { evenParts } from "../quantities/apportion";
import { roundUpToCarrier } from "../quantities/round-up";
import { capacitiesOf } from "../kitchen/capacity";
import { gatheringDate, planDays } from "../gathering/calendar";
import { roomAt } from "../kitchen/room";
import { cutAt, fullLoads, lotsOf, mixSizes } from "./partition";
import { claimsOf } from "../item/claims";
import { resolveItem } from "../item/resolve";

const size = ([a, b]: readonly [number, number]) => b - a;

describe("dividing pieces", () => {
  test("parts add up and differ by one at the most", () => {
    fc.assert(
      fc.property(fc.nat(500), fc.integer({ min: 1, max: 40 }), (total, parts) => {
        const sizes = evenParts(total, parts);
        expect(sizes.reduce((a, b) => a + b, 0)).toBe(total);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }),
    );
  });

  test("lots cover the range in order, within the carrier, as few as can be", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 8 }),
        (pieces, capacity, unit) => {
          const lots = lotsOf([10, 10 + pieces], capacity, unit);
          expect(lots[0][0]).toBe(10);
          expect(lots.at(-1)![1]).toBe(10 + pieces);
          lots.forEach((lot, i) => i > 0 && expect(lot[0]).toBe(lots[i - 1][1]));
          expect(Math.max(...lots.map(size))).toBeLessThanOrEqual(capacity);
          expect(lots.length).toBe(Math.ceil(pieces / capacity));
        },
      ),
    );
  });

  test("36 pieces with at most 26 a mix are whole trays of 12", () => expect(mixSizes([18, 18], 26, 12, 5)).toEqual([24, 12]));
  test("a mix below the mixer's least is evened out", () => expect(mixSizes([13, 12], 24, 12, 10)).toEqual([13, 12]));
  test("loads are full but the last", () => expect(fullLoads([0, 14], 6).map(size)).toEqual([6, 6, 2]));
  test("a range is cut at the borders inside it", () =>
    expect(
      cutAt(
        [0, 20],
        [
          [0, 12],
          [12, 30],
        ],
      ),
    ).toEqual([
      [0, 12],
      [12, 20],
    ]));

  test("the last carrier is filled where that costs little", () => {
    expect(roundUpToCarrier(35, 12, 10)).toEqual({ pieces: 36, carriers: 3, extra: 1, lastFill: 12 });
    expect(roundUpToCarrier(25, 12, 10)).toEqual({ pieces: 25, carriers: 3, extra: 0, lastFill: 1 });
  });
});

describe("this kitchen's sizes", () => {
  test("a smaller pan and steamer hold less, by area and rounded down", () => {
    const quiet = demoKitchen("quiet-flat");
    // 16 × (260 ÷ 300)² = 12.02
    expect(capacitiesOf(demoItem("reed-pocket"), quiet).panLoad).toBe(12);
  });
  test("half the oil holds half the turnovers", () => {
    const kitchen = structuredClone(demoKitchen("boathouse"));
    kitchen.equipment.fryer!.oilMl = 2000;
    expect(capacitiesOf(demoItem("oarlock-turnover"), kitchen).fryerLoad).toBe(3);
  });
});

describe("days", () => {
  test.each([
    ["2026-11-25", "next Saturday", "2026-11-28"],
    ["2026-11-28", "next Saturday", "2026-12-05"],
    ["2026-12-31", "next Friday", "2027-01-01"],
  ])("on %s, %s is %s", (today, relative, date) => expect(gatheringDate({ relative }, today)).toBe(date));

  test("minute 0 is midnight of the first day on which a cook has hours", () => {
    const kitchen = structuredClone(demoKitchen("first-kitchen"));
    kitchen.cooks[0].hours.push({ day: -1, from: "18:00", to: "20:00" });
    const days = planDays({ today: "2026-11-25", kitchen, gathering: { date: { on: "2026-11-29" } } as never });
    expect(days.originDate).toBe("2026-11-28");
    expect(days.minute(0, "13:00")).toBe(1440 + 780);
  });

  test("the room is what its band says, and before the first band what that says", () => {
    const kitchen = demoKitchen("boathouse");
    expect([roomAt(kitchen, 300), roomAt(kitchen, 12 * 60 + 59), roomAt(kitchen, 13 * 60)]).toEqual([20, 20, 23]);
  });
});

describe("options", () => {
  const rounds = demoItem("buoy-round");
  test("plant dough changes formula, diet, allergens and frying time", () => {
    const plain = resolveItem(rounds, {}, "base");
    const plant = resolveItem(rounds, { "f-dough": "plant" }, "base");
    const [before, after] = [claimsOf(plain), claimsOf(plant)];
    expect([before.diets.vegan.answer, after.diets.vegan.answer]).toEqual(["no", "yes"]);
    expect(after.contains.map((c) => c.allergen)).toEqual(["gluten"]);
    expect(plant.dough.map((c) => c.id)).not.toEqual(plain.dough.map((c) => c.id));
    expect(plant.steps.find((s) => s.id === "f-fry")!.time.fixedMin).toBe(3.75);
  });
  test("a skipped step is gone, and what followed it follows the one before", () => {
    const once = resolveItem(demoItem("bow-seat-bun"), { "b-wash": "once" }, "base");
    expect(once.steps.some((s) => s.id === "b-wash-1")).toBe(false);
    expect(once.steps.find((s) => s.id === "b-wash-2")!.after).toEqual([{ step: "b-proof" }]);
  });
  test("a step under another option does not exist", () => {
    const fried = resolveItem(demoItem("keel-moon"), { "i-heat": "fry" }, "base");
    expect(fried.steps.map((s) => s.id)).toContain("i-fry");
    expect(fried.steps.map((s) => s.id)).not.toContain("i-bake");
  });
});
