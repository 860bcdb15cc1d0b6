import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { demoInput } from "@tests/demo";

const folder = mkdtempSync(join(tmpdir(), "unisynth-cli-"));
const file = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === "string" ? content : JSON.stringify(content));
  return path;
};
const run = (name: string, args: string[], input?: string) => {
  const { status, stdout, stderr } = spawnSync("node", ["scripts/run.mjs", `cli/${name}.ts`, ...args], {
    input,
    encoding: "utf8",
  });
  return { status, out: stdout, err: stderr.trim() };
};

const problem = {
  format: "unisynth-problem/1",
  horizon: 60,
  resources: [{ id: "hands", kind: "pool", capacity: 1 }],
  tasks: [
    { id: "a", duration: 10, uses: [{ resource: "hands" }] },
    { id: "b", duration: 10, uses: [{ resource: "hands" }] },
  ],
  costs: { makespan: 1 },
};

describe("solve and verify", () => {
  test("one solution on standard output, which verify finds nothing against", () => {
    const solved = run("solve", ["--seconds", "1"], JSON.stringify(problem));
    expect(solved.status).toBe(0);
    expect(JSON.parse(solved.out)).toMatchObject({ format: "unisynth-solution/1", status: "optimal", cost: 20, bound: 20 });
    const verified = run("verify", [file("p.json", problem), file("s.json", solved.out)]);
    expect(verified).toEqual({ status: 0, out: "", err: "" });
  });

  test("each violation is a line, and the exit is 1", () => {
    const { out } = run("solve", ["--iterations", "5", "--seed", "2"], JSON.stringify(problem));
    const solution = JSON.parse(out);
    solution.tasks[0].end += 1;
    const verified = run("verify", [file("p.json", problem), file("bad.json", solution)]);
    expect(verified.status).toBe(1);
    expect(verified.out.split("\n")[0]).toMatch(/^time: . lasts 11 min, not 10$/);
  });

  test.each<[string, string[], string, string]>([
    ["no JSON", [], "{", "standard input is not JSON"],
    ["another format", [], "{}", "format is missing"],
    ["a flag that is no number", ["--seconds", "soon"], "{}", "--seconds is soon; expected a number from 0 to 86400"],
    ["an unknown flag", ["--fast", "1"], "{}", "--fast is not an option; expected --seconds, --seed, --iterations"],
  ])("%s exits 2 with one line", (_name, args, input, line) => {
    const answer = run("solve", args, input);
    expect(answer.status).toBe(2);
    expect(answer.out).toBe("");
    expect(answer.err.split("\n")).toHaveLength(1);
    expect(answer.err).toContain(line);
  });
});

describe("plan", () => {
  test("a request gives a plan", () => {
    const answer = run("plan", [file("request.json", demoInput("first-try"))]);
    expect(answer.status).toBe(0);
    const plan = JSON.parse(answer.out);
    expect(plan).toMatchObject({ format: "unisynth-plan/1", origin: "2026-11-29T00:00", notes: [] });
    expect(Object.keys(plan.tasks).sort()).toEqual(plan.problem.tasks.map((t: { id: string }) => t.id).sort());
  });

  test("a wrong field exits 2 and is named by its path", () => {
    const input = demoInput("first-try");
    input.gathering.guests![0].count = -1;
    const answer = run("plan", [file("wrong.json", input)]);
    expect(answer).toEqual({ status: 2, out: "", err: "gathering.guests[0].count is -1; expected a whole number from 0 to 500" });
  });

  test("a file that is not there exits 2", () =>
    expect(run("plan", ["/nowhere.json"])).toMatchObject({
      status: 2,
      err: "/nowhere.json cannot be read; expected a JSON file",
    }));
});

describe("vectors", () => {
  const vector = (cases: object[], method = "count.roundUp") => ({ method, cases });

  test("what agrees passes, what does not is shown, what is unknown is skipped and fails", () => {
    const good = {
      in: { pieces: 35, perCarrier: 12 },
      out: { pieces: 36, carriers: 3, extra: 1, lastFill: 12 },
      tolerance: 1e-6,
    };
    const wrong = { ...good, out: { ...good.out, extra: 2 } };
    const answer = run("vectors", [file("v.json", vector([good, wrong])), file("u.json", vector([good], "moon.phase"))]);
    const lines = answer.out.trim().split("\n");
    expect(lines[0]).toContain("count.roundUp case 1: wanted");
    expect(lines[1]).toBe("skipped moon.phase (1 cases)");
    expect(lines[2]).toBe("1 passed, 2 failed");
    expect(answer.status).toBe(1);
  });

  test("an error agrees by its code and field", () => {
    const answer = run("vectors", [
      file(
        "e.json",
        vector([
          { in: { pieces: -1, perCarrier: 12 }, out: { error: { code: "out_of_range", field: "pieces" } }, tolerance: 1e-6 },
        ]),
      ),
    ]);
    expect(answer).toMatchObject({ status: 0, out: "1 passed, 0 failed\n" });
  });

  test("with --json each case's answer is a line", () => {
    const answer = run("vectors", [
      "--json",
      file("j.json", vector([{ in: { pieces: 12, perCarrier: 12 }, out: 0, tolerance: 1 }])),
    ]);
    expect(JSON.parse(answer.out)).toMatchObject({ method: "count.roundUp", case: 0, got: { carriers: 1 } });
  });

  test("a file that is no vector file exits 2", () => expect(run("vectors", [file("n.json", { cases: [] })]).status).toBe(2));
});

