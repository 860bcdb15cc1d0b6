import { handsParallel, handsTime, type HandSkill } from "@/core/process/hands-time";
import { lengthText } from "@/core/shared/clock";
import { ok } from "@/core/shared/issue";
import { counted } from "@/core/shared/words";
import { run, type Calculator } from "../calculator";

/** Pieces that the curve is drawn for at the least. */
const DRAWN = 40;
const STEP = 4;

const seconds = (value: number): string => `${Math.round(value)} s`;

const hands: Calculator = {
  id: "hands",
  when: "Forming",
  question: "How long do hands take?",
  fields: [
    { kind: "number", key: "secondsPerPiece", label: "A piece takes practised hands", unit: "s", usual: 50 },
    { kind: "number", key: "pieces", label: "To be formed", unit: "pieces", usual: 24 },
    {
      kind: "choice",
      key: "skill",
      label: "Hands are",
      usual: "practised",
      options: [
        ["beginner", "new to it"],
        ["practised", "practised"],
        ["expert", "quick"],
      ],
    },
    { kind: "number", key: "doneBefore", label: "Formed today already", unit: "pieces", usual: 0 },
    { kind: "number", key: "cooks", label: "People at it", unit: "people", usual: 1 },
  ],
  answer: ({ number, text }) => {
    const work = { secondsPerPiece: number("secondsPerPiece"), pieces: number("pieces"), skill: text("skill") as HandSkill };
    const doneBefore = number("doneBefore") ?? 0;
    const alone = run("hands.time", handsTime, { ...work, doneBefore });
    if (!alone.ok) return alone;
    const cooks = number("cooks") ?? 1;
    const skills = Array.from({ length: Math.max(0, Math.min(20, Math.round(cooks))) }, () => work.skill);
    const one = run("hands.parallel", handsParallel, { ...work, pieces: Math.max(1, work.pieces ?? 0), skills: [work.skill] });
    const together = run("hands.parallel", handsParallel, { ...work, pieces: Math.max(1, work.pieces ?? 0), skills });
    if (!one.ok) return one;
    if (!together.ok) return together;
    // Learning is one pair of hands' own; what more pairs save of the plain time they save of it as well.
    const minutes = (alone.value.minutes * together.value.minutes) / one.value.minutes;
    const { firstS, lastS } = alone.value;
    const last = Math.max(DRAWN, work.pieces ?? 0);
    const curve = Array.from({ length: Math.floor(last / STEP) + 1 }, (_, k) => Math.max(1, k * STEP)).flatMap(
      (n): [number, number][] => {
        const at = handsTime({ ...work, pieces: 1, doneBefore: doneBefore + n - 1, factor: 1 });
        return at.ok && at.value.firstS !== null ? [[n, Math.round(at.value.firstS * 10) / 10]] : [];
      },
    );
    return ok({
      headline: `About ${lengthText(Math.max(1, Math.round(minutes)))} for ${counted(work.pieces ?? 0, "piece")}`,
      says: [
        ...(firstS !== null && lastS !== null
          ? ([
              ["The first takes", seconds(firstS)],
              ["The last takes", seconds(lastS)],
            ] as const)
          : []),
        ["The first piece then waits", `${lengthText(Math.max(0, Math.round(minutes)))} for the last: cover it`],
      ],
      chart: { title: "A piece, as hands get used to it", x: "piece", y: "s", series: [{ name: "a piece", points: curve }] },
      by: ["hands.time", "hands.parallel"],
      use: { text: "Your cooks and their paces", href: "/kitchens" },
    });
  },
  typedIn: { skills: "cooks" },
};

export const HANDS: readonly Calculator[] = [hands];
