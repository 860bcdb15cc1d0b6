import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableHead from "@mui/material/TableHead";
import TableRow from "@mui/material/TableRow";
import Typography from "@mui/material/Typography";
import { stepsAfter, type StepAfter } from "@/core/run/afterwards";
import { lengthText } from "@/core/shared/clock";
import { COLOUR } from "../theme/tokens";
import { useCookedDay, type CookedDay } from "./cook-context";

/** Planned beside happened, step by step. */
export function StepsAfter() {
  const day = useCookedDay();
  const { plan, state, shown } = day;
  return (
    <Paper component="section" aria-label="Planned and happened" sx={{ p: 2.5, overflowX: "auto" }}>
      <Typography variant="h2">Planned and happened</Typography>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Step</TableCell>
            <TableCell>Planned</TableCell>
            <TableCell>Happened</TableCell>
            <TableCell>Told</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {stepsAfter(plan, state).map((step) => (
            <TableRow key={step.task}>
              <TableCell>{shown.task(step.task)}</TableCell>
              <TableCell sx={{ whiteSpace: "nowrap" }}>
                {shown.clock(step.planned.start)}, {lengthText(step.planned.minutes)}
              </TableCell>
              <TableCell sx={{ whiteSpace: "nowrap" }}>
                {step.went ? `${shown.clock(step.went.start)}, ${lengthText(step.went.minutes)}` : "–"}
                <Off step={step} />
              </TableCell>
              <TableCell>{toldText(step, day)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Paper>
  );
}

/** By how much a step was longer or shorter, where anybody would notice. */
function Off({ step: { went, planned } }: { step: StepAfter }) {
  const off = went ? went.minutes - planned.minutes : 0;
  if (off === 0) return null;
  return (
    <Box component="span" sx={{ ml: 1, color: off > 0 ? COLOUR.ember : COLOUR.soft }}>
      {off > 0 ? "+" : "−"}
      {Math.abs(off)} min
    </Box>
  );
}

function toldText({ coreC, gone, isLeftOut, isAssumed, reason }: StepAfter, { shown }: CookedDay): string {
  return [
    coreC
      ? coreC.measuredC === undefined
        ? `core not measured, ${shown.degrees(coreC.wantedC)} wanted`
        : `core ${shown.degrees(coreC.measuredC)} of ${shown.degrees(coreC.wantedC)}`
      : "",
    gone === "lost" ? "lost" : gone === "frozen" ? "raw into the freezer" : isLeftOut ? "left out" : "",
    isAssumed ? "nobody pressed: over because what follows was begun" : "",
    reason ?? "",
  ]
    .filter(Boolean)
    .join("; ");
}
