/** Sugars and sweet things, fats and oils, salt, raising agents, water. Columns as in `grains.ts`. */
export const SWEET_AND_FAT = `
sugar-granulated | sugar | sugar, granulated sugar, white sugar, cane sugar, beet sugar, Zucker, sucre, azúcar, zucchero, şeker, toz şeker, cukier, cukru, suiker, gula, gula pasir, 砂糖, 糖, 白糖, चीनी, shakkar | 0 0 0 100 0 | - | cube 4 |
sugar-caster | sugar | caster sugar, superfine sugar, castor sugar, feiner Zucker | 0 0 0 100 0 | - | |
sugar-icing | sugar | icing sugar, powdered sugar, confectioners sugar, confectioner's sugar, Puderzucker, Staubzucker, sucre glace, azúcar glas, zucchero a velo, pudra şekeri, cukier puder, gula halus, 粉糖, 糖粉 | 0 0 0 98 0 | - | |
sugar-brown | sugar | brown sugar, light brown sugar, dark brown sugar, muscovado, brauner Zucker, cassonade, vergeoise, azúcar moreno, esmer şeker, 黒糖, 红糖; demerara sugar, turbinado sugar, zucchero di canna, cukier trzcinowy; palm sugar, gula merah, gula jawa, gula aren; coconut sugar; rock sugar, 冰糖 | 2 0 .1 96 0 | - | |
jaggery | sugar | jaggery, gur, गुड़; piloncillo, panela | 10 .1 .5 86 .1 | 200 | |
vanilla-sugar | sugar | vanilla sugar, Vanillezucker, sucre vanillé, azúcar avainillado, zucchero vanigliato, vanilya şekeri, cukier waniliowy | 0 0 0 98 0 | 200 | - |
honey | sweet | honey, clear honey, Honig, miel, miele, bal, miód, madu, はちみつ, 蜂蜜, शहद | 17 0 .3 82 0 | - | jar 340 | honey vegan:no
golden-syrup | sweet | golden syrup; corn syrup, light corn syrup; glucose syrup, glucose, liquid glucose, Glukosesirup, sirop de glucose; rice syrup; agave syrup, agave; maltose, 水あめ, 麦芽糖 | 20 0 0 79 .1 | - | jar 450 |
molasses | sweet | molasses, Melasse, mélasse; black treacle, treacle; sugar beet syrup, Zuckerrübensirup; grape molasses, pekmez; date syrup; carob molasses | 22 0 0 75 .1 | - | jar 450 |
pomegranate-molasses | sweet | pomegranate molasses, pomegranate syrup, nar ekşisi | 30 0 .5 60 0 | 310 | |
maple-syrup | sweet | maple syrup, Ahornsirup, sirop d'érable | 32 .1 0 60 0 | - | |
jam | sweet | jam, preserve, fruit preserve, fruit spread, Konfitüre, confiture, mermelada, confettura, reçel, dżem, selai, ジャム, 果酱; orange preserve, orange marmalade, marmalade, orange jam; apricot jam; strawberry jam; raspberry jam; redcurrant jelly, jelly; plum jam; Marmelade, marmellata | 33 .1 .4 60 0 | - | jar 340 |
plum-butter | sweet | plum butter, Pflaumenmus, Powidl, powidła; apple butter; pear butter; fruit butter | 45 .2 .7 48 0 | 300 | jar 340 |
candied-peel | fruit | candied peel, mixed peel, Zitronat, Orangeat; candied orange peel; candied lemon peel; candied fruit, fruits confits; glacé cherries; candied ginger, crystallised ginger | 18 .3 .4 75 .1 | 150 | | ?sulphites
dulce-de-leche | dairy sweet-thing | dulce de leche, caramel spread, milk caramel, cajeta, confiture de lait | 28 7 7 50 .3 | 310 | jar 450 |
condensed-milk | dairy sweet-thing | sweetened condensed milk, condensed milk, gezuckerte Kondensmilch, lait concentré sucré, leche condensada, latte condensato, susu kental manis | 27 8 8 55 .3 | 305 | tin 397 |
caramel | sweet | caramel, caramel sauce, toffee, butterscotch, toffee sauce | 20 10 2 55 .4 | 300 | | basis:label ?milk ?soy vegan:?
chocolate-dark | sweet | dark chocolate, chocolate, plain chocolate, bittersweet chocolate, semisweet chocolate, baking chocolate, couverture, Zartbitterschokolade, Schokolade, chocolat noir, chocolat, chocolate negro, cioccolato fondente, cioccolato, çikolata, czekolada, cokelat, 黒チョコレート, チョコレート, 巧克力 | 1 38 7 35 0 | 170 | bar 100 | ?milk ?soy ?tree nuts vegan:?
chocolate-chips | sweet | chocolate chips, dark chocolate chips, chocolate drops, pépites de chocolat | 1 30 5 50 0 | - | | ?milk ?soy ?tree nuts vegan:?
chocolate-milk | dairy sweet-thing | milk chocolate, Vollmilchschokolade, Milchschokolade, chocolat au lait, cioccolato al latte | 1 32 8 54 .2 | 170 | bar 100 | ?soy ?tree nuts
chocolate-white | dairy sweet-thing | white chocolate, weiße Schokolade, chocolat blanc, cioccolato bianco | 1 33 7 58 .2 | 170 | bar 100 | ?soy ?tree nuts
cocoa-powder | dry-good | cocoa powder, cocoa, cacao powder, cacao, Kakao, Kakaopulver, poudre de cacao, kakao, bubuk kakao, ココア, 可可粉 | 3 14 20 2 0 | - | |
cocoa-butter | oil | cocoa butter, cacao butter, Kakaobutter, beurre de cacao | 0 100 0 0 0 | 218 | |
nougat | sweet | nougat, Nougat, turrón, torrone; praline, praline paste; gianduja; hazelnut spread, chocolate hazelnut spread, Nuss-Nougat-Creme, pâte à tartiner | 2 30 6 50 .1 | 300 | jar 400 | +tree nuts ?milk ?soy ?egg vegan:? basis:label
marzipan | sweet | marzipan, almond paste, Marzipan, Marzipanrohmasse, pâte d'amande, mazapán, marzapane, badem ezmesi, frangipane paste | 8 25 9 50 0 | 240 | | +tree nuts ?egg vegan:?
halva | sweet | halva, halvah, helva, chałwa | 3 30 12 45 .1 | - | | +sesame ?tree nuts basis:label
marshmallow | sweet | marshmallow, marshmallows, Marshmallow, guimauve | 16 .2 2 60 .1 | 50 | each 4 7 10 | veg:? vegan:? halal:? kosher:? ?egg
sprinkles | sweet | sprinkles, sugar pearls, nonpareils, hundreds and thousands | 1 3 0 90 0 | 190 | | veg:? vegan:? halal:? kosher:? ?soy
bean-paste-sweet | pulse sweet-thing | sweet bean paste, red bean paste, sweet red bean paste, azuki paste, adzuki paste, anko, あんこ, 小豆あん, 豆沙, 红豆沙; black bean paste sweet; lotus seed paste, lotus paste, 莲蓉; mung bean paste, kacang hijau paste | 40 1 6 45 .1 | - | tin 430 |
coconut-jam | sweet | coconut jam, kaya | 30 10 4 45 .1 | 300 | jar 250 | ?egg ?milk vegan:?
gelatin | animal-extract | gelatin, gelatine, gelatin powder, leaf gelatin, aspic, Gelatine, gélatine, gelatina, colla di pesce, jelatin, żelatyna, ゼラチン, 明胶 | 12 0 86 0 .5 | 150 | leaf 2, sachet 9, sheet 2 |
agar | dry-good | agar, agar-agar, agar powder, 寒天, 琼脂 | 10 0 1 0 .3 | 100 | sachet 7 |
pectin | dry-good | pectin; jam sugar, gelling sugar, Gelierzucker; xanthan gum; guar gum; psyllium, psyllium husk | 5 0 1 20 .2 | 150 | sachet 13 |
food-colour | dry-good | food colouring, food coloring, food colour | 60 0 0 20 0 | - | | veg:? vegan:? halal:? kosher:? basis:label
butter | butter | butter, unsalted butter, sweet butter, cultured butter, Butter, beurre, beurre doux, mantequilla, burro, tereyağı, masło, masła, boter, mentega tawar, バター, 黄油, 奶油黄油, मक्खन, makhan | 16 82 .7 .7 0 | - | - |
butter-salted | butter | salted butter, lightly salted butter, gesalzene Butter, beurre salé, beurre demi-sel, mantequilla salada | 16 81 .7 .7 1.5 | 227 | stick 113.4, block 250, knob 15 |
butter-brown | butter | brown butter, browned butter, beurre noisette; clarified butter, Butterschmalz, beurre clarifié, sade yağ | 1 99 .3 0 0 | 215 | |
ghee | butter | ghee, desi ghee, घी | 0 99.5 .3 0 0 | - | |
margarine | fat | margarine, baking margarine, Margarine, margarina, margarin, margaryna, mentega, マーガリン, 人造黄油 | 16 80 .2 .2 .3 | - | stick 113.4, block 250, tub 500 | ?milk ?soy vegan:? basis:label
margarine-salted | fat | salted margarine | 16 80 .2 .2 1.5 | 225 | stick 113.4, block 250 | ?milk ?soy vegan:? basis:label
margarine-plant | plant-fat | plant margarine, vegan margarine, vegan butter, plant butter, plant-based butter, dairy-free margarine, dairy-free butter, dairy-free spread, pflanzliche Margarine, margarine végétale | 16 80 .1 .2 .5 | 225 | stick 113.4, block 250 | ?soy basis:label
lard | pork animal-fat | lard, pork lard, leaf lard, pork fat, Schmalz, Schweineschmalz, saindoux, manteca de cerdo, strutto, sugna, smalec, domuz yağı, lemak babi, ラード, 猪油 | 0 100 0 0 0 | - | - |
shortening | plant-fat | shortening, vegetable shortening, vegetable fat, white vegetable fat, Pflanzenfett, ショートニング, 起酥油; coconut fat, Kokosfett; palm fat | 0 100 0 0 0 | - | block 250 | basis:label ?soy
suet | beef animal-fat | suet, beef suet, shredded suet; beef dripping, dripping; beef tallow, tallow, Rindertalg, suif, sebo | 2 94 1.5 0 0 | - | | ?wheat
suet-vegetable | plant-fat | vegetable suet | 1 86 1 0 0 | 115 | | +wheat basis:label
fat-goose | poultry animal-fat | goose fat, Gänseschmalz, graisse d'oie, grasso d'oca; duck fat, rendered duck fat, Entenschmalz, graisse de canard; chicken fat, schmaltz | 0 99.8 0 0 0 | 205 | |
fat-bacon | pork animal-fat | bacon fat, bacon grease, bacon dripping; lardo; pork dripping; fatback, pork back fat, Rückenspeck | 5 90 3 0 1 | 205 | |
fat-lamb | lamb animal-fat | lamb fat, mutton fat, tail fat, lamb tail fat, kuyruk yağı | 5 90 3 0 0 | 205 | |
oil | oil | oil, vegetable oil, neutral oil, cooking oil, frying oil, oil for frying, Öl, Pflanzenöl, huile, huile végétale, aceite, aceite vegetal, olio, olio di semi, yağ, sıvı yağ, olej, oleju, olie, minyak, minyak goreng, サラダ油, 油, 植物油, तेल, tel | 0 100 0 0 0 | - | |
oil-sunflower | oil | sunflower oil, Sonnenblumenöl, huile de tournesol, aceite de girasol, olio di girasole, olio di semi di girasole, ayçiçek yağı, olej słonecznikowy, ひまわり油, 葵花籽油 | 0 100 0 0 0 | 218 | |
oil-rapeseed | oil | rapeseed oil, canola oil, Rapsöl, huile de colza, aceite de colza, olio di colza, kanola yağı, olej rzepakowy, 菜種油, 菜籽油 | 0 100 0 0 0 | 218 | |
oil-olive | oil | olive oil, extra virgin olive oil, Olivenöl, huile d'olive, aceite de oliva, olio d'oliva, olio extravergine, zeytinyağı, oliwa, oliwa z oliwek, minyak zaitun, オリーブオイル, 橄榄油 | 0 100 0 0 0 | - | |
oil-corn | oil | corn oil, maize oil, Maiskeimöl, huile de maïs; grapeseed oil; rice bran oil; safflower oil; cottonseed oil; avocado oil | 0 100 0 0 0 | 218 | |
oil-soy | soy oil | soybean oil, soya oil, soy oil, Sojaöl, huile de soja, minyak kedelai, 大豆油 | 0 100 0 0 0 | 218 | |
oil-peanut | oil | peanut oil, groundnut oil, arachis oil, Erdnussöl, huile d'arachide, aceite de cacahuete, olio di arachidi, minyak kacang, 花生油 | 0 100 0 0 0 | 216 | | +peanuts
oil-sesame | oil | sesame oil, toasted sesame oil, gingelly oil, Sesamöl, huile de sésame, aceite de sésamo, olio di sesamo, susam yağı, minyak wijen, ごま油, 香油, 芝麻油, 麻油 | 0 100 0 0 0 | 218 | | +sesame
oil-coconut | oil | coconut oil, Kokosöl, huile de coco, minyak kelapa, 椰子油 | 0 100 0 0 0 | 218 | |
oil-palm | oil | palm oil, red palm oil, Palmöl, huile de palme | 0 100 0 0 0 | 218 | |
oil-mustard | oil | mustard oil, Senföl, sarson oil, सरसों का तेल | 0 100 0 0 0 | 218 | | +mustard
oil-nut | oil | walnut oil, Walnussöl, huile de noix; hazelnut oil, huile de noisette; almond oil; pistachio oil | 0 100 0 0 0 | 218 | | +tree nuts
oil-chilli | oil | chilli oil, chili oil, hot oil, chilli crisp, ラー油, 辣椒油, 红油; garlic oil; scallion oil; infused oil | 1 95 .5 0 .5 | 218 | jar 210 | basis:label ?soy ?peanuts ?sesame
oil-spray | oil | cooking spray, oil spray | 1 97 0 0 0 | - | | basis:label ?soy
water | water | water, cold water, hot water, boiling water, iced water, ice water, warm water, tap water, ice, ice cubes, Wasser, eau, d'eau, agua, acqua, su, woda, wody, air, 水, お湯, पानी, pani | 100 0 0 0 0 | - | |
sparkling-water | water | sparkling water, soda water, mineral water, seltzer, carbonated water, Mineralwasser, eau gazeuse, soda | 100 0 0 0 0 | 240 | |
salt | salt | salt, fine salt, table salt, sea salt, iodised salt, Salz, sel, sel fin, sal, sale, sale fino, tuz, sól, soli, zout, garam, 塩, 盐, 食盐, नमक, namak | 0 0 0 0 100 | - | |
salt-coarse | salt | coarse salt, kosher salt, rock salt, grobes Salz, gros sel, sel de mer gros, sal gruesa, sale grosso, kaya tuzu | 0 0 0 0 100 | - | |
salt-flaky | salt | flaky salt, sea salt flakes, flaky sea salt, finishing salt, fleur de sel, flake salt | 0 0 0 0 100 | - | |
baking-powder | leavener | baking powder, double-acting baking powder, Backpulver, levure chimique, polvo de hornear, levadura química, lievito per dolci, lievito chimico, kabartma tozu, proszek do pieczenia, bakpoeder, ベーキングパウダー, 泡打粉 | 5 0 0 0 27 | - | - |
baking-soda | leavener | baking soda, bicarbonate of soda, sodium bicarbonate, bicarb, bread soda, Natron, bicarbonate de soude, bicarbonato, karbonat, soda oczyszczona, soda kue, 重曹, 小苏打, मीठा सोडा | 0 0 0 0 70 | - | |
lye | leavener | lye water, alkaline water, kansui, food lye, 碱水, かんすい; potassium carbonate; ammonium bicarbonate, baker's ammonia, Hirschhornsalz | 80 0 0 0 5 | 240 | |
cream-of-tartar | leavener | cream of tartar, tartaric acid, Weinstein, crème de tartre, cremor tartaro; citric acid, Zitronensäure, acide citrique; ascorbic acid | 0 0 0 0 0 | 160 | |
yeast-instant | yeast | instant yeast, instant dry yeast, fast-action yeast, easy-bake yeast, rapid-rise yeast, quick yeast, yeast, Instanthefe, levure instantanée, levadura instantánea, lievito istantaneo, instant maya, drożdże instant, ragi instan, ragi, インスタントドライイースト, イースト, 酵母, 酵母粉, 干酵母, खमीर | 5 5 40 0 .1 | - | - |
yeast-active-dry | yeast | active dry yeast, dried yeast, dry yeast, Trockenhefe, levure sèche, levure sèche active, levadura seca, lievito secco, kuru maya, drożdże suche, droge gist, ドライイースト | 6 5 40 0 .1 | - | - |
yeast-fresh | yeast | fresh yeast, compressed yeast, cake yeast, baker's yeast, Hefe, Frischhefe, levure fraîche, levure de boulanger, levure, levadura fresca, levadura, lievito fresco, lievito di birra, lievito, yaş maya, maya, drożdże świeże, drożdże, drożdży, gist, 生イースト, 鲜酵母 | 70 1.5 13 0 .1 | 230 | - |
sourdough | yeast | sourdough starter, sourdough, levain, starter, Sauerteig, masa madre, lievito madre, ekşi maya, zakwas, 天然酵母, 老面 | 45 1 6 1 0 | 240 | | +wheat ?rye
vanilla-extract | flavouring | vanilla extract, vanilla essence, vanilla, vanilla paste, Vanilleextrakt, Vanille, extrait de vanille, vanille, esencia de vainilla, vainilla, estratto di vaniglia, vaniglia, vanilya, wanilia, vanili, バニラ, 香草 | 52 .1 .1 13 0 | - | | alcohol halal:?
vanilla-bean | flavouring | vanilla bean, vanilla pod, Vanilleschote, gousse de vanille, vaina de vainilla | 15 12 6 20 0 | - | each 2 3 4 |
almond-extract | flavouring | almond extract, almond essence, bitter almond, Bittermandelaroma, extrait d'amande amère | 50 0 0 0 0 | 210 | | alcohol ?tree nuts halal:?
flower-water | flavouring | orange blossom water, orange flower water, eau de fleur d'oranger, agua de azahar, acqua di fiori d'arancio; rose water, rosewater, Rosenwasser, eau de rose, gül suyu; pandan extract, pandan essence | 99 0 0 0 0 | 240 | |
`;
