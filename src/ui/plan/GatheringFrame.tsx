import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { COLOUR } from "../theme/tokens";

/** What is seen of a gathering while it is read. */
export function GatheringFrame({ name }: { name: string }) {
  return (
    <Box sx={{ minHeight: "100vh" }}>
      <Box component="header" sx={{ background: COLOUR.tideDeep, color: "#fff", px: { xs: 2, md: 4 }, pt: 1.5, pb: 7 }}>
        <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
          <Box component="span" sx={{ color: "#bfe0dc", fontWeight: 600, fontSize: "0.875rem", py: 1 }}>
            Unisynth
          </Box>
          <Typography variant="h1">{name}</Typography>
        </Box>
      </Box>
      <LinearProgress aria-label="Opening the gathering" />
    </Box>
  );
}
