import type { Measures } from "./measures";
import { arrow, circle, ellipse, lines, polygon, rectangle, spiral, type Mark, type Point } from "./marks";
import { mark, mm, RIM, thick, type Stage } from "./stage";

/** A rectangle as wide as so many times its height, of the blank's area. */
const sheetOf = (m: Measures, ratio: number): readonly [number, number] => {
  const height = Math.sqrt(m.areaMm2 / ratio);
  return [height * ratio, height];
};

/** A sheet that is rolled up with its filling: a bun with its sides in, a log, or a rope that is coiled. */
export function rolled(m: Measures, into: "bun" | "log" | "coil"): Stage[] {
  const [w, h] = sheetOf(m, into === "bun" ? 0.75 : into === "log" ? 0.7 : 1.3);
  const strip = Math.min(h * 0.35, Math.max(6, m.fillingMm3 / (w * 0.8) / 12));
  const [l, d] = [m.length, m.width];
  const out = Math.max(l, d) / 2;
  // A rope of the whole volume at this length.
  const rope = Math.sqrt((4 * (m.areaMm2 * m.thicknessMm + m.fillingMm3)) / (Math.PI * w));
  const long = into === "coil" ? w : l;
  const filled = [mark("dough", rectangle(w, h)), mark("filling", rectangle(w * 0.84, strip, [0, h / 2 - strip / 2 - RIM], 4))];
  return [
    { id: "blank", words: `A sheet ${mm(w)} by ${mm(h)}, ${thick(m)}.`, marks: [mark("dough", rectangle(w, h))] },
    { id: "fill", words: "Filling in a strip along the near edge, both ends free.", marks: filled },
    {
      id: "fold",
      words:
        into === "bun"
          ? "Both sides in over the filling, then roll away from you."
          : "Roll away from you, without a gap and without pulling.",
      marks: [
        ...filled,
        ...(into === "bun"
          ? [mark("lying", rectangle(w * 0.12, h, [-w * 0.44, 0])), mark("lying", rectangle(w * 0.12, h, [w * 0.44, 0]))]
          : []),
        mark("arrow", arrow([0, h * 0.3], [0, -h * 0.35], 0)),
      ],
    },
    into === "coil"
      ? {
          id: "seal",
          words: `A rope ${mm(long)} long, ${mm(rope)} thick.`,
          marks: [mark("dough", rectangle(long, rope, [0, 0], rope / 2))],
        }
      : {
          id: "seal",
          words: "The seam is pinched and comes to lie below.",
          marks: [
            mark("dough", rectangle(l, d, [0, 0], d * 0.35)),
            mark(
              "seen-through",
              lines([
                [
                  [-l * 0.4, d * 0.3],
                  [l * 0.4, d * 0.3],
                ],
              ]),
            ),
          ],
        },
    into === "coil"
      ? {
          id: "done",
          words: `Wound to a coil ${mm(2 * out)} across, the tail under it.`,
          marks: [
            mark("dough", circle(out)),
            mark("line", spiral(out * 0.95, Math.max(1.5, Math.min(3.5, long / (Math.PI * out * 1.3))))),
          ],
        }
      : { id: "done", words: `${mm(l)} by ${mm(d)}, on its seam.`, marks: [mark("dough", rectangle(l, d, [0, 0], d * 0.4))] },
  ];
}

/** A filled sheet under slit strips that cross one another. */
export function woven(m: Measures): Stage[] {
  const [w, h] = sheetOf(m, 1.3);
  const slits = 7;
  const slit = (side: 1 | -1): Mark =>
    mark(
      "line",
      lines(
        Array.from({ length: slits }, (_, k): [Point, Point] => {
          const y = -h / 2 + (h * (k + 0.5)) / slits;
          return [
            [side * w * 0.2, y],
            [side * w * 0.5, y + h * 0.04],
          ];
        }),
      ),
    );
  const [l, d] = [m.length, m.width];
  const crossed = (width: number, height: number): Mark =>
    mark(
      "line",
      lines(
        Array.from({ length: slits }, (_, k): [Point, Point] => {
          const y = -height / 2 + (height * (k + 0.5)) / slits;
          return k % 2 === 0
            ? [
                [-width / 2, y - 3],
                [width * 0.3, y + 4],
              ]
            : [
                [width / 2, y - 3],
                [-width * 0.3, y + 4],
              ];
        }),
      ),
    );
  return [
    { id: "blank", words: `A sheet ${mm(w)} by ${mm(h)}, ${thick(m)}.`, marks: [mark("dough", rectangle(w, h))] },
    {
      id: "fill",
      words: "Filling along the middle third.",
      marks: [mark("dough", rectangle(w, h)), mark("filling", rectangle(w * 0.32, h * 0.86, [0, 0], 6))],
    },
    {
      id: "fold",
      words: "Slit both sides into strips as wide as a finger.",
      marks: [mark("dough", rectangle(w, h)), mark("filling", rectangle(w * 0.32, h * 0.86, [0, 0], 6)), slit(1), slit(-1)],
    },
    {
      id: "seal",
      words: "Strips over the filling in turn, left and right; the ends tucked in.",
      marks: [mark("dough", rectangle(l, d, [0, 0], 8)), crossed(l, d)],
    },
    {
      id: "done",
      words: `${mm(l)} by ${mm(d)}, the plain sheet below.`,
      marks: [mark("dough", rectangle(l, d, [0, 0], 10)), crossed(l, d)],
    },
  ];
}

