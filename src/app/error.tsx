"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Empty } from "@/ui/kit/Empty";

/** Shown for a fault of ours. What it says of saving is only what it can know. */
export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <Box component="main" sx={{ py: 8 }}>
      <Empty title="This page could not be shown">
        The fault is ours, and nothing was changed by it. What was marked “Saved” is kept; what was not is on this device and is
        sent when its page opens again.{error.digest ? ` Number of the fault: ${error.digest}.` : ""}
      </Empty>
      <Box sx={{ textAlign: "center" }}>
        <Button variant="contained" onClick={reset}>
          Try again
        </Button>
      </Box>
    </Box>
  );
}
