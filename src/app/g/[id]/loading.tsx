import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";

export default function Loading() {
  return (
    <Box sx={{ py: 6, maxWidth: 320, mx: "auto" }}>
      <LinearProgress aria-label="Loading" />
    </Box>
  );
}
