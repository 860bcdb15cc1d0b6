import { sum } from "../shared/rounding";
import { splitLoads } from "./split";
import { evenParts } from "../quantities/apportion";
import { sizeOf, type Range } from "../shared/range";

/** Cuts a range into parts of the given sizes, in order. */
export function cut([from]: Range, sizes: readonly number[]): Range[] {
  let at = from;
  return sizes.filter((size) => size > 0).map((size) => [at, (at += size)] as const);
}

/** Cuts a range at the borders of other ranges, so that no part lies in two of them. */
export function cutAt(range: Range, borders: readonly Range[]): Range[] {
  const points = [...new Set(borders.flat().filter((p) => p > range[0] && p < range[1]))].sort((a, b) => a - b);
  return [...points, range[1]].map((point, i) => [i === 0 ? range[0] : points[i - 1], point] as const);
}

/**
 * Lots of at most `capacity` pieces, as few as can be and as even as can be. Where the pieces later go on in loads of
 * `unit`, whole loads stay together if that costs no further lot.
 */
export function lotsOf(range: Range, capacity: number, unit = 1): Range[] {
  const pieces = sizeOf(range);
  const count = Math.ceil(pieces / capacity);
  const whole = Math.floor(capacity / unit);
  if (unit <= 1 || whole < 1 || Math.ceil(Math.ceil(pieces / unit) / whole) > count)
    return cut(range, splitLoads({ pieces, capacity, mode: "even" }).perLoad);
  const loads = evenParts(Math.ceil(pieces / unit), count);
  let left = pieces;
  return cut(
    range,
    loads.map((n) => {
      const size = Math.min(left, n * unit);
      left -= size;
      return size;
    }),
  );
}

/** Full loads first, the rest last: the way a fryer or a pan is worked. */
export function fullLoads(range: Range, capacity: number): Range[] {
  const pieces = sizeOf(range);
  const full = Math.floor(pieces / capacity);
  return cut(range, [...Array.from({ length: full }, () => capacity), pieces - full * capacity]);
}

/**
 * Sizes of the mixes of a dough: as few as the mixer's limit allows, whole trays (multiples of `unit`) where that needs
 * no further mix and leaves none below `least`; else even.
 * @param even the even parts, larger first
 */
export function mixSizes(even: readonly number[], most: number, unit: number, least: number): readonly number[] {
  const count = even.length;
  if (count === 1) return even;
  const pieces = sum(even);
  const wholeUnits = Math.floor(most / unit);
  const units = Math.ceil(pieces / unit);
  if (wholeUnits < 1 || Math.ceil(units / wholeUnits) > count) return even;
  let left = pieces;
  const sizes = evenParts(units, count).map((n) => {
    const size = Math.min(left, n * unit);
    left -= size;
    return size;
  });
  return sizes.every((size) => size >= Math.min(least, even[even.length - 1])) ? sizes : even;
}

/** A part of a range and the room it goes into, by its place among the rooms. */
export interface InRoom {
  readonly range: Range;
  readonly room: number;
}

/**
 * Parts of at most what each room holds, where there are rooms of several sizes: as few rounds of all of them as can be, then as
 * few parts as can be, the largest rooms first, each as full as the others. Rooms that hold nothing are left out.
 */
export function acrossRooms(range: Range, rooms: readonly { readonly count: number; readonly pieces: number }[]): InRoom[] {
  const usable = rooms.map((room, i) => ({ ...room, i })).filter(({ count, pieces }) => count > 0 && pieces > 0);
  const pieces = sizeOf(range);
  if (usable.length === 0 || pieces === 0) return [];
  const perRound = sum(usable.map((room) => room.count * room.pieces));
  const rounds = Math.ceil(pieces / perRound);
  const bySize = [...usable].sort((a, b) => b.pieces - a.pieces);
  const places = bySize.flatMap((room) =>
    Array.from({ length: rounds * room.count }, (_, k) => ({ ...room, round: Math.floor(k / room.count) })),
  );
  let held = 0;
  const taken = places.filter((place) => held < pieces && (held += place.pieces) > 0);
  let left = pieces;
  let space = held;
  const filled = taken.map((place) => {
    const size = Math.min(place.pieces, Math.ceil((left * place.pieces) / space));
    left -= size;
    space -= place.pieces;
    return { ...place, size };
  });
  // What is in use at the same time lies side by side.
  const inOrder = filled.sort((a, b) => a.round - b.round || b.pieces - a.pieces);
  const ranges = cut(
    range,
    inOrder.map(({ size }) => size),
  );
  return ranges.map((part, k) => ({ range: part, room: inOrder[k].i }));
}
