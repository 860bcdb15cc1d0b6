/** How much longer a yeasted rest takes at the room than at its reference: doubling for each 10 °C. */
export const yeastFactor = (atC: number, roomC: number): number => 2 ** ((atC - roomC) / 10);
