import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { oddLoad } from "@/core/run/odd-pieces";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

interface Props {
  readonly item: string;
  /** Of dough, each piece that was weighed, and one as it should be, g. */
  readonly grams: readonly number[];
  readonly rightG: number;
  readonly say: Say;
}

/** Pieces that came out heavy: into which load, how much longer, and one press to plan it so. */
export function OddPieces({ item, grams, rightG, say }: Props) {
  const { plan, state, shown } = useCookedDay();
  const load = oddLoad(plan, state, item, grams, rightG);
  if (!load) return null;
  const { task, minutes } = load;
  const odd = state.tasks.get(task)?.odd;
  const isPlanned = odd?.minutes === minutes && odd.grams.join() === load.grams.join();
  const which = load.grams.map((one) => `${one} g`).join(", ");
  return (
    <Box sx={{ mt: 1 }} role="group" aria-label="Heavy pieces">
      {which}: last into “{shown.task(task)}”, {minutes} min longer there than the others, which come out first.{" "}
      {isPlanned ? (
        <strong>Planned so.</strong>
      ) : (
        <Button variant="outlined" sx={{ minHeight: 44 }} onClick={() => say(load)}>
          Plan it so
        </Button>
      )}
    </Box>
  );
}
