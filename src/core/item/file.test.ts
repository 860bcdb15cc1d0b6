import { demoItem } from "@tests/demo";
import { itemFile, itemFromFile } from "./file";

const pie = demoItem("slipway-pie");
const value = <T>(result: { ok: true; value: T } | { ok: false }): T => {
  if (!result.ok) throw new Error("refused");
  return result.value;
};

test("N120: what is written into a file and read again is the same item", () => {
  const own = [{ id: "flour-plain", names: ["plain wheat flour"], proteinPct: 11.4 }];
  expect(value(itemFromFile(itemFile(pie, own), []))).toEqual({ item: pie, own });
  expect(value(itemFromFile(itemFile(pie, []), [pie.id])).item).toEqual({ ...pie, id: "slipway-pies" });
});

test.each([
  ["no JSON", "unreadable"],
  ["{}", "missing"],
  [JSON.stringify({ format: "unisynth-item-file/1", schemaVersion: 99, item: {} }), "unknown"],
  [JSON.stringify({ format: "unisynth-item-file/1", schemaVersion: 3, item: { ...pie, steps: [] } }), "out_of_range"],
])("a file that is none is refused, case %#", (text, code) => {
  const read = itemFromFile(text, []);
  expect(read.ok ? undefined : read.issues[0].code).toBe(code);
});
