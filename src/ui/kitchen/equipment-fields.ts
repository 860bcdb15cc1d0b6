import { largestPot } from "@/core/batching/split";
import { capacitiesOf, type Room } from "@/core/kitchen/capacity";
import { freezesInADay } from "@/core/kitchen/freezes";
import type { Kitchen } from "@/core/kitchen/schema";
import { plainKitchen } from "@/core/kitchen/plain";
import type { Item } from "@/core/item/schema";
import { weightText } from "@/core/quantities/display";
import { sum } from "@/core/shared/rounding";
import { lengthText } from "@/core/shared/clock";

export type EquipmentId =
  | "oven"
  | "tray"
  | "hob"
  | "pot"
  | "lidded-pan"
  | "steamer"
  | "fryer"
  | "mixer"
  | "worktop"
  | "board"
  | "rack"
  | "tins"
  | "fridge-shelf"
  | "freezer-tray"
  | "bowl"
  | "dish"
  | "dry-pan"
  | "rolling-pin"
  | "piping-bag"
  | "scale"
  | "probe";

/** A field of a piece of equipment. `mm`: length and width; `list`: several numbers. */
export interface EquipmentField {
  readonly key: string;
  readonly label: string;
  readonly kind: "number" | "mm" | "list" | "switch";
}

export interface EquipmentKind {
  readonly id: EquipmentId;
  readonly name: string;
  readonly fields: readonly EquipmentField[];
  /** Keys of the fields by which one of another size differs; undefined where all are alike to a plan. */
  readonly sized?: readonly string[];
  /** What one has who has not said yet: the cook's to change. */
  readonly begin: Readonly<Record<string, unknown>>;
}

const number = (key: string, label: string): EquipmentField => ({ key, label, kind: "number" });
const count = number("count", "How many");
const wash = number("washMin", "Washing between uses, min");
const plain = plainKitchen("plain", "plain").equipment as Readonly<Record<string, Readonly<Record<string, unknown>> | undefined>>;

/** Every kind of equipment with its sizes that matter, in the order of the work's scarcest first. */
export const EQUIPMENT: readonly EquipmentKind[] = [
  {
    id: "oven",
    name: "Oven",
    fields: [
      count,
      number("shelfPositions", "Shelves used at once"),
      { key: "shelfMm", label: "A shelf, mm", kind: "mm" },
      number("heatCPerMin", "Heats up, °C a minute"),
      number("coolCPerMin", "Cools down, °C a minute"),
      number("maxC", "Hottest it reaches, °C"),
      { key: "fan", label: "With a fan", kind: "switch" },
    ],
    sized: ["count", "shelfPositions", "heatCPerMin", "coolCPerMin", "maxC", "fan"],
    begin: plain.oven!,
  },
  {
    id: "tray",
    name: "Trays",
    fields: [count, { key: "mm", label: "A tray, mm", kind: "mm" }],
    sized: ["count", "mm"],
    begin: plain.tray!,
  },
  { id: "hob", name: "Rings of the hob", fields: [count], begin: plain.hob! },
  { id: "pot", name: "Pots", fields: [{ key: "litres", label: "Litres of each", kind: "list" }, wash], begin: plain.pot! },
  {
    id: "lidded-pan",
    name: "Pans with a lid",
    fields: [count, number("mm", "Across, mm"), wash],
    sized: ["count", "mm"],
    begin: plain["lidded-pan"]!,
  },
  {
    id: "steamer",
    name: "Steamer",
    fields: [
      count,
      number("tiers", "Tiers"),
      number("mm", "Across, mm"),
      number("hobs", "Rings it takes"),
      number("heatUpMin", "Minutes to steam"),
    ],
    sized: ["count", "tiers", "mm", "heatUpMin"],
    begin: { count: 1, tiers: 2, mm: 280, hobs: 1, heatUpMin: 12 },
  },
  {
    id: "fryer",
    name: "Fryer",
    fields: [
      count,
      number("oilMl", "Oil, ml"),
      number("kW", "Power, kW"),
      number("heatCPerMin", "Heats up, °C a minute"),
      number("coolCPerMin", "Cools down, °C a minute"),
      number("maxC", "Hottest it reaches, °C"),
    ],
    sized: ["count", "oilMl", "kW", "heatCPerMin", "coolCPerMin", "maxC"],
    begin: { count: 1, oilMl: 3000, startC: 20, heatCPerMin: 10, coolCPerMin: 1, maxC: 190, filterMin: 12, refillMin: 25 },
  },
  {
    id: "mixer",
    name: "Mixer",
    fields: [count, number("maxDoughG", "Most dough, g"), number("minDoughG", "Least dough, g"), wash],
    begin: { count: 1, maxDoughG: 1500, minDoughG: 300 },
  },
  {
    id: "worktop",
    name: "Worktop",
    fields: [number("places", "Places to work at"), { ...wash, label: "Wiping between uses, min" }],
    begin: plain.worktop!,
  },
  {
    id: "board",
    name: "Boards",
    fields: [count, { key: "mm", label: "A board, mm", kind: "mm" }, wash],
    sized: ["count", "mm"],
    begin: plain.board!,
  },
  { id: "rack", name: "Cooling racks", fields: [count, { key: "mm", label: "A rack, mm", kind: "mm" }], begin: plain.rack! },
  { id: "tins", name: "Small tins", fields: [count, number("mm", "Across, mm")], begin: plain.tins! },
  {
    id: "fridge-shelf",
    name: "Fridge shelves",
    fields: [count, number("fitsTraysEach", "Trays on one"), number("c", "Cold, °C")],
    begin: plain["fridge-shelf"]!,
  },
  {
    id: "freezer-tray",
    name: "Freezer trays",
    fields: [count, number("c", "Cold, °C"), number("litres", "The freezer holds, l")],
    begin: plain["freezer-tray"]!,
  },
  ...(
    [
      ["bowl", "Large bowls"],
      ["dish", "Flat dishes"],
      ["dry-pan", "Open pans"],
      ["rolling-pin", "Rolling pins"],
      ["piping-bag", "Piping bags"],
      ["scale", "Scales"],
      ["probe", "Probe thermometers"],
    ] as const
  ).map(([id, name]): EquipmentKind => ({ id, name, fields: [count], begin: { count: 1 } })),
];

