/** Milk, cream, cheese, eggs, and what is drunk instead of milk. Columns as in `grains.ts`. */
export const DAIRY = `
milk | dairy | milk, whole milk, full-fat milk, semi-skimmed milk, skimmed milk, low-fat milk, lactose-free milk, cow's milk, fresh milk, Milch, Vollmilch, lait, lait entier, leche, latte, latte intero, süt, mleko, mleka, melk, susu, susu cair, 牛乳, 牛奶, दूध, doodh | 88 3.5 3.3 4.8 .1 | - | |
goat-milk | dairy | goat's milk, goat milk, Ziegenmilch, lait de chèvre; sheep's milk, sheep milk, ewe's milk; buffalo milk | 86 4.5 4 4.5 .1 | 247 | |
milk-powder | dairy dry-thing | milk powder, dried milk, powdered milk, skimmed milk powder, dry milk, Milchpulver, lait en poudre, leche en polvo, latte in polvere, süt tozu, mleko w proszku, susu bubuk, スキムミルク, 奶粉 | 3 15 30 45 .9 | - | |
milk-evaporated | dairy | evaporated milk, unsweetened condensed milk, Kondensmilch, lait évaporé, leche evaporada, susu evaporasi | 74 7.5 7 10 .3 | 252 | tin 400 |
whey | dairy | whey, whey powder, Molke; buttermilk powder | 93 .3 .8 5 .1 | 245 | |
buttermilk | dairy | buttermilk, Buttermilch, babeurre, maślanka, suero de leche; kefir, lait fermenté; ayran, lassi, laban | 90 1 3.3 4.5 .1 | - | |
cream | dairy | cream, whipping cream, double cream, heavy cream, single cream, light cream, half-and-half, cooking cream, whipped cream, Sahne, Schlagsahne, Obers, Rahm, crème, crème fraîche liquide, crème entière, nata, nata líquida, panna, panna fresca, krema, śmietanka, krim kental, whipping krim, 生クリーム, 淡奶油, 奶油, मलाई | 58 35 2.2 3 .1 | - | |
sour-cream | dairy | sour cream, soured cream, smetana, Sauerrahm, saure Sahne, Schmand, crema agria, panna acida, ekşi krema, śmietana, crema; crème fraîche, creme fraiche; clotted cream, kaymak | 71 20 2.5 3.5 .1 | - | |
yogurt | dairy | yogurt, yoghurt, plain yogurt, natural yogurt, Joghurt, Naturjoghurt, yaourt, yogur, yoğurt, jogurt, ヨーグルト, 酸奶, दही, dahi, curd | 86 3.5 4 4.7 .1 | - | |
yogurt-strained | dairy | strained yogurt, greek yogurt, greek yoghurt, thick yogurt, labneh, skyr, süzme yoğurt, yaourt grec, hung curd | 80 8 6 4 .1 | - | |
quark | fresh-cheese | quark, curd cheese, fresh curd cheese, farmer's cheese, farmer cheese, topfen, fromage blanc, fromage frais, requesón, twaróg, tvorog, white cheese fresh, Magerquark, Schichtkäse, lor peyniri, lor | 78 4 11 4 .1 | - | tub 250 |
cottage-cheese | fresh-cheese | cottage cheese, Hüttenkäse, körniger Frischkäse | 79 4.3 11 3 .8 | 225 | tub 200 |
ricotta | fresh-cheese | ricotta, ricotta cheese, urda, anthotyro | 72 11 9 3 .2 | - | tub 250 |
cream-cheese | fresh-cheese | cream cheese, soft cheese, Frischkäse, fromage à tartiner, queso crema, formaggio spalmabile, krem peynir, serek śmietankowy, クリームチーズ, 奶油奶酪 | 54 33 6 4 .8 | - | - |
mascarpone | fresh-cheese | mascarpone | 50 42 5 4 .1 | 235 | tub 250 |
paneer | fresh-cheese | paneer, panir, queso fresco, queso blanco, fresh white cheese, पनीर | 53 22 18 2.5 .5 | 130 | block 225 |
khoya | dairy | khoya, khoa, mawa, खोया | 40 22 17 17 .3 | 200 | |
mozzarella | cheese | mozzarella, mozzarella cheese, mozzarella di bufala, fior di latte, モッツァレラ; burrata; string cheese; oaxaca cheese | 55 20 20 1 .7 | - | ball 125 |
feta | cheese | feta, feta cheese, brined white cheese, brined cheese, white cheese, Schafskäse, Feta, queso feta, beyaz peynir, bryndza, sirene, ser feta, akkawi | 55 21 14 1 2.5 | - | block 200 |
halloumi | cheese | halloumi, halloumi cheese, grilling cheese, hellim; nabulsi cheese | 43 25 22 2 2.7 | 120 | block 225 |
cheddar | cheese | cheddar, cheddar cheese, mature cheddar, 切达; hard cheese, mature hard cheese; monterey jack; colby; red leicester; cheshire cheese | 37 33 25 .5 1.8 | - | block 200 |
cheese | cheese | cheese, semi-hard cheese, mild cheese, Käse, Reibekäse, fromage, fromage râpé, queso, queso rallado, formaggio, peynir, kaşar peyniri, kaşar, ser, ser żółty, kaas, keju, チーズ, 奶酪, 芝士, चीज़ | 42 27 22 1 1.5 | 113 | slice 20 |
gouda | cheese | gouda; edam; butterkäse; tilsiter; havarti; provolone; scamorza; caciocavallo; fontina; taleggio; raclette | 42 28 25 1 1.8 | 113 | |
emmental | rennet-cheese | emmental, emmentaler, swiss cheese; gruyère, gruyere; comté; beaufort; appenzeller; jarlsberg | 36 31 28 .5 1 | 110 | |
parmesan | rennet-cheese | parmesan, parmesan cheese, parmigiano, parmigiano reggiano, 帕玛森, パルメザンチーズ; grana padano, grana; pecorino, pecorino romano; manchego; asiago; cotija; mizithra | 30 28 35 .5 1.9 | - | |
blue-cheese | rennet-cheese | blue cheese, Blauschimmelkäse, bleu, queso azul, rokfor; roquefort; gorgonzola; stilton | 42 29 21 .5 2.8 | 135 | |
goat-cheese | cheese | goat cheese, goat's cheese, goats cheese, chèvre, Ziegenkäse, Ziegenfrischkäse, fromage de chèvre, queso de cabra, formaggio di capra, keçi peyniri | 58 21 16 1 1.3 | 140 | log 150 |
brie | cheese | brie; camembert; reblochon; munster cheese | 50 27 20 .5 1.6 | 140 | |
cheese-processed | cheese | processed cheese, american cheese, cheese slice, cheese slices, cheese spread, Schmelzkäse, fromage fondu, eritme peynir, keju slice | 45 24 18 7 2.8 | 130 | slice 20 |
ice-cream | dairy sweet-thing | ice cream, gelato | 60 11 3.5 21 .2 | 140 | | ?egg ?tree nuts basis:label
custard | dairy | custard, pastry cream, crème pâtissière, crème anglaise, vanilla custard, Vanillepudding, Vanillesauce, crema pastelera, crema pasticcera, kastert, カスタード, 卡仕达 | 73 5 4 15 .1 | 260 | | ?egg ?wheat basis:label
lemon-curd | dairy sweet-thing | lemon curd, lime curd, fruit curd | 40 12 4 40 .1 | 300 | jar 320 | +egg
bechamel | dairy | béchamel, bechamel, white sauce, cheese sauce, Béchamelsauce, besciamella | 75 9 4 4 .6 | 255 | | +wheat
whipped-topping | fat | non-dairy creamer, whipped topping, dessert topping | 60 20 1 15 .1 | 75 | | ?milk ?soy vegan:? basis:label
egg | egg | egg, eggs, whole egg, beaten egg, large egg, hen's egg, Ei, Eier, œuf, œufs, oeuf, oeufs, huevo, huevos, uovo, uova, yumurta, jajko, jajka, jajek, eieren, telur, telor, 卵, たまご, 鸡蛋, 蛋, अंडा, anda | 76 10 12.5 .4 .35 | - | - | 
duck-egg | egg | duck egg | 76 10 12.5 .4 .35 | - | each 60 70 80 | 
quail-egg | egg | quail egg | 76 10 12.5 .4 .35 | - | each 8 10 12 | 
egg-white | egg | egg white, egg whites, Eiweiß, Eiklar, blanc d'œuf, blancs d'œufs, clara, claras de huevo, clara de huevo, albume, albumi, yumurta akı, białko, białka, putih telur, 卵白, 蛋白, 蛋清 | 88 .2 11 .7 .4 | 243 | each 26 34 40 |
egg-yolk | egg | egg yolk, egg yolks, yolk, Eigelb, Eidotter, jaune d'œuf, jaunes d'œufs, yema, yemas de huevo, yema de huevo, tuorlo, tuorli, yumurta sarısı, żółtko, żółtka, kuning telur, 卵黄, 蛋黄 | 51 27 16 .5 .1 | 243 | each 14 17 20 |
egg-cooked | egg | hard-boiled egg, boiled egg, cooked egg, hartgekochtes Ei, œuf dur, huevo duro, uovo sodo, haşlanmış yumurta, telur rebus, ゆで卵; salted egg, salted egg yolk, telur asin, 咸蛋黄; century egg | 75 10.5 12.5 .6 .35 | 140 | each 44 51 59 | hazard:leftovers
egg-powder | egg dry-thing | egg powder, dried egg, egg white powder, meringue powder | 5 38 48 2 1.2 | 85 | |
coconut-milk | plant-drink | coconut milk, Kokosmilch, lait de coco, leche de coco, latte di cocco, hindistan cevizi sütü, mleko kokosowe, santan, ココナッツミルク, 椰奶, नारियल दूध | 72 20 2 3 0 | - | tin 400 |
coconut-cream | plant-drink | coconut cream, creamed coconut, Kokoscreme, crème de coco, santan kental, 椰浆 | 60 30 3 4 0 | 240 | tin 400 |
oat-drink | plant-drink | oat drink, oat milk, oat cream, Haferdrink, Hafermilch, boisson d'avoine, lait d'avoine, bebida de avena, yulaf sütü | 90 1.5 .8 4 .1 | 245 | | +oats
soy-drink | soy plant-drink | soy drink, soy milk, soya milk, soya drink, Sojadrink, Sojamilch, boisson au soja, lait de soja, bebida de soja, susu kedelai, 豆乳, 豆浆; soy cream; soy yogurt | 91 1.8 3.2 2.5 .1 | 245 | |
almond-drink | plant-drink | almond drink, almond milk, Mandeldrink, Mandelmilch, lait d'amande, leche de almendras, latte di mandorla, badem sütü; hazelnut milk; cashew milk; cashew cream; nut milk | 96 1.1 .5 2.5 .1 | 245 | | +tree nuts
rice-drink | plant-drink | rice drink, rice milk, Reisdrink, lait de riz; pea milk | 89 1 .3 6 .1 | 245 | |
plant-drink | plant-drink | plant drink, plant milk, plant-based milk, non-dairy milk, dairy-free milk, vegan milk, Pflanzendrink, Pflanzenmilch, boisson végétale; plant cream, vegan cream, dairy-free cream; plant yogurt, vegan yogurt | 91 1.8 1 3.5 .1 | 245 | | ?soy ?tree nuts ?oats basis:label
cheese-plant | plant-substitute | vegan cheese, plant cheese, plant-based cheese, dairy-free cheese; vegan feta; vegan mozzarella; vegan cream cheese; vegan parmesan | 50 22 2 1 1.8 | 113 | | ?soy ?tree nuts basis:label
egg-plant-substitute | plant-substitute | egg replacer, vegan egg, egg substitute | 10 1 2 0 1 | - | | ?soy ?wheat ?lupin basis:label
`;
