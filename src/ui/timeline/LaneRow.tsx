import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { useDisplay } from "../kit/use-display";
import { COLOUR, monogram, toneOf, type Tone } from "../theme/tokens";
import type { TimeScale } from "./scale";
import { spansOf, type Span } from "./spans";
import { RESTING, type Block, type Lane } from "./timeline.view-model";

/** Slanting lines on a ground that nothing behind it shows through. */
const HATCH = (line: string, ground: string) => `repeating-linear-gradient(135deg, ${ground} 0 4px, ${line} 4px 5px) ${ground}`;

/** How a block is drawn: solid for hands, hatched for what runs by itself, dotted for what waits. Colour only says which item. */
function paint(kind: Block["kind"], tone: Tone) {
  if (kind === "hands" || kind === "tend") return { background: tone.deep, color: "#fff", border: `1px solid ${tone.deep}` };
  if (kind === "passive")
    return { background: HATCH(`${tone.deep}38`, tone.mist), color: COLOUR.ink, border: `1px solid ${tone.deep}` };
  return { background: "#fff", color: COLOUR.soft, border: `1px dotted ${tone.deep}` };
}

interface Props {
  readonly lane: Lane;
  readonly heading?: string;
  /** Stands under the heading, above the lane. */
  readonly under?: ReactNode;
  readonly scale: TimeScale;
  readonly labelWidth: number;
  readonly toneIndex: ReadonlyMap<string, number>;
  readonly nameOf: (item: string) => string;
  readonly selected: string | undefined;
  readonly onSelect: (task: string) => void;
  readonly timeText: (block: Block) => string;
  readonly clock: (minute: number) => string;
}

const rowHeight = (lane: Lane): number => (lane.group === "Hands" ? 30 : lane.group === RESTING ? 17 : 0);

function laneHeight(lane: Lane): number {
  if (lane.units === undefined) return lane.rows * rowHeight(lane) + 6;
  return lane.group === "Heat"
    ? Math.max(30, Math.min(66, lane.units * 20)) + 8
    : Math.max(26, Math.min(48, lane.units * 11)) + 6;
}

export function LaneRow({
  lane,
  heading,
  under,
  scale,
  labelWidth,
  toneIndex,
  nameOf,
  selected,
  onSelect,
  timeText,
  clock,
}: Props) {
  const { degrees } = useDisplay();
  const height = laneHeight(lane);
  const spans = spansOf(lane, scale);
  return (
    <>
      {heading && (
        <Box sx={{ background: COLOUR.page, borderBottom: `1px solid ${COLOUR.line}`, position: "relative", zIndex: 3 }}>
          <Box
            sx={{
              position: "sticky",
              left: 0,
              width: "max-content",
              pl: 1.5,
              fontSize: "0.72rem",
              fontWeight: 650,
              color: COLOUR.soft,
              lineHeight: "20px",
            }}
          >
            {heading}
          </Box>
        </Box>
      )}
      {under}
      <Box
        data-lane={lane.id}
        role="group"
        aria-label={lane.name}
        style={{ height }}
        sx={{ position: "relative", borderBottom: `1px solid ${COLOUR.line}` }}
      >
        <Box
          style={{ height: height - 1 }}
          sx={{
            position: "sticky",
            left: 0,
            zIndex: 3,
            width: labelWidth,
            pl: 1.5,
            pr: 0.5,
            background: COLOUR.card,
            borderRight: `1px solid ${COLOUR.line}`,
            display: "flex",
            flexDirection: "column",
            justifyContent: "center",
            overflow: "hidden",
          }}
        >
          <Box sx={{ fontWeight: 600, fontSize: "0.8rem", lineHeight: 1.15, overflowWrap: "anywhere" }}>{lane.name}</Box>
          {lane.detail && <Box sx={{ fontSize: "0.7rem", color: COLOUR.soft, lineHeight: 1.2 }}>{lane.detail}</Box>}
        </Box>
        <Box style={{ height }} sx={{ position: "absolute", left: labelWidth, top: 0 }}>
          {lane.closed.map(([from, to]) => (
            <Box
              key={from}
              style={{ left: scale.x(from), width: Math.max(0, scale.x(to) - scale.x(from)), height: height - 1 }}
              sx={{
                position: "absolute",
                top: 0,
                background: "repeating-linear-gradient(90deg, #e3e6e1 0 2px, #eef0ec 2px 7px)",
              }}
            />
          ))}
          {lane.changes.map((change, i) => (
            <Change key={change.start} {...change} clock={clock} scale={scale} height={height} named={i === 0} />
          ))}
          {lane.blocks.map((block) => (
            <BlockButton
              key={`${block.task}-${block.start}-${block.row}`}
              block={inDegrees(block, degrees)}
              lane={lane}
              height={height}
              span={spans.get(block)!}
              scale={scale}
              tone={toneOf(toneIndex.get(block.item) ?? 0)}
              name={nameOf(block.item)}
              chosen={block.task === selected}
              onSelect={onSelect}
              timeText={timeText(block)}
            />
          ))}
        </Box>
      </Box>
    </>
  );
}

