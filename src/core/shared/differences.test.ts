import fc from "fast-check";
import { differences, isMine, merged, withValue } from "./differences";

const document = fc.dictionary(
  fc.constantFrom("name", "line", "guests", "time"),
  fc.oneof(fc.integer(), fc.string(), fc.array(fc.record({ count: fc.nat() }), { maxLength: 3 })),
);

test("taking all of mine gives mine, taking none gives theirs", () => {
  fc.assert(
    fc.property(document, document, (mine, theirs) => {
      const found = differences(mine, theirs);
      expect(merged(theirs, found)).toEqual(mine);
      expect(merged(theirs, [])).toEqual(theirs);
      expect(found.length === 0).toBe(
        JSON.stringify(mine) === JSON.stringify(theirs) ||
          Object.keys({ ...mine, ...theirs }).every((k) => JSON.stringify(mine[k]) === JSON.stringify(theirs[k])),
      );
    }),
  );
});

test("each field is told by its own place, with the side that changed it", () => {
  const waves = (first: string, second: string) => [
    { id: "a", time: first },
    { id: "b", time: second },
  ];
  const base = { name: "A", waves: waves("17:00", "19:00"), guests: [{ count: 3 }, { count: 4 }] };
  const mine = { name: "B", waves: waves("17:00", "20:00"), guests: [{ count: 3 }, { count: 4 }, { count: 1 }] };
  const theirs = { name: "A", waves: waves("18:00", "19:00"), guests: [{ count: 3 }, { count: 4 }] };
  const found = differences(mine, theirs);
  expect(found.map(({ path }) => path)).toEqual([["name"], ["waves", 0, "time"], ["waves", 1, "time"], ["guests"]]);
  expect(found.map((one) => isMine(one, base))).toEqual([true, false, true, true]);
  expect(
    merged(
      theirs,
      found.filter((one) => isMine(one, base)),
    ),
  ).toEqual({
    name: "B",
    waves: waves("18:00", "20:00"),
    guests: mine.guests,
  });
});

test("a field that one side took away can stay away", () =>
  expect(withValue({ a: { b: 1, c: 2 } }, ["a", "b"], undefined)).toEqual({ a: { c: 2 } }));
