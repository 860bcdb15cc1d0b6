/** 0, 1, 2 … up to so many numbers. `Int32Array.from` would walk an iterator for it, which takes some ten times as long. */
export function countUp(length: number): Int32Array {
  const list = new Int32Array(length);
  for (let k = 1; k < length; k++) list[k] = k;
  return list;
}
