import type { Plan } from "../plan/schema";
import { resourceText } from "../plan/reason-text";
import { inCelsius, planTaskText } from "../plan/task-text";
import { momentOf, wallClockOf } from "./clock";
import type { RunEvent } from "./events";
import { heatsToSet } from "./heats-to-set";
import { replay } from "./replay";
import { isOpen } from "./run-state";
import { restOfDay, sinceLast } from "./rest-of-day";
import { clockWarnings, slipOfRest, slipSentence, warningText, type Warning } from "./run-text";
import { clocksOf, cooksNow, foodClocks } from "./stand";
import { windowText, windowTitle } from "./window-text";
import { foodWindows, windowLevel } from "./windows";

/**
 * Where a day stands at a minute, and the rest of it planned again, as other programs read it (`unisynth-run/1`). The same for events in
 * any order and however often each came.
 * @param now minute of the plan, whole; without it that of the last event, or the first start
 */
export function runDocument(plan: Plan, events: readonly RunEvent[], now: number | undefined) {
  const state = replay(plan, events);
  const { doubled, undone, events: counted } = state.counted;
  const firstStart = Math.min(...plan.solution.tasks.map(({ start }) => start));
  const at = now ?? (state.lastMinute === undefined ? firstStart : Math.floor(state.lastMinute));
  const rest = restOfDay(plan, state, at);
  const slip = slipOfRest(plan, sinceLast(plan, state, rest), state);
  const clocks = clocksOf(plan, state);
  const food = foodClocks(plan, state, at);
  const text = (task: string) => planTaskText(plan, task);
  const windows = foodWindows(plan, state, rest, at);
  const words = { clock: wallClockOf(plan), degrees: inCelsius };
  const warnings: Warning[] = [
    ...state.odd,
    ...clockWarnings(clocks, at),
    ...food.filter(({ level }) => level !== "ok").map((one) => ({ code: "out-of-cold" as const, ...one })),
    ...slip.late.map((one) => ({ code: "late" as const, ...one })),
  ];
  const expected = new Map(rest.solution.tasks.map((task) => [task.id, task]));
  return {
    format: "unisynth-run/1" as const,
    at: momentOf(plan, at),
    minute: at,
    events: { counted: counted.length, doubled, undone: [...undone].sort() },
    tasks: Object.fromEntries(
      [...state.tasks].map(([id, task]) => {
        const { start, end } = expected.get(id) ?? {};
        return [id, { ...task, text: text(id), ...(isOpen(task) && { expected: { start, end } }) }];
      }),
    ),
    cooks: cooksNow(plan, state, rest, at),
    clocks: clocks.map((clock) => ({ ...clock, text: text(clock.task) })),
    lots: food.map((one) => ({ ...one, text: text(one.task) })),
    windows: windows.map((window) => ({
      ...window,
      level: windowLevel(window, at),
      text: `${windowTitle(plan, window, text)}. ${windowText(window, at, words)}`,
    })),
    heats: heatsToSet(plan, state, rest).map((heat) => ({
      ...heat,
      text: `${resourceText(plan, heat.resource)} to ${words.degrees(heat.settingC)} at ${words.clock(heat.at)}, for: ${text(heat.task)}`,
    })),
    notes: state.notes,
    warnings: warnings.map((warning) => ({ ...warning, text: warningText(plan, warning) })),
    replan: {
      sentence: slipSentence(plan, slip),
      moves: slip.moves,
      late: slip.late,
      problem: rest.problem,
      solution: rest.solution,
    },
  };
}
