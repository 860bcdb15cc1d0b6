import { EQUIPMENT_COUNTS } from "@/core/kitchen/counts";
import fc from "fast-check";
import { RequestSchema } from "@/core/plan/request";
import { KNOWN_EQUIPMENT } from "@/core/kitchen/schema";
import { stepIssues } from "@/core/item/step-check";
import type { Step } from "@/core/item/step";
import { anyOfSchema } from "./any-of-schema";
import { TODAY } from "./demo";

// A document as it is generated: what it looks like is the schema's affair.
/* eslint-disable @typescript-eslint/no-explicit-any */
type Doc = any;

const list = (value: unknown): Doc[] => (Array.isArray(value) ? value : []);
const number = (entries: unknown, prefix: string) => list(entries).forEach((entry, i) => (entry.id = `${prefix}${i}`));
/** One of some ids, by whatever was there. */
const oneOf = (ids: readonly string[], was: unknown): string => ids[Math.abs(hash(String(was))) % ids.length];
const hash = (text: string) => [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) | 0, 7);

const CLOCK = /^(\d\d):(\d\d)$/;
const minutes = (clock: string) => Number(CLOCK.exec(clock)![1]) * 60 + Number(CLOCK.exec(clock)![2]);

/** Stretches that do not meet, those that end before they begin turned round. */
function spans(entries: Doc): Doc[] {
  const kept: Doc[] = [];
  for (const entry of list(entries)) {
    if (entry.from === entry.to) continue;
    if (minutes(entry.from) > minutes(entry.to)) [entry.from, entry.to] = [entry.to, entry.from];
    const meets = kept.some(
      (k) => (k.day ?? 0) === (entry.day ?? 0) && minutes(k.from) < minutes(entry.to) && minutes(entry.from) < minutes(k.to),
    );
    if (!meets) kept.push(entry);
  }
  return kept;
}

function joinKitchen(kitchen: Doc): void {
  number(kitchen.cooks, "cook-");
  for (const cook of kitchen.cooks) {
    cook.hours = spans([...(cook.id === "cook-0" ? [{ day: 0, from: "08:00", to: "20:00" }] : []), ...list(cook.hours)]);
    cook.notFor = list(cook.notFor);
  }
  kitchen.breaks = spans(kitchen.breaks);
  const room = spans(kitchen.roomC);
  kitchen.roomC = room.length > 0 ? room : [{ from: "00:00", to: "24:00", c: 21 }];
  if (kitchen.equipment.oven) delete kitchen.equipment.oven.shelfMm;
}

const EQUIPMENT = [...KNOWN_EQUIPMENT];

function joinStep(step: Doc, i: number, earlier: readonly string[], item: Doc): void {
  const links = earlier.length > 0 ? list(step.after) : [];
  for (const link of links) {
    link.step = oneOf(earlier, link.step + i);
    if (link.maxGapMin !== undefined) link.maxGapMin = Math.max(link.maxGapMin, link.minGapMin ?? 0);
  }
  step.after = links.length > 0 || earlier.length === 0 ? links : [{ step: earlier[earlier.length - 1] }];
  if (step.rest) {
    const [min, target, max] = [step.rest.min, step.rest.target, step.rest.max].sort((a: number, b: number) => a - b);
    Object.assign(step.rest, { min, target, max });
  }
  list(step.equipment).forEach((use, k) => {
    use.id = oneOf(EQUIPMENT, `${use.id}${k}${i}${step.kind}`);
    if (use.or) use.or = oneOf(EQUIPMENT, use.or + k);
  });
  list(step.alt).forEach((alt) => (alt.equipment = "hands"));
  if (step.when) {
    const schools = list(item.schools);
    if (schools.length === 0) delete step.when;
    else {
      const school = schools[i % schools.length];
      step.when = { school: school.id, option: school.options[0].id };
    }
  }
  const written = { time: { fixedMin: 0, secPerPiece: 0 }, ...step } as Step;
  const wrong = stepIssues(written, item.base.pieces);
  if (wrong.length > 0) step.tend = [];
  if (stepIssues({ ...written, tend: [] }, item.base.pieces).length > 0) step.time = { fixedMin: 5, secPerPiece: 0 };
}

