"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Link from "next/link";
import { Banner } from "../kit/Banner";
import { Curve } from "../kit/Curve";
import { useDisplay } from "../kit/use-display";
import { COLOUR } from "../theme/tokens";
import { BenchDrawing } from "./BenchDrawing";
import { aboutOf, type Answer } from "./calculator";

/** The answer: the one thing that was asked first, then what belongs to it, its picture, and what stands behind it. */
export function AnswerCard({ answer, ranges }: { answer: Answer; ranges: readonly string[] }) {
  const { heat } = useDisplay();
  const { headline, says = [], caution, chart, drawing, use } = answer;
  const about = aboutOf(answer);
  return (
    <Paper component="section" aria-label="The answer" sx={{ p: 2, display: "grid", gap: 1.75 }}>
      <Box role="status" sx={{ fontFamily: '"Fraunces Variable", serif', fontSize: "1.45rem", lineHeight: 1.25 }}>
        {heat(headline)}
      </Box>
      {says.length > 0 && (
        <Box
          component="dl"
          sx={{
            m: 0,
            display: "grid",
            gridTemplateColumns: "minmax(0, max-content) minmax(0, 1fr)",
            columnGap: 2,
            rowGap: 0.5,
            "& dd": { m: 0, fontWeight: 600 },
            "& dt": { color: COLOUR.soft },
          }}
        >
          {says.map(([name, value]) => [<dt key={`${name}-t`}>{heat(name)}</dt>, <dd key={`${name}-d`}>{heat(value)}</dd>])}
        </Box>
      )}
      {caution && <Banner kind="caution">{heat(caution)}</Banner>}
      {drawing && <BenchDrawing drawing={drawing} />}
      {chart && <Curve chart={chart} />}
      <Box sx={{ borderTop: `1px solid ${COLOUR.line}`, pt: 1, fontSize: "0.85rem", color: COLOUR.soft }}>
        {about.map((one) => (
          <div key={one.model}>
            From: {one.model}
            {one.plusMinusPct !== undefined && `; expect ${one.plusMinusPct} % more or less`}
            {one.betterBy && `; better by ${one.betterBy}`}.
            {one.isGuidance && " Usual guidance: local rules and trained advice come first."}
          </div>
        ))}
        {about.length === 0 && <div>From: plane and solid geometry.</div>}
        {ranges.length > 0 && (
          <Box component="details">
            <summary>It holds for</summary>
            {ranges.map((range) => (
              <div key={range}>{heat(range)}</div>
            ))}
          </Box>
        )}
        {use && (
          <Box component={Link} href={use.href} sx={{ color: COLOUR.tide, fontWeight: 600, display: "inline-block", mt: 0.75 }}>
            {use.text}
          </Box>
        )}
      </Box>
    </Paper>
  );
}
