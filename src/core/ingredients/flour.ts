import { matchIngredient } from "./names";

/** Whether a name is a flour, which counts towards the 100 %. */
export const isFlour = (name: string): boolean => {
  const id = matchIngredient(name);
  return id !== undefined && (id.startsWith("flour-") || id === "semolina" || id === "cornmeal" || id === "masa-harina");
};
