import { issueText } from "@/core/shared/issue-text";
import type { Issue } from "@/core/shared/issue";
import { Banner } from "./Banner";

export interface UnreadableRow {
  readonly id: string;
  readonly name: string;
  readonly issue: Issue;
}

/** What is stored and cannot be read: said by name, with what is wrong; it stays where it is and nothing else suffers. */
export function Unreadable({ rows, kind }: { rows: readonly UnreadableRow[]; kind: string }) {
  return rows.map((row) => (
    <Banner key={row.id} kind="caution" title={`${row.name}: this ${kind} cannot be read`}>
      {issueText(row.issue)}. It is kept as it is; everything else works.
    </Banner>
  ));
}
