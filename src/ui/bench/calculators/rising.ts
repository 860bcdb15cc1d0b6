import { doughTau, proofMinutes, proofProfile } from "@/core/process/proof";
import { relaxation } from "@/core/process/rest";
import { clockText, lengthText, minutesOfClock } from "@/core/shared/clock";
import { fail, ok } from "@/core/shared/issue";
import { readClock } from "@/core/shared/typed";
import type { Chart } from "../../kit/chart";
import { run, type Calculator } from "../calculator";
import { degrees } from "./words";

/** A rise of 1 % yeast at 26 °C, min. */
const REF_MIN = { lump: 80, pieces: 50 } as const;
/** Look so much sooner and be ready so much later: what a rise can differ by. */
const EITHER_WAY = 0.25;
/** Two days: nobody waits longer. */
const HORIZON_MIN = 2880;
const STEPS = 16;

const rise: Calculator = {
  id: "rise",
  when: "Rising",
  question: "When will it have risen?",
  fields: [
    { kind: "text", key: "start", label: "Since", usual: "13:00" },
    {
      kind: "choice",
      key: "stage",
      label: "What rises",
      usual: "lump",
      options: [
        ["lump", "the dough, to double"],
        ["pieces", "formed pieces"],
      ],
    },
    { kind: "number", key: "yeastPct", label: "Instant yeast, of the flour", unit: "%", usual: 1.4 },
    { kind: "number", key: "sugarPct", label: "Sugar", unit: "%", usual: 8 },
    { kind: "number", key: "saltPct", label: "Salt", unit: "%", usual: 1.8 },
    { kind: "number", key: "fatPct", label: "Fat", unit: "%", usual: 10 },
    { kind: "number", key: "doughC", label: "Dough is at", unit: "°C", usual: 25 },
    { kind: "number", key: "massG", label: "In one lump", unit: "g", usual: 1000 },
    { kind: "number", key: "roomC", label: "Room now", unit: "°C", usual: 21 },
    { kind: "number", key: "laterC", label: "Room in 3 h", unit: "°C", usual: 21 },
  ],
  answer: ({ number, text }) => {
    const clock = readClock(text("start"));
    const start = clock === undefined ? undefined : minutesOfClock(clock);
    if (start === undefined)
      return fail({ code: "unreadable", path: ["start"], got: text("start"), wanted: "a time of day such as 13:00" });
    const stage = text("stage") === "pieces" ? "pieces" : "lump";
    const roomC = number("roomC");
    const formula = run("proof.minutes", proofMinutes, {
      refMin: REF_MIN[stage],
      tempC: roomC,
      actual: {
        yeastPct: number("yeastPct"),
        sugarPct: number("sugarPct"),
        saltPct: number("saltPct"),
        fatPct: number("fatPct"),
      },
    });
    if (!formula.ok) return formula;
    const tau = run("proof.tau", doughTau, { massG: number("massG"), container: stage === "pieces" ? "tray" : "covered" });
    if (!tau.ok) return tau;
    const at = (share: number) =>
      run("proof.profile", proofProfile, {
        startMin: start,
        atRefMin: formula.value.atRefMin * share,
        profile: [
          { atMin: start, tempC: roomC },
          { atMin: start + 180, tempC: number("laterC") ?? roomC },
        ],
        tauMin: tau.value.tauMin,
        doughC: number("doughC"),
        horizonMin: HORIZON_MIN,
      });
    const found = at(1);
    if (!found.ok) return found;
    const { readyAtMin, tooFarAtMin, doughC } = found.value;
    if (readyAtMin === null)
      return fail({ code: "infeasible", path: ["roomC"], got: roomC, wanted: "a room in which it rises within two days" });
    const took = readyAtMin - start;
    const says = (minute: number) => clockText(Math.round(minute));
    return ok({
      headline: `Ready about ${says(readyAtMin)}, in ${lengthText(Math.round(took))}`,
      says: [
        ["Look first at", says(start + took * (1 - EITHER_WAY))],
        ["Plan with", says(start + took * (1 + EITHER_WAY))],
        ["Too far from", tooFarAtMin === null ? "not within two days" : says(tooFarAtMin)],
        ["The dough is then at", doughC === null ? "not known" : degrees(doughC)],
      ],
      caution: "The volume counts, not the clock: a dent that fills slowly is ready.",
      chart: riseChart(start, readyAtMin, tooFarAtMin, (share) => {
        const then = at(share);
        return then.ok ? then.value.readyAtMin : null;
      }),
      by: ["proof.profile"],
      use: { text: "Your kitchen's room through the day", href: "/kitchens" },
    });
  },
};

/** Rise so far by minutes since the start, with the window in which it is right. */
function riseChart(start: number, ready: number, tooFar: number | null, reached: (share: number) => number | null): Chart {
  const points = Array.from({ length: STEPS }, (_, k): [number, number] | undefined => {
    const share = ((k + 1) / STEPS) * 1.5;
    const minute = reached(share);
    return minute === null ? undefined : [Math.round(minute - start), Math.round(share * 100)];
  }).filter((point): point is [number, number] => point !== undefined);
  return {
    title: "Rise so far",
    x: "min since then",
    y: "% of the rise",
    series: [{ name: "rise", points: [[0, 0], ...points] }],
    bands: [{ from: Math.round(ready - start), to: Math.round((tooFar ?? ready * 1.5) - start), label: "right" }],
    lines: [{ y: 100, label: "ready" }],
  };
}

const RELAXED = [
  ["wrapper", "thin wrappers, cold water"],
  ["hotWater", "hot-water dough"],
  ["flatbread", "soft dough for a dry pan"],
  ["stretched", "a sheet to be stretched"],
  ["shortcrust", "short dough"],
  ["puffTurn", "between two folds"],
] as const;

const relax: Calculator = {
  id: "rest",
  when: "Rising",
  question: "How long until it rolls out and stays?",
  fields: [
    { kind: "choice", key: "kind", label: "Dough", usual: "wrapper", options: RELAXED },
    { kind: "number", key: "tempC", label: "Where it rests", unit: "°C", usual: 21 },
    { kind: "number", key: "hydrationPct", label: "Water, of the flour", unit: "%", usual: 48 },
  ],
  answer: ({ number, text }) => {
    const found = run("rest.relaxation", relaxation, {
      kind: text("kind"),
      tempC: number("tempC"),
      hydrationPct: number("hydrationPct"),
    });
    if (!found.ok) return found;
    const { readyMin, tooFarMin } = found.value;
    const curve = [12, 15, 18, 21, 24, 27, 30, 33].map((tempC): [number, number] => {
      const then = run("rest.relaxation", relaxation, { kind: text("kind"), tempC, hydrationPct: number("hydrationPct") });
      return [tempC, then.ok ? Math.round(then.value.readyMin) : 0];
    });
    return ok({
      headline: `Ready after ${lengthText(Math.round(readyMin))}`,
      says: [["It may stay, covered, for", lengthText(tooFarMin)]],
      chart: { title: "Ready by the room", x: "°C", y: "min", series: [{ name: "ready", points: curve }] },
      by: ["rest.relaxation"],
      use: { text: "Your kitchen's room through the day", href: "/kitchens" },
    });
  },
};

export const RISING: readonly Calculator[] = [rise, relax];
