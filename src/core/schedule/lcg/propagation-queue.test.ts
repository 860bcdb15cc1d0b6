import fc from "fast-check";
import { Waiting } from "./propagation-queue";

test("whoever waits has a turn once, first come first served, as in a plain list", () => {
  const act = fc.oneof(fc.nat(5), fc.constant("next"), fc.constant("clear"));
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const waiting = new Waiting();
      for (let count = 1; count <= 6; count++) waiting.grow(count);
      let line: number[] = [];
      for (const what of acts) {
        if (what === "next") expect(waiting.next()).toBe(line.shift() ?? -1);
        else if (what === "clear") {
          waiting.clear();
          line = [];
        } else if (typeof what === "number") {
          waiting.add(what);
          if (!line.includes(what)) line.push(what);
        }
      }
      for (const id of [...line, -1]) expect(waiting.next()).toBe(id);
    }),
  );
});

test("those who come while there is room made for more keep their place", () => {
  const waiting = new Waiting();
  for (const id of [0, 1, 2]) {
    waiting.grow(id + 1);
    waiting.add(id);
  }
  expect([1, 2, 3, 4].map(() => waiting.next())).toEqual([0, 1, 2, -1]);
});
