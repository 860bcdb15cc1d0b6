"use client";
import { z } from "zod";
import type { Seen } from "@/core/item/gates/answer";
import { useStored } from "../kit/use-stored";

const SeenSchema = z.union([
  z.object({ kind: z.enum(["yes", "no"]) }),
  z.object({ kind: z.literal("measured"), value: z.number() }),
  z.object({ kind: z.literal("ticked"), count: z.number(), which: z.array(z.string()) }),
]);
const AnswerSchema = z.object({ seen: SeenSchema.optional(), note: z.string().max(300).optional() });
/** What was seen at a gate; `note`: why work went on all the same. */
export type Answer = Omit<z.output<typeof AnswerSchema>, "seen"> & {
  readonly seen?: Seen & { readonly which?: readonly string[] };
};
const AnswersSchema = z.record(z.string(), AnswerSchema);

const read = (text: string): Record<string, Answer> => {
  try {
    const parsed = AnswersSchema.safeParse(JSON.parse(text || "{}"));
    return parsed.success ? (parsed.data as Record<string, Answer>) : {};
  } catch {
    return {};
  }
};

/** What was seen at the gates of a gathering's steps, remembered in this browser. */
export function useSeen(gathering: string): readonly [(key: string) => Answer, (key: string, answer: Answer) => void] {
  const [text, put] = useStored(`unisynth-seen-${gathering}`);
  const answers = read(text);
  return [(key) => answers[key] ?? {}, (key, answer) => put(JSON.stringify({ ...answers, [key]: answer }))];
}
