import { followsRoom } from "@/core/item/rest-in-room";
import { piecesText } from "@/core/plan/task-text";
import { OURS, type Catalogue } from "@/core/ingredients/own";
import { claimsLines } from "@/core/item/item-claims-text";
import { deskTotals } from "@/core/item/desk";
import { drawingOf } from "@/core/item/making/drawing/draw";
import { reach } from "@/core/item/making/drawing/marks";
import type { Stage } from "@/core/item/making/drawing/stage";
import { isProvisional } from "@/core/item/gaps";
import type { Choices, Item } from "@/core/item/schema";
import type { Step } from "@/core/item/step";
import type { Path } from "@/core/item/step";
import { doseTexts } from "@/core/item/doses";
import { resolveItem } from "@/core/item/resolve";
import { handsMinutes } from "@/core/item/step-minutes";
import { stepName } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";

export interface ItemCardModel {
  readonly id: string;
  readonly name: string;
  readonly line: string;
  readonly course: string;
  /** "50 g dough and 46 g filling · 16 a batch" */
  readonly piece: string;
  /** Hands-on time of a base batch and the time from first step to last, as texts. */
  readonly hands: string;
  readonly contains: string;
  /** Something of it is still guessed or not understood. */
  readonly provisional: boolean;
  /** The finished piece, drawn; undefined where its shape is only told. */
  readonly picture: { readonly stage: Stage; readonly halfMm: number } | undefined;
}

/** What the list says of each item: what a piece is, what a batch takes, what is in it. */
export const itemCards = (items: readonly Item[], catalogue: Catalogue = OURS): ItemCardModel[] =>
  items.map((item) => ({
    id: item.id,
    name: item.name,
    line: item.line,
    course: item.course ?? "",
    piece: `${grams(item.piece.doughG)} dough${item.piece.fillingG > 0 ? ` and ${grams(item.piece.fillingG)} filling` : ""} · ${item.base.pieces} a batch`,
    hands: `${lengthText(handsOnMinutes(item))} of hands a batch`,
    contains: claimsLines(item, {}, catalogue),
    provisional: isProvisional(item),
    picture: pictureOf(item),
  }));

/** The last picture of how a piece is formed, in a frame of its own. */
function pictureOf(item: Item): ItemCardModel["picture"] {
  const stage = drawingOf(item)?.stages.at(-1);
  return stage && { stage, halfMm: Math.max(...stage.marks.map(({ path }) => reach(path))) + 2 };
}

const grams = (g: number): string => `${Math.round(g * 10) / 10} g`;

/** Hands-on and tending minutes of one base batch for the table, at an intermediate pace. */
export function handsOnMinutes(item: Item, choices: Choices = {}): number {
  const steps = resolveItem(item, choices, "base").steps.filter((step) => step.path.includes("fresh"));
  return Math.round(handsMinutes(steps, item.base.pieces));
}

export interface StepRow {
  readonly id: string;
  readonly step: Step;
  readonly verb: string;
  readonly what: string;
  readonly does: string;
  /** "6 min + 30 s a piece", "rest 30 min to 2 h". */
  readonly time: string;
  readonly where: string;
  readonly cue: string;
  readonly caution?: string;
  /** Differs from the step under the default options. */
  readonly changed: boolean;
}

const PART: Readonly<Record<Step["part"], string>> = { dough: "dough", filling: "filling", piece: "pieces" };

/** The steps of an item in order under the chosen options, with what the choices change marked. */
export function stepRows(item: Item, choices: Choices, path: Path = "fresh", catalogue: Catalogue = OURS): StepRow[] {
  const plain = new Map(resolveItem(item, {}, "base").steps.map((step) => [step.id, JSON.stringify(step)]));
  const { steps, dough, fillingComponents } = resolveItem(item, choices, "base");
  return steps
    .filter((step) => step.path.includes(path))
    .map((step) => ({
      id: step.id,
      step,
      verb: stepName(step),
      what: PART[step.part],
      does: [step.do, ...doseTexts(step, step.part === "filling" ? fillingComponents : dough, catalogue)].join(" "),
      time: timeText(step),
      where: step.equipment
        .map((e) =>
          e.settingC !== undefined && e.id === "oven"
            ? `oven ${e.settingC} °C, fan`
            : e.settingC !== undefined && e.id === "fryer"
              ? `oil ${e.settingC} °C`
              : e.id.replace(/-/g, " "),
        )
        .join(", "),
      cue: cueText(step.cue),
      caution: step.caution,
      changed: plain.get(step.id) !== JSON.stringify(step),
    }));
}

function timeText(step: Step): string {
  if (step.rest) {
    const { min, target, max, atC } = step.rest;
    return `${lengthText(Math.round(target))} (${lengthText(Math.round(min))} to ${lengthText(Math.round(max))})${followsRoom(step.rest) ? ` at ${atC} °C; follows the room` : ""}`;
  }
  const parts = [
    step.time.fixedMin > 0 ? `${step.time.fixedMin} min` : "",
    step.time.secPerPiece > 0 ? `${step.time.secPerPiece} s a piece` : "",
  ].filter(Boolean);
  return parts.join(" + ") || "at once";
}

/** What is wrong with the balance of dough to filling, as the cook would say it; undefined where they end together. */
export function balanceText(item: Item, catalogue: Catalogue = OURS): string | undefined {
  const { balance } = deskTotals(item, catalogue);
  if (!balance || balance.limiting === "both") return undefined;
  const left =
    balance.limiting === "dough"
      ? `${Math.round(balance.fillingLeftG)} g of filling`
      : `${Math.round(balance.doughLeftG)} g of dough`;
  const enough = Math.floor(
    balance.limiting === "dough" ? balance.fillingLeftG / item.piece.fillingG : balance.doughLeftG / item.piece.doughG,
  );
  return `The ${balance.limiting} runs out first, after ${piecesText(balance.pieces)}; ${left} is left, enough for ${enough} more.`;
}

/** What it is like when it is right. */
const cueText = ({ see, feel, hear, smell }: NonNullable<Step["cue"]> = {}): string =>
  [see, feel, hear, smell].filter(Boolean).join("; ");
