import { z } from "zod";
import { parseWith } from "@/core/shared/parse";
import { issueText } from "@/core/shared/issue-text";
import { database } from "@/db/database";
import { runRepository } from "@/db/runs";

const AfterSchema = z.coerce.number({ error: "a place in the order of events" }).int().min(0);

/** What came in after a place in the order: for the other devices of a run. */
export async function GET(request: Request, { params }: { params: Promise<{ run: string }> }): Promise<Response> {
  const { run } = await params;
  const after = parseWith(AfterSchema, new URL(request.url).searchParams.get("after") ?? "0");
  if (!after.ok) return Response.json({ issue: issueText(after.issues[0]) }, { status: 400 });
  const repository = runRepository(database());
  if (!repository.find(run)) return Response.json({ issue: `There is no run ${run}` }, { status: 404 });
  return Response.json({ received: repository.after(run, after.value) });
}
