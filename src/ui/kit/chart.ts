import { heatText } from "@/core/quantities/display";
import { fahrenheitOf } from "@/core/quantities/temperature";

/** A curve or two over a measured axis. */
export interface Chart {
  readonly title: string;
  readonly x: string;
  readonly y: string;
  readonly series: readonly { readonly name: string; readonly points: readonly (readonly [x: number, y: number])[] }[];
  /** Stretches along x, and lines across at a y or down at an x. */
  readonly bands?: readonly { readonly from: number; readonly to: number; readonly label: string }[];
  readonly lines?: readonly { readonly x?: number; readonly y?: number; readonly label: string }[];
}

const CELSIUS = "°C";

/** A chart with its temperatures in the scale of whoever looks at it. */
export function chartIn(chart: Chart, scale: "C" | "F"): Chart {
  if (scale === "C" || (chart.y !== CELSIUS && chart.x !== CELSIUS)) return chart;
  const to = (value: number, axis: string): number => (axis === CELSIUS ? Math.round(fahrenheitOf(value) * 10) / 10 : value);
  const unit = (axis: string): string => (axis === CELSIUS ? "°F" : axis);
  return {
    ...chart,
    x: unit(chart.x),
    y: unit(chart.y),
    series: chart.series.map(({ name, points }) => ({
      name,
      points: points.map(([x, y]) => [to(x, chart.x), to(y, chart.y)] as const),
    })),
    ...(chart.lines && {
      lines: chart.lines.map(({ x, y, label }) => ({
        ...(x !== undefined && { x: to(x, chart.x) }),
        ...(y !== undefined && { y: to(y, chart.y) }),
        label: heatText(label, scale),
      })),
    }),
  };
}
