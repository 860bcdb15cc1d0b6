"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import Link from "next/link";
import { useMemo, useState } from "react";
import { issueText } from "@/core/shared/issue-text";
import { useCatalogue } from "../ingredients/CatalogueProvider";
import { Main } from "../kit/Main";
import { TopBar } from "../kit/TopBar";
import { COLOUR } from "../theme/tokens";
import { AnswerCard } from "./AnswerCard";
import { FieldInput } from "./FieldInput";
import { Questions } from "./Questions";
import { isAsked, labelOf, rangesOf, usualOf, valuesOf, type Typed } from "./calculator";
import { calculatorOf } from "./calculators";

/** The address of a question with what is typed, where that is not as usual. */
function addressOf(id: string, typed: Typed, usual: Typed): string {
  const own = Object.entries(typed).filter(([key, value]) => value !== usual[key]);
  return own.length === 0 ? `/bench/${id}` : `/bench/${id}?${new URLSearchParams(own)}`;
}

/** One question: what is typed on the left, the answer beside it at once. */
export function BenchView({ id, typed: first }: { id: string; typed: Typed }) {
  const one = calculatorOf(id)!;
  const { catalogue } = useCatalogue();
  const [typed, setTyped] = useState(first);
  const usual = useMemo(() => usualOf(one.fields), [one]);
  const change = (key: string, value: string) => {
    const next = { ...typed, [key]: value };
    setTyped(next);
    window.history.replaceState(null, "", addressOf(id, next, usual));
  };
  const values = valuesOf(one.fields, typed);
  const answer = values.ok ? one.answer(values.value, catalogue) : values;
  return (
    <>
      <TopBar />
      <Main sx={{ px: { xs: 2, md: 4 }, py: 2.5 }}>
        <Box
          sx={{
            display: "grid",
            gap: 3,
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "250px minmax(0, 1fr)" },
            alignItems: "start",
          }}
        >
          <Box component="nav" aria-label="Questions" sx={{ display: { xs: "none", md: "block" } }}>
            <Questions here={id} />
          </Box>
          <Box>
            <Box
              component={Link}
              href="/bench"
              sx={{ display: { xs: "inline-block", md: "none" }, color: COLOUR.tide, mb: 1, py: 1 }}
            >
              All questions
            </Box>
            <Typography variant="h1" sx={{ fontSize: "1.5rem", mb: 1.5 }}>
              {one.question}
            </Typography>
            <Box
              sx={{
                display: "grid",
                gap: 2.5,
                gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "330px minmax(0, 1fr)" },
                alignItems: "start",
              }}
            >
              <Paper
                component="section"
                aria-label="What there is"
                sx={{ p: 2, display: "grid", gap: 1.75, gridTemplateColumns: { xs: "1fr 1fr", lg: "1fr" } }}
              >
                {one.fields
                  .filter((field) => isAsked(field, typed))
                  .map((field) => (
                    <FieldInput
                      key={field.key}
                      field={field}
                      value={typed[field.key] ?? ""}
                      onChange={(value) => change(field.key, value)}
                    />
                  ))}
              </Paper>
              {answer.ok ? (
                <AnswerCard answer={answer.value} ranges={rangesOf(one, answer.value)} />
              ) : (
                <Paper component="section" aria-label="The answer" sx={{ p: 2 }}>
                  <Box role="alert" sx={{ color: COLOUR.ember, fontWeight: 600 }}>
                    {issueText(answer.issues[0], labelOf(one, answer.issues[0]))}
                  </Box>
                </Paper>
              )}
            </Box>
          </Box>
        </Box>
      </Main>
    </>
  );
}
