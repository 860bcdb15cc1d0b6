import fc from "fast-check";
import { demoItem } from "@tests/demo";
import { handTimers, memoryStore } from "@tests/session-kit";
import { claimsOf } from "@/core/item/claims";
import { claimsLine } from "@/core/item/claims-text";
import { addComponent, removeComponent, renameComponent, scaleDough, setGrams } from "@/core/item/desk";
import { rewriteGap } from "@/core/item/gaps";
import { resolveItem } from "@/core/item/resolve";
import type { Item } from "@/core/item/schema";
import { applySwap, swapsFor } from "@/core/item/swaps";
import { ok } from "@/core/shared/issue";
import { DocumentSession } from "../session/document-session";

const START: Item = {
  ...demoItem("slipway-pie"),
  gaps: [{ id: "salt", in: "filling", text: "salt to taste" }],
};
const FILLING = { in: "filling" } as const;
const at = (item: Item, n: number) => n % item.filling.components.length;
const EDITS: readonly ((item: Item, n: number) => Item)[] = [
  (item, n) => addComponent(item, FILLING, ["prawns", "zorbel", "halloumi", "peanuts"][n % 4], 20),
  (item, n) => (item.filling.components.length > 1 ? removeComponent(item, FILLING, at(item, n)) : item),
  (item, n) => renameComponent(item, FILLING, at(item, n), ["squid", "tofu", "rice wine", "moon"][n % 4]),
  (item, n) => {
    const next = setGrams(item, FILLING, at(item, n), 1 + n);
    return next.ok ? next.value : item;
  },
  (item, n) => {
    const [swap] = swapsFor(item, { in: "dough", part: 0 }, n % item.dough.parts[0].components.length);
    return swap ? applySwap(item, { in: "dough", part: 0 }, n % item.dough.parts[0].components.length, swap) : item;
  },
  (item) => rewriteGap(item, "salt", "1 tsp salt"),
  (item) => scaleDough(item, 1.125),
];
const said = (item: Item) => claimsLine(claimsOf(resolveItem(item, {}, "base")));

test("any edits, all taken back, end where they began, with what is said of the item, after a reload too", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.nat(6), fc.nat(50)), { minLength: 1, maxLength: 12 }),
      fc.boolean(),
      async (edits, reload) => {
        const timers = handTimers();
        const store = memoryStore();
        let stored = { document: START, revision: 1 };
        const options = {
          key: "item",
          initial: stored,
          isRight: () => true,
          save: (document: Item, from: number) => {
            stored = { document, revision: from + 1 };
            return Promise.resolve(ok({ revision: stored.revision }));
          },
          timers,
          store,
        };
        let session = new DocumentSession<Item>(options);
        const before: string[] = [];
        for (const [which, n] of edits) {
          const draft = session.state.draft;
          session.change((item) => EDITS[which](item, n));
          if (session.state.draft !== draft) before.push(said(draft));
          await timers.pass(1000);
        }
        if (reload) session = new DocumentSession<Item>({ ...options, initial: stored });
        while (session.state.canUndo) {
          session.undo();
          expect(said(session.state.draft)).toBe(before.pop());
          await timers.pass(1000);
        }
        expect(session.state.draft).toEqual(START);
        expect(stored.document).toEqual(START);
      },
    ),
    { numRuns: 40 },
  );
});
