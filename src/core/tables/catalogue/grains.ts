/**
 * Flours, grains, starches and what is made of them. The columns are those of `catalogue.ts`: id | kinds | names | water fat
 * protein sugar salt, g in 100 g | g a cup of 240 ml | pieces, g | what it contains and suits beyond its kinds.
 */
export const GRAINS = `
flour-plain | wheat-flour | plain wheat flour, plain flour, all-purpose flour, white flour, wheat flour, flour, Mehl, Weizenmehl, farine, farine de blé, harina, harina de trigo, farina, farina 0, mąka, mąki, mąka pszenna, mąki pszennej, bloem, tepung terigu, terigu, 薄力粉, 中力粉, 小麦粉, 面粉, 麵粉, मैदा, maida | 12 1 10.5 .5 0 | - | |
flour-bread | wheat-flour | strong wheat flour, strong flour, bread flour, strong bread flour, high-gluten flour, high-protein flour, manitoba flour, farine de force, harina de fuerza, farina manitoba, tepung protein tinggi, 強力粉, 高筋面粉, 高筋麵粉 | 12 1.3 12.5 .5 0 | - | |
flour-00 | wheat-flour | 00 flour, tipo 00 flour, farina 00, farina tipo 00 | 12 1 11 .5 0 | - | |
flour-cake | wheat-flour | cake flour, low-protein flour, pastry flour, soft flour, weak flour, low-gluten flour, tepung protein rendah, 低筋面粉, 低筋麵粉 | 12 .9 8.5 .5 0 | - | |
flour-self-raising | wheat-flour | self-raising flour, self-rising flour, farine à gâteaux, farine avec levure incorporée | 12 1 10 .5 1 | - | |
flour-dumpling | wheat-flour | dumpling flour, wrapper flour, 饺子粉, 餃子粉 | 12 1.2 11.5 .5 0 | 125 | |
flour-hongkong | wheat-flour | bao flour, bun flour, bleached bun flour, Hong Kong flour | 12 .9 8.5 .5 0 | 118 | |
flour-wholemeal | wheat-flour | wholemeal flour, wholemeal wheat flour, whole wheat flour, wholewheat flour, wholegrain flour, wholegrain wheat flour, Vollkornmehl, farine complète, harina integral, farina integrale, atta, chapati flour, आटा, 全粒粉 | 12 2 12.5 .5 0 | - | |
flour-graham | wheat-flour | graham flour | 12 2 12.5 .5 0 | 120 | |
flour-spelt | wheat-flour | spelt flour, Dinkelmehl, farine d'épeautre, farina di farro | 12 2 12.5 .8 0 | - | |
flour-einkorn | wheat-flour | einkorn flour; emmer flour; kamut flour, khorasan flour; triticale flour | 12 2 13 .8 0 | 115 | |
flour-rye | flour | rye flour, wholegrain rye flour, Roggenmehl, farine de seigle, harina de centeno, farina di segale, mąka żytnia, çavdar unu | 12 1.7 9 1 0 | - | | +rye
flour-barley | flour | barley flour, Gerstenmehl, farine d'orge | 12 1.8 10 .8 0 | 110 | | +barley
flour-oat | flour | oat flour, Hafermehl, farine d'avoine | 9 9 14 1 0 | 100 | | +oats
flour-buckwheat | flour | buckwheat flour, Buchweizenmehl, farine de sarrasin, farina di grano saraceno, そば粉 | 12 3 12 2 0 | - | |
flour-chickpea | flour | chickpea flour, gram flour, besan, garbanzo flour, Kichererbsenmehl, farine de pois chiches, farina di ceci, बेसन | 10 6.5 21 3 0 | - | |
flour-rice | flour | rice flour, Reismehl, farine de riz, harina de arroz, farina di riso, pirinç unu, tepung beras, 米粉, 粘米粉, 上新粉, चावल का आटा | 12 1.4 6 .1 0 | - | |
flour-glutinous-rice | flour | glutinous rice flour, sweet rice flour, sticky rice flour, mochiko, tepung ketan, 糯米粉, もち粉, 白玉粉 | 12 1 6.5 .1 0 | - | |
flour-millet | flour | millet flour, bajra flour; sorghum flour, jowar flour; teff flour; quinoa flour; amaranth flour; ragi flour, finger millet flour | 10 4 11 1 0 | 120 | |
flour-almond | nut flour | almond flour | 5 50 21 4 0 | 96 | | +tree nuts
flour-coconut | flour | coconut flour | 6 13 18 9 0 | 112 | |
flour-chestnut | flour | chestnut flour, farina di castagne, farine de châtaigne | 11 4 6 24 0 | 110 | |
flour-potato | flour | potato flour, Kartoffelmehl | 7 .3 7 3 0 | 160 | |
flour-soy | soy flour | soy flour, soya flour | 5 20 38 7 0 | 85 | |
flour-lupin | flour | lupin flour, lupine flour, lupin meal, Lupinenmehl, farine de lupin | 10 9 38 3 0 | 110 | | +lupin
flour-gluten-free | flour | gluten-free flour, gluten-free flour blend, gluten-free flour mix | 11 1.5 5 1 0 | 130 | | basis:label ?lupin ?soy
cornmeal | flour | cornmeal, corn meal, polenta, corn flour yellow, Maisgrieß, Maismehl, farine de maïs, semoule de maïs, harina de maíz, farina di mais, mısır unu, 玉米面 | 11 3.5 8 .6 0 | - | |
masa-harina | flour | masa harina, harina pan, precooked corn flour, precooked cornmeal, arepa flour | 10 4 9 1 0 | - | |
semolina | wheat-flour | semolina, fine semolina, durum flour, durum wheat semolina, semola, semola rimacinata, Grieß, Hartweizengrieß, semoule, sémola, irmik, kasza manna, rava, sooji, suji, सूजी | 12 1 12.5 .5 0 | - | |
wheat-gluten | wheat-dry | vital wheat gluten, wheat gluten, gluten flour | 8 2 75 0 0 | 130 | |
wheat-germ | wheat-dry | wheat germ, Weizenkeime | 11 10 23 8 0 | 115 | |
bran | wheat-dry | wheat bran, bran, Weizenkleie, son de blé | 10 4 16 .4 0 | 58 | |
starch-corn | starch | corn starch, cornstarch, cornflour, maize starch, corn flour, Maisstärke, Speisestärke, fécule de maïs, maïzena, maizena, maicena, almidón de maíz, amido di mais, mısır nişastası, nişasta, mąka ziemniaczana kukurydziana, tepung maizena, コーンスターチ, 玉米淀粉, 生粉 | 11 .1 .3 0 0 | - | |
starch-potato | starch | potato starch, Kartoffelstärke, fécule de pomme de terre, fécule, fecola di patate, mąka ziemniaczana, patates nişastası, 片栗粉, 土豆淀粉 | 16 .1 .1 0 0 | - | |
starch-tapioca | starch | tapioca starch, tapioca flour, tapioca, cassava starch, cassava flour, polvilho, tepung tapioka, tapioka, タピオカ粉, 木薯粉 | 11 0 .2 3 0 | - | |
starch-wheat | starch | wheat starch, Weizenstärke, tang mien, 澄粉, 澄面 | 12 .1 .3 0 0 | - | | +wheat
starch-arrowroot | starch | arrowroot, arrowroot starch, arrowroot flour; kudzu starch, kuzu starch; water chestnut flour, water chestnut starch; sweet potato starch | 11 .1 .3 0 0 | 128 | |
starch | starch | starch, modified starch, Stärke, amidon, almidón, amido, 淀粉, 太白粉 | 12 .1 .3 0 0 | 120 | | ?wheat
custard-powder | starch | custard powder, Puddingpulver, blancmange powder | 10 .5 .5 .5 .8 | 130 | sachet 37 | basis:label ?milk
oats-rolled | grain-dry | rolled oats, porridge oats, oats, oatmeal, oat flakes, oat bran, Haferflocken, flocons d'avoine, avena, avoine, fiocchi d'avena, yulaf, płatki owsiane, オートミール, 燕麦 | 9 7 13 1 0 | - | | +oats
rye-flakes | grain-dry | rye flakes, rye meal, rye, Roggen, seigle, centeno, segale, żyto | 11 1.6 10 1 0 | 100 | | +rye
barley | grain-dry | barley, pearl barley, pot barley, Gerste, Graupen, orge, cebada, orzo perlato, arpa, kasza jęczmienna | 10 1.2 10 .8 0 | 200 | | +barley
barley-malt | grain-dry | malt, barley malt, malt extract, malt syrup, malted barley, diastatic malt, malted milk powder, Malz, malt d'orge | 20 .5 6 60 .1 | 320 | | +barley
bulgur | wheat-dry | bulgur, bulgur wheat; cracked wheat; freekeh | 9 1.3 12 .4 0 | 180 | |
couscous | wheat-dry | couscous, kuskus | 9 .6 12 0 0 | 180 | |
wheat-berries | wheat-dry | wheat, wheat berries, durum wheat, Weizen, blé, trigo, grano, frumento, buğday, pszenica, 小麦; spelt, spelt grains, Dinkel, épeautre; farro | 11 2 13 .5 0 | 185 | |
quinoa | grain-dry | quinoa; amaranth; teff; sorghum | 12 6 14 3 0 | 170 | |
millet | grain-dry | millet, Hirse, mil, miglio, mijo, kasza jaglana | 9 4 11 1 0 | 190 | |
buckwheat | grain-dry | buckwheat, buckwheat groats, kasha, Buchweizen, sarrasin, trigo sarraceno, grano saraceno, gryka, kasza gryczana, karabuğday | 10 3.4 13 1 0 | 170 | |
rice | grain-dry | rice, white rice, long-grain rice, basmati rice, jasmine rice, short-grain rice, arborio rice, brown rice, Reis, riz, arroz, riso, pirinç, ryż, beras, 米, 大米, चावल | 12 .6 7 .1 0 | - | |
rice-glutinous | grain-dry | glutinous rice, sticky rice, sweet rice, ketan, beras ketan, 糯米, もち米 | 11 .5 6.8 0 0 | 185 | |
rice-cooked | cooked-starch | cooked rice, cooked jasmine rice, cooked basmati rice, steamed rice, leftover rice, boiled rice, nasi, gekochter Reis, riz cuit, ご飯, 米饭 | 68 .3 2.7 0 0 | - | |
rice-noodles | grain-dry | rice noodles, rice vermicelli, rice sticks, bihun, 米线 | 11 .5 6 0 0 | 90 | |
glass-noodles | grain-dry | glass noodles, cellophane noodles, mung bean noodles, bean thread noodles, bean threads, sohun, soun, 粉丝, 春雨 | 13 .1 .2 0 0 | 140 | bundle 40 |
noodles | wheat-dry | noodles, wheat noodles, ramen noodles, udon, mie, Nudeln, nouilles, 麺, 面条 | 10 1.5 12 2 .5 | 110 | pack 85 | ?egg
noodles-egg | wheat-dry | egg noodles, Eiernudeln, nouilles aux œufs, mie telur | 9 4.4 14 2 .3 | 110 | | +egg vegan:no
pasta | wheat-dry | pasta, Teigwaren, pâtes, makarna, makaron; macaroni; spaghetti; vermicelli; orzo pasta; lasagne sheets | 10 1.5 13 2.7 0 | 105 | | ?egg
bread | wheat-baked | bread, white bread, stale bread, sandwich bread, toast bread, Brot, Toastbrot, pain, pain de mie, pane, ekmek, chleb, roti tawar, 食パン, 面包; baguette; ciabatta; bread roll, bread rolls, Brötchen, Semmel, bułka | 37 3 8.5 4 1.1 | 40 | - | basis:label ?milk ?egg ?soy ?sesame
bread-rye | wheat-baked | rye bread, pumpernickel, Roggenbrot, pain de seigle, chleb żytni | 38 2 8 3 1.2 | 45 | slice 40 | +rye
flatbread | wheat-baked | flatbread, Fladenbrot; pita, pita bread, pide; naan; wheat tortilla, flour tortilla, tortilla, wrap; lavash; chapati, roti | 32 5 8.5 3 1.2 | - | each 40 60 90 | basis:label ?milk ?soy ?sesame
tortilla-corn | grain-dry | corn tortilla, maize tortilla | 46 2.8 5.7 1 .1 | - | each 22 26 35 |
breadcrumbs-dry | wheat-dry | dry breadcrumbs, breadcrumbs, dried breadcrumbs, bread crumbs, panko, panko breadcrumbs, rusk crumbs, Semmelbrösel, Paniermehl, Brösel, chapelure, pan rallado, pangrattato, galeta unu, bułka tarta, tepung panir, tepung roti, パン粉, 面包糠 | 7 5 13 6 1.5 | - | | ?milk ?soy ?sesame
breadcrumbs-fresh | wheat-dry | fresh breadcrumbs, soft breadcrumbs, fresh bread crumbs, mollica | 36 3.5 8.5 4 1.1 | - | | ?milk ?soy ?sesame
crackers | wheat-dry | crackers; cream crackers; matzo, matzo meal; rusks, zwieback; crispbread | 4 10 10 3 1.5 | 80 | | basis:label ?milk ?rye ?sesame ?soy
biscuits | wheat-dry | biscuits, biscuit crumbs, cookie crumbs, cookies; digestive biscuits; graham crackers; amaretti; speculoos; gingersnaps | 4 20 7 25 .9 | 100 | each 8 12 15 | basis:label ?egg ?milk ?soy ?tree nuts vegan:?
puffed-rice | grain-dry | puffed rice, murmura; poha, flattened rice, beaten rice; rice krispies; cornflakes, corn flakes | 8 1 7 5 1 | 25 | | ?barley basis:label
filo | wheat-baked | filo, filo pastry, phyllo, phyllo dough, filo dough, brick pastry, yufka sheets, Filoteig, pâte filo, pasta fillo | 32 3 7.5 2 1 | - | - | basis:label
puff-pastry | wheat-baked | puff pastry, bought puff pastry, Blätterteig, pâte feuilletée, pasta sfoglia, hojaldre, milföy, ciasto francuskie | 33 23 6 1.5 1 | - | - | basis:label ?milk ?egg vegan:?
shortcrust-bought | wheat-baked | bought shortcrust, shortcrust pastry, pie crust, pie dough, pie shell, pâte brisée, Mürbeteig, pasta brisée | 25 27 6 2 1 | - | sheet 230 | basis:label ?milk ?egg veg:? vegan:? halal:? kosher:?
pizza-dough | wheat-baked | pizza dough, bread dough, bought dough, Pizzateig, pâte à pizza | 40 3 8 1.5 1.3 | - | ball 250 | basis:label
dumpling-wrapper | wheat-baked | dumpling wrapper, dumpling wrappers, gyoza wrapper, gyoza skins, wonton wrapper, wonton skin, dumpling skin, potsticker wrapper, 饺子皮, 餃子の皮, 馄饨皮, kulit pangsit | 30 1 8 1 1 | - | - | basis:label ?egg
spring-roll-wrapper | wheat-baked | spring roll wrapper, spring roll pastry, lumpia wrapper, kulit lumpia, 春卷皮, 春巻きの皮 | 32 2 8 1 1 | - | each 12 15 25 | basis:label
rice-paper | grain-dry | rice paper, rice paper wrapper, banh trang | 12 0 .5 0 1 | - | each 5 8 12 |
seitan | wheat-dry | seitan, wheat protein, mock duck | 65 2 22 1 1 | 150 | | ?soy basis:label
chips-potato | vegetable | potato crisps, crisps; tortilla chips | 2 34 6 1 1.3 | 25 | | basis:label ?milk
`;
