/**
 * Words that say how an ingredient is, not what it is: they neither make another food of it nor have to be explained.
 * English first, then the other languages in which lines are read.
 */
export const DESCRIPTORS = `
a an the of or and & with in into from for at to about plus more some each per as if on
small medium large big tiny extra-large jumbo heaped heaping level rounded scant generous packed loosely tightly lightly
fresh freshly frozen thawed defrosted chilled cold cool iced ice-cold warm hot boiling lukewarm tepid room temperature
raw cooked uncooked ripe unripe overripe green-ripe young old tender firm soft softened hard crisp crunchy dry wet moist
chopped minced ground diced dice cubed cubes sliced slices shredded grated mashed crushed crumbled torn cut quartered halved
julienned finely coarsely roughly thinly thickly thin thick fine coarse peeled unpeeled seeded deseeded pitted stoned cored
trimmed washed rinsed drained squeezed dried well melted browned toasted roasted fried grilled blistered blanched boiled
steamed baked poached scalded simmered stewed braised pickled smoked salted unsalted sweetened unsweetened plain natural organic free-range wild farmed
local good quality best bought homemade home-made store-bought shop-bought ready ready-made prepared leftover
boneless skinless skin-on bone-in skin bone fat lean fatty low-fat full-fat reduced-fat nonfat fat-free skim skimmed
extra virgin cold-pressed refined unrefined pure light dark black white red green yellow brown golden orange purple pink blue
sweet sour bitter spicy mild strong weak sharp mature aged smooth chunky creamy thick-cut thin-cut rolled
whole half halves quarter piece pieces chunk chunks strip strips lump lumps bite bite-size bite-sized sized size
leaf leaves stalk stalks stem stems sprig sprigs bunch head heads clove cloves bulb bulbs root roots tops top tip tips
fillet fillets breast leg shoulder belly loin neck thigh shin flank rump joint steak steaks rib ribs
tin tinned can canned jar jarred bottle bottled packet pack package bag box carton tub tube sachet block bar stick sticks
optional needed required taste serving garnish dusting brushing greasing frying rolling sprinkling topping decoration wash
beaten whisked separated sifted sieved strained divided reserved remaining additional extra total separately
all any type kind kinds variety your favourite favorite preferably possibly approx approximately ca circa
powdered ground-up granulated instant quick quick-cooking active double single heavy premium regular standard normal usual
unbleached bleached stoneground stone-ground multi-purpose multipurpose protein high low gluten fat percent
baby mini micro giant long short wide flat round curly flat-leaf leafy stringless floury waxy starchy new main-crop
imported asian chinese japanese indian italian french greek turkish mexican polish german english american thai korean
vietnamese spanish indonesian javanese danish swiss dutch russian hungarian irish scottish welsh swedish moroccan lebanese
unwaxed preserved candied sugared glazed brined marinated seasoned unseasoned sliced-up store home style
heated preheated evaporated filtered tap still lactose-free sugar-free salt-free low-sodium low-salt reduced-salt reduced-sodium
gr g kg ml l dl cl cup cups tbsp tsp oz lb mm cm inch inches
gehackt gehackte gehackter gerieben geriebene geriebener gewürfelt gewürfelte frisch frische frischer frisches fein feine
feines grob grobe kalt kalte kaltes warm warme warmes weich weiche zimmerwarm klein kleine kleiner kleines groß große großer
mittelgroß mittelgroße ganze ganzer trocken trockene getrocknet gekocht gekochte gekochtes gemahlen gemahlene geschält
geschnitten geräuchert geräucherte roh rohe rohes und oder für zum zur nach aus der die das den dem ein eine einer eines etwas
lauwarm lauwarmes lauwarme glatte stück stange stangen zehe zehen bund prise rot rote roten roter weiß weiße grün grüne dose
haché hachée hachés hachées râpé râpée frais fraîche fraîches fin fine fins fines gros grosse grosses petit petite petits petites
froid froide chaud chaude tiède mou ramolli fondu fondue entier entière sec sèche séché séchée moulu moulue cuit cuite cru crue
blanc blanche rouge rouges vert verte verts vertes noir noire doux douce de du des la le les l un une et ou au aux à en pour avec
émincé émincée coupé coupée dés tranche tranches brin brins bouquet pincée sachet boîte moyen moyenne moyens bio demi
picado picada picados picadas rallado rallada fresco fresca frescos frescas frío fría caliente tibia tibio pequeño pequeña grande
grandes entero entera seco seca molido molida cocido cocida crudo cruda blanco blanca rojo roja verde negro negra dulce
y o con para del el los las un una uno mediano mediana troceado troceada rodajas manojo pizca lata suave fuerte a temperatura
tritato tritata tritati grattugiato grattugiata freschi fredda freddo calda caldo tiepida tiepido piccolo piccola grandi
intero intera secco secca cotto cotta crudo cruda bianco bianca rosso rossa nero nera dolce e con per il lo la i gli le di del
della dei a cubetti fettine mazzetto pizzico q.b. qb morbido ammorbidito sciolto medio media
ince doğranmış doğranmıș rendelenmiş taze soğuk sıcak ılık küçük büyük orta boy kuru pişmiş çiğ beyaz kırmızı yeşil siyah tatlı acı ve
veya için adet tane demet dal diş tutam oda sıcaklığında erimiş yumuşak toz bütün
drobno posiekana posiekany posiekane starty starta świeży świeża świeże zimny zimna zimne ciepły ciepła ciepłe gorąca mały mała duży
duża średni średnia suszony suszona gotowany gotowana mielony mielona biały biała czerwony czerwona zielony i lub z do na ze
pęczek szczypta ząbek ząbki sztuka sztuki letnia roztopione miękkie
cincang dicincang parut diparut iris diiris segar dingin hangat panas kecil besar sedang kering matang mentah putih merah hijau
hitam manis dan atau untuk buah butir siung lembar batang ikat bubuk halus kasar sdm sdt cair secukupnya sejumput rebus goreng
みじん切り すりおろし 刻み 薄切り 少々 適量 新鮮 切碎 剁碎 少许 适量 新鲜 कटा हुआ बारीक कसा ताजा ताज़ा ठंडा गरम सूखा पिसा
`
  .trim()
  .split(/\s+/);
