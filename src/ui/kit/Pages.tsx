import Box from "@mui/material/Box";
import Link from "next/link";

/** Below a long list: which part of it this is, the parts beside it, and the lists that stand beside it. */
export function Pages({
  page,
  onAPage,
  all,
  hrefOf,
  asides,
  words,
}: {
  /** From 1. */
  page: number;
  onAPage: number;
  all: number;
  hrefOf: (page: number) => string;
  /** What the ways back and on are called. */
  words: { readonly back: string; readonly on: string };
  asides: readonly { readonly href: string; readonly text: string }[];
}) {
  const last = Math.max(1, Math.ceil(all / onAPage));
  if (last === 1 && page === 1 && asides.length === 0) return null;
  const from = (page - 1) * onAPage + 1;
  return (
    <Box
      component="nav"
      aria-label="Parts of the list"
      sx={{ display: "flex", gap: 2, mt: 3, alignItems: "center", flexWrap: "wrap" }}
    >
      {page > 1 && <Link href={hrefOf(Math.min(page - 1, last))}>← {words.back}</Link>}
      {last > 1 && from <= all && (
        <span>
          {from} to {Math.min(all, page * onAPage)} of {all}
        </span>
      )}
      {page < last && <Link href={hrefOf(page + 1)}>{words.on} →</Link>}
      <Box component="span" sx={{ ml: "auto", display: "flex", gap: 2 }}>
        {asides.map(({ href, text }) => (
          <Link key={href} href={href}>
            {text}
          </Link>
        ))}
      </Box>
    </Box>
  );
}
