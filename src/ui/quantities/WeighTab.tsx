"use client";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { Fragment } from "react";
import { piecesText } from "@/core/plan/task-text";
import { itemOrder } from "../gathering/gathering.view-model";
import { Monogram } from "../kit/Monogram";
import { useDisplay, type Shown } from "../kit/use-display";
import { usePlanDisplay } from "../plan/use-plan-display";
import type { Ticks } from "../kit/use-stored";
import { momentText, summarise } from "../plan/plan-summary";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { COLOUR, toneOf } from "../theme/tokens";
import { BesideSheets } from "./BesideSheets";
import type { BatchSheet, WeighLine } from "./quantities.view-model";
import { WeighIn } from "./WeighIn";
import { TickLine } from "./TickLine";
import { Sticky, WentIn, type NoteLiquid } from "./WentIn";

interface Props {
  readonly sheets: readonly BatchSheet[];
  readonly big: boolean;
  readonly ticks: Ticks;
  readonly noteLiquid: NoteLiquid;
}

/** Weigh-out sheets in the order of the day: grams first, ticked off as they go into the bowl. */
export function WeighTab({ sheets, big, ticks, noteLiquid }: Props) {
  const { good, stale, source } = usePlan();
  const { draft } = useDraft();
  const order = itemOrder(source.items);
  const { clock, weight } = usePlanDisplay(good?.plan);
  const severalDays = (good && summarise(good.plan)?.severalDays) ?? false;
  const when = (sheet: BatchSheet): string => {
    if (sheet.batch.ahead) return "done ahead";
    return good && !stale && sheet.start !== undefined ? `from ${momentText(good.plan, sheet.start, severalDays, clock)}` : "";
  };
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: `repeat(auto-fill, minmax(${big ? 400 : 272}px, 1fr))`,
        gap: 1.5,
        alignItems: "start",
      }}
    >
      <BesideSheets big={big} ticks={ticks} />
      {sheets.map((sheet) => {
        const keys = sheet.groups.flatMap((group) => group.lines.map((line) => line.key));
        const left = keys.filter((key) => !ticks.has(key)).length;
        return (
          <Paper
            key={sheet.batch.id}
            component="article"
            aria-label={`${sheet.heading}, ${sheet.title}`}
            sx={{
              p: 1.75,
              breakInside: "avoid",
              borderTop: `4px solid ${toneOf(order.get(sheet.item.id) ?? 0).deep}`,
              ...(sheet.batch.ahead && { background: COLOUR.page }),
            }}
          >
            <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
              <Monogram name={sheet.item.name} tone={toneOf(order.get(sheet.item.id) ?? 0)} small />
              <Typography variant="h3">{sheet.heading}</Typography>
              <Typography variant="caption" sx={{ ml: "auto", fontWeight: 600, color: COLOUR.tide, whiteSpace: "nowrap" }}>
                {when(sheet)}
              </Typography>
            </Box>
            <Typography variant="caption">
              {sheet.title}, for {piecesText(sheet.batch.pieces)} · {weight(sheet.batch.totalG)} in all
              {left === 0 ? " · all in" : left < keys.length ? ` · ${left} to go` : ""}
            </Typography>
            {sheet.groups.map((group) => (
              <Box key={group.name} sx={{ mt: 1 }}>
                {sheet.groups.length > 1 && <Typography variant="caption">{group.name}</Typography>}
                {group.lines.map((line) => (
                  <Fragment key={line.key}>
                    <Line line={line} big={big} ticked={ticks.has(line.key)} onTick={() => ticks.toggle(line.key)} />
                    {line.note && <WentIn name={line.name} {...line.note} onNote={noteLiquid} />}
                    {line.sticky && <Sticky name={line.name} {...line.sticky} onNote={noteLiquid} />}
                  </Fragment>
                ))}
              </Box>
            ))}
            {sheet.portions.length > 0 && (
              <Box sx={{ mt: 1, pt: 0.75, borderTop: `2px solid ${COLOUR.line}`, fontSize: big ? "1rem" : "0.82rem" }}>
                {sheet.portions.map((text) => (
                  <div key={text}>{text}</div>
                ))}
              </Box>
            )}
            {sheet.weighIn && !sheet.batch.ahead && <WeighIn id={`${draft.id}-${sheet.batch.id}`} {...sheet.weighIn} />}
          </Paper>
        );
      })}
    </Box>
  );
}

/** Grams first, as they are read at the scale. */
function Line({ line, big, ticked, onTick }: { line: WeighLine; big: boolean; ticked: boolean; onTick: () => void }) {
  const shown = useDisplay();
  const { when } = line;
  return (
    <TickLine
      amount={gramsText(line.grams, shown)}
      name={shown.heat(line.name)}
      says={when}
      big={big}
      ticked={ticked}
      onTick={onTick}
    >
      {when && (
        <Box component="strong" sx={{ ml: 0.75, color: when === "now" ? COLOUR.tide : COLOUR.caution, fontSize: "0.85em" }}>
          {when}
        </Box>
      )}
      {line.units && <Box sx={{ color: COLOUR.soft, fontSize: "0.82em" }}>{line.units}</Box>}
    </TickLine>
  );
}

/** As a kitchen scale shows it: tenths only for small amounts. */
const gramsText = (grams: number, { display, weight }: Shown): string =>
  display.weights === "oz" ? weight(grams) : `${grams < 20 ? grams.toFixed(1) : Math.round(grams)} g`;