/** A strip that is folded over from corner to edge. */
export function triangle(m: Measures): Stage[] {
  const [w, h] = sheetOf(m, 4);
  const corner: Point[] = [
    [-w / 2, h / 2],
    [-w / 2 + h, h / 2],
    [-w / 2, -h / 2],
  ];
  const side = Math.max(m.length, m.width);
  const done: Point[] = [
    [-side / 2, side / 3],
    [side / 2, side / 3],
    [0, -side / 2],
  ];
  return [
    { id: "blank", words: `A strip ${mm(w)} by ${mm(h)}, ${thick(m)}.`, marks: [mark("dough", rectangle(w, h))] },
    {
      id: "fill",
      words: "Filling at one end, the corner free.",
      marks: [mark("dough", rectangle(w, h)), mark("filling", ellipse(h * 0.3, h * 0.26, [-w / 2 + h * 0.45, 0]))],
    },
    {
      id: "fold",
      words: "The corner over the filling to the far edge.",
      marks: [
        mark("dough", rectangle(w - h, h, [h / 2, 0])),
        mark("lying", polygon(corner)),
        mark("arrow", arrow([-w / 2 + h * 0.2, -h * 0.2], [-w / 2 + h * 1.1, h * 0.1], h * 0.5)),
      ],
    },
    {
      id: "seal",
      words: "Turn over and over to the end, straight edge on straight edge; the last flap tucked in.",
      marks: [
        mark("dough", rectangle(w - 2.5 * h, h, [1.25 * h, 0])),
        mark(
          "lying",
          polygon([
            [-w / 2 + 2 * h, -h / 2],
            [-w / 2 + 3 * h, -h / 2],
            [-w / 2 + 2.5 * h, h / 2],
          ]),
        ),
      ],
    },
    { id: "done", words: `A triangle of ${mm(side)}, on the last fold.`, marks: [mark("dough", polygon(done))] },
  ];
}

/** A thin square that is folded around its filling. */
export function parcel(m: Measures): Stage[] {
  const side = Math.sqrt(m.areaMm2);
  const inside = Math.min(side * 0.42, Math.sqrt(m.fillingMm3 / 10));
  const [l, d] = [m.length, m.width];
  return [
    { id: "blank", words: `A square of ${mm(side)}, ${thick(m)}.`, marks: [mark("dough", rectangle(side, side))] },
    {
      id: "fill",
      words: `Filling flat in the middle, about ${mm(inside)} square.`,
      marks: [mark("dough", rectangle(side, side)), mark("filling", rectangle(inside, inside, [0, 0], 4))],
    },
    {
      id: "fold",
      words: "Two sides over the filling, one over the other by 25 mm.",
      marks: [
        mark("lying", rectangle(l, side, [0, 0])),
        mark("seen-through", rectangle(inside, inside, [0, 0], 4)),
        mark(
          "line",
          lines([
            [
              [-12, -side / 2],
              [-12, side / 2],
            ],
            [
              [12, -side / 2],
              [12, side / 2],
            ],
          ]),
        ),
      ],
    },
    {
      id: "seal",
      words: "The two other ends over it, pressed down.",
      marks: [
        mark("dough", rectangle(l, d)),
        mark(
          "line",
          lines([
            [
              [-l / 2, -12],
              [l / 2, -12],
            ],
            [
              [-l / 2, 12],
              [l / 2, 12],
            ],
          ]),
        ),
      ],
    },
    {
      id: "done",
      words: `A parcel ${mm(l)} by ${mm(d)}, on the fold.`,
      marks: [mark("dough", rectangle(l, d, [0, 0], 3)), mark("seen-through", rectangle(inside, inside, [0, 0], 4))],
    },
  ];
}
