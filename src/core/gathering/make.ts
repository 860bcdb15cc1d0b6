import { z } from "zod";
import { clock, id } from "../shared/fields";
import type { Gathering } from "./schema";

const guests = (who: string) =>
  z
    .int({ error: `a whole number of ${who} from 0 to 500` })
    .min(0, { error: `a whole number of ${who} from 0 to 500` })
    .max(500, { error: `a whole number of ${who} from 0 to 500` });

/** What a gathering begins with: who comes and when it is served, what there is, in whose kitchen. */
export const FirstSchema = z
  .object({
    name: z.string().trim().min(1, { error: "a name" }).max(120, { error: "at most 120 letters" }),
    /** yyyy-mm-dd */
    date: z.iso.date({ error: "a day" }),
    /** Serving time, hh:mm. */
    time: clock,
    adults: guests("adults"),
    teens: guests("teenagers"),
    children: guests("children"),
    /** Ids of the items. */
    items: z.array(id).max(100),
    kitchen: id,
  })
  .refine(({ adults, teens, children }) => adults + teens + children > 0, { path: ["adults"], error: "at least one guest" });
export type First = z.output<typeof FirstSchema>;

/** A gathering of one serving; whoever needs more of it goes on from there. */
export function firstGathering(id: string, { name, date, time, adults, teens, children, items, kitchen }: First): Gathering {
  const groups = [
    { count: adults, age: "adult" },
    { count: teens, age: "teen" },
    { count: children, age: "child" },
  ] as const;
  return {
    id,
    name: name.trim(),
    kitchen,
    line: "",
    date: { on: date },
    guests: groups.filter(({ count }) => count > 0).map((group) => ({ ...group, diet: [], avoid: [] })),
    waves: [{ id: "serving", name: "Serving", time, items: items.map((recipe) => ({ recipe, choices: {} })) }],
    freezer: [],
    doneAhead: [],
    rules: [],
  };
}

/**
 * The same gathering on another day: who comes, what there is and how. What was done ahead for the old day is not done for the
 * new one.
 */
export const gatheringAgain = (gathering: Gathering, id: string, name: string, date: string): Gathering => ({
  ...gathering,
  id,
  name,
  date: { on: date, ...(gathering.date.until !== undefined && { until: gathering.date.until }) },
  doneAhead: [],
});
