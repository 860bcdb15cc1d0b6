import Box from "@mui/material/Box";
import { memo } from "react";
import { targetName } from "@/core/plan/targets";
import { pilotsIn } from "@/core/run/pilot";
import { waitingHot, waysOut } from "@/core/run/ways-out";
import { lengthText } from "@/core/shared/clock";
import { listed } from "@/core/shared/words";
import { ClockList } from "./ClockList";
import { useCookedDay } from "./cook-context";
import type { CookColumn, CookModel } from "./cook.view-model";
import { FoodClocks } from "./FoodClocks";
import { Hands } from "./Hands";
import { HeatsToSet } from "./HeatsToSet";
import { Joins } from "./Joins";
import { PilotCheck } from "./PilotCheck";
import type { Say } from "./say";
import { WaysCard } from "./WaysCard";

interface Props {
  readonly model: CookModel;
  readonly columns: readonly CookColumn[];
  readonly isEverybody: boolean;
  readonly takenOf: (task: string) => string[] | undefined;
  readonly say: Say;
}

/** What each pair of hands does now, and beside it all that runs, heats, or will not wait. */
export const NowView = memo(function NowView({ model, columns, isEverybody, takenOf, say }: Props) {
  const { plan, state, shown } = useCookedDay();
  const waiting = waitingHot(plan, state, model.broken);
  return (
    <>
      {(model.late.length > 0 || waiting.length > 0) && (
        <WaysCard
          label="Ways out"
          title={listed([
            ...model.late.map((one) => `${targetName(plan, one.target)} ${lengthText(one.minutes)} late`),
            ...waiting.map((task) => `${shown.task(task)} waits longer than it should`),
          ])}
          ways={() => waysOut(plan, state, model)}
          say={say}
        />
      )}
      {model.early.map(({ task, waitMin, ways }) => (
        <WaysCard
          key={task}
          label={`Early: ${shown.task(task)}`}
          title={`Ready already? ${shown.task(task)}: nothing goes on with it for ${lengthText(waitMin)}`}
          ways={() => ways}
          say={say}
        />
      ))}
      <Box
        sx={{
          display: "grid",
          gap: 2,
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 5fr) minmax(300px, 2fr)" },
          alignItems: "start",
        }}
      >
        <Box
          sx={{
            display: "grid",
            gap: 2.5,
            alignItems: "start",
            gridTemplateColumns: {
              xs: "minmax(0, 1fr)",
              md: columns.length > 1 ? "repeat(2, minmax(0, 1fr))" : "minmax(0, 1fr)",
            },
          }}
        >
          {pilotsIn(plan, state).map(({ task, since }) => (
            <PilotCheck key={task} task={task} since={since} say={say} />
          ))}
          {columns.map((column) => (
            <Hands key={column.cook} column={column} isAlone={columns.length === 1} {...{ say, takenOf }} />
          ))}
          {isEverybody && <Joins say={say} />}
        </Box>
        <Box sx={{ display: "grid", gap: 2 }}>
          <Box component="section" aria-label="Runs by itself">
            <Box component="h2" sx={{ m: 0, mb: 1, fontSize: "1.1rem" }}>
              Runs by itself
            </Box>
            <ClockList clocks={model.clocks} say={say} />
          </Box>
          <HeatsToSet heats={model.heats} say={say} />
          <FoodClocks food={model.food} windows={model.windows} say={say} />
        </Box>
      </Box>
    </>
  );
});
