/** Where a function that goes up crosses zero between two points, by halves: to the last digit of a number. */
export function crossing(of: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 200; i++) {
    const middle = (low + high) / 2;
    if (of(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
