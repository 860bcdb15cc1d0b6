import type { ReactNode } from "react";
import { database } from "@/db/database";
import { ownIngredientRepository } from "@/db/own-ingredients";
import { CatalogueProvider } from "@/ui/ingredients/CatalogueProvider";
import { forgetOwn, keepOwn } from "../own-actions";

export default function ItemsLayout({ children }: { children: ReactNode }) {
  const { readable } = ownIngredientRepository(database()).list();
  return (
    <CatalogueProvider stored={readable} save={keepOwn} remove={forgetOwn}>
      {children}
    </CatalogueProvider>
  );
}
