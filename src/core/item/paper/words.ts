/**
 * Words of recipes in the languages that lines are read in, as parts of regular expressions: headings, what is done, and how long.
 * Short words of Latin script stand as whole words; others anywhere.
 */
const anyOf = (latin: string, other = ""): RegExp =>
  new RegExp(`(?<!\\p{L})(?:${latin})(?!\\p{L})${other ? `|${other}` : ""}`, "iu");

/** What a heading names: "For the dough", "Füllung:". */
export const HEADINGS = {
  dough: anyOf(
    "dough|pastry|(?:short ?)?crust|skins?|wrappers?|shell|case|paste|sponge|batter|teig|hefeteig|mürbeteig|pâte|masa|impasto|pasta|sfoglia|hamuru?|yufka|ciasto|deeg|adonan|kulit|aata|atta|lamination",
    "生地|皮|面团|麵團|आटा",
  ),
  filling: anyOf(
    "fillings?|stuffing|mince mix|inside|füllung|fülle|farce|garniture|relleno|ripieno|farcia|iç harcı|iç|harç|farsz|nadzienie|vulling|isian?|isi",
    "具|餡|あん|馅|餡料|भरावन|मसाला",
  ),
  finish: anyOf(
    "glaze|egg ?wash|wash|slurry|starch water|topping|to finish|finish|to brush|for brushing|brushing|to fry|for frying|to sprinkle|glasur|zum bestreichen|dorure|para pintar|per spennellare|üzeri|do posmarowania|bestrijken|olesan",
    "つや出し|刷面",
  ),
  beside: anyOf(
    "dip|dipping sauce|sauce to serve|to serve|chutney|relish|drink|salsa|dazu|zum servieren|pour servir|para servir|per servire|yanına|do podania|saus",
    "たれ|蘸料",
  ),
  method: anyOf(
    "method|directions?|instructions?|steps|preparation|procedure|how to make(?: it)?|zubereitung|anleitung|préparation|réalisation|preparación|elaboración|preparazione|procedimento|yapılışı|hazırlanışı|przygotowanie|sposób przygotowania|wykonanie|bereiding|cara membuat|langkah",
    "作り方|手順|做法|步骤|विधि",
  ),
  ingredients: anyOf(
    "ingredients?|you need|zutaten|ingrédients|ingredientes|ingredienti|malzemeler|składniki|ingrediënten|bahan(?:-bahan)?",
    "材料|सामग्री",
  ),
} as const;
export type Section = keyof typeof HEADINGS;

