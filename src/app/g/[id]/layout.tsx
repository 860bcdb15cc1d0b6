import { format } from "date-fns";
import { notFound } from "next/navigation";
import { Suspense, type ReactNode } from "react";
import { differences } from "@/core/shared/differences";
import type { Gathering } from "@/core/gathering/schema";
import { gatheringRepository, type StoredGathering } from "@/db/gatherings";
import { itemRepository } from "@/db/items";
import { kitchenRepository } from "@/db/kitchens";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { planRepository } from "@/db/plans";
import { CatalogueProvider } from "@/ui/ingredients/CatalogueProvider";
import type { Revised } from "@/ui/session/document-session";
import { PlanProvider } from "@/ui/plan/PlanProvider";
import { GatheringFrame } from "@/ui/plan/GatheringFrame";
import { GatheringShell } from "@/ui/plan/GatheringShell";
import { UnreadablePage } from "@/ui/kit/UnreadablePage";
import { zoneHere } from "@/ui/kit/zone";
import { whenQuiet } from "../../when-quiet";
import { withDatabase } from "../../with-database";
import { saveGathering } from "./actions";

/** A gathering that names no kitchen is held in the one that it is stored with. */
const inItsKitchen = ({ document, revision, kitchenId }: StoredGathering): Revised<Gathering> => ({
  document: { ...document, kitchen: kitchenId },
  revision,
});

/** The gathering is there or not at once; what is in it takes reading and weighing, and comes after the frame. */
export default async function GatheringLayout({ params, children }: { params: Promise<{ id: string }>; children: ReactNode }) {
  const { id } = await params;
  return withDatabase((db) => {
    const name = gatheringRepository(db).nameOf(id);
    if (name === undefined) notFound();
    return (
      <Suspense fallback={<GatheringFrame name={name} />}>
        <Opened id={id}>{children}</Opened>
      </Suspense>
    );
  });
}

async function Opened({ id, children }: { id: string; children: ReactNode }) {
  // Reading takes the only thread there is: the frame goes out before.
  await whenQuiet();
  return withDatabase((db) => {
    const found = gatheringRepository(db).find(id);
    if (!found) notFound();
    if (!found.ok) return <UnreadablePage id={id} kind="gathering" issue={found.issues[0]} />;
    const kitchen = kitchenRepository(db).find(found.value.kitchenId);
    if (!kitchen) notFound();
    if (!kitchen.ok) return <UnreadablePage id={found.value.kitchenId} kind="kitchen" issue={kitchen.issues[0]} />;
    const opened = new Date();
    const items = itemRepository(db);
    const own = ownIngredientRepository(db).list().readable;
    const stored = planRepository(db).latest(id);
    const { usual } = stored?.request ?? {};
    const hasChanged = usual?.id === kitchen.value.document.id && differences(usual, kitchen.value.document).length > 0;
    const source = {
      ...(hasChanged && { planned: usual }),
      own,
      items: items.all({ archived: true }),
      inUse: items.idsInUse(),
      kitchens: [
        kitchen.value.document,
        ...kitchenRepository(db)
          .list()
          .readable.map(({ document }) => document)
          .filter(({ id: other }) => other !== found.value.kitchenId),
      ],
      today: format(opened, "yyyy-MM-dd"),
      now: format(opened, "HH:mm"),
      zone: zoneHere(),
    };
    return (
      <CatalogueProvider stored={own}>
        <PlanProvider key={id} source={source} initial={inItsKitchen(found.value)} stored={stored} saveGathering={saveGathering}>
          <GatheringShell id={id}>{children}</GatheringShell>
        </PlanProvider>
      </CatalogueProvider>
    );
  });
}
