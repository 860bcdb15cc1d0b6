import { compile } from "../compile";
import { parseProblem, type ProblemInput } from "../problem";
import { CostBound } from "./cost-bound";
import { Occupancy } from "./occupancy";
import { Search } from "./search";
import { costOf } from "./schedule";
import { Unplaced } from "./unplaced";
import { Windows } from "./windows";
import { seeded } from "../../shared/chance";

function modelOf(tasks: ProblemInput["tasks"], costs: ProblemInput["costs"] = { span: 0 }) {
  const parsed = parseProblem({
    format: "unisynth-problem/1",
    horizon: 100,
    resources: [{ id: "hands", kind: "pool", capacity: 1 }],
    tasks,
    costs,
  });
  if (!parsed.ok) throw new Error(parsed.issues[0].code);
  return compile(parsed.value);
}
const hands = [{ resource: "hands" }];

describe("which task comes next", () => {
  const model = modelOf([
    { id: "loose", duration: 5, uses: hands },
    { id: "tight", duration: 5, uses: hands, earliest: 10, latest: 18 },
    { id: "after tight", duration: 5, uses: hands, after: [{ task: "tight", max: 3 }] },
  ]);
  const windows = new Windows(model);
  windows.propagateAll();
  const unplaced = () => {
    const list = new Unplaced(model, windows, new Float64Array(3).fill(1));
    [0, 1, 2].forEach((task) => list.add(task, 1));
    return list;
  };
  test("the one with the least room", () => expect(unplaced().pick(-1, false)).toBe(1));
  test("of the cluster that is begun, before any other", () => {
    const list = unplaced();
    list.take(1);
    expect(list.pick(model.cluster[1], false)).toBe(2);
  });
  test("one that was in trouble before comes sooner", () => {
    const list = new Unplaced(model, windows, Float64Array.from([1e6, 1, 1]));
    [0, 1, 2].forEach((task) => list.add(task, 1));
    expect(list.pick(-1, false)).toBe(0);
  });
  test("a cluster that is dropped waits no longer; the rest still does", () => {
    const list = unplaced();
    expect(list.dropCluster(model.cluster[1])).toBe(2);
    expect(list.count).toBe(1);
    expect(list.pick(-1, false)).toBe(0);
  });
  test("what was taken out comes back by being added", () => {
    const list = unplaced();
    list.take(0);
    expect(list.count).toBe(2);
    list.add(0);
    expect(list.count).toBe(3);
    list.clear();
    expect(list.pick(-1, false)).toBe(-1);
  });
});

describe("what any schedule costs at the least", () => {
  const model = modelOf(
    [
      { id: "a", duration: 10, uses: hands, due: 30, earlyCost: 2, latest: 25 },
      { id: "b", duration: [5, 20], uses: hands, stretchCost: 1, after: [{ task: "a", min: 15 }] },
    ],
    { span: 1 },
  );
  test("is never more than what a schedule costs", () => {
    const windows = new Windows(model);
    windows.propagateAll();
    const bound = new CostBound(model, windows, new Occupancy(model));
    // a ends five minutes early at the least; from its start to the end of b at least 30 min lie.
    expect(bound.value()).toBeCloseTo(2 * 5 + 30);
    expect(bound.leastEnds).toBe(30);
    const found = new Search(model, seeded(1)).construct({
      deadEnds: 50,
      tries: 20,
      below: Infinity,
      whim: 0,
      patience: 0,
      aims: false,
      wish: () => "late",
    })!;
    expect(costOf(model, found.starts, found.ends)).toBeGreaterThanOrEqual(bound.value());
  });
  test("a pass gives up where nothing cheaper than asked can be had, and leaves everything as it was", () => {
    const search = new Search(model, seeded(1));
    const options = { deadEnds: 50, tries: 20, whim: 0, patience: 0, aims: false, wish: () => "late" as const };
    expect(search.construct({ ...options, below: 40 })).toBeUndefined();
    expect(search.partial).toBeDefined();
    expect(search.construct({ ...options, below: Infinity })).toBeDefined();
  });
});