/** What is done in a sentence. */
export const VERBS = {
  bake: anyOf(
    "bak(?:e|ed|ing)|oven|roast(?:ed)?|backen|ofen|backofen|cuire au four|enfourne[rz]?|four|hornea[rd]?o?|hornee|horno|infornare|inforna|forno|fırın(?:da|layın)?|pişirin|piec|upiec|piekarnik(?:u)?|oven|bakken|panggang|oven",
    "焼|烤|烘|ओवन",
  ),
  steam: anyOf(
    "steam(?:er|ed|ing)?|dämpf(?:en|er)?|vapeur|vapor|al vapore|buharda|na parze|gotowa[ćj] na parze|stoom|stomen|kukus(?:an)?",
    "蒸|भाप",
  ),
  fry: anyOf(
    "deep[- ]?fr(?:y|ied|ying)|fr(?:y|ied) in (?:hot )?oil|hot oil|frying oil|oil for (?:deep[- ]?)?frying|frittier(?:en|t)|ausbacken|frire|friture|freír|fríe(?:la|lo)?s?|friggere|friggi|kızart(?:ın|ma)?|smaż(?:yć|y)? w głębokim|frituren|frituur|goreng",
    "揚げ|炸|तल",
  ),
  pan: anyOf(
    "pan[- ]?fr(?:y|ied)|fry(?:ing)? pan|(?:in|into|heat) (?:a|an|the|your) (?:cold |hot |oiled |large |wide |heavy |flat |non-?stick |lidded |greased ){0,2}pan|oiled pan|cold pan|skillet|non-?stick pan|pan with a lid|lidded pan|pfanne|poêle|sartén|padella|tava(?:da)?|patelni|koekenpan|wajan",
    "フライパン|平底锅|煎",
  ),
  lid: anyOf("lid|cover(?:ed)?|deckel|couvercle|couvrir|tapa|coperchio|kapak|pokrywk[aą]|deksel|tutup", "蓋|ふた|盖"),
  dryPan: anyOf("griddle|dry (?:frying )?pan|dry skillet|flat ?top|comal|plancha|tava|sac|without oil|hot plate|stone", "鉄板"),
  knead: anyOf(
    "knead(?:ed|ing)?|knet(?:en|e)|pétri[rs]?|pétrissez|amasa[rd]?o?|impasta(?:re|te)?|yoğur(?:un)?|wyrabi(?:ać|aj)|wyrobić|kneden|kneed|uleni",
    "こね|揉",
  ),
  mix: anyOf(
    "mix(?:ed)?|combine|stir|rub|pulse|whisk|beat|vermengen|mischen|mélange[rz]?|mezcla[rd]?|mescola(?:re|te)?|karıştır(?:ın)?|wymiesza[ćj]|meng(?:en)?|campur",
    "混|拌",
  ),
  rise: anyOf(
    "ris(?:e|es|en|ing)|rise|proof|prove|proving|doubled?|until (?:it )?doubles|gehen(?: lassen)?|aufgehen|lever|pousser|doubler|levar|leudar|fermentar|lievitare|lievita|mayalan(?:dır)?(?:ın|sın)?|kabar(?:ana|sın)?|wyrośnię(?:cia|te)|rosn(?:ąć|ie)|rijzen|mengembang|istirahatkan",
    "発酵|寝かせ|醒发|发酵|फूल",
  ),
  chill: anyOf(
    "chill(?:ed)?|refrigerat(?:e|or|ed)|fridge|cold place|kühl(?:en|schrank)?|kaltstellen|frigo|réfrigér(?:er|ateur)|frais|refrigera[rd]?o?|nevera|frigorífico|frigorifero|frigo|buzdolab(?:ı|ında)|lodówk(?:i|ce|a)|koelkast|kulkas",
    "冷蔵|冷藏|फ्रिज",
  ),
  rest: anyOf(
    "(?<!the )rest(?:ed|ing)?|stand|relax|ruhen|reposer|repos|reposa[rd]?|riposare|riposo|dinlen(?:dir)?(?:in)?|odpocz(?:ąć|nie)|odstaw(?:ić)?|rusten|diamkan",
    "休ませ|松弛|醒",
  ),
  roll: anyOf(
    "roll(?:ed)? (?:it |them |the dough )?out|roll out|roll(?:ed)? to|stretch(?:ed)?|cut (?:out )?(?:rounds|circles|discs)|ausrollen|étale[rz]|estira[rd]?|stende(?:re|te)|aç(?:ın)?|rozwałkowa[ćj]|uitrollen|gilas",
    "伸ば|擀",
  ),
  divide: anyOf(
    "divide|portion|cut into|shape|form|teilen|divise[rz]|divid(?:ir|ere)|böl(?:ün)?|podziel(?:ić)?|verdeel|bagi",
    "分け|分割|分成",
  ),
  fill: anyOf(
    "fill(?:ed)?|roll(?:ed)?(?: it| them)? up|braid|plait|weave|fold(?:ed)? (?:over|in|it|the)|seal|pinch|crimp|close|spoon|place (?:a |some |the )?(?:spoonful|filling)|stuff|wrap|füllen|farci[rs]?|garni[rs]?|garnissez|fonce[rz]?|rellena[rd]?|farcire|doldur(?:un)?|nadziewa[ćj]|vullen|isi(?:kan)?",
    "包|詰め|भर",
  ),
  cookFilling: anyOf(
    "simmer(?:ed)?|poach(?:ed)?|stewed|braised|brown|saut[ée](?:ed)?|soften|sweat|boil|cook|stew|braise|reduce|wilt|thicken|fry (?:the |an? |some )(?!dumplings|buns|pieces|parcels|turnovers|half)\\p{L}+|kochen|anbraten|dünsten|schmoren|revenir|mijoter|cuire|sofre(?:ír|gir)|cocina[rd]?|rosola(?:re|te)|soffriggere|kavur(?:un)?|haşla(?:yın)?|podsmaż(?:yć)?|gotowa[ćj]|dusi[ćj]|bakken|koken|stoven|tumis|rebus|masak",
    "炒め|煮|炒|पका",
  ),
  blanch: anyOf("blanch(?:ed|ing)?|blanchieren|blanchir|blanchissez|blanquea[rd]?|sbollentare|sbollenta|blancheren", "焯"),
  cool: anyOf(
    "cool(?:ed|ing)?|abkühlen|refroidir|tiédir|enfria[rd]?|raffreddare|soğu(?:t|sun|yunca)(?:un)?|ostudzi[ćj]|afkoelen|dinginkan",
    "冷まし|放凉|ठंडा",
  ),
  marinate: anyOf("marinat(?:e|ed|ing)|marinieren|mariner|marina[rd]|marinare|marine et|marynowa[ćj]|rendam", "漬け|腌"),
  freeze: anyOf(
    "freez(?:e|er|ing)|frozen|einfrieren|congel(?:er|ar)|congelare|dondur(?:un)?|zamro(?:zić|żone)|invriezen|bekukan",
    "冷凍|冷冻",
  ),
  blind: anyOf(
    "blind[- ]?bak(?:e|ed|ing)|bake blind|baking beans|pie weights|blindbacken|cuire à blanc|en blanco|alla cieca",
    "",
  ),
} as const;
export type Verb = keyof typeof VERBS;

/** Units of time, min. */
export const TIME_UNITS: readonly (readonly [RegExp, number])[] = [
  [/^(?:h|hr|hrs|hours?|stunden?|std|heures?|horas?|ore|ora|saat|godzin[aęy]?|godz|uur|uren|jam|時間|小时|घंटे?)$/iu, 60],
  [/^(?:min|mins|minutes?|minuten|minuti|minuto|minutos|dakika|dk|minut[ay]?|menit|m|分|分钟|मिनट)$/iu, 1],
  [/^(?:days?|tage?|jours?|días?|giorni|gün|dni|dagen|hari|日|天)$/iu, 1440],
];
export const OVERNIGHT = anyOf(
  "overnight|over night|über nacht|toute la nuit|une nuit|toda la noche|tutta la notte|bir gece|na noc|przez noc|een nacht|semalaman",
  "一晩|过夜|रात भर",
);
