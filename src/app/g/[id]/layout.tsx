import { format } from "date-fns";
import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { database } from "@/db/database";
import { gatheringRepository } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { planRepository } from "@/db/plans";
import { PlanProvider } from "@/ui/plan/PlanProvider";
import { GatheringShell } from "@/ui/plan/GatheringShell";
import { saveGathering, savePlan } from "./actions";

export default async function GatheringLayout({ params, children }: { params: Promise<{ id: string }>; children: ReactNode }) {
  const { id } = await params;
  const db = database();
  const stored = gatheringRepository(db).find(id);
  if (!stored) notFound();
  const kitchen = kitchenRepository(db).find(stored.kitchenId);
  if (!kitchen) notFound();
  const opened = new Date();
  const items = itemRepository(db);
  const inUse = items.all().map((item) => item.id);
  const source = {
    items: items.all({ archived: true }),
    inUse,
    kitchen,
    today: format(opened, "yyyy-MM-dd"),
    now: format(opened, "HH:mm"),
  };
  return (
    <PlanProvider
      key={id}
      source={source}
      initial={stored.gathering}
      stored={planRepository(db).latest(id)}
      saveGathering={saveGathering}
      savePlan={savePlan}
    >
      <GatheringShell id={id}>{children}</GatheringShell>
    </PlanProvider>
  );
}
