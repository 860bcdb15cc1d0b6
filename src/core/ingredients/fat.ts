/** Fat in ingredients, %. */
export const FAT_PCT: Readonly<Record<string, number>> = {
  butter: 82,
  margarine: 80,
  lard: 100,
  shortening: 100,
  suet: 100,
  ghee: 100,
  oil: 100,
  "oil-olive": 100,
  cream: 35,
  "cream-cheese": 33,
  egg: 10,
  "egg-yolk": 27,
  milk: 3.5,
};
