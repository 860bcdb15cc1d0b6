"use client";
import Box from "@mui/material/Box";
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { COLOUR } from "../theme/tokens";
import type { Chart } from "./chart";

const LINES = [COLOUR.ember, COLOUR.tide] as const;
const text = { fill: COLOUR.soft, fontSize: 12 } as const;

/** One curve or two over a measured axis, with the stretch that is right and the limits that count. */
export function CurveChart({ chart: { title, x, y, series, bands = [], lines = [] } }: { chart: Chart }) {
  const [{ points }] = series;
  const rows = points.map(([at], k) => ({
    at,
    ...Object.fromEntries(series.map(({ name, points: own }) => [name, own[k]?.[1]])),
  }));
  return (
    <Box role="img" aria-label={`${title}: ${y} by ${x}; the figures stand in the table below`} sx={{ height: 280 }}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} margin={{ top: 18, right: 24, bottom: 22, left: 4 }}>
          <CartesianGrid stroke={COLOUR.line} strokeDasharray="2 4" />
          {bands.map(({ from, to, label }) => (
            <ReferenceArea
              key={label}
              x1={from}
              x2={to}
              fill={COLOUR.fits}
              fillOpacity={0.14}
              ifOverflow="hidden"
              label={{ value: label, ...text, position: "insideTop" }}
            />
          ))}
          <XAxis
            dataKey="at"
            type="number"
            domain={["dataMin", "dataMax"]}
            tick={text}
            stroke={COLOUR.soft}
            label={{ value: x, position: "insideBottom", offset: -10, ...text }}
          />
          <YAxis
            tick={text}
            stroke={COLOUR.soft}
            domain={["auto", "auto"]}
            width={54}
            label={{ value: y, angle: -90, position: "insideLeft", ...text }}
          />
          {series.length > 1 && <Legend verticalAlign="top" height={24} />}
          <Tooltip formatter={(value) => [`${value} ${y}`]} labelFormatter={(at) => `${at} ${x}`} />
          {lines.map(({ x: at, y: level, label }) => (
            <ReferenceLine
              key={label}
              {...(at !== undefined ? { x: at } : { y: level })}
              stroke={COLOUR.caution}
              strokeDasharray="6 3"
              ifOverflow="extendDomain"
              label={{ value: label, ...text, position: at !== undefined ? "top" : "insideTopRight" }}
            />
          ))}
          {series.map(({ name }, k) => (
            <Line
              key={name}
              dataKey={name}
              stroke={LINES[k]}
              strokeWidth={2.5}
              dot={points.length <= 12}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
