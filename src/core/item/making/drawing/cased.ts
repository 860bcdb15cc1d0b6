import type { Measures } from "./measures";
import { circle, lines, polygon, rectangle, type Mark, type Point } from "./marks";
import { fine, mark, mm, RIM, type Stage } from "./stage";

export type Top = "open" | "lid" | "lattice";

/** A tin or a dish, cut through: lined or not, filled, with what lies on it. */
export function cased(m: Measures, top: Top, lined: boolean, deepMm: number): Stage[] {
  const [r, foot] = [m.length / 2, (m.length / 2) * 0.85];
  const y = deepMm / 2;
  const t = Math.max(1.5, m.thicknessMm);
  const walls: Point[] = [
    [-r, -y],
    [-foot, y],
    [foot, y],
    [r, -y],
  ];
  const tin = mark(
    "tin",
    lines([
      [walls[0], walls[1]],
      [walls[1], walls[2]],
      [walls[2], walls[3]],
    ]),
  );
  const lining = mark(
    "dough",
    polygon([
      [-r, -y],
      [-foot, y],
      [foot, y],
      [r, -y],
      [r - t, -y],
      [foot - t, y - t],
      [-foot + t, y - t],
      [-r + t, -y],
    ]),
  );
  const level = -y + Math.min(12, deepMm * 0.15);
  const filling = mark(
    "filling",
    polygon([
      [-r + t + 1, level],
      [-foot + t, y - (lined ? t : 1)],
      [foot - t, y - (lined ? t : 1)],
      [r - t - 1, level],
    ]),
  );
  const lid = mark("dough", rectangle(2 * r + 8, t, [0, -y - t / 2], t / 2));
  // Strips as wide as a finger on a dish, mm.
  const strip = m.length > 150 ? 14 : 8;
  const strips = (up: boolean): Mark =>
    mark(
      "dough",
      [-2, -1, 0, 1, 2]
        .map((k) =>
          up
            ? rectangle(strip, 2 * r * Math.sqrt(Math.max(0.1, 1 - (k * 0.36) ** 2)), [k * r * 0.36, 0])
            : rectangle(2 * r * Math.sqrt(Math.max(0.1, 1 - (k * 0.36) ** 2)), strip, [0, k * r * 0.36]),
        )
        .join(""),
    );
  const slits = mark(
    "line",
    lines([
      [
        [-4, -r * 0.4],
        [-4, r * 0.1],
      ],
      [
        [6, -r * 0.3],
        [6, r * 0.3],
      ],
      [
        [-r * 0.4, 4],
        [-r * 0.15, r * 0.3],
      ],
    ]),
  );
  const fromAbove: Mark[] =
    top === "lattice"
      ? [mark("filling", circle(r * 0.95)), strips(true), strips(false), mark("line", circle(r))]
      : top === "lid"
        ? [mark("dough", circle(r)), mark("line", circle(r - RIM * 0.6)), slits]
        : [mark("dough", circle(r)), mark("filling", circle(r - Math.max(3, t * 1.5)))];
  const vessel = m.length > 150 ? "dish" : "tin";
  return [
    {
      id: "blank",
      words: lined
        ? `Rounds wide enough for base and wall, ${fine(m.thicknessMm)} thick, eased into the ${vessel}, not pulled.`
        : `A lid ${mm(2 * r + 20)} across, ${fine(m.thicknessMm)} thick, for a ${vessel} of ${mm(2 * r)}.`,
      marks: lined ? [lining, tin] : [mark("dough", circle(r + 10)), mark("seen-through", circle(r))],
    },
    {
      id: "fill",
      words: vessel === "dish" ? "Filled to 12 mm below the rim." : "Filled to 85 % at the most.",
      marks: [...(lined ? [lining] : []), filling, tin],
    },
    ...(top === "open"
      ? []
      : [
          {
            id: "fold" as const,
            words: top === "lid" ? "The lid on it, over the rim." : "Strips over and under, from the middle out.",
            marks:
              top === "lid"
                ? [...(lined ? [lining] : []), filling, tin, lid]
                : [mark("filling", circle(r * 0.95)), strips(true), mark("line", circle(r))],
          },
          {
            id: "seal" as const,
            words: top === "lid" ? "Crimped to the rim, slits cut." : "Ends pressed to the rim and cut off.",
            marks: fromAbove,
          },
        ]),
    { id: "done", words: `${mm(2 * r)} across${top === "lid" ? ", with slits" : ""}.`, marks: fromAbove },
  ];
}
