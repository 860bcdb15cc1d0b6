"use client";
import { createContext, useContext, useMemo, useState, type ReactNode } from "react";
import { catalogueOf, OURS, type Catalogue, type OwnIngredient } from "@/core/ingredients/own";
import { useAttempt } from "../kit/use-attempt";
import { useOutbox } from "../session/OutboxProvider";

interface Props {
  readonly stored: readonly OwnIngredient[];
  readonly children: ReactNode;
}

interface Known {
  readonly catalogue: Catalogue;
  /** Keeps what the cook knows better; it holds at once, everywhere. */
  readonly keep: (entry: OwnIngredient) => void;
  /** Goes back to what the catalogue says. */
  readonly forget: (id: string) => void;
}

const Context = createContext<Known>({ catalogue: OURS, keep: () => undefined, forget: () => undefined });

/** What is known of ingredients, with the cook's own over it. */
export const useCatalogue = (): Known => useContext(Context);

export function CatalogueProvider({ stored, children }: Props) {
  const [own, setOwn] = useState(stored);
  const outbox = useOutbox();
  const { attempt, told } = useAttempt();
  const known = useMemo(
    (): Known => ({
      catalogue: catalogueOf(own),
      keep(entry) {
        setOwn((now) => [...now.filter((one) => one.id !== entry.id), entry]);
        attempt(
          `Keeping what ${entry.names[0]} is`,
          () => outbox.post(`own-${entry.id}`, "own", entry),
          () => undefined,
        );
      },
      forget(id) {
        setOwn((now) => now.filter((one) => one.id !== id));
        attempt(
          "Forgetting it",
          () => outbox.post(`own-${id}`, "own-forgotten", id),
          () => undefined,
        );
      },
    }),
    [own, attempt, outbox],
  );
  return (
    <Context.Provider value={known}>
      {told}
      {children}
    </Context.Provider>
  );
}
