/** A moment: a variable and how much later than it. */
export interface Moment {
  readonly x: number;
  readonly plus: number;
}
