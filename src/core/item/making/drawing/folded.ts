import { heapOn, type Measures } from "./measures";
import { arrow, circle, ellipse, half, lines, onArc, type Mark } from "./marks";
import { mark, mm, pricks, RIM, thick, type Stage } from "./stage";

export type Edge = "fork" | "pleats" | "rope" | "plain" | "near-pleats";

const EDGE_WORDS: Readonly<Record<Edge, string>> = {
  fork: "press the rim with a fork",
  pleats: "fold the rim over itself along the arc, all one way",
  rope: "turn the edge over itself like a rope",
  plain: "press the rim",
  "near-pleats": "pleat the near side against the far one",
};

/** The marks of an edge along the arc of a half-moon. */
function edgeMarks(edge: Edge, rx: number, ry: number): Mark[] {
  const count = edge === "near-pleats" ? 7 : edge === "rope" ? 13 : 11;
  const outer = onArc(rx, ry, [0, ry / 2], count);
  const inner = onArc(Math.max(2, rx - RIM), Math.max(2, ry - RIM), [0, ry / 2], count);
  const slant = edge === "pleats" || edge === "near-pleats" ? 1 : 0;
  switch (edge) {
    case "plain":
      return [
        mark(
          "line",
          `M${onArc(rx - RIM / 2, ry - RIM / 2, [0, ry / 2], 15)
            .map((p) => p.map((v) => Math.round(v * 10) / 10).join(" "))
            .join("L")}`,
        ),
      ];
    case "rope":
      return [
        mark(
          "line",
          outer.map(([x, y], k) => ellipse(RIM * 0.35, RIM * 0.6, [(x + inner[k][0]) / 2, (y + inner[k][1]) / 2])).join(""),
        ),
      ];
    default:
      return [mark("line", lines(outer.slice(0, count - slant).map((point, k) => [point, inner[k + slant]])))];
  }
}

/** A disc that is folded in half over its filling. */
export function halfMoon(m: Measures, edge: Edge, vented: boolean): Stage[] {
  const r = m.acrossMm / 2;
  const heap = heapOn(m, r / 2 - RIM / 3);
  const [rx, ry] = [m.length / 2, m.width];
  const standing = edge === "plain" || edge === "near-pleats";
  return [
    { id: "blank", words: `A disc ${mm(m.acrossMm)} across, ${thick(m)}.`, marks: [mark("dough", circle(r))] },
    {
      id: "fill",
      words: `Filling on one half, ${RIM} mm of rim clean.`,
      marks: [
        mark("dough", circle(r)),
        mark("filling", ellipse(Math.min(r - RIM, heap * 1.5), heap * 0.8, [0, r * 0.42])),
        mark("seen-through", circle(r - RIM)),
      ],
    },
    {
      id: "fold",
      words: "Fold over, press the air out from the middle to the rim.",
      marks: [
        mark("dough", half(r, r, [0, r / 2])),
        mark("seen-through", half(r * 0.7, heap * 1.2, [0, r / 2 - 2])),
        mark("arrow", arrow([-r * 0.5, -r * 0.75], [r * 0.35, -r * 0.6], r * 0.45)),
      ],
    },
    {
      id: "seal",
      words: `${EDGE_WORDS[edge][0].toUpperCase()}${EDGE_WORDS[edge].slice(1)}.`,
      marks: [mark("dough", half(r, r, [0, r / 2])), ...edgeMarks(edge, r, r)],
    },
    {
      id: "done",
      words: standing
        ? `Stood on a flat base, ${mm(m.length)} long.`
        : `${mm(m.length)} by ${mm(m.width)}${vented ? ", pricked" : ""}.`,
      marks: standing
        ? [
            mark("dough", half(rx, Math.max(ry, rx * 0.75), [0, rx * 0.35])),
            ...edgeMarks(edge, rx, Math.max(ry, rx * 0.75)),
            mark(
              "tin",
              lines([
                [
                  [-rx * 1.2, rx * 0.37],
                  [rx * 1.2, rx * 0.37],
                ],
              ]),
            ),
          ]
        : [
            mark("dough", half(rx, ry, [0, ry / 2])),
            ...edgeMarks(edge, rx, ry),
            ...(vented ? [pricks(ry * 0.12, rx * 0.25)] : []),
          ],
    },
  ];
}
