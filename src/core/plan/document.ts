import type { Plan } from "./schema";
import { noteText, refusalTexts } from "./reason-text";
import { planTaskText } from "./task-text";

/** A plan as other programs read it: with a text for each task and note, and the sentences for why there is no timetable. */
export const planDocument = (plan: Plan) => ({
  ...plan,
  solution: { ...plan.solution, why: plan.solution.status === "infeasible" ? refusalTexts(plan) : [] },
  tasks: Object.fromEntries(Object.entries(plan.tasks).map(([id, info]) => [id, { ...info, text: planTaskText(plan, id) }])),
  notes: plan.notes.map((note) => ({ ...note, text: noteText(plan, note) })),
});
