"use client";
import Button from "@mui/material/Button";
import { itemFile } from "@/core/item/file";
import type { Item } from "@/core/item/schema";
import { useCatalogue } from "../ingredients/CatalogueProvider";

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
