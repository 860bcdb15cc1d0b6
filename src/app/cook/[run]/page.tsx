import { notFound } from "next/navigation";
import { runRepository } from "@/db/runs";
import { CookView } from "@/ui/cook/CookView";
import { dayFacts } from "@/ui/cook/paper.view-model";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import { withDatabase } from "../../with-database";
import { takeOver, tellRun } from "../actions";

/** A plan being cooked, on whatever device stands in the kitchen. */
export default async function Page({ params }: { params: Promise<{ run: string }> }) {
  const { run: id } = await params;
  return withDatabase((db) => {
    const repository = runRepository(db);
    const run = repository.find(id);
    if (!run) notFound();
    const kept = repository.planOf(id);
    if (!kept)
      return (
        <UnreadablePage
          id={run.gatheringId}
          kind="gathering"
          issue={{ code: "unreadable", path: ["plan"], got: id, wanted: "the plan that is cooked" }}
        />
      );
    const made = Object.fromEntries(kept.request.items.map((item) => [item.id, item]));
    const facts = dayFacts(kept.request);
    return (
      <CookView
        facts={facts}
        made={made}
        own={kept.request.own}
        run={run}
        plan={kept.plan}
        received={repository.after(id, 0)}
        tell={tellRun}
        takeOver={takeOver}
      />
    );
  });
}