function joinItem(item: Doc, i: number): void {
  item.id = `item-${i}`;
  number(item.dough.parts, "part-");
  item.dough.parts.forEach((part: Doc, p: number) => number(part.components, `d${p}-`));
  number(item.dough.variants, "dough-");
  number(item.filling.components, "f-");
  number(item.filling.variants, "filling-");
  number(item.schools, "school-");
  const inDough: string[] = item.dough.parts.flatMap((part: Doc) => part.components.map((c: Doc) => c.id));
  const inFilling: string[] = item.filling.components.map((c: Doc) => c.id);
  if (item.dough.holdBack) item.dough.holdBack.component = inDough[0];
  for (const variant of list(item.dough.variants)) {
    number(variant.components, "d0-");
    if (variant.holdBack) variant.holdBack.component = "d0-0";
  }
  for (const variant of list(item.filling.variants)) {
    number(variant.components, "f-");
    variant.stepChanges = [];
  }
  const steps = item.steps.map((_: Doc, s: number) => `${item.id}-s${s}`);
  item.steps.forEach((step: Doc, s: number) => (step.id = steps[s]));
  if (item.filling.stepChanges) {
    const some = list(item.filling.stepChanges).length > 0 && steps.length > 1;
    item.filling.stepChanges = some ? [{ step: steps[steps.length - 1], skip: true }] : [];
  }
  number(item.beside, "beside-");
  for (const one of list(item.beside)) number(one.components, "b-");
  for (const school of list(item.schools)) {
    number(school.options, "option-");
    for (const option of school.options) {
      option.changes = list(option.changes).length > 0 ? [{ step: oneOf(steps, option.name), skip: true }] : [];
      option.omit = list(option.omit).map((id, k) => oneOf([...inDough.slice(1), ...inFilling, inDough[0]], `${id}${k}`));
      list(option.finish).forEach((entry) => (entry.step = oneOf(steps, entry.step)));
      option.fillingSwap = inFilling.length > 0 ? list(option.fillingSwap) : [];
      option.fillingSwap.forEach((swap: Doc) => (swap.from = oneOf(inFilling, swap.from)));
      const doughs = list(item.dough.variants).map((variant) => variant.id);
      if (doughs.length > 0 && option.doughVariant) option.doughVariant = oneOf(doughs, option.doughVariant);
      else delete option.doughVariant;
    }
  }
  item.steps.forEach((step: Doc, s: number) => joinStep(step, s, steps.slice(0, s), item));
  list(item.finish).forEach((entry) => (entry.step = oneOf(steps, entry.step)));
  number(item.faults, "fault-");
}

function joinEntry(entry: Doc, items: readonly Doc[], k: number): void {
  const item = items[k % items.length];
  entry.recipe = item.id;
  entry.choices = Object.fromEntries(list(item.schools).map((school) => [school.id, school.options.at(-1).id]));
  const fillings = ["base", ...list(item.filling.variants).map((variant) => variant.id)];
  list(entry.split).forEach((part) => {
    part.filling = oneOf(fillings, part.pieces);
    if (part.choices) part.choices = entry.choices;
  });
  if (entry.pieces !== undefined) entry.pieces = Math.min(entry.pieces, 120);
  if (list(entry.split).length === 0) delete entry.split;
  else {
    entry.split.forEach((part: Doc) => (part.pieces = Math.min(part.pieces, 40)));
    if (entry.pieces !== undefined) entry.pieces = entry.split.reduce((all: number, part: Doc) => all + part.pieces, 0);
  }
}

function joinGathering(gathering: Doc, items: readonly Doc[]): void {
  gathering.date = "relative" in gathering.date ? gathering.date : { on: "2026-12-05" };
  list(gathering.guests).forEach((guests) => (guests.count = Math.min(guests.count, 40)));
  number(gathering.waves, "wave-");
  list(gathering.waves).forEach((wave) => {
    if (minutes(wave.time) <= 480) wave.time = "19:00";
    wave.items = wave.items.slice(0, items.length);
    wave.items.forEach((entry: Doc, k: number) => joinEntry(entry, items, k));
  });
  list(gathering.freezer).forEach((entry, k) => {
    entry.by = entry.by.day > 0 ? entry.by : { day: 0, time: "21:30" };
    joinEntry(entry, items, k);
  });
  const allSteps = items.flatMap((item) => item.steps.map((step: Doc) => step.id));
  gathering.doneAhead = list(gathering.doneAhead).map((ahead, k) => {
    const item = items[k % items.length];
    return { ...ahead, recipe: item.id, pieces: undefined, through: item.steps[k % item.steps.length].id };
  });
  list(gathering.attendance).forEach((entry, k) => {
    Object.assign(entry, { cook: `helper-${k}`, name: entry.name ?? "Helper" });
    entry.hours = list(entry.hours)
      .slice(0, 1)
      .map((one) => ({ ...one, from: "10:00", to: "20:00" }));
  });
  if (gathering.breaks) gathering.breaks = [];
  if (gathering.equipment) {
    const counts = Object.values(gathering.equipment as Record<string, number>);
    gathering.equipment = Object.fromEntries(
      counts.map((count, k) => [EQUIPMENT_COUNTS[(k + count) % EQUIPMENT_COUNTS.length], count]),
    );
  }
  list(gathering.ahead).forEach((entry, k) => {
    const item = items[k % items.length];
    Object.assign(entry, { recipe: item.id, through: item.steps[k % item.steps.length].id, day: 0 });
  });
  if (list(gathering.waves).length === 0) delete gathering.beside;
  number(list(gathering.beside), "beside-");
  list(gathering.beside).forEach((one, k) => {
    one.wave = gathering.waves[k % gathering.waves.length].id;
    if (one.recipe) one.recipe = "item-0";
  });
  number(gathering.rules, "rule-");
  list(gathering.rules).forEach((rule) => (rule.steps = rule.steps.map((id: string) => oneOf(allSteps, id))));
}

/** Requests of any content that the schemas accept, what belongs together joined: almost all of them pass the door. */
export const anyRequest: fc.Arbitrary<unknown> = anyOfSchema(RequestSchema).map((generated) => {
  const request = structuredClone(generated) as Doc;
  Object.assign(request, { today: TODAY, own: undefined, calibration: undefined, usual: undefined });
  joinKitchen(request.kitchen);
  request.items.forEach(joinItem);
  joinGathering(request.gathering, request.items);
  return JSON.parse(JSON.stringify(request)) as unknown;
});
