import type { ReactNode } from "react";
import type { Db } from "@/db/database";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { CatalogueProvider } from "@/ui/ingredients/CatalogueProvider";

/** What is known of ingredients for the pages that ask for it; a page that does not is spared the catalogue. */
export function OwnCatalogue({ db, children }: { db: Db; children: ReactNode }) {
  return <CatalogueProvider stored={ownIngredientRepository(db).list().readable}>{children}</CatalogueProvider>;
}
