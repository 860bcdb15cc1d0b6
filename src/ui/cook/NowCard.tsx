import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { oilSetC } from "@/core/run/oil";
import { Banner } from "../kit/Banner";
import { COLOUR } from "../theme/tokens";
import { CoreCheck } from "./CoreCheck";
import type { Doing } from "./cook.view-model";
import { HowItLooks } from "./HowItLooks";
import { OilCheck } from "./OilCheck";
import type { Say } from "./say";
import { SomethingElse } from "./SomethingElse";

/** Large enough for a floury thumb. */
const PRESS = { minHeight: 56, fontSize: "1.15rem", px: 3 } as const;

interface Props {
  readonly doing: Doing;
  readonly title: string;
  readonly heat: (text: string) => string;
  readonly degrees: (celsius: number) => string;
  readonly say: Say;
  readonly begin: () => void;
  /** What it takes, to be ticked off. */
  readonly weights?: ReactNode;
  /** Where the screen is everybody's. */
  readonly isSmall: boolean;
}

/** The one thing to do now: what, one press, how it looks when it is right, what can hurt, what it takes. */
export function NowCard({ doing: { task, step, press, run }, title, heat, degrees, say, begin, weights, isSmall }: Props) {
  const needsCore = step?.coreC !== undefined && (run.coreC === undefined || run.coreC < step.coreC);
  const oilC = oilSetC(step);
  return (
    <Box
      component="article"
      aria-label={title}
      sx={{
        background: COLOUR.card,
        border: `1px solid ${COLOUR.line}`,
        borderTop: `6px solid ${COLOUR.ember}`,
        p: { xs: 2, sm: 3 },
      }}
    >
      <Box
        component="h2"
        sx={{
          m: 0,
          fontFamily: '"Fraunces Variable", serif',
          // Read from where the hands are, two metres away.
          fontSize: isSmall ? "1.45rem" : { xs: "2.5rem", sm: "2.9rem", lg: "4rem" },
          lineHeight: 1.06,
          overflowWrap: "anywhere",
        }}
      >
        {title}
      </Box>
      {step?.caution && (
        <Box sx={{ mt: 1.5, fontSize: isSmall ? undefined : "1.2rem" }}>
          <Banner kind="caution">{heat(step.caution)}</Banner>
        </Box>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, mt: 2 }}>
        {press === "done" && (
          <Button variant="contained" sx={PRESS} onClick={() => say({ kind: "done", task })}>
            Done
          </Button>
        )}
        {press === "begin" && (
          <Button variant="contained" sx={PRESS} onClick={begin}>
            It is in: begin
          </Button>
        )}
        {press === "judge" && !needsCore && (
          <Button variant="contained" sx={PRESS} onClick={() => say({ kind: "checked", task, seen: "right" })}>
            It is right
          </Button>
        )}
        {press === "judge" && (
          <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "checked", task, seen: "early" })}>
            Not yet
          </Button>
        )}
        {press === "done" && run.status === "waiting" && (
          <Button variant="outlined" sx={PRESS} onClick={begin}>
            Begin
          </Button>
        )}
        {[5, 10].map((minutes) => (
          <Button
            key={minutes}
            variant="outlined"
            sx={PRESS}
            aria-label={`${title}: ${minutes} min more`}
            onClick={() => say(run.status === "waiting" ? { kind: "late", task, minutes } : { kind: "extended", task, minutes })}
          >
            +{minutes}
          </Button>
        ))}
        <SomethingElse task={task} title={title} say={say} />
      </Box>
      {oilC !== undefined && <OilCheck task={task} wantedC={oilC} degrees={degrees} say={say} />}
      {press === "judge" && step?.coreC !== undefined && (
        <CoreCheck task={task} wantedC={step.coreC} measuredC={run.coreC} degrees={degrees} say={say} />
      )}
      {press === "judge" && step && <HowItLooks task={task} step={step} say={say} mayEnd={!needsCore} />}
      {step?.do && <Box sx={{ mt: 1.5, fontSize: isSmall ? "1.15rem" : "1.35rem" }}>{heat(step.do)}</Box>}
      {press !== "judge" && step?.cue?.see && (
        <Line name="Right when">{[step.cue.see, step.cue.feel, step.cue.hear, step.cue.smell].filter(Boolean).join("; ")}</Line>
      )}
      {step?.coreC !== undefined && (
        <Line name="Core">{degrees(step.coreC)} in the thickest piece, in two of them; local rules come first</Line>
      )}
      {weights}
    </Box>
  );
}

const Line = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box sx={{ mt: 1, fontSize: "1.1rem" }}>
    <Box component="span" sx={{ color: COLOUR.soft }}>
      {name}:{" "}
    </Box>
    {children}
  </Box>
);
