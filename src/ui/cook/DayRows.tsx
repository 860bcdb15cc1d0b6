"use client";
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import DragIndicator from "@mui/icons-material/DragIndicator";
import Box from "@mui/material/Box";
import { useState } from "react";
import { stepIn } from "@/core/plan/schema";
import { isOpen } from "@/core/run/run-state";
import type { Wish } from "@/core/run/reorder";
import { COLOUR } from "../theme/tokens";
import { useCookedDay } from "./cook-context";
import { hasToBeSeen } from "./gates-at";
import { OrderWish } from "./OrderWish";
import type { Say } from "./say";

export interface DayRow {
  readonly task: string;
  readonly planned: number;
  readonly expected: number;
  readonly who: string;
}

interface Props {
  readonly rows: readonly DayRow[];
  readonly withWho: boolean;
  readonly say: Say;
}

/** The day's tasks in their order: ticked off, and what is still to come moved before or after another by its handle. */
export function DayRows({ rows, withWho, say }: Props) {
  const { state, shown } = useCookedDay();
  const [wish, setWish] = useState<Wish>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const waiting = rows.filter(({ task }) => state.tasks.get(task)?.status === "waiting").map(({ task }) => task);
  const moved = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [waiting.indexOf(String(active.id)), waiting.indexOf(String(over.id))];
    if (from >= 0 && to >= 0) setWish({ task: waiting[from], place: to < from ? "before" : "after", other: waiting[to] });
  };
  // Said to who does not see it move.
  const name = (id: string | number | undefined) => (id === undefined ? "nothing" : shown.task(String(id)));
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${name(active.id)} is taken up.`,
    onDragOver: ({ active, over }) => `${name(active.id)} is at ${name(over?.id)}.`,
    onDragEnd: ({ active, over }) => `${name(active.id)} is put at ${name(over?.id)}.`,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
  return (
    <>
      {wish && <OrderWish key={JSON.stringify(wish)} wish={wish} say={say} onOver={() => setWish(undefined)} />}
      <DndContext id="d" sensors={sensors} collisionDetection={closestCenter} accessibility={{ announcements }} onDragEnd={moved}>
        <SortableContext items={waiting} strategy={verticalListSortingStrategy}>
          <Box component="ol" aria-label="The day" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {rows.map((row) => (
              <Row key={row.task} row={row} withWho={withWho} say={say} />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
    </>
  );
}

const PRESS = { width: 44, height: 44, background: "none", border: 0, p: 0, color: COLOUR.tide, font: "inherit" } as const;

function Row({ row: { task, planned, expected, who }, withWho, say }: { row: DayRow; withWho: boolean; say: Say }) {
  const day = useCookedDay();
  const { plan, state, shown } = day;
  const run = state.tasks.get(task);
  const status = run?.status;
  const isOver = !isOpen(run);
  // What is measured or looked at before it is over is not ticked off unseen.
  const isLookedAt = !isOver && (stepIn(plan, task)?.coreC !== undefined || hasToBeSeen(day, task));
  const isWaiting = status === "waiting";
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: task,
    disabled: !isWaiting,
  });
  return (
    <Box
      component="li"
      ref={setNodeRef}
      sx={{
        display: "grid",
        gridTemplateColumns: "48px 64px 1fr 48px",
        gap: 1,
        alignItems: "center",
        borderBottom: `1px solid ${COLOUR.line}`,
        color: isOver ? COLOUR.soft : COLOUR.ink,
        background: status === "running" || isDragging ? COLOUR.tideMist : COLOUR.page,
        position: "relative",
        zIndex: isDragging ? 1 : undefined,
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <Box
        component="button"
        type="button"
        aria-label={`${shown.task(task)}: ${isOver ? "done" : "tick as done"}`}
        aria-pressed={isOver}
        disabled={isOver || isLookedAt}
        title={isLookedAt ? "looked at or measured first, under Now" : undefined}
        onClick={() => say({ kind: "done", task })}
        sx={{ ...PRESS, fontSize: "1.3rem", cursor: "pointer", "&:disabled": { color: COLOUR.soft, cursor: "default" } }}
      >
        {isOver ? "☑" : "☐"}
      </Box>
      <Box sx={{ fontWeight: 650 }}>{shown.clock(expected)}</Box>
      <Box sx={{ py: 0.75, fontSize: "1.05rem", textDecoration: status === "skipped" ? "line-through" : undefined }}>
        {shown.task(task)}
        <Box component="span" sx={{ color: COLOUR.soft, ml: 1, fontSize: "0.9rem" }}>
          {[withWho ? who : "", Math.abs(expected - planned) > 1 ? `planned ${shown.clock(planned)}` : ""]
            .filter(Boolean)
            .join(" · ")}
        </Box>
      </Box>
      {isWaiting ? (
        <Box
          component="button"
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`${shown.task(task)}: move`}
          sx={{ ...PRESS, cursor: "grab", touchAction: "none", color: COLOUR.soft }}
        >
          <DragIndicator />
        </Box>
      ) : (
        <span />
      )}
    </Box>
  );
}
