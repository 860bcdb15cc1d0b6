/** Minutes to pixels, with long stretches in which nothing happens folded to a narrow band. */
export interface TimeScale {
  readonly width: number;
  readonly pieces: readonly {
    readonly from: number;
    readonly to: number;
    readonly x: number;
    readonly width: number;
    readonly folded: boolean;
  }[];
  x(minute: number): number;
}

/** A stretch without any work that lasts at least this long is folded, min. */
const FOLD_FROM = 150;
const FOLD_WIDTH = 34;

/**
 * @param busy   stretches [from, to) in which somebody works or something is served, in any order
 * @param pxPerMin pixels for a minute that is not folded; or the width that all must fit in
 */
export function timeScale(busy: readonly (readonly [number, number])[], size: { pxPerMin: number } | { fit: number }): TimeScale {
  const merged: [number, number][] = [];
  for (const [from, to] of [...busy].sort((a, b) => a[0] - b[0])) {
    const last = merged.at(-1);
    if (last && from - last[1] < FOLD_FROM) last[1] = Math.max(last[1], to);
    else merged.push([from, to]);
  }
  if (merged.length === 0) merged.push([0, 60]);
  const open = merged.reduce((sum, [from, to]) => sum + to - from, 0);
  const folds = merged.length - 1;
  const perMin = "pxPerMin" in size ? size.pxPerMin : Math.max(0.2, (size.fit - folds * FOLD_WIDTH) / Math.max(1, open));
  const pieces: { from: number; to: number; x: number; width: number; folded: boolean }[] = [];
  let x = 0;
  merged.forEach(([from, to], i) => {
    if (i > 0) {
      pieces.push({ from: merged[i - 1][1], to: from, x, width: FOLD_WIDTH, folded: true });
      x += FOLD_WIDTH;
    }
    pieces.push({ from, to, x, width: (to - from) * perMin, folded: false });
    x += (to - from) * perMin;
  });
  return {
    width: x,
    pieces,
    x(minute) {
      const piece = pieces.find((p) => minute <= p.to) ?? pieces[pieces.length - 1];
      const inside = Math.min(piece.to, Math.max(piece.from, minute));
      return piece.x + (piece.width * (inside - piece.from)) / Math.max(1, piece.to - piece.from);
    },
  };
}

/** Minutes at which the axis is marked: every hour or half hour of what is not folded. */
export function ticksOf(scale: TimeScale): number[] {
  const perMin = scale.pieces.find((p) => !p.folded)!;
  const step = (perMin.width / Math.max(1, perMin.to - perMin.from)) * 30 >= 46 ? 30 : 60;
  return scale.pieces
    .filter((p) => !p.folded)
    .flatMap((p) => {
      const ticks: number[] = [];
      for (let minute = Math.ceil(p.from / step) * step; minute <= p.to; minute += step) ticks.push(minute);
      return ticks;
    });
}
