"use client";
import { useEffect, useMemo, useState } from "react";
import { PantrySchema, type PantryEntry } from "@/core/batching/shopping-list";
import { parseWith } from "@/core/shared/parse";
import { useOutbox } from "../session/OutboxProvider";

/**
 * What is at hand and how it is sold: what is stored, and over it what was said since, on this page or on this device before it was
 * loaded. That may not have been sent yet when the page was made.
 */
export function usePantry(stored: readonly PantryEntry[]): {
  readonly pantry: readonly PantryEntry[];
  readonly say: (entry: PantryEntry) => void;
} {
  const outbox = useOutbox();
  const [said, setSaid] = useState<readonly PantryEntry[]>([]);
  useEffect(() => {
    let isHere = true;
    void outbox.waitsOf("pantry").then((letters) => {
      const before = letters.flatMap(({ body }) => {
        const read = parseWith(PantrySchema, body);
        return read.ok ? [read.value] : [];
      });
      if (isHere && before.length > 0) setSaid((now) => laidOver(before, now));
    });
    return () => {
      isHere = false;
    };
  }, [outbox]);
  const pantry = useMemo(() => laidOver(stored, said), [stored, said]);
  return { pantry, say: (entry) => setSaid((now) => laidOver(now, [entry])) };
}

const laidOver = (under: readonly PantryEntry[], over: readonly PantryEntry[]): PantryEntry[] => [
  ...under.filter((one) => !over.some(({ ingredient }) => ingredient === one.ingredient)),
  ...over,
];
