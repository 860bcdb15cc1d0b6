import Box from "@mui/material/Box";
import Link from "next/link";

/** Below a long list: which part of it this is, the parts beside it, and another list that belongs to it. */
export function Pages({
  page,
  onAPage,
  all,
  hrefOf,
  aside,
}: {
  /** From 1. */
  page: number;
  onAPage: number;
  all: number;
  hrefOf: (page: number) => string;
  aside?: { readonly href: string; readonly text: string } | undefined;
}) {
  const last = Math.max(1, Math.ceil(all / onAPage));
  if (last === 1 && page === 1 && !aside) return null;
  const from = (page - 1) * onAPage + 1;
  return (
    <Box
      component="nav"
      aria-label="Parts of the list"
      sx={{ display: "flex", gap: 2, mt: 3, alignItems: "center", flexWrap: "wrap" }}
    >
      {page > 1 && <Link href={hrefOf(Math.min(page - 1, last))}>← nearer to today</Link>}
      {last > 1 && from <= all && (
        <span>
          {from} to {Math.min(all, page * onAPage)} of {all}
        </span>
      )}
      {page < last && <Link href={hrefOf(page + 1)}>further away →</Link>}
      {aside && (
        <Box component="span" sx={{ ml: "auto" }}>
          <Link href={aside.href}>{aside.text}</Link>
        </Box>
      )}
    </Box>
  );
}