/** A block with what its chamber is set to, in the cook's scale. */
const inDegrees = (block: Block, degrees: (celsius: number) => string): Block =>
  block.settingC === undefined
    ? block
    : {
        ...block,
        text: block.saysSetting ? `${block.text} at ${degrees(block.settingC)}` : block.text,
        fill: block.fill && `${block.fill} ${degrees(block.settingC).replace(/ °[CF]/, "°")}`,
      };

/** A wedge for heating up or cooling down; the first one, the switching on, is named beside it. */
function Change({
  start,
  end,
  rises,
  toC,
  scale,
  height,
  named,
  clock,
}: Lane["changes"][number] & { scale: TimeScale; height: number; named: boolean; clock: (minute: number) => string }) {
  const { degrees } = useDisplay();
  const left = scale.x(start);
  const width = Math.max(2, scale.x(end) - left);
  return (
    <Box
      title={`${rises ? "heat" : "cool"} to ${degrees(toC)}`}
      style={{ left, width, height: height - 1 }}
      sx={{
        position: "absolute",
        top: 0,
        background: rises
          ? `linear-gradient(to bottom right, transparent 50%, ${COLOUR.emberMist} 50.5%)`
          : `linear-gradient(to bottom left, transparent 50%, ${COLOUR.tideMist} 50.5%)`,
      }}
    >
      {named && (
        <Box
          style={{ right: width + 2 }}
          sx={{
            position: "absolute",
            bottom: 2,
            fontSize: "0.68rem",
            color: COLOUR.ember,
            whiteSpace: "nowrap",
          }}
        >
          switch on {clock(start)}
        </Box>
      )}
    </Box>
  );
}

interface BlockProps {
  readonly block: Block;
  readonly lane: Lane;
  readonly height: number;
  readonly span: Span;
  readonly scale: TimeScale;
  readonly tone: Tone;
  readonly name: string;
  readonly chosen: boolean;
  readonly onSelect: (task: string) => void;
  readonly timeText: string;
}

