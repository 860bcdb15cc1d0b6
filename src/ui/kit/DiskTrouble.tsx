"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { Banner } from "./Banner";
import { TopBar } from "./TopBar";

type Sentences = readonly [wrong: string, safe: string, todo: string];

/** A page that cannot be read looks again by itself after so long, ms. */
const AGAIN_MS = 3000;
/** Troubles that pass without anybody doing anything. */
const PASSING: readonly string[] = ["locked"];

/** The page of a database that cannot be read: what is wrong, what is safe, what to do. */
export function DiskTrouble({ code, sentences: [wrong, safe, todo] }: { code: string; sentences: Sentences }) {
  const router = useRouter();
  useEffect(() => {
    if (!PASSING.includes(code)) return;
    const timer = setInterval(() => router.refresh(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [code, router]);
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 760, mx: "auto", px: { xs: 2, md: 4 }, py: 5, display: "grid", gap: 2 }}>
        <Typography variant="h1">The data cannot be read just now</Typography>
        <Banner kind="refused" title={wrong} role="alert">
          {safe} {todo}
        </Banner>
        <div>
          <Button variant="contained" onClick={() => router.refresh()}>
            Look again
          </Button>
        </div>
      </Box>
    </>
  );
}

/** Over every page while the data can be read and nothing can be saved. */
export function DiskNotice({ sentences: [wrong, safe, todo] }: { sentences: Sentences }) {
  return (
    <Banner kind="refused" title={wrong} role="alert">
      {safe} {todo}
    </Banner>
  );
}
