"use client";
import { z } from "zod";
import { useStored } from "../kit/use-stored";
import type { GateAnswer } from "../plan/BeforeYouGoOn";

const SeenSchema = z.union([
  z.object({ kind: z.enum(["yes", "no"]) }),
  z.object({ kind: z.literal("measured"), value: z.number() }),
  z.object({ kind: z.literal("ticked"), count: z.number(), which: z.array(z.string()) }),
]);
const AnswerSchema = z.object({ seen: SeenSchema.optional(), note: z.string().max(300).optional() });
const AnswersSchema = z.record(z.string(), AnswerSchema);

const read = (text: string): Record<string, GateAnswer> => {
  try {
    const parsed = AnswersSchema.safeParse(JSON.parse(text || "{}"));
    return parsed.success ? (parsed.data as Record<string, GateAnswer>) : {};
  } catch {
    return {};
  }
};

/** What was seen at the gates of a gathering's steps, remembered in this browser. */
export function useSeen(gathering: string): readonly [(key: string) => GateAnswer, (key: string, answer: GateAnswer) => void] {
  const [text, put] = useStored(`unisynth-seen-${gathering}`);
  const answers = read(text);
  return [(key) => answers[key] ?? {}, (key, answer) => put(JSON.stringify({ ...answers, [key]: answer }))];
}
