import { firstLookMin, followsRoom, isRise, restInRoom, slowRiseMin } from "../../item/rest-in-room";
import { MINUTES_A_DAY, wallMinute, type ClockChange } from "../../shared/clock";
import { chamberOf, usesEquipment } from "../../kitchen/capacity";
import { roomAt } from "../../kitchen/room";
import type { Step } from "../../item/step";
import { isHeat } from "../../item/step";
import { workMinutes } from "../../item/step-minutes";
import { type Cook, type Kitchen } from "../../kitchen/schema";
import { paceOf } from "../../kitchen/pace";
import { piecesIn, type Work } from "../../batching/work";

const up = (x: number) => Math.ceil(x - 1e-9);
const down = (x: number) => Math.floor(x + 1e-9);

/** Cooks who may do a step, tends included. */
export const cooksFor = (step: Step, kitchen: Kitchen): Cook[] =>
  kitchen.cooks.filter((cook) => !cook.notFor.includes(step.kind) && !cook.notFor.includes(step.id));

/** The step with its alternative where the kitchen lacks the machine it names first. */
export function stepHere(step: Step, kitchen: Kitchen): Step {
  const missing = step.equipment.some((e) => e.id === "mixer" && (kitchen.equipment.mixer?.count ?? 0) === 0);
  const alt = step.alt?.find((a) => a.equipment === "hands");
  if (!missing || !alt) return step;
  return {
    ...step,
    time: alt.time,
    attention: alt.attention,
    hands: 1,
    tend: alt.tend,
    equipment: [...step.equipment.filter((e) => e.id !== "mixer"), { id: "worktop" }],
  };
}

/** Whether skill changes how long a step takes: hands-on work, but not heat and not a mixer's run. */
export const scalesWithSkill = (step: Step): boolean =>
  step.attention === "hands-on" && !isHeat(step) && !usesEquipment(step, "mixer");

/** Whole minutes that each of these cooks takes for a timed step, 1 at the least where it is hands-on. */
export function minutesByCook(work: Work, cooks: readonly Cook[]): number[] {
  const plain = workMinutes(work.step, piecesIn(work));
  return cooks.map((cook) => Math.max(1, up(plain * (scalesWithSkill(work.step) ? paceOf(cook) : 1))));
}

/** Whole minutes of a timed step that nobody's pace changes. */
export const fixedMinutes = (work: Work): number => Math.max(1, up(workMinutes(work.step, piecesIn(work))));

/** A tend of a task: from the start (≥ 0) or the end (< 0), and how long each of the cooks takes. */
export interface Tend {
  readonly from: number;
  readonly minutes: readonly number[];
}

/**
 * Tends of a step that lasts at least `least` minutes. A slow cook's tend grows with their factor, up to the next
 * tend or the step's end; a quick one's never falls below a minute. A lot of few pieces may be done before a tend is due:
 * then it is tended at its end.
 */
export function tendsOf(step: Step, cooks: readonly Cook[], least: number): Tend[] {
  const tends = (step.tend ?? []).filter((tend) => tend.minutes > 0).map((tend) => within(tend, least));
  const begins = tends.map(({ fromMin }) => (fromMin >= 0 ? fromMin : least + fromMin));
  return tends.map(({ fromMin, minutes }, i) => {
    const next = Math.min(least, ...begins.filter((begin) => begin > begins[i]));
    const room = Math.max(minutes, next - begins[i]);
    return { from: fromMin, minutes: cooks.map((cook) => Math.max(1, Math.min(up(minutes * paceOf(cook)), room))) };
  });
}

/** A tend moved and cut so that it lies inside `least` minutes. */
function within({ fromMin, minutes }: TendAsWritten, least: number): TendAsWritten {
  const length = Math.min(minutes, least);
  return fromMin >= 0
    ? { fromMin: Math.min(fromMin, least - length), minutes: length }
    : { fromMin: Math.max(Math.min(fromMin, -length), -least), minutes: length };
}
type TendAsWritten = NonNullable<Step["tend"]>[number];

