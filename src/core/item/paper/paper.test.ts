import { readMethod } from "./method-text";
import { readPaper } from "./sections";
import { lengthsIn } from "./times";

test.each([
  ["Bake for 20 minutes.", [[20, 20]]],
  ["Bake 20–25 min until golden", [[20, 25]]],
  [
    "Chill for half an hour, or overnight",
    [
      [30, 30],
      [480, 720],
    ],
  ],
  ["Rest 1½ hours", [[90, 90]]],
  ["Simmer for 1 hour 20 minutes", [[80, 80]]],
  ["30 Minuten gehen lassen", [[30, 30]]],
  ["Laisser reposer 1 heure", [[60, 60]]],
  ["180 °C'de 25 dakika pişirin", [[25, 25]]],
  ["Cut into 12 pieces of 50 g", []],
  ["Heat to 180 °C", []],
] as const)("lengths in “%s”", (sentence, expected) => {
  expect(lengthsIn(sentence).map(({ least, most }) => [least, most])).toEqual(expected);
});

const parts = (text: string) => {
  const paper = readPaper(text, "metric");
  return {
    dough: paper.dough.map(({ text: line }) => line),
    filling: paper.fillings.flatMap(({ lines }) => lines.map(({ text: line }) => line)),
    finish: paper.finish.map(({ text: line }) => line),
    method: paper.method,
  };
};

test("headings divide a recipe, in whatever language they stand", () => {
  const read = parts(
    "Teig\n500 g Mehl\n250 g Butter\nFüllung:\n400 g Spinat\nZubereitung\nDen Teig kneten. 30 Minuten ruhen lassen.",
  );
  expect(read.dough).toEqual(["500 g Mehl", "250 g Butter"]);
  expect(read.filling).toEqual(["400 g Spinat"]);
  expect(read.method).toEqual(["Den Teig kneten.", "30 Minuten ruhen lassen."]);
});

test("without headings: what stands around the flour is the dough, what is told in sentences is the method", () => {
  const read = parts(
    "300 g flour\n150 g butter\n60 ml water\n1/2 tsp salt\n400 g mushrooms\n1 onion\n1. Make the dough and chill it for an hour before rolling.\n2. Fill, fold and bake at 190 °C.",
  );
  expect(read.dough).toEqual(["300 g flour", "150 g butter", "60 ml water", "1/2 tsp salt"]);
  expect(read.filling).toEqual(["400 g mushrooms", "1 onion"]);
  expect(read.method).toHaveLength(2);
});

test("blocks without headings: the one with flour, then the filling, then what finishes it", () => {
  const read = parts("200 g flour\n100 g butter\n\n300 g apples\n50 g sugar\n\n1 egg");
  expect(read).toMatchObject({
    dough: ["200 g flour", "100 g butter"],
    filling: ["300 g apples", "50 g sugar"],
    finish: ["1 egg"],
  });
});

const method = (...sentences: string[]) =>
  readMethod(sentences, { dough: ["flour", "butter"], filling: ["beef", "onion", "butter"] });

test("a rest before forming is the dough's, one after it the pieces'; one sentence may say two stages", () => {
  const read = method(
    "Knead 10 minutes and let it rise for 1 hour.",
    "Fill and pinch shut.",
    "Let them rise again 30 minutes, then bake at 180 °C for 18 minutes.",
  );
  expect(read.knead?.length?.least).toBe(10);
  expect(read.firstRest?.length?.least).toBe(60);
  expect(read.formedRest?.length?.least).toBe(30);
  expect(read.heat).toMatchObject({ length: { least: 18 }, celsius: 160 });
});

test("what is cooked and set beforehand is the filling's; what is not to be done is not done", () => {
  const read = method("Simmer the beef for 2 hours and let it set overnight.", "Fill.", "Bake 20 minutes in a moderate oven.");
  expect(read.fillingCook?.length?.least).toBe(120);
  expect(read.fillingSet?.length?.night).toBe(true);
  expect(read.heat).toMatchObject({ celsius: 165, length: { least: 20 } });
  expect(method("Mix the beef raw, do not cook it.", "Fill.").cooksFilling).toBe(false);
});

test("minutes a side count for both sides", () =>
  expect(method("Fold into squares.", "On a griddle, 4 minutes a side.").heat?.length?.least).toBe(8));
