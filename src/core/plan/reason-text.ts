import { listed } from "../shared/words";
import type { Obstacle } from "../batching/obstacle";
import { addDays, format, parseISO } from "date-fns";
import { clockText, lengthText, MINUTES_A_DAY, wallMinute } from "../shared/clock";
import { scheduleReasonText } from "../schedule/reason-text";
import type { Note, Plan, Reason } from "./schema";
import { targetName } from "./targets";
import { equipmentWord } from "../kitchen/equipment";
import { weightText } from "../quantities/display";
import { inCelsius, itemNameIn, piecesText, planTaskText, VERB, type HeatText } from "./task-text";

/** How whoever reads shows temperatures and minutes of the plan. */
export interface Shown {
  readonly heat: HeatText;
  /** Clock time of a wall-clock minute. */
  readonly clock: (wallMinute: number) => string;
}
const PLAIN: Shown = { heat: inCelsius, clock: (minute) => clockText(minute) };

/** A cook or a piece of equipment as it is called. */
export const resourceText = (plan: Pick<Plan, "day">, id: string): string =>
  plan.day.cooks.find((cook) => cook.id === id)?.name ?? equipmentWord(id);

const verb = (kind: keyof typeof VERB): string => VERB[kind].toLowerCase();

/** What makes a day impossible, as a sentence. `nameOf`: an item's name by its id. */
export function obstacleText(
  obstacle: Obstacle,
  nameOf: (item: string) => string,
  heat: HeatText = inCelsius,
  moment: (minute: number) => string = (minute) => clockText(minute),
): string {
  const name = nameOf(obstacle.item);
  switch (obstacle.code) {
    case "no-cook":
      return `${name}: nobody who is there may ${verb(obstacle.kind)}`;
    case "not-there": {
      const { equipment } = obstacle;
      const article = equipment === "oven" ? "an " : equipment === "tins" ? "" : "a ";
      return `${name}: ${verb(obstacle.kind)} needs ${article}${equipmentWord(equipment)}, and this kitchen has none`;
    }
    case "too-few":
      return `${name}: ${verb(obstacle.kind)} needs ${obstacle.needed} of ${equipmentWord(obstacle.equipment)} at once, and this kitchen has ${obstacle.there}`;
    case "too-hot":
      return `${name}: ${verb(obstacle.kind)} needs ${heat(obstacle.settingC)}, and the ${equipmentWord(obstacle.equipment)} reaches ${heat(obstacle.mostC)}`;
    case "no-load":
      return `${name}: this kitchen has nothing that takes a load to ${verb(obstacle.kind)}`;
    case "mixer-too-small":
      return `${name}: one piece needs ${Math.round(obstacle.pieceG)} g of dough and the mixer takes ${obstacle.mixerG} g`;
    case "cannot-wait":
      return `${name}: after “${verb(obstacle.kind)}” it may wait ${lengthText(obstacle.mayWaitMin)}, and what follows begins ${lengthText(obstacle.mustWaitMin)} later at the earliest`;
    case "too-late": {
      const { now, by, earliest, longest } = obstacle;
      const steps = longest.map(({ kind, minutes }) => `${VERB[kind].toLowerCase()} ${lengthText(minutes)}`).join(", ");
      return (
        `${name}: from now, ${moment(now)}, it takes ${lengthText(earliest - now)} at the least (the longest of it: ${steps}), and there are ${lengthText(Math.max(0, by - now))}. ` +
        `It cannot be ready before ${moment(earliest)}, ${lengthText(earliest - by)} later: serve it then or on another day, or take something quicker.`
      );
    }
    case "too-many-loads":
      return (
        `${name}: ${piecesText(obstacle.pieces)} need ${obstacle.loads} ${equipmentWord(obstacle.chamber)} loads of ${obstacle.perLoad}, ${obstacle.apartMin} min apart; ` +
        `the first would wait ${lengthText(obstacle.oldestMin)} for the last, and they may wait ${lengthText(obstacle.holdMin)}. ` +
        `${piecesText(obstacle.most)} are the most that can be hot together.`
      );
  }
}

/** A clock time, with the day of the week where it is not the gathering's own. */
function momentIn({ origin, day }: Pick<Plan, "day" | "origin">, wall: number, clock: Shown["clock"]): string {
  const date = addDays(parseISO(origin.slice(0, 10)), Math.floor(wall / MINUTES_A_DAY));
  return format(date, "yyyy-MM-dd") === day.date ? clock(wall) : `${format(date, "EEEE")} ${clock(wall)}`;
}

/** Why a plan has no timetable, a sentence for each reason. The only place that words them. */
export function refusalTexts(
  plan: Pick<Plan, "day" | "tasks" | "refusal" | "clockChanges" | "origin">,
  { heat, clock }: Shown = PLAIN,
): string[] {
  const names = {
    task: (id: string) => planTaskText(plan, id, heat),
    resource: (id: string) => resourceText(plan, id),
    moment: (minute: number) => momentIn(plan, wallMinute(minute, plan.clockChanges), clock),
  };
  return plan.refusal.map((reason: Reason) =>
    "item" in reason ? obstacleText(reason, (id) => itemNameIn(plan, id), heat, names.moment) : scheduleReasonText(reason, names),
  );
}

/** A note of a plan as a sentence. */
export function noteText(plan: Pick<Plan, "day">, note: Note): string {
  switch (note.code) {
    case "unserved-diet": {
      const wave = targetName(plan, note.about[0]);
      const who = note.who.map((g) => [...g.diet, ...g.avoid.map((a) => `no ${a}`)].join(", ")).join("; ");
      return `${wave}: ${note.guests} ${note.guests === 1 ? "guest has" : "guests have"} nothing to eat (${who}).`;
    }
    case "oil-not-vegan": {
      const [item, cause] = note.about.map((id) => itemNameIn(plan, id));
      return `${item} are fried in oil that ${cause} were in before: they are then not vegan. Fry them first, or change the oil.`;
    }
    case "no-reading": {
      const items = listed(note.about.map((id) => itemNameIn(plan, id)));
      return `${items}: the core is to be measured, and this kitchen has no thermometer. Heat them a fifth longer than planned: weaker evidence than a reading; raw poultry is better cooked before it is wrapped. Local rules come first.`;
    }
    case "out-of-cold": {
      const items = listed(note.about.map((id) => itemNameIn(plan, id)));
      return `${items}: what is raw in them is out of the cold for up to ${lengthText(Math.round(note.usedMin))} before the heat, weighing, shaping and waiting together; usual guidance is ${lengthText(note.limitMin)}. Smaller lots, or trays into the fridge as they are shaped. Local rules come first.`;
    }
    case "first-too-far": {
      const items = listed(note.about.map((id) => itemNameIn(plan, id)));
      return `${items}: the first piece of a lot has risen for ${lengthText(Math.round(note.ageMin))} when its tray goes on, and ${lengthText(Math.round(note.limitMin))} are right in this room. Shape smaller lots, or put the first trays into the fridge.`;
    }
    case "freezer-full": {
      const items = listed(note.about.map((id) => itemNameIn(plan, id)));
      return `${items}: ${weightText(note.loadG)} go into the freezer in one day, and it freezes about ${weightText(note.limitG)} in a day. Freeze the rest a day later, from the fridge, or what lies there already gets warm.`;
    }
    case "no-time-to-rise": {
      const items = listed(note.about.map((id) => itemNameIn(plan, id)));
      return `${items}: this day has no time in hand for a slow rise. Should the dough take a quarter longer than is usual, it is late: a warmer place, or begin earlier.`;
    }
  }
}