/** The least length that a step's tends need, min. */
export function leastForTends(step: Step): number {
  const tends = step.tend ?? [];
  const head = Math.max(0, ...tends.filter((t) => t.fromMin >= 0).map((t) => t.fromMin + t.minutes));
  const tail = Math.max(0, ...tends.filter((t) => t.fromMin < 0).map((t) => -t.fromMin));
  return head + tail;
}

export interface RestWindow {
  readonly min: number;
  readonly max: number;
  /** Least time by the recipe, before tends made it longer: when the piece could be ready. */
  readonly ready: number;
  /** When a rise, which may be quicker or slower than said, is first looked at. */
  readonly firstLook?: number;
  readonly earliest?: number;
  readonly latest?: number;
}

/** What is known of a rest beside its step. */
export interface RestCase {
  /** From the first piece of the lot to the last, min: the first has risen that much longer. */
  readonly spreadMin: number;
  /** A rise is planned with as slow as is to be expected. */
  readonly slow: boolean;
}

/**
 * The window of a rest. A yeasted rest at room temperature follows the room: where it may fall into several
 * temperatures, the window that is right in all of them, or, where there is none or the late side has ample room, the
 * window of the late side with the rest kept inside it.
 * @param span minutes [earliest start, latest end] in which the rest can lie
 * @param of   the lot that rests; its rise ends before its first piece has gone too far, where that leaves time at all
 */
export function restWindow(
  step: Step,
  kitchen: Kitchen,
  span: readonly [number, number],
  clockChanges: readonly ClockChange[] = [],
  { spreadMin, slow }: RestCase = { spreadMin: 0, slow: false },
): RestWindow {
  const roomThen = (minute: number) => roomAt(kitchen, wallMinute(minute, clockChanges));
  const rest = step.rest!;
  // What is inside a chamber is in it for a minute at the least.
  const least = Math.max(leastForTends(step), chamberOf(step) ? 1 : 0);
  const at = (roomC: number) => {
    const { readyMin, tooFarMin } = restInRoom(rest, roomC);
    const ready = { ready: up(readyMin), ...(isRise(rest) && { firstLook: down(firstLookMin(readyMin)) }) };
    const min = Math.max(up(readyMin), least);
    if (!isRise(rest)) return { ...ready, min, max: down(tooFarMin) };
    const max = Math.max(min, down(tooFarMin - spreadMin));
    return { ...ready, min: slow ? Math.max(min, Math.min(max, up(slowRiseMin(readyMin)))) : min, max };
  };
  if (!followsRoom(rest)) return widen(at(rest.atC));
  const [from, to] = [Math.max(0, span[0]), Math.max(span[0] + 1, span[1])];
  const temperatures = new Set<number>();
  let changedAt = from;
  for (let minute = from; minute < to; minute++) {
    const room = roomThen(minute);
    if (minute > from && room !== roomThen(minute - 1)) changedAt = minute;
    temperatures.add(room);
  }
  const windows = [...temperatures].map(at);
  if (windows.length === 1) return widen(windows[0]);
  const late = at(roomThen(to - 1));
  const common = {
    min: Math.max(...windows.map((w) => w.min)),
    max: Math.min(...windows.map((w) => w.max)),
    ready: Math.max(...windows.map((w) => w.ready)),
    // Looked at by the quickest, planned by the slowest.
    ...(isRise(rest) && { firstLook: Math.min(...windows.flatMap((w) => w.firstLook ?? [])) }),
  };
  const roomy = to - changedAt >= 2 * late.max && to - from < MINUTES_A_DAY;
  return roomy || common.min >= common.max ? { ...widen(late), earliest: changedAt } : widen(common);
}

const widen = (window: RestWindow): RestWindow => ({ ...window, max: Math.max(window.min, window.max) });
