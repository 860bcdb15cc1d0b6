import { z } from "zod";
import { clock, id } from "../shared/fields";
import { readClock } from "../shared/typed";
import type { Gathering } from "./schema";

const name = z.string().trim().min(1, { error: "a name" }).max(120, { error: "at most 120 letters" });
/** yyyy-mm-dd */
const date = z.iso.date({ error: "a day" });
const guests = (who: string) => {
  const error = `a whole number of ${who} from 0 to 500`;
  return z.int({ error }).min(0, { error }).max(500, { error });
};

/** What a gathering begins with: who comes and when it is served, what there is, in whose kitchen. */
export const FirstSchema = z
  .object({
    name,
    date,
    /** Serving time, as it is typed. */
    time: z
      .string()
      .transform((text) => readClock(text) ?? text)
      .pipe(clock),
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

/** The same gathering again: what it is called then, and when. */
export const AgainSchema = z.object({ name, date });

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
