import { demoInput, demoItem, demoKitchen, expectRequest } from "@tests/demo";
import { cookSpans, merged } from "../gathering/attendance";
import { planDays } from "../gathering/calendar";
import { yeastFactor } from "../process/in-room";
import { capacitiesOf, chamberOf, loadCapacity } from "./capacity";
import { chamberIds, chambersAt, poolSize } from "./equipment";
import { kitchenIssues } from "./check";
import { roomAt } from "./room";
import { KitchenSchema, type Kitchen } from "./schema";
import { issueText } from "../shared/issue-text";

const kitchen = demoKitchen("first-kitchen");
const withEquipment = (over: object): Kitchen =>
  KitchenSchema.parse({ ...kitchen, equipment: { ...kitchen.equipment, ...over } });

describe("equipment", () => {
  test("a second oven is a chamber of its own", () => {
    const two = withEquipment({ oven: { ...kitchen.equipment.oven!, count: 2 } });
    expect(chamberIds("oven", two)).toEqual(["oven", "oven-2"]);
    expect(chamberIds("fryer", withEquipment({ fryer: undefined }))).toEqual([]);
  });
  test("an oven without a fan is set 20 °C higher", () => {
    const still = withEquipment({ oven: { ...kitchen.equipment.oven!, fan: false } });
    expect(chambersAt("oven", 190, still).setting).toBe(210);
    expect(chambersAt("fryer", 180, still).setting).toBe(180);
  });
  test("places are counted as what is put on them: trays on fridge shelves, tiers of every steamer, pots one by one", () => {
    const own = withEquipment({
      "fridge-shelf": { count: 3, fitsTraysEach: 2, c: 4 },
      pot: { litres: [3, 5] },
      worktop: { places: 2 },
    });
    expect(["fridge-shelf", "pot", "worktop", "wok"].map((id) => poolSize(id, own))).toEqual([6, 2, 2, undefined]);
  });
});

describe("capacity", () => {
  const pie = demoItem("slipway-pie");
  const bake = pie.steps.find((step) => step.kind === "bake")!;
  test("a tray half as large takes half as many, and a load is every shelf's tray", () => {
    const small = withEquipment({ tray: { count: 4, mm: [200, 300] } });
    expect(capacitiesOf(pie, small).tray).toBe(pie.capacity.perTray / 2);
    expect(chamberOf(bake)).toBe("oven");
    const { shelfPositions } = kitchen.equipment.oven!;
    expect(loadCapacity(bake, capacitiesOf(pie, small))).toBe((shelfPositions * pie.capacity.perTray) / 2);
  });
});

describe("the room through the day", () => {
  const room: Kitchen = {
    ...kitchen,
    roomC: [
      { from: "08:00", to: "12:00", c: 18 },
      { from: "12:00", to: "20:00", c: 24 },
    ],
  };
  test.each([
    [10 * 60, 18],
    [12 * 60, 24],
    [6 * 60, 18],
    [22 * 60, 24],
    [1440 + 9 * 60, 18],
    [-1, 24],
  ])("at minute %i it has %i °C", (minute, c) => expect(roomAt(room, minute)).toBe(c));
  test("yeast takes twice as long for each 10 °C less", () => {
    expect(yeastFactor(24, 24)).toBe(1);
    expect(yeastFactor(24, 14)).toBe(2);
    expect(yeastFactor(20, 30)).toBe(0.5);
  });
});

describe("attendance", () => {
  test("hours that touch are one stretch, and a break is a hole in it", () => {
    expect(
      merged([
        [60, 120],
        [0, 60],
        [200, 200],
      ]),
    ).toEqual([[0, 120]]);
    const request = expectRequest(demoInput("first-try"));
    const [cook] = request.kitchen.cooks;
    const hours = [
      { day: 0, from: "08:00", to: "12:00" },
      { day: 0, from: "12:00", to: "16:00" },
    ];
    const own = { ...request, kitchen: { ...request.kitchen, breaks: [{ day: 0, from: "11:30", to: "12:30" }] } };
    expect(cookSpans({ ...cook, hours }, own, planDays(own))).toEqual([
      [480, 690],
      [750, 960],
    ]);
  });
});

test("what contradicts itself in a kitchen is told by field", () => {
  const wrong = KitchenSchema.parse({
    ...kitchen,
    cooks: [{ ...kitchen.cooks[0], hours: [{ day: 0, from: "12:00", to: "09:00" }] }],
    equipment: {
      ...kitchen.equipment,
      oven: { ...kitchen.equipment.oven!, shelfMm: [300, 200] },
      tray: { count: 2, mm: [400, 300] },
    },
  });
  expect(kitchenIssues({ kitchen: wrong }).map((issue) => issueText(issue))).toEqual([
    'kitchen.cooks[0].hours[0].to is "09:00", which does not fit with the rest; expected a time after 12:00',
    "kitchen.equipment.tray.mm is [400,300], which does not fit with the rest; expected a tray that fits the oven's shelf of 300 × 200 mm",
  ]);
});