/** What a piece of equipment comes to: how much of an item it takes, or how long it makes the cook wait. */
export function consequence(id: EquipmentId, kitchen: Kitchen, item: Item | undefined): string | undefined {
  const { oven, fryer, mixer, steamer, board } = kitchen.equipment;
  const fit = item && capacitiesOf(item, kitchen);
  const of = (n: number | string | undefined, where: string) =>
    n !== undefined && n !== "" && n !== 0 ? `${item!.name}: ${n} ${where}` : undefined;
  // "8 or 4": in what there is of each size.
  const each = (rooms: readonly Room[]) => [...new Set(rooms.filter((r) => r.count > 0).map((r) => r.pieces))].join(" or ");
  switch (id) {
    case "oven": {
      if (!oven) return undefined;
      const warm = `${lengthText(Math.ceil((200 - oven.startC) / oven.heatCPerMin))} from cold to 200 °C`;
      const load = fit && of(sum(fit.rooms.oven.map(({ count, pieces }) => count * pieces)) * fit.tray, "at once");
      return [load, warm].filter(Boolean).join("; ");
    }
    case "tray":
      return fit && of(each(fit.rooms.tray), "on one");
    case "board":
      return board && fit && of(each(fit.rooms.board), "on one");
    case "lidded-pan":
      return fit && of(each(fit.rooms.pan), "in one");
    case "steamer":
      return steamer && fit && of(fit.steamerLoad, "at once");
    case "fryer":
      return fryer
        ? [
            fit && of(fit.fryerLoad, "at once"),
            `${lengthText(Math.ceil((180 - fryer.startC) / fryer.heatCPerMin))} from cold to 180 °C`,
          ]
            .filter(Boolean)
            .join("; ")
        : undefined;
    case "pot": {
      const most = largestPot(kitchen);
      return most === undefined ? undefined : `a filling of more than ${weightText(most)} is cooked in two`;
    }
    case "mixer":
      return mixer?.maxDoughG ? `more than ${mixer.maxDoughG} g of dough is mixed in two` : undefined;
    case "freezer-tray": {
      const takes = freezesInADay(kitchen);
      return [fit && of(fit.freezerTray, "on one"), takes !== undefined && `${weightText(takes)} in a day`]
        .filter(Boolean)
        .join("; ");
    }
    default:
      return undefined;
  }
}
