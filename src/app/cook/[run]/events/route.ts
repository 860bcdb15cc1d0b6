import { database } from "@/db/database";
import { runRepository } from "@/db/runs";

/** Everything that happened in a run, as `npm run replay` reads it. */
export async function GET(_request: Request, { params }: { params: Promise<{ run: string }> }): Promise<Response> {
  const { run } = await params;
  const repository = runRepository(database());
  if (!repository.find(run)) return Response.json({ issue: `There is no run ${run}` }, { status: 404 });
  return Response.json(
    repository.after(run, 0).map(({ event }) => event),
    { headers: { "Content-Disposition": `inline; filename="${run}-events.json"` } },
  );
}
