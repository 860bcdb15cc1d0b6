import fc from "fast-check";
import { demoInput, demoKitchen, expectRequest } from "@tests/demo";
import { planDocument } from "../plan/document";
import { makePlan } from "../plan/pipeline";
import { clockText, wallMinute } from "../shared/clock";
import { gatheringDate, minuteAtWall, planDays } from "./calendar";

const onDate = (on: string, firstDay: number, zone?: string) => {
  const request = expectRequest(demoInput("first-try"));
  const [cook] = request.kitchen.cooks;
  const cooks = [{ ...cook, hours: [{ day: firstDay, from: "08:00", to: "20:00" }] }];
  return planDays({
    ...request,
    gathering: { ...request.gathering, date: { on } },
    kitchen: { ...request.kitchen, cooks },
    zone,
  });
};

test.each([
  ["2026-11-25", "next Saturday", "2026-11-28"],
  ["2026-11-28", "next Saturday", "2026-12-05"],
  ["2026-11-25", "next Wednesday", "2026-12-02"],
])("from %s %s is %s", (today, relative, date) => expect(gatheringDate({ relative }, today)).toBe(date));

describe("a night in which the clock changes", () => {
  test("in autumn it is an hour longer: morning comes 25 hours after the morning before", () => {
    const days = onDate("2026-10-25", -1, "Europe/Berlin");
    expect(days.originDate).toBe("2026-10-24");
    expect(days.clockChanges).toEqual([{ at: 24 * 60 + 180, shiftMin: -60 }]);
    expect(days.minute(0, "08:00") - days.minute(-1, "08:00")).toBe(25 * 60);
    // Half past two comes twice; the first is meant.
    expect(days.minute(0, "02:30")).toBe(24 * 60 + 150);
  });
  test("in spring it is an hour shorter, and what the clock leaves out is the minute after it", () => {
    const days = onDate("2026-03-29", -1, "Europe/Berlin");
    expect(days.minute(0, "08:00") - days.minute(-1, "08:00")).toBe(23 * 60);
    expect(days.minute(0, "02:30")).toBe(days.minute(0, "03:00"));
  });
  test("elsewhere, and without a zone, every day has 24 hours", () => {
    for (const zone of ["Asia/Tokyo", undefined]) {
      const days = onDate("2026-10-25", -1, zone);
      expect(days.clockChanges).toEqual([]);
      expect(days.minute(0, "08:00") - days.minute(-1, "08:00")).toBe(24 * 60);
    }
  });
  test("whatever the clock shows, the minute it is shown at shows it again", () => {
    const zones = fc.constantFrom("Europe/Berlin", "America/New_York", "Australia/Lord_Howe", "Africa/Casablanca", "Asia/Tehran");
    const dates = fc.date({ min: new Date("2026-01-05"), max: new Date("2027-12-20"), noInvalidDate: true });
    fc.assert(
      fc.property(zones, dates, fc.integer({ min: 0, max: 3 * 1440 }), (zone, date, minute) => {
        const { clockChanges } = onDate(date.toISOString().slice(0, 10), -1, zone);
        const wall = wallMinute(minute, clockChanges);
        const found = minuteAtWall(wall, clockChanges);
        expect(wallMinute(found, clockChanges)).toBe(wall);
        expect(found).toBeLessThanOrEqual(minute);
      }),
      { numRuns: 60 },
    );
  });
  test("a plan over such a night serves by the clock on the wall, and rests follow the room by it", () => {
    const input = demoInput("quiet-evenings");
    const shifted = (zone?: string) =>
      expectRequest({
        ...input,
        today: "2026-10-20",
        zone,
        gathering: { ...input.gathering, date: { on: "2026-10-24" } },
        kitchen: demoKitchen("quiet-flat"),
      });
    const plain = makePlan(shifted(), { now: () => 0 });
    const zoned = makePlan(shifted("Europe/Berlin"), { now: () => 0 });
    expect(plain.clockChanges).toEqual([]);
    expect(zoned.clockChanges).toHaveLength(1);
    const shown = (plan: typeof plain) =>
      plan.day.targets.map(({ name, minute }) => `${name} ${clockText(wallMinute(minute, plan.clockChanges))}`);
    expect(shown(zoned)).toEqual(shown(plain));
    // What comes after the night comes an hour later, counted in minutes.
    const after = plain.day.targets.filter((target) => target.minute > zoned.clockChanges[0].at);
    expect(zoned.day.targets.filter((t) => t.minute > zoned.clockChanges[0].at).map((t) => t.minute - 60)).toEqual(
      after.map((t) => t.minute),
    );
    expect(zoned.solution.status).not.toBe("infeasible");
  });
});

test("a plan for other programs says its tasks, notes and refusals in words", () => {
  const input = demoInput("first-try");
  const plan = planDocument(makePlan(expectRequest(input), { now: () => 0 }));
  expect(Object.values(plan.tasks).map((task) => task.text)).toContain("Bake 16 Slipway pies, 2 trays, 210 °C");
  const kitchen = demoKitchen("first-kitchen");
  const none = planDocument(
    makePlan(expectRequest({ ...input, kitchen: { ...kitchen, equipment: { ...kitchen.equipment, oven: undefined } } }), {
      now: () => 0,
    }),
  );
  expect(none.solution).toMatchObject({
    status: "infeasible",
    why: ["Slipway pies: bake needs an oven, and this kitchen has none"],
  });
});
