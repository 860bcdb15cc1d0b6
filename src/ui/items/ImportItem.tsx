"use client";
import Button from "@mui/material/Button";
import { useRouter } from "next/navigation";
import type { OwnIngredient } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import type { Result } from "@/core/shared/issue";
import { useAttempt } from "../kit/use-attempt";

export interface ImportProps {
  readonly taken: readonly string[];
  readonly create: (item: Item) => Promise<Result<{ id: string }>>;
  /** Ids of what the cook here knows better about ingredients. */
  readonly known: readonly string[];
  readonly keep: (entry: OwnIngredient) => Promise<Result<unknown>>;
}

/** An item from a file; what its cook knew about ingredients comes along, where nothing is known here. */
export function ImportItem({ taken, create, known, keep }: ImportProps) {
  const router = useRouter();
  const { attempt, told } = useAttempt();
  const take = (file: File) =>
    attempt(
      `Reading ${file.name}`,
      async () => {
        // The reader brings the catalogue along: it is asked for only by whoever brings a file.
        const { itemFromFile } = await import("@/core/item/file");
        const read = itemFromFile(await file.text(), taken);
        if (!read.ok) return read;
        await Promise.all(read.value.own.filter((one) => !known.includes(one.id)).map(keep));
        return create(read.value.item);
      },
      ({ id }) => router.push(`/items/${id}`),
    );
  return (
    <>
      <Button component="label">
        From a file
        <input
          hidden
          type="file"
          accept=".json,application/json"
          aria-label="An item from a file"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) take(file);
            e.target.value = "";
          }}
        />
      </Button>
      {told}
    </>
  );
}
