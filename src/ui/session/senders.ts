import type { Gathering } from "@/core/gathering/schema";
import type { OwnIngredient } from "@/core/ingredients/own";
import type { Item } from "@/core/item/schema";
import type { Kitchen } from "@/core/kitchen/schema";
import type { PantryEntry } from "@/core/batching/shopping-list";
import type { KeptPlan } from "@/core/plan/kept-plan";
import { LONGEST_TEXT } from "@/core/shared/guard";
import { ok, type Result } from "@/core/shared/issue";
import { clashOf } from "./clash";
import type { Revised, Unsaved } from "./document-session";
import type { Sender } from "./outbox";

type Saved = Promise<Result<{ readonly revision: number }>>;

/** Everything that a browser may ask the server to keep. */
export interface Actions {
  readonly saveGathering: (draft: Gathering, from: number) => Saved;
  readonly saveItem: (draft: Item, from: number) => Saved;
  readonly saveKitchen: (draft: Kitchen, from: number) => Saved;
  readonly savePlanPiece: (piece: { upload: string; piece: number; of: number; text: string }) => Promise<Result<unknown>>;
  readonly savePantry: (entry: PantryEntry) => Promise<Result<unknown>>;
  readonly keepOwn: (entry: OwnIngredient) => Promise<Result<unknown>>;
  readonly forgetOwn: (id: string) => Promise<Result<unknown>>;
}

/** Letters of a plan's text that go in one request: as many as the door lets in as one text. */
const PIECE = LONGEST_TEXT;

/** Sends a document whose view is gone: laid into what was saved elsewhere since, where the two changed different fields. */
const document =
  <T>(save: (draft: T, from: number) => Saved): Sender =>
  async (body) => {
    const { draft, base } = body as Unsaved<T>;
    const answer = await save(draft, base.revision);
    const theirs = answer.ok || answer.issues[0].code !== "conflict" ? undefined : (answer.issues[0].got as Revised<T> | null);
    if (!theirs) return answer;
    const clash = clashOf(draft, base.document, theirs.document);
    return "merged" in clash ? save(clash.merged, theirs.revision) : answer;
  };

/** Sends a plan in pieces that fit; the last of them is answered with what came of the whole. */
const plan =
  (savePiece: Actions["savePlanPiece"]): Sender =>
  async (body) => {
    const text = JSON.stringify(body as KeptPlan);
    const of = Math.ceil(text.length / PIECE);
    const upload = crypto.getRandomValues(new Uint32Array(4)).join("-");
    let answer: Result<unknown> = ok(undefined);
    for (let piece = 0; piece < of && answer.ok; piece++)
      answer = await savePiece({ upload, piece, of, text: text.slice(piece * PIECE, (piece + 1) * PIECE) });
    return answer;
  };

export type LetterKind = "gathering" | "item" | "kitchen" | "plan" | "pantry" | "own" | "own-forgotten";

/** How each kind of letter is sent. */
export const sendersFor = (actions: Actions): Readonly<Record<LetterKind, Sender>> => ({
  gathering: document(actions.saveGathering),
  item: document(actions.saveItem),
  kitchen: document(actions.saveKitchen),
  plan: plan(actions.savePlanPiece),
  pantry: (body) => actions.savePantry(body as PantryEntry),
  own: (body) => actions.keepOwn(body as OwnIngredient),
  "own-forgotten": (body) => actions.forgetOwn(body as string),
});