describe("item", () => {
  const recipe = {
    name: "Corner pies",
    makes: 12,
    text: "Dough\n300 g flour\n150 g butter\n60 ml water\nFilling\n400 g leeks\n100 g cream\nMethod\nChill the dough 40 minutes. Cook the leeks 12 minutes, cool.\nRoll, fill, fold over. Bake at 190 °C for 24 min.",
  };
  test("a recipe in the cook's words is an item that plan takes as it is", () => {
    const made = run("item", [file("recipe.json", recipe)]);
    expect(made).toMatchObject({ status: 0, err: "" });
    const document = JSON.parse(made.out);
    expect(document).toMatchObject({
      format: "unisynth-item/1",
      family: "SH",
      method: "tray",
      shape: "half-moon",
      allergens: ["gluten", "milk"],
      diets: { vegetarian: true, vegan: false },
      hazard: "leftovers",
    });
    const steps: { id: string; text: string; source: object }[] = document.steps;
    expect(steps.find(({ id }) => id === "heat")).toMatchObject({ source: { minutes: "recipe", heat: "recipe" } });
    expect(steps[0].text).toContain("300 g flour");
    const input = demoInput("first-try");
    const [wave] = input.gathering.waves!;
    const request = {
      ...input,
      items: [document.item],
      gathering: { ...input.gathering, rules: [], waves: [{ ...wave, items: [{ recipe: document.item.id, pieces: 12 }] }] },
    };
    const plan = run("plan", [file("request.json", request)]);
    expect(plan.status).toBe(0);
    expect(JSON.parse(plan.out).solution.status).not.toBe("infeasible");
  });
  test.each([
    ["nothing to weigh", { name: "x", dough: ["some flour"] }, /dough is missing; expected the ingredients of the dough/],
    ["no recipe", { name: "x" }, /text/],
    ["a kind that is none", { name: "x", dough: ["1 cup flour"], family: "ZZ" }, /family.*expected one of EY/],
    ["no name", { dough: ["1 cup flour"] }, /name/],
  ])("%s: one line that names the field, and exit 2", (_, input, line) => {
    const { status, err } = run("item", [file("bad.json", input)]);
    expect([status, err]).toEqual([2, expect.stringMatching(line)]);
    expect(err.split("\n")).toHaveLength(1);
  });
});

describe("replay", () => {
  const { plan, first } = (() => {
    const planned = run("plan", [file("day.json", { ...demoInput("first-try"), solve: { seed: 1, iterations: 0 } })]);
    const plan = JSON.parse(planned.out) as { origin: string; solution: { tasks: { id: string; start: number }[] } };
    const first = [...plan.solution.tasks].sort((a, b) => a.start - b.start)[0];
    return { plan, first };
  })();
  const at = (minute: number) => new Date(Date.parse(`${plan.origin}:00Z`) + minute * 60_000).toISOString();
  const began = { id: "e1", device: "phone", at: at(first.start + 3), kind: "started", task: first.id };
  const over = { id: "e2", device: "phone", at: at(first.start + 9), kind: "done", task: first.id };

  test("where a day stands, the same for events in any order and twice over; verify finds nothing against its rest", () => {
    const told = (events: object[]) => run("replay", [file("plan.json", plan), file("events.json", events)]);
    const once = told([began, over]);
    expect(once.err).toBe("");
    const stand = JSON.parse(once.out) as Record<string, never> & {
      replan: { problem: object; solution: object; sentence: string };
    };
    expect(stand).toMatchObject({ format: "unisynth-run/1", tasks: { [first.id]: { status: "done" } } });
    expect(stand.replan.sentence).toMatch(/\.$/);
    const twice = JSON.parse(told([over, began, over]).out) as Record<string, object>;
    expect({ ...twice, events: undefined }).toEqual({ ...stand, events: undefined });
    expect(run("verify", [file("rp.json", stand.replan.problem), file("rs.json", stand.replan.solution)])).toEqual({
      status: 0,
      out: "",
      err: "",
    });
  });

  test("what is no event, and what is no moment, is one line with its field", () => {
    const bad = run("replay", [file("plan.json", plan), file("bad.json", [{ ...began, at: "noon" }])]);
    expect(bad).toMatchObject({ status: 2, out: "" });
    expect(bad.err).toMatch(/^events: \[0\]\.at is "noon" .*expected a moment in UTC/);
    const when = run("replay", [file("plan.json", plan), file("none.json", []), "--at", "later"]);
    expect(when).toMatchObject({ status: 2, err: '--at is "later"; expected a moment in UTC, such as 2026-12-05T17:04:00Z' });
  });
});

describe("answer", () => {
  test("a model by itself, with its units, its range and its source", () => {
    const { status, out } = run("answer", ["safety.core"], JSON.stringify({ contents: ["poultry"] }));
    expect(status).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ value: { coreC: 74 }, units: { coreC: "°C" }, source: expect.any(String) });
  });

  test("outside its range, or no model: one line that says what was expected", () => {
    const hot = run(
      "answer",
      ["oven.bakeTime"],
      JSON.stringify({ refMin: 25, refC: 200, ovenC: 280, refPieceG: 80, refTrayG: 800 }),
    );
    expect(hot).toMatchObject({ status: 2, out: "" });
    expect(hot.err).toMatch(/^ovenC is 280; expected /);
    expect(run("answer", ["oven.time"]).err).toMatch(/^the model is "oven.time"; expected one of /);
  });
});
