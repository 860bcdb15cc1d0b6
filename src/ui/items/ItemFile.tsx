"use client";
import Button from "@mui/material/Button";
import { useRouter } from "next/navigation";
import { itemFile, itemFromFile } from "@/core/item/file";
import type { Item } from "@/core/item/schema";
import type { Result } from "@/core/shared/issue";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { useAttempt } from "../kit/use-attempt";

/** The item as a file of its own, to keep or to give away. */
export function ExportItem({ item }: { item: Item }) {
  const { catalogue } = useCatalogue();
  const download = () => {
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([itemFile(item, catalogue.own)], { type: "application/json" }));
    link.download = `${item.id}.unisynth.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return <Button onClick={download}>As a file</Button>;
}

interface ImportProps {
  readonly taken: readonly string[];
  readonly create: (item: Item) => Promise<Result<{ id: string }>>;
}

/** An item from a file; what its cook knew about ingredients comes along, where nothing is known here. */
export function ImportItem({ taken, create }: ImportProps) {
  const router = useRouter();
  const { catalogue, keep } = useCatalogue();
  const { attempt, told } = useAttempt();
  const take = (file: File) =>
    attempt(
      `Reading ${file.name}`,
      async () => {
        const read = itemFromFile(await file.text(), taken);
        if (!read.ok) return read;
        const known = new Set(catalogue.own.map((one) => one.id));
        read.value.own.filter((one) => !known.has(one.id)).forEach(keep);
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
