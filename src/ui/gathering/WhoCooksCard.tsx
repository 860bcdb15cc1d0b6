"use client";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import DeleteOutline from "@mui/icons-material/DeleteOutlined";
import { kitchenFor } from "@/core/gathering/who-cooks";
import { paceOf, paceTogether } from "@/core/kitchen/pace";
import { lengthText, minutesOfClock } from "@/core/shared/clock";
import { freshId } from "@/core/shared/fresh-id";
import { dayText } from "../kit/day-text";
import { HoursFields, minutesThere, type Hours } from "../kit/HoursFields";
import { PaceField } from "../kit/PaceField";
import { useDisplay } from "../kit/use-display";
import { useDraft, usePlan } from "../plan/PlanProvider";
import { summarise } from "../plan/plan-summary";
import { kitchenOf, type Draft } from "../plan/plan-state";
import { COLOUR } from "../theme/tokens";
import { issueAt } from "./issues";

type There = NonNullable<Draft["attendance"]>[number];

/** Who is there for this gathering, and when: as usual in the kitchen, or otherwise this time; and who comes to help. */
export function WhoCooksCard() {
  const { change, source, checked, good, stale } = usePlan();
  const { draft } = useDraft();
  const { clock } = useDisplay();
  const kitchen = kitchenOf(draft, source);
  const attendance = draft.attendance ?? [];
  const set = (next: readonly There[]) => change((d) => ({ ...d, attendance: next.length > 0 ? [...next] : undefined }));
  const setOne = (cook: string, edit: Partial<There>) =>
    set(attendance.map((entry) => (entry.cook === cook ? { ...entry, ...edit } : entry)));
  const busy = new Map(good && !stale ? summarise(good.plan)?.cooks.map((cook) => [cook.id, cook]) : []);
  const cooks = [
    ...kitchen.cooks.map((cook) => ({ id: cook.id, name: cook.name, usual: cook.hours })),
    ...attendance
      .filter(({ cook }) => !kitchen.cooks.some(({ id }) => id === cook))
      .map((entry) => ({ id: entry.cook, name: entry.name ?? "", usual: undefined })),
  ];
  const hoursLine = (hours: readonly Hours[]) =>
    hours.length === 0
      ? "not there"
      : hours
          .map(
            ({ day, from, to }) =>
              `${clock(minutesOfClock(from) ?? 0)}–${clock(minutesOfClock(to) ?? 0)}${day === 0 ? "" : ` ${dayText(day)}`}`,
          )
          .join(", ");
  const breaks = draft.breaks ?? kitchen.breaks;
  const together = kitchenFor(draft, kitchen)
    .cooks.filter((cook) => cook.hours.length > 0)
    .map(paceOf);
  return (
    <Paper component="section" aria-label="Who cooks" sx={{ p: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Who cooks
      </Typography>
      {cooks.map(({ id, name, usual }) => {
        const at = attendance.findIndex((entry) => entry.cook === id);
        const own = attendance[at] as There | undefined;
        const hours = own?.hours ?? usual ?? [];
        const work = busy.get(id);
        return (
          <Box
            key={id}
            role="group"
            aria-label={name || "Helper"}
            sx={{ borderTop: `1px solid ${COLOUR.line}`, py: 1, display: "grid", gap: 0.75 }}
          >
            <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
              {usual === undefined ? (
                <TextField
                  value={name}
                  onChange={(event) => setOne(id, { name: event.target.value })}
                  error={issueAt(checked, ["gathering", "attendance", at, "name"], "Name") !== undefined}
                  helperText={issueAt(checked, ["gathering", "attendance", at, "name"], "Name")}
                  slotProps={{ htmlInput: { "aria-label": "Name of the helper" } }}
                  sx={{ flex: "1 1 120px" }}
                />
              ) : (
                <Box sx={{ fontWeight: 640 }}>{name}</Box>
              )}
              <Box sx={{ color: COLOUR.soft, fontSize: "0.85rem", ml: "auto" }}>
                {work && work.there > 0
                  ? `hands busy ${lengthText(work.busy)} of ${lengthText(work.there)}`
                  : `${lengthText(minutesThere(hours))} there`}
              </Box>
              {usual === undefined && (
                <>
                  <PaceField
                    name={`Pace of ${name || "the helper"}`}
                    value={own?.skill ?? "intermediate"}
                    onChange={(skill) => setOne(id, { skill })}
                  />
                  <IconButton
                    aria-label={`Remove ${name || "the helper"}`}
                    onClick={() => set(attendance.filter((entry) => entry.cook !== id))}
                  >
                    <DeleteOutline fontSize="small" />
                  </IconButton>
                </>
              )}
            </Box>
            {own === undefined ? (
              <Box sx={{ display: "flex", alignItems: "center", gap: 1, fontSize: "0.875rem", flexWrap: "wrap" }}>
                {hoursLine(hours)}
                <Button
                  size="small"
                  aria-label={`${name}: other hours this time`}
                  onClick={() => set([...attendance, { cook: id, hours: hours.map((one) => ({ ...one })) }])}
                >
                  other hours this time
                </Button>
              </Box>
            ) : (
              <>
                <HoursFields who={name || "the helper"} hours={hours} onChange={(next) => setOne(id, { hours: next })} />
                {issueAt(checked, ["gathering", "attendance", at, "hours"], "Hours") && (
                  <Box role="alert" sx={{ color: COLOUR.ember, fontSize: "0.8rem" }}>
                    {issueAt(checked, ["gathering", "attendance", at, "hours"], "Hours")}
                  </Box>
                )}
                {usual !== undefined && (
                  <div>
                    <Button
                      size="small"
                      aria-label={`${name}: as usual`}
                      onClick={() => set(attendance.filter((entry) => entry.cook !== id))}
                    >
                      as usual ({hoursLine(usual)})
                    </Button>
                  </div>
                )}
              </>
            )}
          </Box>
        );
      })}
      {together.length > 1 && (
        <Box sx={{ fontSize: "0.85rem", color: COLOUR.soft, mb: 1 }}>
          Side by side at the same pieces: {lengthText(Math.round(60 * paceTogether(together)))} for what the recipe says takes 1
          h.
        </Box>
      )}
      <Button
        variant="outlined"
        onClick={() =>
          set([
            ...attendance,
            {
              cook: freshId("helper", [...kitchen.cooks.map(({ id }) => id), ...attendance.map(({ cook }) => cook)]),
              name: "Helper",
              hours: [{ day: 0, from: "15:00", to: "18:00" }],
            },
          ])
        }
      >
        Somebody comes to help
      </Button>
      <Box
        role="group"
        aria-label="Breaks"
        sx={{ borderTop: `1px solid ${COLOUR.line}`, mt: 1.5, pt: 1, display: "grid", gap: 0.75 }}
      >
        <Box sx={{ fontSize: "0.875rem" }}>
          <strong>Breaks</strong>{" "}
          <Box component="span" sx={{ color: COLOUR.soft }}>
            {breaks.length === 0 ? "none" : hoursLine(breaks)}
            {draft.breaks === undefined && breaks.length > 0 && ", as usual in the kitchen"}
          </Box>
        </Box>
        {draft.breaks === undefined ? (
          <div>
            <Button size="small" onClick={() => change((d) => ({ ...d, breaks: breaks.map((one) => ({ ...one })) }))}>
              Other breaks this time
            </Button>
          </div>
        ) : (
          <>
            <HoursFields who="the breaks" hours={breaks} onChange={(next) => change((d) => ({ ...d, breaks: next }))} />
            {issueAt(checked, ["gathering", "breaks"], "Breaks") && (
              <Box role="alert" sx={{ color: COLOUR.ember, fontSize: "0.8rem" }}>
                {issueAt(checked, ["gathering", "breaks"], "Breaks")}
              </Box>
            )}
            <div>
              <Button size="small" onClick={() => change((d) => ({ ...d, breaks: undefined }))}>
                Breaks as usual
              </Button>
            </div>
          </>
        )}
      </Box>
    </Paper>
  );
}
