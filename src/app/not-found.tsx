import Box from "@mui/material/Box";
import Link from "next/link";
import { Empty } from "@/ui/kit/Empty";

export default function NotFound() {
  return (
    <Box component="main" sx={{ py: 8 }}>
      <Empty title="There is no such page">
        It may have been renamed. <Link href="/">Back to your gatherings</Link>
      </Empty>
    </Box>
  );
}
