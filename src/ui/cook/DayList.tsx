"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { doseTexts } from "@/core/item/doses";
import { stepIn, type Plan } from "@/core/plan/schema";
import { takingsOf } from "@/core/plan/takes";
import type { RunState } from "@/core/run/run-state";
import type { Replanned } from "@/core/schedule/replan/replan";
import { dateText } from "../plan/plan-summary";
import { takenLines } from "../plan/taken-weights";
import type { PlanShown } from "../plan/use-plan-display";
import { useCookedDay } from "./cook-context";
import { DayRows, type DayRow } from "./DayRows";
import type { DayFacts } from "./paper.view-model";
import type { Say } from "./say";

interface Props {
  readonly plan: Plan;
  readonly state: RunState;
  readonly rest: Pick<Replanned, "solution" | "problem">;
  readonly cooks: readonly { readonly id: string; readonly name: string }[];
  /** Whose list the screen shows; "" is everybody's. */
  readonly whose: string;
  readonly shown: PlanShown;
  readonly facts: DayFacts;
  readonly say: Say;
}

/** The day in its order: on the screen to be ticked off, on paper a sheet for each cook and one for the wall. */
export function DayList({ plan, state, rest, cooks, whose, shown, facts, say }: Props) {
  const planned = new Map(plan.solution.tasks.map(({ id, start }) => [id, start]));
  const handsOf = new Map<string, Set<string>>();
  for (const { task, resource } of takingsOf(rest)) handsOf.set(task, (handsOf.get(task) ?? new Set()).add(resource));
  const all = rest.solution.tasks
    .filter(({ id }) => planned.has(id) && plan.tasks[id]?.what.code !== "wait")
    .map(({ id, start }): DayRow => ({
      task: id,
      planned: planned.get(id)!,
      expected: state.tasks.get(id)?.start ?? start,
      who: cooks.flatMap((cook) => (handsOf.get(id)?.has(cook.id) ? cook.name : [])).join(", "),
    }))
    .sort((a, b) => a.expected - b.expected);
  const rowsOf = (cook: string) => (cook === "" ? all : all.filter(({ task }) => handsOf.get(task)?.has(cook)));
  const sheets = [...cooks, { id: "", name: "The wall: everybody" }];
  return (
    <Box>
      <Box className="no-print" sx={{ display: "flex", mb: 1 }}>
        <Button variant="outlined" sx={{ minHeight: 44, ml: "auto" }} onClick={() => window.print()}>
          Print: a sheet for each cook, one for the wall
        </Button>
      </Box>
      <Box className="no-print">
        <DayRows rows={rowsOf(whose)} say={say} withWho={whose === ""} />
      </Box>
      <Box sx={{ display: "none", "@media print": { display: "block", color: "#000", fontSize: "10pt" } }}>
        {sheets.map(({ id, name }) => (
          <Box
            key={id}
            component="section"
            data-sheet={id || "wall"}
            sx={{ breakAfter: "page", "&:last-child": { breakAfter: "auto" } }}
          >
            <Box component="h2" sx={{ m: 0, fontSize: "15pt" }}>
              {name} · {plan.day.gathering.name}, {dateText(plan.day.date)}
            </Box>
            <Box sx={{ my: 0.5 }}>
              Guests: {facts.guests}. {plan.day.targets.map((one) => `${one.name} ${shown.clock(one.minute)}`).join(", ")}.
            </Box>
            {facts.items.map((one) => (
              <Box key={one.name}>
                <b>{one.name}</b>: {one.facts.join(". ")}
              </Box>
            ))}
            <Box sx={{ my: 0.5 }}>Local rules and trained advice come first.</Box>
            <Paper rows={rowsOf(id)} {...{ plan, shown }} withWho={id === ""} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Paper({
  rows,
  plan,
  shown,
  withWho,
}: Pick<Props, "plan" | "shown"> & { readonly rows: readonly DayRow[]; readonly withWho: boolean }) {
  const { catalogue } = useCookedDay();
  const cell = { verticalAlign: "top", borderBottom: "1px solid #000", padding: "3px 6px 3px 0" } as const;
  return (
    <table style={{ width: "100%", borderCollapse: "collapse" }}>
      <tbody>
        {rows.map(({ task, expected, who }) => {
          const step = stepIn(plan, task);
          return (
            <tr key={task} style={{ breakInside: "avoid" }}>
              <td style={cell}>☐</td>
              <td style={{ ...cell, fontWeight: 700 }}>{shown.clock(expected)}</td>
              <td style={cell}>
                {shown.task(task)}
                {withWho && who ? ` (${who})` : ""}
                {step?.doses ? <div>{doseTexts(step, takenLines(plan, task, step, undefined), catalogue).join(" ")}</div> : null}
                {step?.cue?.see ? <div>Right when: {step.cue.see}</div> : null}
                {step?.coreC !== undefined ? <div>Core {shown.degrees(step.coreC)}, in two pieces</div> : null}
                {step?.caution ? (
                  <div>
                    <b>!</b> {shown.heat(step.caution)}
                  </div>
                ) : null}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
