import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { FoodClock } from "@/core/run/stand";
import { windowText, windowTitle } from "@/core/run/window-text";
import { windowLevel, type FoodWindow } from "@/core/run/windows";
import { lengthText } from "@/core/shared/clock";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import type { Say } from "./say";

const GROUND = { ok: COLOUR.card, soon: COLOUR.cautionMist, over: COLOUR.emberMist } as const;
const EDGE = { ok: COLOUR.line, soon: COLOUR.caution, over: COLOUR.ember } as const;
const BAR = { ok: COLOUR.tide, soon: COLOUR.caution, over: COLOUR.ember } as const;
const PRESS = { minHeight: 44 } as const;
/** What goes back at a time: half of what lies out. */
const HALF = 0.5;

/** Food that changes while nobody looks: lots out of the cold, soda, egg for brushing, hot oil, pieces too hot to eat. */
export function FoodClocks({ food, windows, say }: { food: readonly FoodClock[]; windows: readonly FoodWindow[]; say: Say }) {
  const day = useCookedDay();
  const { shown, minute } = day;
  if (food.length === 0 && windows.length === 0) return null;
  return (
    <Box component="section" aria-label="Food that will not wait">
      <Box component="h2" sx={{ m: 0, mb: 1, fontSize: "1.1rem" }}>
        Food that will not wait
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1 }}>
        {food.map((lot) => (
          <Row key={`${lot.task} ${lot.isCold}`} level={lot.level} used={lot.usedMin / lot.limitMin}>
            <Box sx={{ fontWeight: 650, overflowWrap: "anywhere" }}>
              {shareText(lot.share)}for: {shown.task(lot.task)}
            </Box>
            <Box>
              {lengthText(lot.usedMin)} out of the cold{lot.isCold ? ", standing still in the fridge" : ""}; usual guidance{" "}
              {lengthText(lot.limitMin)} in all
              {lot.level === "over" && ". Heat it now or throw it away; local rules come first"}
            </Box>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 0.5 }}>
              {lot.isCold ? (
                <Button
                  variant="outlined"
                  sx={PRESS}
                  onClick={() => say({ kind: "cooled", task: lot.task, share: lot.share, isOut: true })}
                >
                  Out again
                </Button>
              ) : (
                lot.share > HALF && (
                  <>
                    <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "cooled", task: lot.task, share: HALF })}>
                      Half into the fridge
                    </Button>
                    <Button variant="outlined" sx={PRESS} onClick={() => say({ kind: "cooled", task: lot.task, share: 1 })}>
                      All into the fridge
                    </Button>
                  </>
                )
              )}
            </Box>
          </Row>
        ))}
        {windows.map((window) => {
          const level = windowLevel(window, minute);
          const length = Math.max(1, window.until - window.since);
          const title = windowTitle(day.plan, window, shown.task);
          return (
            <Row key={JSON.stringify([window.code, title])} level={level} used={(minute - window.since) / length}>
              <Box sx={{ fontWeight: 650, overflowWrap: "anywhere" }}>{title}</Box>
              <Box>{windowText(window, minute, shown)}</Box>
            </Row>
          );
        })}
      </Box>
    </Box>
  );
}

const shareText = (share: number): string => (share >= 1 ? "Lot " : `${Math.round(share * 100)} % of the lot `);

/** One clock of food: how far it is, in colour and in words. */
function Row({ level, used, children }: { level: keyof typeof GROUND; used: number; children: React.ReactNode }) {
  return (
    <Box component="li" sx={{ background: GROUND[level], border: `1px solid ${EDGE[level]}`, p: 1.5 }}>
      {children}
      <Box aria-hidden sx={{ mt: 1, height: 6, background: COLOUR.line }}>
        <Box sx={{ height: "100%", width: `${Math.min(100, Math.max(0, used * 100))}%`, background: BAR[level] }} />
      </Box>
    </Box>
  );
}
