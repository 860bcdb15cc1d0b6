import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import type { Outcome, Served, Unsafe } from "@/core/run/outcome";
import type { Plan } from "@/core/plan/schema";
import { targetName } from "@/core/plan/targets";
import { itemNameIn } from "@/core/plan/task-text";
import { lengthText } from "@/core/shared/clock";
import { counted, listed } from "@/core/shared/words";
import { Banner } from "../kit/Banner";

interface Props {
  readonly plan: Plan;
  readonly outcome: Outcome;
  readonly task: (id: string) => string;
  readonly clock: (minute: number) => string;
  readonly degrees: (celsius: number) => string;
}

/** What the day came to: what was served and when, hot or not, what was wasted, and what may not be safe. */
export function OutcomeCard({ plan, outcome, task, clock, degrees }: Props) {
  const name = (item: string) => itemNameIn(plan, item);
  const target = (id: string) => (id === "freezer" ? "Freezer" : targetName(plan, id));
  return (
    <Paper component="section" aria-label="What it came to" sx={{ p: 2.5, display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{outcome.isOver ? "What it came to" : "What it came to so far"}</Typography>
      {outcome.served.map((one) => (
        <Box key={`${one.for} ${one.item}`} sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, fontSize: "1.05rem" }}>
          <Box sx={{ fontWeight: 650, minWidth: 220 }}>
            {target(one.for)}: {name(one.item)}
          </Box>
          <Box>{servedText(one, clock)}</Box>
        </Box>
      ))}
      {outcome.unsafe.map((one) => (
        <Banner key={`${one.code} ${one.task}`} kind="caution">
          {unsafeText(one, task, degrees)}
        </Banner>
      ))}
      {outcome.isOver && outcome.unsafe.length === 0 && (
        <Box>Every core that was to be measured was, and no lot was out of the cold for longer than is usual.</Box>
      )}
    </Paper>
  );
}

function servedText({ pieces, lost, frozen, readyAt, lateMin, wasHot }: Served, clock: Props["clock"]): string {
  if (readyAt === undefined) return `${counted(pieces, "piece")}, not ready yet`;
  const left = pieces - lost - frozen;
  return listed(
    [
      `${left} of ${counted(pieces, "piece")} ready ${clock(readyAt)}`,
      lateMin > 0 ? `${lengthText(lateMin)} late` : "in time",
      lost > 0 ? `${lost} lost` : "",
      frozen > 0 ? `${frozen} raw in the freezer` : "",
      wasHot === undefined ? "" : wasHot ? "eaten while it was warm" : "eaten after it had gone cold",
    ].filter((part) => part !== ""),
  );
}

const unsafeText = (one: Unsafe, task: Props["task"], degrees: Props["degrees"]): string =>
  one.code === "core"
    ? `${task(one.task)}: ${one.coreC === undefined ? "no core was measured" : `the core was ${degrees(one.coreC)}`}, ${degrees(one.wantedC)} wanted${one.reason ? ` (${one.reason})` : ""}. Local rules come first.`
    : `${task(one.task)}: out of the cold for ${lengthText(one.usedMin)}, usual guidance ${lengthText(one.limitMin)}. Local rules come first.`;
