import type { Swap, SwapEffect } from "./swaps";

/** What each exchange does: cue and keeping that change, one sentence. The only place that words them. */
const EFFECT: Readonly<Record<SwapEffect, string>> = {
  "stronger-flour": "more bite and spring; takes about 2 % more water and a longer rest",
  "weaker-flour": "softer, tears easily; start with 3 % less water",
  "plain-for-strong": "softer, rolls with less spring; start with 2 % less water",
  "weakened-flour": "softer and shorter; rolls thin with less spring, tears sooner",
  "own-leavener": "the same lift; with less powder flatter and smoother",
  "lard-for-butter": "flakier and crisper, less flavour; firm for longer in a warm room",
  "shortening-for-butter": "tender and even, mild; keeps its shape, browns less",
  "oil-for-butter": "sandy instead of flaky; no chilling needed, softens sooner when kept",
  "margarine-for-butter": "softer at once, so chill it longer; browns a little less",
  "butter-for-margarine": "firmer from the fridge, more flavour, browns sooner",
  "butter-for-harder-fat": "more flavour, softer in a warm room, browns sooner",
  "soy-for-wine": "no alcohol; darker and saltier, so count its salt before you add more",
  "vinegar-for-wine": "no alcohol; add the vinegar at the end and taste",
  "no-egg": "no egg; paler, less tender, binds less: keep the filling drier",
  "no-milk": "no milk; browns a little less",
  leaner: "a little leaner; browns later",
  "soured-milk": "the same tenderness after ten minutes' standing",
  "sugar-for-honey": "browns later, dries sooner when kept",
  "salt-by-hand": "the salt it brought is added by hand; more flavour",
  "vegetable-stock": "suits vegetarians; often saltier: taste first",
  "same-rise": "the same rise; crumble fresh yeast into the liquid",
  "yeast-bloomed": "the same rise; wake it in lukewarm liquid, 10 min, before it meets the flour",
  "self-raising": "crisper and puffier, with cracks where it was smooth",
};

/** What an exchange does, in words. `weight`: grams as the reader has them. */
export const swapText = ({ effect, leavenerG }: Swap, weight: (grams: number) => string): string =>
  leavenerG === undefined ? EFFECT[effect] : `${EFFECT[effect]}; ${weight(leavenerG)} of leavener is in it already`;
