import { runRepository } from "@/db/runs";
import { CookStart } from "@/ui/cook/CookStart";
import { beginRun } from "../../../cook/actions";
import { withDatabase } from "../../../with-database";

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return withDatabase((db) => <CookStart gathering={id} runs={runRepository(db).of(id)} begin={beginRun} />);
}
