import { z } from "zod";
import { LONGEST_TEXT } from "@/core/shared/guard";
import { fail, ok, type Result } from "@/core/shared/issue";

/** The largest text that is put together, in letters; and how many at once, each for so long. */
const MOST_LETTERS = 16_000_000;
const MOST_PIECES = 200;
const MOST_UPLOADS = 4;
const MOST_AGE_MS = 120_000;

export const PieceSchema = z.object({
  upload: z.string().regex(/^[\w-]{8,80}$/),
  piece: z.int().min(0).max(MOST_PIECES),
  of: z.int().min(1).max(MOST_PIECES),
  text: z.string().max(LONGEST_TEXT),
});
export type Piece = z.output<typeof PieceSchema>;

interface Upload {
  readonly texts: string[];
  letters: number;
  readonly began: number;
}

/** Texts that come in pieces, in order, put together again. What is not finished in time is let go of. */
export class Pieces {
  private readonly uploads = new Map<string, Upload>();

  constructor(private readonly now: () => number) {}

  /** Takes the next piece. @returns the whole with the last one; issues: `failed` where the pieces before it are gone */
  add({ upload: id, piece, of, text }: Piece): Result<string | undefined> {
    for (const [other, { began }] of this.uploads) if (this.now() - began > MOST_AGE_MS) this.uploads.delete(other);
    if (piece === 0) {
      this.uploads.delete(id);
      if (this.uploads.size >= MOST_UPLOADS) this.uploads.delete(this.uploads.keys().next().value!);
      this.uploads.set(id, { texts: [], letters: 0, began: this.now() });
    }
    const upload = this.uploads.get(id);
    if (!upload || upload.texts.length !== piece)
      return fail({ code: "failed", path: [], got: "the pieces before this one are gone; all of it is sent again" });
    upload.texts.push(text);
    upload.letters += text.length;
    if (upload.letters > MOST_LETTERS) {
      this.uploads.delete(id);
      return fail({
        code: "out_of_range",
        path: ["text"],
        got: upload.letters,
        wanted: `at most ${MOST_LETTERS} letters in all`,
      });
    }
    if (piece < of - 1) return ok(undefined);
    this.uploads.delete(id);
    return ok(upload.texts.join(""));
  }
}

const holder = globalThis as { unisynthPieces?: Pieces };

/** Those of this process: all routes share them. */
export const pieces = (): Pieces => (holder.unisynthPieces ??= new Pieces(Date.now));
