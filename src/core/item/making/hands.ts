/** Hands of a practised cook at one operation: s a piece, and once for a batch, min. Kitchen figures of our own. */
export interface Operation {
  readonly secPerPiece: number;
  readonly fixedMin: number;
}

const operation = (secPerPiece: number, fixedMin: number): Operation => ({ secPerPiece, fixedMin });

export const OPERATIONS = {
  portion: operation(8, 1),
  preshape: operation(6, 1),
  rollDisc: operation(25, 1),
  rollWrapper: operation(18, 1),
  cutRound: operation(20, 4),
  stretchSheet: operation(60, 3),
  cup: operation(20, 1),
  lineTin: operation(35, 3),
  lineDish: operation(150, 6),
  fill: operation(12, 1),
  wash: operation(4, 2),
  vent: operation(4, 1),
  bag: operation(5, 3),
  serve: operation(1, 2),
} as const;

/** Cutting and grating, s for 100 g. */
export const PREP_SEC_PER_100_G = 40;
