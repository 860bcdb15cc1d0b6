import Box from "@mui/material/Box";
import { COLOUR } from "../theme/tokens";
import type { Chart } from "./chart";

/** Rows of a table at the most: of a long curve every so many points. */
const MOST_ROWS = 24;

/** A chart's figures as a table, for whoever does not see it, or wants to read one off. */
export function CurveTable({ chart: { title, x, y, series, bands = [], lines = [] } }: { chart: Chart }) {
  return (
    <Box component="details" sx={{ fontSize: "0.85rem" }}>
      <Box component="summary" sx={{ cursor: "pointer", color: COLOUR.tide, minHeight: 28 }}>
        The figures as a table
      </Box>
      {series.map(({ name, points }) => (
        <Box
          component="table"
          key={name}
          sx={{ borderCollapse: "collapse", "& td, & th": { border: `1px solid ${COLOUR.line}`, px: 1, textAlign: "right" } }}
        >
          <caption>{title}</caption>
          <thead>
            <tr>
              <th scope="col">{x}</th>
              <th scope="col">
                {name}, {y}
              </th>
            </tr>
          </thead>
          <tbody>
            {points
              .filter((_, k) => k % Math.ceil(points.length / MOST_ROWS) === 0 || k === points.length - 1)
              .map(([at, value], k) => (
                <tr key={k}>
                  <td>{at}</td>
                  <td>{value}</td>
                </tr>
              ))}
          </tbody>
        </Box>
      ))}
      {bands.map(({ from, to, label }) => (
        <div key={label}>
          {label}: {from} to {to} {x}
        </div>
      ))}
      {lines.map(({ x: at, y: level, label }) => (
        <div key={label}>
          {label}: {at !== undefined ? `${at} ${x}` : `${level} ${y}`}
        </div>
      ))}
    </Box>
  );
}
