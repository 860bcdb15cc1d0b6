"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { Empty } from "@/ui/kit/Empty";

/** Shown for a fault of ours; what was saved is untouched. */
export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <Box component="main" sx={{ py: 8 }}>
      <Empty title="Something of ours broke">
        {error.message || "The page could not be shown."} What you saved is still there.
      </Empty>
      <Box sx={{ textAlign: "center" }}>
        <Button variant="contained" onClick={reset}>
          Try again
        </Button>
      </Box>
    </Box>
  );
}
