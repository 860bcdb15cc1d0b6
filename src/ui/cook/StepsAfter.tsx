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
import { counted } from "@/core/shared/words";
import { COLOUR } from "../theme/tokens";
import { useCookedDay, type CookedDay } from "./cook-context";

/** Planned beside happened, step by step, item by item. */
export function StepsAfter() {
  const { plan, state } = useCookedDay();
  const all = stepsAfter(plan, state);
  return (
    <Paper component="section" aria-label="Planned and happened" sx={{ p: 2.5, display: "grid", gap: 0.5 }}>
      <Typography variant="h2">Planned and happened</Typography>
      {plan.day.items.map(({ id, name }) => {
        const own = all.filter(({ task }) => plan.tasks[task].item === id);
        const over = own.filter(({ went }) => went);
        const off = over.filter(({ went, planned }) => went!.minutes !== planned.minutes);
        return (
          <Box key={id} component="details">
            <Box component="summary" sx={{ cursor: "pointer", py: 2, fontWeight: 600 }}>
              {name}: {over.length} of {counted(own.length, "step")} done, {off.length} of other lengths than planned
            </Box>
            <StepTable steps={own} />
          </Box>
        );
      })}
    </Paper>
  );
}

function StepTable({ steps }: { steps: readonly StepAfter[] }) {
  const day = useCookedDay();
  const { shown } = day;
  return (
    <Box sx={{ overflowX: "auto" }}>
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
          {steps.map((step) => (
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
    </Box>
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
