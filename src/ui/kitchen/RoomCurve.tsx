"use client";
import Box from "@mui/material/Box";
import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Kitchen } from "@/core/kitchen/schema";
import { clockText, MINUTES_A_DAY, minutesOfClock } from "@/core/shared/clock";
import { COLOUR } from "../theme/tokens";

const WIDTH = 480;
const HEIGHT = 120;
/** The least and the most that is drawn, °C. */
const LOW = 10;
const HIGH = 35;
const STEP_C = 0.5;
const STEP_MIN = 15;

type Band = Kitchen["roomC"][number];

interface Props {
  readonly roomC: readonly Band[];
  readonly onChange: (roomC: Band[]) => void;
}

const clamp = (value: number, from: number, to: number): number => Math.min(to, Math.max(from, value));
const stepped = (value: number, step: number): number => Math.round(value / step) * step;
const y = (c: number): number => HEIGHT - ((clamp(c, LOW, HIGH) - LOW) / (HIGH - LOW)) * HEIGHT;
const x = (minute: number): number => (minute / MINUTES_A_DAY) * WIDTH;
const timeOf = (minute: number): string => (minute >= MINUTES_A_DAY ? "24:00" : clockText(minute));

/**
 * How warm the room is through a day, to drag: a stretch of it up and down, the time between two stretches to and fro; with the
 * arrow keys as well.
 */
export function RoomCurve({ roomC, onChange }: Props) {
  const drawing = useRef<SVGSVGElement>(null);
  // What is still being typed cannot be drawn.
  const isDrawn = roomC.every(
    ({ from, to, c }) => Number.isFinite(c) && [from, to].every((t) => minutesOfClock(t) !== undefined),
  );
  if (roomC.length === 0 || !isDrawn) return null;
  const bands = roomC.map((band) => ({ ...band, start: minutesOfClock(band.from)!, end: minutesOfClock(band.to)! }));
  const at = (event: PointerEvent): { minute: number; c: number } => {
    const box = drawing.current!.getBoundingClientRect();
    const scale = (WIDTH + 40) / box.width;
    const px = (event.clientX - box.left) * scale - 30;
    const py = (event.clientY - box.top) * scale - 8;
    return { minute: (px / WIDTH) * MINUTES_A_DAY, c: HIGH - (py / HEIGHT) * (HIGH - LOW) };
  };
  const setC = (b: number, c: number) =>
    onChange(roomC.map((band, i) => (i === b ? { ...band, c: clamp(stepped(c, STEP_C), 0, 45) } : band)));
  const setTime = (b: number, minute: number) => {
    const time = timeOf(clamp(stepped(minute, STEP_MIN), bands[b].start + STEP_MIN, bands[b + 1].end - STEP_MIN));
    onChange(roomC.map((band, i) => (i === b ? { ...band, to: time } : i === b + 1 ? { ...band, from: time } : band)));
  };
  const drag = (move: (to: { minute: number; c: number }) => void) => ({
    onPointerDown: (event: PointerEvent<SVGElement>) => event.currentTarget.setPointerCapture(event.pointerId),
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      if (event.currentTarget.hasPointerCapture(event.pointerId)) move(at(event));
    },
  });
  const keys = (up: () => void, down: () => void) => (event: KeyboardEvent) => {
    const act = { ArrowUp: up, ArrowRight: up, ArrowDown: down, ArrowLeft: down }[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  return (
    <Box
      component="svg"
      ref={drawing}
      role="group"
      aria-label="Room temperature through the day"
      viewBox={`-30 -8 ${WIDTH + 40} ${HEIGHT + 28}`}
      sx={{
        width: "100%",
        height: "auto",
        display: "block",
        touchAction: "none",
        "& [role=slider]": { cursor: "grab", "&:focus-visible": { outline: `2px solid ${COLOUR.ink}`, outlineOffset: 2 } },
      }}
    >
      {[10, 15, 20, 25, 30, 35].map((c) => (
        <g key={c}>
          <line x1={0} x2={WIDTH} y1={y(c)} y2={y(c)} stroke={COLOUR.line} strokeWidth={c === 20 ? 1.5 : 0.7} />
          <text x={-6} y={y(c) + 4} textAnchor="end" fontSize={11} fill={COLOUR.soft}>
            {c}°
          </text>
        </g>
      ))}
      {[0, 6, 12, 18, 24].map((h) => (
        <text key={h} x={x(h * 60)} y={HEIGHT + 16} textAnchor="middle" fontSize={11} fill={COLOUR.soft}>
          {String(h).padStart(2, "0")}:00
        </text>
      ))}
      {bands
        .slice(0, -1)
        .map((band, b) =>
          band.end === bands[b + 1].start ? (
            <line
              key={b}
              x1={x(band.end)}
              x2={x(band.end)}
              y1={y(band.c)}
              y2={y(bands[b + 1].c)}
              stroke={COLOUR.ember}
              strokeWidth={2.5}
            />
          ) : null,
        )}
      {bands.map((band, b) => (
        <g
          key={b}
          role="slider"
          tabIndex={0}
          aria-label={`Room from ${band.from} to ${band.to}`}
          aria-valuenow={band.c}
          aria-valuemin={0}
          aria-valuemax={45}
          aria-valuetext={`${band.c} °C`}
          aria-orientation="vertical"
          onKeyDown={keys(
            () => setC(b, band.c + STEP_C),
            () => setC(b, band.c - STEP_C),
          )}
          {...drag(({ c }) => setC(b, c))}
        >
          <rect
            x={x(band.start)}
            width={Math.max(4, x(band.end) - x(band.start))}
            y={y(band.c) - 14}
            height={28}
            fill="transparent"
          />
          <line x1={x(band.start)} x2={x(band.end)} y1={y(band.c)} y2={y(band.c)} stroke={COLOUR.ember} strokeWidth={4} />
          <circle cx={x((band.start + band.end) / 2)} cy={y(band.c)} r={6} fill={COLOUR.ember} />
          <text
            x={x((band.start + band.end) / 2)}
            y={y(band.c) - 10}
            textAnchor="middle"
            fontSize={12}
            fontWeight={650}
            fill={COLOUR.ink}
          >
            {band.c}°
          </text>
        </g>
      ))}
      {bands.slice(0, -1).map((band, b) =>
        band.end === bands[b + 1].start ? (
          <g
            key={`to ${b}`}
            role="slider"
            tabIndex={0}
            aria-label={`Time at which the room changes from ${band.c} to ${bands[b + 1].c} °C`}
            aria-valuenow={band.end}
            aria-valuemin={band.start}
            aria-valuemax={bands[b + 1].end}
            aria-valuetext={band.to}
            onKeyDown={keys(
              () => setTime(b, band.end + STEP_MIN),
              () => setTime(b, band.end - STEP_MIN),
            )}
            {...drag(({ minute }) => setTime(b, minute))}
          >
            <rect
              x={x(band.end) - 6}
              width={12}
              y={(y(band.c) + y(bands[b + 1].c)) / 2 - 12}
              height={24}
              rx={2}
              fill={COLOUR.card}
              stroke={COLOUR.ember}
              strokeWidth={2}
            />
          </g>
        ) : null,
      )}
    </Box>
  );
}
