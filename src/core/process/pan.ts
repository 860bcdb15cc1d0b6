/** Pan, water, lid, crisp: water in ml, minutes of each part, and hot water to add where the pan would run dry under its lid, ml. */
export function panSteamFry({
  refMin,
  refPieceG,
  pieceG,
  frozen,
  panDiameterMm,
  depthMm,
  freeFrac,
  fryMin,
  lidEvapGPerMin,
  openEvapGPerMin,
}: Readonly<
  Record<
    | "refMin"
    | "refPieceG"
    | "pieceG"
    | "panDiameterMm"
    | "depthMm"
    | "freeFrac"
    | "fryMin"
    | "lidEvapGPerMin"
    | "openEvapGPerMin",
    number
  >
> & { readonly frozen: boolean }) {
  const waterMl = (freeFrac * (Math.PI / 4) * panDiameterMm ** 2 * depthMm) / 1000;
  const steamMin = refMin * Math.sqrt(pieceG / refPieceG) * (frozen ? 1.35 : 1);
  const leftMl = waterMl - lidEvapGPerMin * steamMin;
  const dryMin = Math.max(1.5, leftMl / openEvapGPerMin);
  return { waterMl, fryMin, steamMin, dryMin, totalMin: fryMin + steamMin + dryMin, topUpMl: Math.max(0, -leftMl) };
}
