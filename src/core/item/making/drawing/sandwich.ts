import type { Measures } from "./measures";
import { arrow, ellipse, lines, rectangle, type Point } from "./marks";
import { mark, mm, pricks, RIM, thick, type Stage } from "./stage";

/** Two sheets with the filling between them. */
export function sandwich(m: Measures, round: boolean, vented: boolean): Stage[] {
  const [l, d] = [m.length, m.width];
  const sheet = (scale = 1): string =>
    round ? ellipse((l / 2) * scale, (d / 2) * scale) : rectangle(l * scale, d * scale, [0, 0], 2);
  const inner = round ? ellipse(l / 2 - RIM, d / 2 - RIM) : rectangle(l - 2 * RIM, d - 2 * RIM, [0, 0], 4);
  const ticks = round
    ? lines(
        Array.from({ length: 24 }, (_, k): [Point, Point] => {
          const a = (2 * Math.PI * k) / 24;
          return [
            [(l / 2) * Math.cos(a), (d / 2) * Math.sin(a)],
            [(l / 2 - RIM * 0.7) * Math.cos(a), (d / 2 - RIM * 0.7) * Math.sin(a)],
          ];
        }),
      )
    : lines([
        ...Array.from({ length: 9 }, (_, k) => -l / 2 + (l * (k + 0.5)) / 9).flatMap((x): [Point, Point][] => [
          [
            [x, -d / 2],
            [x, -d / 2 + 7],
          ],
          [
            [x, d / 2 - 7],
            [x, d / 2],
          ],
        ]),
        ...Array.from({ length: 5 }, (_, k) => -d / 2 + (d * (k + 0.5)) / 5).flatMap((y): [Point, Point][] => [
          [
            [-l / 2, y],
            [-l / 2 + 7, y],
          ],
          [
            [l / 2 - 7, y],
            [l / 2, y],
          ],
        ]),
      ]);
  const what = round ? `A disc ${mm(l)} across` : `A sheet ${mm(l)} by ${mm(d)}`;
  return [
    {
      id: "blank",
      words: `${what}, and one ${round ? "a tenth wider" : "as large"} for the top; ${thick(m)}.`,
      marks: [mark("lying", sheet(1.1)), mark("dough", sheet())],
    },
    {
      id: "fill",
      words: `Filling in the middle, ${RIM} mm of rim clean.`,
      marks: [mark("dough", sheet()), mark("filling", inner)],
    },
    {
      id: "fold",
      words: "The upper one on it, the air out.",
      marks: [
        mark("dough", sheet(1.04)),
        mark("seen-through", inner),
        mark("arrow", arrow([-l * 0.5, -d * 0.55], [0, -d * 0.1], d * 0.15)),
      ],
    },
    {
      id: "seal",
      words: round ? "Sealed all round." : "All four seams pressed.",
      marks: [mark("dough", sheet()), mark("line", ticks)],
    },
    {
      id: "done",
      words: `${mm(l)} by ${mm(d)}${vented ? ", pricked" : ""}.`,
      marks: [mark("dough", sheet()), mark("line", ticks), ...(vented ? [pricks(0, l * 0.12)] : [])],
    },
  ];
}
