import { freshId } from "../../../shared/fresh-id";
import type { Component } from "../../schema";

/** What a choice puts in: a line by its name and weight, g. */
export const line = (name: string, grams: number): Component => ({
  id: freshId(name, []),
  name,
  grams: Math.round(grams * 10) / 10,
});
