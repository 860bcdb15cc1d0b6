import { readPaper } from "./sections";
import { expandLine, finishLine } from "./inline";

const names = (text: string) => {
  const { dough, fillings, finish, method } = readPaper(text, "metric");
  const of = (lines: typeof dough) => lines.map(({ name }) => name);
  return { dough: of(dough), filling: fillings.flatMap(({ lines }) => of(lines)), finish: of(finish), method };
};

test("lists behind their headings, each on one line, are read one by one; how a thing is cut belongs to it", () => {
  const read = names(`For the dough: 500g strong flour, 280 ml tepid milk, 60g butter, melted, 1 tsp salt, 1 egg
Filling: 1/2 white cabbage, shredded, 300g pork mince, salt and pepper
1 egg yolk to glaze
Knead till smooth. Bake in a hot oven until golden.`);
  expect(read.dough).toEqual(["strong flour", "tepid milk", "butter, melted", "salt", "egg"]);
  expect(read.filling).toEqual(["white cabbage, shredded", "pork mince", "salt and pepper"]);
  expect(read.finish).toEqual(["egg yolk"]);
  expect(read.method).toEqual(["Knead till smooth.", "Bake in a hot oven until golden."]);
});

test("decimal commas, brackets and sentences stay whole", () => {
  const one = (line: string) =>
    expandLine(
      line,
      () => true,
      () => false,
    );
  expect(one("Teig: 0,5 kg Mehl, 1,5 TL Salz")).toEqual(["Teig:", "0,5 kg Mehl", "1,5 TL Salz"]);
  expect(one("Filling: 200 g cheese (feta, or a mix), 2 eggs")).toEqual(["Filling:", "200 g cheese (feta, or a mix)", "2 eggs"]);
  expect(
    expandLine(
      "Mix 200 g flour, 100 ml water and 5 g salt.",
      () => false,
      () => true,
    ),
  ).toEqual(["Mix 200 g flour, 100 ml water and 5 g salt."]);
  expect(
    expandLine(
      "500 g flour, 300 ml water and 10 g salt",
      () => false,
      () => true,
    ),
  ).toEqual(["500 g flour", "300 ml water", "10 g salt"]);
});

test("a numbered step, and one with its minutes, is no list", () => {
  const step = "2. Add the rest and knead until smooth, 8-10 minutes. Leave it until doubled, about 1 to 1 1/2 hours.";
  const known = () => true;
  expect(expandLine(step, () => false, known)).toEqual([step]);
  expect(expandLine("20 minutes in the oven, 10 min more without foil", () => false, known)).toHaveLength(1);
});

test("what goes on the pieces is told by its words, in several languages", () => {
  expect(["1 egg, to glaze", "1 Eigelb zum Bestreichen", "1 jaune pour dorer", "milk for brushing"].map(finishLine)).toEqual([
    "1 egg",
    "1 Eigelb",
    "1 jaune",
    "milk",
  ]);
  expect(finishLine("200 g brushed cotton")).toBeUndefined();
});
