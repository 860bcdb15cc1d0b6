import "server-only";
import type { ReactNode } from "react";
import { database, databaseFile, readingOnly, type Db } from "@/db/database";
import { troubleOf } from "@/db/trouble";
import { DiskNotice, DiskTrouble } from "@/ui/kit/DiskTrouble";

/** A page from the database; where it cannot be read, the page that says so, what is safe and what to do. */
export function withDatabase(render: (db: Db) => ReactNode): ReactNode {
  try {
    const page = render(database());
    const trouble = readingOnly();
    return trouble ? (
      <>
        <DiskNotice sentences={trouble.sentences} />
        {page}
      </>
    ) : (
      page
    );
  } catch (error) {
    const trouble = troubleOf(error, databaseFile());
    // What is no trouble of the disk (a page that is not there) is for Next.
    if (!trouble) throw error;
    return <DiskTrouble code={trouble.code} sentences={trouble.sentences} />;
  }
}
