import { heapOn, type Measures } from "./measures";
import { arrow, circle, ellipse, lines, rectangle, type Mark, type Point } from "./marks";
import { mark, mm, RIM, thick, type Stage } from "./stage";

export type Crown = "pleats" | "purse" | "seam" | "flat" | "disc";

/** A disc that is gathered around its filling. */
export function gathered(m: Measures, crown: Crown, vented = false): Stage[] {
  const r = m.acrossMm / 2;
  const heap = heapOn(m, r - RIM);
  const out = Math.max(m.length, m.width) / 2;
  const radial = (inner: number, outer: number, count: number, twist: number): Mark =>
    mark(
      "line",
      lines(
        Array.from({ length: count }, (_, k): [Point, Point] => {
          const a = (2 * Math.PI * k) / count;
          return [
            [inner * Math.cos(a), inner * Math.sin(a)],
            [outer * Math.cos(a + twist), outer * Math.sin(a + twist)],
          ];
        }),
      ),
    );
  const [closed, words]: [Mark[], string] =
    crown === "pleats"
      ? [[radial(1.5, out * 0.75, 14, 0.5)], "Pleat round and round, twist the crown shut; pleats stay up."]
      : crown === "purse"
        ? [
            [radial(out * 0.22, out * 0.6, 10, 0), mark("line", circle(out * 0.22))],
            "Gather the rim to a neck over the filling and press it.",
          ]
        : [[radial(1.5, out * 0.45, 8, 0.2)], "Gather the rim, pinch it shut, turn the seam down."];
  const top: Mark[] =
    crown === "pleats" || crown === "purse"
      ? closed
      : [mark("seen-through", circle(out * 0.2)), ...(vented ? [mark("line", circle(2))] : [])];
  const height = crown === "disc" ? 13 : crown === "flat" ? out * 1.1 : out * 1.5;
  return [
    {
      id: "blank",
      words: `A disc ${mm(m.acrossMm)} across, ${thick(m)}.`,
      marks: [mark("dough", circle(r)), ...(m.rimMm !== undefined ? [mark("seen-through", circle(r * 0.55))] : [])],
    },
    {
      id: "fill",
      words: `Filling in the middle, ${mm(r - heap)} of rim all round.`,
      marks: [mark("dough", circle(r)), mark("filling", circle(heap))],
    },
    {
      id: "fold",
      words: "Lift the rim over the filling, a little at a time.",
      marks: [
        mark("dough", circle((r + out) / 2)),
        mark("filling", circle(heap * 0.8)),
        ...[0, 1, 2, 3].map((k) => {
          const a = (Math.PI / 2) * k + Math.PI / 4;
          const far = (r + out) / 2;
          return mark(
            "arrow",
            arrow([far * Math.cos(a), far * Math.sin(a)], [far * 0.45 * Math.cos(a), far * 0.45 * Math.sin(a)], 0),
          );
        }),
      ],
    },
    { id: "seal", words, marks: [mark("dough", circle(out)), ...closed] },
    {
      id: "done",
      words:
        crown === "disc"
          ? `Pressed to a disc ${mm(2 * out)} across, 10 to 15 mm high, seam under the middle; cut through here.`
          : crown === "flat"
            ? `Pressed to two thirds of its height, ${mm(2 * out)} across, seam down; cut through here.`
            : crown === "seam"
              ? `A tight ball ${mm(2 * out)} across, seam down.`
              : `${mm(2 * out)} across, on its base.`,
      marks:
        crown === "disc" || crown === "flat"
          ? [
              mark("dough", rectangle(2 * out, height, [0, 0], height * 0.45)),
              mark("filling", rectangle(1.7 * out, height * 0.55, [0, 0], height * 0.25)),
            ]
          : [mark("dough", circle(out)), ...top],
    },
  ];
}

/** A ball that is filled when it is cooked. */
export function filledAfter(m: Measures): Stage[] {
  const out = Math.max(m.length, m.width) / 2;
  const ball = Math.cbrt((m.areaMm2 * m.thicknessMm * 3) / (4 * Math.PI));
  return [
    { id: "blank", words: `A tight ball ${mm(2 * ball)} across.`, marks: [mark("dough", circle(ball))] },
    { id: "fold", words: `Risen, ${mm(2.5 * ball)} across and flat.`, marks: [mark("dough", ellipse(ball * 1.25, ball))] },
    {
      id: "seal",
      words: "Cooked, with a pale waist.",
      marks: [
        mark("dough", ellipse(out, out * 0.8)),
        mark(
          "line",
          lines([
            [
              [-out, 0],
              [out, 0],
            ],
          ]),
        ),
      ],
    },
    {
      id: "fill",
      words: "The nozzle goes into the waist; stop where it swells.",
      marks: [
        mark("dough", ellipse(out, out * 0.8)),
        mark("filling", ellipse(out * 0.55, out * 0.4)),
        mark("arrow", arrow([out * 1.5, 0], [out * 0.6, 0], 0)),
      ],
    },
    {
      id: "done",
      words: `${mm(2 * out)} across, either side down.`,
      marks: [mark("dough", ellipse(out, out * 0.8)), mark("filling", circle(3, [out * 0.95, 0]))],
    },
  ];
}
