/** The colours of the product by day and what each is for; see docs/design-notes.md. */
export const DAY = {
  /** Page: flour on a table, slightly grey so that white cards lift. */
  page: "#eef0ec",
  card: "#ffffff",
  ink: "#1c2628",
  soft: "#4d5b5d",
  line: "#c9d0cb",
  /** What can be pressed, and where you are. */
  tide: "#155e63",
  tideDeep: "#0e4347",
  tideMist: "#e0eeec",
  /** Serving and heat: what everything runs towards. */
  ember: "#b03a12",
  emberMist: "#fbe9e1",
  caution: "#7a4b00",
  cautionMist: "#fdf0d4",
  fits: "#2b6a34",
  fitsMist: "#e3f1e2",
} as const;

type Name = keyof typeof DAY;

/** The same by night, for a screen in a dim kitchen: each keeps what it is for. */
export const NIGHT: Readonly<Record<Name, string>> = {
  page: "#10181a",
  card: "#1a2527",
  ink: "#eef3f0",
  soft: "#b4c2c1",
  line: "#41504f",
  tide: "#7fd0c8",
  tideDeep: "#0a3134",
  tideMist: "#17363a",
  ember: "#ff9b73",
  emberMist: "#45241a",
  caution: "#f0c46b",
  cautionMist: "#3d2f12",
  fits: "#8fd49a",
  fitsMist: "#1d3a24",
};

const names = Object.keys(DAY) as Name[];
const variable = (name: Name) => `--unisynth-${name}`;

/** A colour as it is now, by day or by night. */
export const COLOUR = Object.fromEntries(names.map((name) => [name, `var(${variable(name)})`])) as Readonly<Record<Name, string>>;

/** The colours as a style sheet has them. */
export const variablesOf = (colours: Readonly<Record<Name, string>>): Record<string, string> =>
  Object.fromEntries(names.map((name) => [variable(name), colours[name]]));

export interface Tone {
  /** Ground of passive time. */
  readonly mist: string;
  /** Ground of hands-on time, under white text. */
  readonly deep: string;
}

/** One tone an item, far enough apart in lightness order too; the two letters beside it carry the meaning without colour. */
const TONES: readonly Tone[] = [
  { mist: "#f3e3c3", deep: "#8a5a14" },
  { mist: "#f5d6cc", deep: "#a33d24" },
  { mist: "#d5e6f0", deep: "#2a6288" },
  { mist: "#dcebd2", deep: "#46702a" },
  { mist: "#ead9ee", deep: "#754188" },
  { mist: "#f6d5e0", deep: "#a02f5c" },
  { mist: "#d3ebe5", deep: "#1f6f60" },
  { mist: "#e6ddd2", deep: "#6b4a33" },
  { mist: "#dbdcf3", deep: "#4a4ba0" },
];

/** The tone of the item at this place in the plan's list of items. */
export const toneOf = (index: number): Tone => TONES[((index % TONES.length) + TONES.length) % TONES.length];

/** Two letters for an item, so that blocks can be told apart without colour: "Plum buns" gives "PB". */
export function monogram(name: string): string {
  const words = name.split(/[\s]+/).filter(Boolean);
  const letters = words.length > 1 ? words[0][0] + words[words.length - 1][0] : name.slice(0, 2);
  return letters.toUpperCase();
}
