/** Figures as the bench says them; temperatures are put into the cook's scale where they are shown. */
export const one = (value: number): string => String(Math.round(value * 10) / 10);
export const degrees = (celsius: number): string => `${Math.round(celsius)} °C`;
export const grams = (value: number): string =>
  value < 20 ? `${one(value)} g` : value < 2000 ? `${Math.round(value)} g` : `${Math.round(value / 10) / 100} kg`;
export const millimetres = (value: number): string => `${one(value)} mm`;
export const millilitres = (value: number): string =>
  value < 1000 ? `${Math.round(value)} ml` : `${Math.round(value / 10) / 100} l`;
export const factor = (value: number): string => String(Math.round(value * 100) / 100);
