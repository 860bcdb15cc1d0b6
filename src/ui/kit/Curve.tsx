"use client";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { CurveTable } from "./CurveTable";
import { chartIn, type Chart } from "./chart";
import { useDisplay } from "./use-display";

const HEIGHT = 280;
// Charts are large: only where one is shown.
const CurveChart = dynamic(() => import("./CurveChart").then((one) => one.CurveChart), {
  ssr: false,
  loading: () => <Box sx={{ height: HEIGHT }} />,
});

/** A chart with its title, in the scale of whoever looks at it, and its figures as a table. */
export function Curve({ chart: given }: { chart: Chart }) {
  const { display } = useDisplay();
  const chart = chartIn(given, display.heat);
  return (
    <Box>
      <Typography variant="h3" component="h2">
        {chart.title}
      </Typography>
      <CurveChart chart={chart} />
      <CurveTable chart={chart} />
    </Box>
  );
}
