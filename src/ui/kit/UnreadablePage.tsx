import Box from "@mui/material/Box";
import type { Issue } from "@/core/shared/issue";
import { TopBar } from "./TopBar";
import { Unreadable } from "./Unreadable";

/** The page of something that is stored and cannot be read. */
export function UnreadablePage({ id, kind, issue }: { id: string; kind: string; issue: Issue }) {
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 980, mx: "auto", px: { xs: 2, md: 4 }, py: 4 }}>
        <Unreadable rows={[{ id, name: id, issue }]} kind={kind} />
      </Box>
    </>
  );
}
