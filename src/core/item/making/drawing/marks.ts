/** Something drawn: a path in mm around the middle of its stage, x to the right, y down, and what it stands for. */
export interface Mark {
  readonly path: string;
  readonly as: "dough" | "lying" | "filling" | "tin" | "line" | "seen-through" | "arrow";
}

/** A point, mm. */
export type Point = readonly [x: number, y: number];

const n = (value: number): string => String(Math.round(value * 10) / 10);
const at = ([x, y]: Point): string => `${n(x)} ${n(y)}`;

/** An ellipse around a point: two halves that meet exactly, whatever is rounded. */
export function ellipse(rx: number, ry: number, [x, y]: Point = [0, 0]): string {
  const [a, b] = [Number(n(rx)), Number(n(ry))];
  return `M${n(x - a)} ${n(y)}a${a} ${b} 0 0 1 ${n(2 * a)} 0a${a} ${b} 0 0 1 ${n(-2 * a)} 0Z`;
}
export const circle = (r: number, centre: Point = [0, 0]): string => ellipse(r, r, centre);

/** A rectangle around a point, its corners rounded by so much. */
export function rectangle(width: number, height: number, [x, y]: Point = [0, 0], round = 0): string {
  const [w, h, r] = [width / 2, height / 2, Math.min(round, width / 2, height / 2)];
  return [
    `M${n(x - w + r)} ${n(y - h)}H${n(x + w - r)}`,
    `a${n(r)} ${n(r)} 0 0 1 ${n(r)} ${n(r)}V${n(y + h - r)}`,
    `a${n(r)} ${n(r)} 0 0 1 ${n(-r)} ${n(r)}H${n(x - w + r)}`,
    `a${n(r)} ${n(r)} 0 0 1 ${n(-r)} ${n(-r)}V${n(y - h + r)}`,
    `a${n(r)} ${n(r)} 0 0 1 ${n(r)} ${n(-r)}Z`,
  ].join("");
}

export const polygon = (points: readonly Point[]): string => `M${points.map(at).join("L")}Z`;
export const lines = (segments: readonly (readonly [Point, Point])[]): string =>
  segments.map(([from, to]) => `M${at(from)}L${at(to)}`).join("");

/** The upper half of an ellipse on its flat side, the middle of that at a point. */
export const half = (rx: number, ry: number, [x, y]: Point = [0, 0]): string =>
  `M${n(x - rx)} ${n(y)}A${n(rx)} ${n(ry)} 0 0 1 ${n(x + rx)} ${n(y)}Z`;

/** Points on the upper half of an ellipse from left to right, angles in degrees from the right. */
export const onArc = (rx: number, ry: number, [x, y]: Point, count: number, from = 172, to = 8): Point[] =>
  Array.from({ length: count }, (_, k): Point => {
    const angle = ((from + ((to - from) * k) / Math.max(1, count - 1)) * Math.PI) / 180;
    return [x + rx * Math.cos(angle), y - ry * Math.sin(angle)];
  });

/** A curved arrow from one point to another, bulging upwards by so much. */
export function arrow(from: Point, to: Point, bulge: number): string {
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2 - bulge];
  const angle = Math.atan2(to[1] - middle[1], to[0] - middle[0]);
  const wing = (turn: number): Point => [to[0] - 5 * Math.cos(angle + turn), to[1] - 5 * Math.sin(angle + turn)];
  return `M${at(from)}Q${at(middle)} ${at(to)}M${at(wing(0.5))}L${at(to)}L${at(wing(-0.5))}`;
}

/** A spiral from the middle out, so many turns. */
export function spiral(r: number, turns: number, [x, y]: Point = [0, 0]): string {
  const steps = Math.round(turns * 24);
  const points = Array.from({ length: steps + 1 }, (_, k): Point => {
    const angle = (2 * Math.PI * turns * k) / steps;
    const radius = (r * k) / steps;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
  return `M${points.map(at).join("L")}`;
}

/** The greatest distance from the middle that a path's figures come to, for a frame that holds it; relative parts count from their beginning. */
export function reach(path: string): number {
  let far = 0;
  for (const part of path.match(/[MLAQHV][^a-zA-Z]*/g) ?? []) {
    const figures = (part.slice(1).match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
    const ends = part[0] === "A" ? figures.slice(-2) : figures;
    far = Math.max(far, ...ends.map(Math.abs));
  }
  return far;
}
