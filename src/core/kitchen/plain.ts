import { KitchenSchema, type Kitchen } from "./schema";

/**
 * What most home kitchens have, for a cook who has not said yet what theirs has: one pair of hands from morning to evening, an
 * oven with two shelves, four rings, a fridge. Each figure is theirs to change.
 */
export const plainKitchen = (id: string, name: string): Kitchen =>
  KitchenSchema.parse({
    id,
    name,
    roomC: [{ from: "00:00", to: "24:00", c: 21 }],
    cooks: [{ id: "cook-1", name: "Me", skill: "intermediate", hours: [{ day: 0, from: "08:00", to: "20:00" }] }],
    equipment: {
      worktop: { places: 2 },
      tray: { count: 3, mm: [400, 300] },
      board: { count: 3, mm: [400, 300] },
      rack: { count: 3, mm: [400, 300] },
      oven: {
        count: 1,
        fan: true,
        shelfPositions: 2,
        shelfMm: [450, 350],
        startC: 20,
        heatCPerMin: 12,
        coolCPerMin: 4,
        maxC: 250,
      },
      hob: { count: 4 },
      pot: { litres: [3, 5] },
      "lidded-pan": { count: 1, mm: 280 },
      "fridge-shelf": { count: 2, fitsTraysEach: 1, c: 4 },
      "freezer-tray": { count: 1, c: -18 },
      scale: { count: 1 },
      "rolling-pin": { count: 1 },
      bowl: { count: 3 },
      dish: { count: 2 },
      tins: { count: 12, mm: 80 },
      "piping-bag": { count: 1 },
      "dry-pan": { count: 1 },
    },
  });

/** A copy of a kitchen under a name of its own. */
export const kitchenAgain = (kitchen: Kitchen, id: string, name: string): Kitchen => ({ ...kitchen, id, name });