function BlockButton({ block, lane, height, span: { left, width }, scale, tone, name, chosen, onSelect, timeText }: BlockProps) {
  const unit = lane.units === undefined ? rowHeight(lane) : (height - 7) / lane.units;
  const top = lane.units === undefined ? 3 + block.row * unit : height - 4 - (block.row + block.amount) * unit;
  const boxHeight = lane.units === undefined ? unit - 2 : Math.max(4, unit * block.amount - 1);
  const letters = monogram(name);
  const label =
    width >= 19 ? (width >= 30 + block.text.length * 6 && boxHeight >= 13 ? `${letters} ${block.text}` : letters) : "";
  const kindText =
    block.kind === "hands" || block.kind === "tend" ? "hands" : block.kind === "passive" ? "runs by itself" : "waits";
  return (
    <>
      {block.window && <RestWindow window={block.window} scale={scale} top={top} height={boxHeight} tone={tone} />}
      <button
        type="button"
        className="block"
        data-block={block.task}
        data-kind={block.kind}
        aria-label={`${name}: ${block.text}, ${timeText}, ${kindText}`}
        aria-pressed={chosen}
        title={`${name}: ${block.text}\n${timeText}`}
        onClick={() => onSelect(block.task)}
        style={{
          ...paint(block.kind, tone),
          left,
          top,
          width,
          height: boxHeight,
          paddingLeft: width >= 19 ? 3 : 0,
          fontSize: boxHeight < 17 ? 10.5 : 11.5,
          lineHeight: `${block.fill && boxHeight >= 34 ? 17 : Math.min(boxHeight - 2, 26)}px`,
        }}
      >
        {label}
        {block.fill && boxHeight >= 34 && width >= 24 && <span>{width < 32 ? block.fill.split(" ")[0] : block.fill}</span>}
      </button>
    </>
  );
}

/** From where and to where a rest may end: a bracket behind its bar. */
function RestWindow({
  window: [from, to],
  scale,
  top,
  height,
  tone,
}: {
  window: readonly [number, number];
  scale: TimeScale;
  top: number;
  height: number;
  tone: Tone;
}) {
  const left = scale.x(from);
  const right = scale.x(to);
  if (right - left < 3) return null;
  return (
    <div
      aria-hidden
      className="window"
      style={{
        left,
        width: right - left,
        top: top + height / 2 - 1,
        background: `${tone.deep}88`,
        color: tone.deep,
      }}
    />
  );
}

/**
 * What all blocks and windows share, for the element around them. A day has hundreds of blocks: what differs is written on
 * them directly, since a style of its own for each would take longer to make than the blocks. The same holds for all that
 * stands at a minute: a plan that gets better would add styles for as long as it does.
 */
export const BLOCK_STYLES = {
  "& .block": {
    position: "absolute",
    p: 0,
    borderRadius: "2px",
    textAlign: "left",
    font: "inherit",
    fontWeight: 600,
    overflow: "hidden",
    whiteSpace: "nowrap",
    cursor: "pointer",
    zIndex: 1,
    outlineOffset: 1,
  },
  "& .block[aria-pressed=true]": { zIndex: 2, outline: `2px solid ${COLOUR.ink}` },
  "& .block:focus-visible": { zIndex: 3, outline: `2px solid ${COLOUR.ink}` },
  "& .block > span": { display: "block", fontWeight: 500, fontSize: 10.5, lineHeight: "13px", whiteSpace: "normal" },
  "& .window": { position: "absolute", height: "2px" },
  "& .window::before, & .window::after": { position: "absolute", top: -7, fontSize: 10, lineHeight: "16px" },
  "& .window::before": { content: '"▸"', left: -3 },
  "& .window::after": { content: '"◂"', right: -3 },
} as const;

const SAMPLE: Tone = { mist: "#e6e9e5", deep: "#4d5b5d" };

/** A sample of each way of drawing, for the line above the timeline. */
export function Swatch({ kind, children }: { kind: "hands" | "passive" | "wait" | "window" | "closed"; children: ReactNode }) {
  const look =
    kind === "window"
      ? { borderBottom: `2px solid ${SAMPLE.deep}`, height: 7 }
      : kind === "closed"
        ? { background: "repeating-linear-gradient(90deg, #d3d8d2 0 2px, #eef0ec 2px 7px)", height: 14 }
        : { ...paint(kind, SAMPLE), height: 14 };
  return (
    <Box component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 0.75 }}>
      <Box component="span" aria-hidden sx={{ width: 26, borderRadius: "2px", display: "inline-block", ...look }} />
      {children}
    </Box>
  );
}
