import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";

/** What stands where there is nothing yet: what is missing, and what brings it. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box sx={{ p: 6, textAlign: "center", maxWidth: 520, mx: "auto" }}>
      <Typography variant="h2" component="p" gutterBottom>
        {title}
      </Typography>
      <Typography color="text.secondary">{children}</Typography>
    </Box>
  );
}
