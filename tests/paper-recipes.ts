import type { z } from "zod";
import type { RecipeInputSchema } from "@/core/item/making/recipe-input";

/** Recipes as cooks write them, with what they usually leave out. All are our own. `expected`: what is understood of them. */
export interface PaperRecipe {
  readonly recipe: z.input<typeof RecipeInputSchema>;
  readonly expected: {
    readonly family: string;
    readonly method: string;
    readonly shape?: string;
    readonly hazard?: string | null;
  };
  readonly pieces?: number;
}

export const PAPER_RECIPES: readonly PaperRecipe[] = [
  {
    recipe: {
      name: "Sunday rolls",
      makes: "16",
      text: `Dough
500 g strong flour
7 g instant yeast
60 g sugar
60 g soft butter
1 egg
220 ml milk
1 tsp salt

Filling
200 g ham, diced
150 g grated cheddar

Knead everything for 10 minutes. Let it rise until doubled, about an hour.
Divide into 16, flatten, put some filling on each, pinch shut and place seam side down.
Let them rise again 30 minutes, brush with egg and bake at 180 °C until golden.`,
    },
    expected: { family: "EY", method: "tray", shape: "smooth-bun" },
  },
  {
    recipe: {
      name: "Harbour spirals",
      text: `For the dough:
500 g flour
300 ml lukewarm water
2 tbsp oil
10 g salt
For the filling:
600 g spinach
250 g feta
1 onion
Method:
Knead the dough 10 min and let it rest under a cloth for an hour.
Cook the onion, wilt the spinach for 8 minutes, squeeze it, crumble the cheese in.
One pulls the dough on one side, the other on the other side, until it is stretched paper-thin. Brush with oil.
Lay the filling along the edge, roll it up and coil it into a spiral.
Bake in a hot oven for 25 minutes.`,
    },
    expected: { family: "SS", method: "tray", shape: "coil" },
  },
  {
    recipe: {
      name: "Butter turnovers",
      makes: 20,
      text: `Pastry:
400 g plain flour
200 g cold butter
1 egg
4 tbsp cold water
1 tsp salt
Filling:
300 g potatoes
100 g peas
1 onion
1 tsp cumin
To serve:
1 litre black tea
Method:
Rub in the butter, add egg and water, do not knead, chill 30 min.
Boil the potatoes for 20 minutes, mash, fry the onion and mix.
Roll out, cut circles, fill, fold over and crimp. Bake 20-25 minutes at 190 C.`,
    },
    expected: { family: "SH", method: "tray", shape: "half-moon" },
  },
  {
    recipe: {
      name: "Lattice tarts",
      makes: "12 tarts",
      text: `Pastry
300 g flour
150 g butter
80 g sugar
1 egg yolk
pinch of salt
Filling
500 g apples
80 g sugar
1 tsp cinnamon
Method
Make the pastry and chill for half an hour.
Cook the apples with the sugar for 10 minutes and let them cool.
Line small tart tins, fill, put a lattice on top and bake at 185 °C for 25 minutes.`,
    },
    expected: { family: "SH", method: "tin", shape: "tartlet-lattice" },
  },
  {
    recipe: {
      name: "Weighed turnovers",
      makes: 18,
      dough: ["600 g flour", "180 g lard", "240 g water", "12 g salt"],
      fillings: ["500 g beef, diced", "300 g onion", "10 g salt", "5 g paprika"],
      method: [
        "Every piece gets 50 g of dough and 45 g of filling.",
        "Stew the beef with the onions for 1 hour, cool.",
        "Rest the dough 30 minutes. Roll out, fill, fold in half and make a rope edge.",
        "Bake at 200 °C for 25 min.",
      ],
    },
    expected: { family: "FR", method: "tray", shape: "rope-half-moon", hazard: "leftovers" },
  },
  {
    recipe: {
      name: "Harvest pot pie",
      text: `Crust
250 g flour
170 g butter
80 ml ice water
1/2 tsp salt
Filling
600 g chicken thighs
2 carrots
200 g mushrooms
40 g butter
40 g flour
500 ml chicken stock
Method
Rub in the butter so that pieces the size of peas remain, add the water, chill overnight.
Brown the chicken, simmer with the stock for 30 minutes, thicken with butter and flour, cool.
Fill a pie dish, cover with the lid, cut slits, and bake at 200 °C for 35 min.`,
    },
    expected: { family: "FS", method: "dish", shape: "lidded-dish", hazard: "leftovers" },
    pieces: 2,
  },
  {
    recipe: {
      name: "Sweet-dough moons",
      makes: 24,
      text: `500 g flour
100 g sugar
180 g butter
2 eggs
1 tsp baking powder

400 g quince jam

Mix the dough, rest in the fridge 1 hour.
Roll out, cut rounds, put a spoonful of jam on each, fold in half and press with a fork.
Bake at 175 °C for 18 minutes.`,
    },
    expected: { family: "SH", method: "tray", shape: "half-moon" },
  },
  {
    recipe: {
      name: "Hot-water dumplings",
      makes: 40,
      text: `Dough
400 g plain flour
220 ml boiling water
Filling
400 g minced pork
200 g cabbage, finely chopped
2 tbsp soy sauce
1 tsp sesame oil
Method
Pour the boiling water over the flour, stir, knead when cool enough, rest 30 min.
Mix the raw filling well.
Roll thin rounds, fill, fold and seal.
Heat oil in a pan, put them in, fry until the bottom is golden, add water, cover with a lid and steam 8 minutes.`,
    },
    expected: { family: "HW", method: "pan", shape: "dumpling-folded", hazard: "mincedMeat" },
  },
  {
    recipe: {
      name: "Woven buns",
      makes: 8,
      text: `Dough
500 g bread flour
10 g active dry yeast
250 ml milk
60 g butter
40 g sugar
8 g salt
1 egg
Filling
400 g minced lamb
1 onion
2 tomatoes
Dip
150 g plum chutney
Method
Wake the yeast in warm milk. Knead 8 minutes, rise 1 hour.
Brown the lamb with the onion and tomatoes for 20 min and cool.
Roll rectangles, fill, weave the strips over. Let rise 20 minutes. Brush with egg.
Bake 22 minutes at 180 °C.`,
    },
    expected: { family: "EY", method: "tray", shape: "woven", hazard: "leftovers" },
  },
  {
    recipe: {
      name: "Dumplings under lace",
      makes: 30,
      text: `Skins
300 g flour
150 ml cold water
pinch salt
Filling
250 g prawns, chopped
100 g chives
1 tbsp cornstarch
Method
Knead the dough and rest it an hour. Roll thin.
Mix the filling cold, do not cook it. Fill and fold, five pleats.
Arrange in a cold pan, pour over water with a spoon of starch, cover with the lid, bring to the boil, 6 minutes, then lid off until it crackles. Turn out.`,
    },
    expected: { family: "CW", method: "pan", shape: "dumpling-pleated", hazard: "fish" },
  },
  {
    recipe: {
      name: "Sweet-savoury oven buns",
      makes: 20,
      text: `600 g bread flour
90 g sugar
9 g instant yeast
300 ml milk
50 g butter
1 egg
6 g salt

500 g pork shoulder
3 tbsp hoisin sauce
2 tbsp honey
1 onion

Simmer the pork with the onion and the sauces for 40 minutes, dice, let it cool.
Knead the dough 10 min. Prove till doubled. Divide into 20, fill, shape into balls. Prove again for 45 min.
Egg wash. Bake in a moderate oven about 18 min.`,
    },
    expected: { family: "EY", method: "tray", shape: "smooth-bun", hazard: "leftovers" },
  },
  {
    recipe: {
      name: "Cloud buns",
      makes: 16,
      text: `Dough
500 g low-protein flour
5 g instant yeast
60 g sugar
250 ml water
1 tbsp oil
Filling
400 g red beans
150 g sugar
Method
Boil the beans for an hour, mash with the sugar, cool.
Knead until smooth. Divide, fill, shape into smooth balls, seam down on paper. Let rise 30 minutes. Steam 12 minutes, wait 3 minutes before opening.`,
    },
    expected: { family: "SY", method: "steam", shape: "smooth-bun" },
  },
  {
    recipe: {
      name: "Milk buns three ways",
      makes: 18,
      dough: "520 g bread flour\n180 ml milk\n80 ml water\n60 g sugar\n1 egg\n50 g butter\n7 g instant yeast\n7 g salt",
      fillings: [
        { name: "Mushroom", lines: ["400 g mushrooms", "1 onion", "20 g butter"] },
        { name: "Tuna", lines: ["300 g tuna, drained", "1 onion", "50 g mayonnaise"] },
        { name: "Custard", lines: ["400 ml milk", "80 g sugar", "40 g cornstarch", "3 egg yolks"] },
      ],
      method:
        "Cook the flour paste: 30 g of the flour with 120 ml of the milk until it thickens to a paste. Cool it.\nKnead everything 12 min, rise 75 minutes.\nSauté the mushrooms for 10 minutes.\nDivide into 18, fill, round into buns, rise 45 minutes, bake at 175 °C for 18 min.",
    },
    expected: { family: "EY", method: "tray", shape: "smooth-bun" },
  },
  {
    recipe: {
      name: "Pan buns",
      makes: 20,
      text: `Dough: 
400 g flour
5 g yeast, instant
240 ml warm water
1 tsp sugar
Filling: 
300 g minced chicken
2 spring onions
1 tbsp soy sauce
Method:
Mix, knead 5 minutes and let rise an hour. Mix the raw filling.
Divide into 20, roll, fill, pleat shut. Leave 20 min.
Fry in an oiled pan till the bottom is brown, add half a cup of water, lid on, cook 9 minutes, leave the lid on 3 minutes more.`,
    },
    expected: { family: "PY", method: "pan", hazard: "poultry" },
  },
  {
    recipe: {
      name: "Ramekin pies",
      makes: "6",
      text: `Pastry
1 sheet puff pastry (275 g)
Filling
500 g pumpkin, diced
2 onions
100 g goat cheese
2 tbsp oil
Method
Roast the filling with the oil at 200 °C for 30 minutes and let it cool.
Fill six ramekins, cover with a lid of pastry, brush with milk.
Bake at 200 °C for 20 minutes.`,
    },
    expected: { family: "FS", method: "dish", shape: "lidded-dish" },
  },
  {
    recipe: {
      name: "Dumplings from the freezer",
      dough: ["24 frozen dumplings"],
      method: [
        "Straight from the freezer into a cold pan with oil and water, cover with a lid, 10 minutes, then lid off until crisp.",
      ],
    },
    expected: { family: "CW", method: "pan" },
    pieces: 12,
  },
  {
    recipe: {
      name: "Fried discs",
      makes: 20,
      text: `Dough
350 g flour
80 g semolina
80 ml oil
150 ml water
1 tsp salt
Filling
250 g split mung lentils
1 tsp chilli
1 tsp fennel seed
Method
Soak the lentils, cook them for 20 minutes and mash dry with the spices.
Bring the dough together, do not knead, rest 20 minutes.
Fill, close, flatten to discs. Deep-fry at 160 °C for 6 minutes until they puff.`,
    },
    expected: { family: "OS", method: "fry", shape: "stuffed-disc" },
  },
  {
    recipe: {
      name: "Pleated beef dumplings",
      makes: 36,
      text: `Dough
300 g dumpling flour
145 ml water
Filling
350 g beef mince
1 tsp baking soda
1 tbsp soy sauce
1 stalk leek
Method
Knead the dough, rest it 45 min.
Toss the beef with the soda and marinate for 20 minutes, rinse. Mix with the rest, raw.
Roll, fill and make pleats. Fry in a pan with a little oil, then add water and cover; 7 minutes.`,
    },
    expected: { family: "CW", method: "pan", shape: "dumpling-pleated", hazard: "mincedMeat" },
  },
  {
    recipe: {
      name: "Market squares",
      makes: 10,
      text: `Dough
400 g flour
250 ml water
50 ml oil
8 g salt
Filling
5 eggs
200 g tomatoes, drained
1 bunch parsley
Method
Beat a thin batter dough, knead, rest half an hour under oil.
Stretch each piece into a very thin square on an oiled table, egg and tomato in the middle, fold the sides into a square parcel.
Dry pan, medium heat, 4 minutes a side.`,
    },
    expected: { family: "BD", method: "dry", shape: "square-parcel", hazard: "egg" },
  },
  {
    recipe: {
      name: "Mini quince pies",
      makes: 12,
      text: `Shortcrust
250 g flour
125 g butter
1 egg
Filling
300 ml cream
3 eggs
150 g cheese, grated
Method
Chill the dough 30 min. Line a muffin tin and blind bake at 180 °C.
Whisk the filling, pour it in. Bake 20 min at 160 °C.`,
    },
    expected: { family: "SH", method: "blind", hazard: "egg" },
  },
  {
    recipe: {
      name: "Night-set turnovers",
      makes: 24,
      text: `Dough
500 g flour
100 g lard
200 ml water
10 g salt
Filling
800 g beef shin
2 onions
3 bay leaves
2 sheets gelatin
Method
Simmer the shin with onions and bay leaves for 2 hours, shred, pour the reduced stock over and let the filling set overnight in the fridge.
Knead the dough until smooth and rest it 45 min.
Roll out, cut rounds, fill cold, fold over, seal with a rope edge. Chill 20 min.
Deep-fry at 180 °C for 4 min.`,
    },
    expected: { family: "FR", method: "fry", shape: "rope-half-moon", hazard: "leftovers" },
  },
  {
    recipe: {
      name: "Ramekin lids",
      makes: 4,
      text: `400 g of squash and 2 red onions are roasted at 200C for 30 minutes in the same oven, cooled and mixed with 200 g ricotta and sage. Crust: 200 g flour rubbed with 100 g cold butter, 3 tbsp water; rest cold 30 min. Spoon into ramekins, lay a round of pastry on top, cut a cross, brush with milk, bake at 190 °C for 25 minutes.`,
    },
    expected: { family: "SH", method: "dish", shape: "lidded-dish" },
    pieces: 4,
  },
  {
    recipe: {
      name: "Lace in a cold pan",
      text: `24 round skins (bought)
Filling: 250 g pork mince, 100 g prawns, 2 spring onions, 1 tbsp soy sauce
Slurry: 150 ml water, 1 tbsp flour
Start in a cold pan with 1 tbsp oil: dumplings touching, pour the slurry, cover, cook on medium 10 minutes, uncover until a crisp lace forms. Turn out on a plate.`,
    },
    expected: { family: "CW", method: "pan", hazard: "mincedMeat" },
  },
  {
    recipe: {
      name: "Beef parcels, softened",
      text: `Wrappers: 300 g flour, 160 ml boiling water
Filling: 400 g beef, minced, 1/2 tsp baking soda, 2 tbsp soy sauce, 100 ml stock, 1 leek
Mix the soda into the beef, leave 15 minutes, rinse. Stir in the stock a little at a time. Rest dough 30 minutes, roll, pleat. Steam 8 minutes.`,
    },
    expected: { family: "HW", method: "steam", shape: "dumpling-pleated", hazard: "mincedMeat" },
  },
  {
    recipe: {
      name: "Griddle squares",
      text: `Dough: 300g flour, 180ml water, 2 tbsp oil, salt. Rest in oil 1 hour.
Filling: 4 raw eggs, beaten; 200 g minced beef browned with 1 onion and curry powder for 10 minutes.
Stretch the dough paper thin on an oiled table, put some meat and egg in the middle, fold into squares, cook in a dry pan 4 minutes each side.`,
    },
    expected: { family: "BD", method: "dry", shape: "square-parcel", hazard: "leftovers" },
  },
  {
    recipe: {
      name: "Plum lattices",
      makes: "2 tarts of 20 cm",
      text: `300 g flour, 200 g butter, 90 g sugar, 1 egg make a short dough; chill one hour. 500 g plums simmered with 80 g sugar for 15 min and cooled go in. Keep a third of the dough for a lattice. Bake 40 min at 180°C.`,
    },
    expected: { family: "SH", method: "dish", shape: "lattice-dish" },
    pieces: 2,
  },
  {
    recipe: {
      name: "Coils over the table",
      text: `700 g flour, 400 ml warm water, 2 tsp salt, 60 ml oil; knead till silky, rest an hour and a half under oil. Filling: 500 g spinach, wilted and squeezed, 250 g feta, 1 egg. Two people stretch each ball over the table until see-through; brush with oil, fill, roll, coil. Bake hot, 220 °C, about 30 min. Makes 8.`,
    },
    expected: { family: "SS", method: "tray", shape: "coil", hazard: "egg" },
    pieces: 8,
  },
];
