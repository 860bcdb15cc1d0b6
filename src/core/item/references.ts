import type { Issue } from "../shared/issue";
import { repeatedIds } from "../shared/repeated";
import type { Item } from "./schema";

type Option = Item["schools"][number]["options"][number];
type At = (...path: (string | number)[]) => (string | number)[];

/**
 * What an item names that it does not have, or has twice: ids of components, fillings, doughs, schools and options, and
 * whatever options, finish and what is held back refer to. Issues: `unknown`, `inconsistent`.
 */
export function referenceIssues(item: Item, at: At): Issue[] {
  const { dough, filling } = item;
  const steps = new Set(item.steps.map((step) => step.id));
  const components = componentIds(item);
  const issues: Issue[] = [
    ...repeatedIds(dough.parts, at("dough", "parts"), "an id that no other part has"),
    ...repeatedIds(dough.variants ?? [], at("dough", "variants"), "an id that no other dough has"),
    ...repeatedIds(filling.variants ?? [], at("filling", "variants"), "an id that no other filling has"),
    ...repeatedIds(filling.components, at("filling", "components"), "an id that no other line of the filling has"),
    ...repeatedIds(item.schools, at("schools"), "an id that no other school has"),
    ...repeatedIds(item.faults, at("faults"), "an id that no other fault has"),
  ];
  const lines = new Set<string>();
  dough.parts.forEach((part, p) =>
    issues.push(
      ...repeatedIds(part.components, at("dough", "parts", p, "components"), "an id that no other line of the dough has", lines),
    ),
  );
  const refer = (known: ReadonlySet<string>, got: string, what: string, ...path: (string | number)[]) => {
    if (!known.has(got)) issues.push({ code: "unknown", path: at(...path), got, wanted: what });
  };
  const inDough = new Set(dough.parts.flatMap((part) => part.components.map((c) => c.id)));
  if (dough.holdBack) refer(inDough, dough.holdBack.component, "the id of a line of the dough", "dough", "holdBack", "component");
  dough.variants?.forEach((variant, v) => {
    issues.push(
      ...repeatedIds(variant.components, at("dough", "variants", v, "components"), "an id that no other line of the dough has"),
    );
    if (variant.holdBack)
      refer(
        new Set(variant.components.map((c) => c.id)),
        variant.holdBack.component,
        "the id of a line of the dough",
        ...["dough", "variants", v, "holdBack", "component"],
      );
  });
  filling.variants?.forEach((variant, v) =>
    issues.push(
      ...repeatedIds(
        variant.components,
        at("filling", "variants", v, "components"),
        "an id that no other line of the filling has",
      ),
    ),
  );
  const step = "the id of a step of this item";
  item.finish.forEach((entry, f) => refer(steps, entry.step, step, "finish", f, "step"));

  const doughs = new Set(dough.variants?.map((variant) => variant.id));
  const ofOption = (option: Option, s: number, o: number) => {
    const place = ["schools", s, "options", o];
    option.omit?.forEach((id, i) => refer(components, id, "the id of a line of this item", ...place, "omit", i));
    option.finish?.forEach((entry, f) => refer(steps, entry.step, step, ...place, "finish", f, "step"));
    option.fillingSwap?.forEach(({ from }, i) =>
      refer(components, from, "the id of a line of this item", ...place, "fillingSwap", i, "from"),
    );
    if (option.doughVariant !== undefined)
      refer(doughs, option.doughVariant, "the id of a dough variant of this item", ...place, "doughVariant");
  };
  item.schools.forEach((school, s) => {
    issues.push(...repeatedIds(school.options, at("schools", s, "options"), "an id that no other option of the school has"));
    school.options.forEach((option, o) => ofOption(option, s, o));
  });
  item.steps.forEach(({ when }, s) => {
    if (!when) return;
    const school = item.schools.find(({ id }) => id === when.school);
    if (!school) refer(new Set(), when.school, "the id of a school of this item", "steps", s, "when", "school");
    else
      refer(
        new Set(school.options.map(({ id }) => id)),
        when.option,
        `an option of ${school.id}`,
        ...["steps", s, "when", "option"],
      );
  });
  return issues;
}

const componentIds = ({ dough, filling }: Item): ReadonlySet<string> =>
  new Set(
    [...dough.parts, ...(dough.variants ?? []), filling, ...(filling.variants ?? [])].flatMap((place) =>
      place.components.map((c) => c.id),
    ),
  );
