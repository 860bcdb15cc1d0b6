/** Fish, shellfish and what is made of them. Columns as in `grains.ts`. */
export const FISH = `
fish | fish | fish, white fish, fish fillet, fish fillets, Fisch, Fischfilet, poisson, pescado, pesce, balık, ryba, vis, ikan, 魚, 鱼, मछली, machli | 78 3 18 0 .2 | 150 | each 100 140 200 | loss:20 kosher:?
cod | fish | cod, cod fillet, Kabeljau, Dorsch, cabillaud, bacalao fresco, merluzzo, dorsz, morina, たら, 鳕鱼; haddock; pollock, coley, saithe, Seelachs, colin; hake, merlu, merluza, nasello; whiting, mezgit | 81 .7 18 0 .2 | 150 | each 110 150 200 | loss:20
salt-cod | fish | salt cod, bacalao, baccalà, morue; stockfish; dried fish, ikan asin | 25 2 60 0 15 | 140 | | loss:0
plaice | fish | plaice, Scholle; flounder; sole fillet, dover sole, lemon sole, Seezunge, lenguado, sogliola, dil balığı; halibut; turbot | 79 2 18 0 .2 | 150 | each 100 140 200 | loss:20
salmon | fish | salmon, salmon fillet, Lachs, saumon, salmón, salmone, somon, łosoś, zalm, サーモン, 鮭, 三文鱼 | 66 13 20 0 .1 | 150 | each 110 140 180 | loss:20
trout | fish | trout, trout fillet, char, Forelle, truite, trucha, trota, alabalık, pstrąg | 74 5 20 0 .1 | 150 | each 90 120 160 | loss:20
salmon-smoked | fish cured | smoked salmon, gravlax, Räucherlachs, saumon fumé, salmón ahumado, salmone affumicato, füme somon, łosoś wędzony, スモークサーモン; smoked trout, Räucherforelle, truite fumée; smoked fish; smoked mackerel; smoked haddock; kipper, kippers | 65 9 23 0 3 | 135 | slice 20 |
sea-bass | fish | sea bass, bar de ligne, lubina, branzino, levrek, 鲈鱼; sea bream, dorade, dorada, orata, çipura, 鯛; red snapper, snapper, kakap; mullet; grouper; barramundi; tilapia, nila; perch, Barsch; pike, szczupak; carp, Karpfen, karp; zander, Zander, sandacz; gurame | 77 3 19 0 .2 | 150 | each 90 120 160 | loss:20
mackerel | fish | mackerel, Makrele, maquereau, caballa, sgombro, uskumru, makrela, kembung, 鯖, 鲭鱼; herring, Hering, hareng, arenque, aringa, śledź; sardine, sardines, pilchards, Sardinen, sardinas, いわし; sprat; tongkol; cakalang | 66 14 18 0 .3 | 150 | tin 125 | loss:20
tuna | fish | tuna, fresh tuna, tuna steak, bonito, swordfish steak tuna, thon, atún, tonno, ton balığı, tuńczyk, マグロ, 金枪鱼 | 70 2 25 0 .1 | 150 | each 120 160 200 | loss:20
tuna-canned | fish | canned tuna, tinned tuna, tuna in oil, tuna in water, tuna in brine, tuna in olive oil, Thunfisch aus der Dose, Thunfisch, thon en boîte, atún en lata, tonno sott'olio, ton balığı konserve, ツナ缶, ツナ | 63 8 26 0 1 | 155 | tin 112, can 112 | hazard:leftovers
sardines-canned | fish | canned sardines, tinned sardines, sardines in oil; canned mackerel, 鯖缶; canned salmon, tinned salmon | 60 11 23 0 1 | 150 | tin 90, can 90 | hazard:leftovers
anchovy | fish | anchovy, anchovies, anchovy fillet, anchovy fillets, Sardellen, Anchovis, anchois, anchoas, boquerones, acciughe, alici, hamsi, ançüez, アンチョビ; anchovy paste; ikan teri, teri | 50 10 28 0 13 | 230 | each 3 4 5, fillet 4, tin 30 | hazard:leftovers
monkfish | fish | monkfish, Seeteufel, lotte, coda di rospo, rana pescatrice; skate wing; catfish, Wels, sum, lele, patin; eel, smoked eel, Aal, anguille, anguila, yılan balığı, węgorz, belut, うなぎ, 鳗鱼; swordfish; shark; sturgeon | 76 6 17 0 .2 | 150 | | loss:20 kosher:no
roe | fish | fish roe, cod roe, salmon roe, trout roe, telur ikan, いくら, 明太子, 鱼子; caviar, Kaviar, caviale, havyar; tarama, taramasalata; tobiko, masago; mentaiko | 62 9 24 1 3.5 | 250 | jar 50 | kosher:? hazard:leftovers
fish-ball | fish | fish balls, fish ball, 鱼丸; fish cake, fish cakes, fishcake; fish paste; kamaboko, chikuwa, かまぼこ; fish fingers; otak-otak | 74 3 12 8 2 | 140 | each 15 20 30 | ?egg ?wheat ?crustaceans ?soy kosher:? basis:label
surimi | fish | surimi, crab sticks, crab stick, imitation crab, seafood sticks, kani, かにかま, 蟹棒 | 73 1 10 12 2 | 140 | each 12 16 20 | ?crustaceans ?egg ?wheat ?soy ?molluscs kosher:? basis:label hazard:leftovers
prawns | crustacean | prawns, prawn, shrimp, shrimps, king prawns, tiger prawns, raw prawns, Garnelen, Krabben, Shrimps, crevettes, crevette, gambas, camarones, langostinos, gamberi, gamberetti, gamberoni, mazzancolle, karides, krewetki, udang, 海老, えび, エビ, 虾, 虾仁, झींगा, jhinga | 80 .8 19 0 .4 | - | each 6 12 25 | loss:20
prawns-cooked | crustacean | cooked prawns, cooked shrimp, peeled cooked prawns, cocktail prawns | 75 1 21 0 1.2 | 150 | | hazard:leftovers
prawns-dried | crustacean | dried shrimp, dried prawns, dried shrimps, ebi kering, ebi, 虾米, 虾皮, 干しエビ | 20 3 60 0 9 | 60 | |
shrimp-paste | crustacean | shrimp paste, belacan, terasi, bagoong, kapi, petis udang, 虾酱 | 40 2 25 3 18 | 260 | | hazard:none
prawn-crackers | crustacean | prawn crackers, shrimp crackers, krupuk udang, kerupuk | 8 1 5 2 2 | 20 | | basis:label hazard:none
crab | crustacean | crab, crabmeat, crab meat, lump crab, soft-shell crab, Krebs, Krebsfleisch, Krabbenfleisch, crabe, chair de crabe, cangrejo, granchio, polpa di granchio, yengeç, krab, kepiting, rajungan, カニ, 蟹, 蟹肉 | 79 1 18 0 .8 | 135 | tin 170 | loss:10
lobster | crustacean | lobster, Hummer, homard, langosta, bogavante, aragosta, astice, ıstakoz, homar, 龙虾; crayfish, crawfish, rak, 小龙虾; langoustine, langoustines, scampi | 77 1 19 0 .5 | 145 | | loss:20
mussels | mollusc | mussels, mussel, mussel meat, Muscheln, Miesmuscheln, moules, mejillones, cozze, midye, małże, omułki, kerang hijau, ムール貝, 青口, 贻贝 | 80 2.2 12 0 .7 | 150 | each 3 5 8 | loss:25
clams | mollusc | clams, clam, clam meat, Venusmuscheln, palourdes, almejas, vongole, あさり, 蛤蜊; cockles, berberechos, kerang; razor clams | 82 1 13 0 1 | 150 | each 3 5 8, tin 110 | loss:25
oyster | mollusc | oyster, oysters, smoked oysters, dried oyster, Austern, huîtres, ostras, ostriche, istiridye, ostrygi, tiram, 牡蠣, 生蚝 | 85 2 9 0 .5 | 245 | each 10 15 25 | loss:25
scallops | mollusc | scallops, scallop, Jakobsmuscheln, coquilles saint-jacques, noix de saint-jacques, vieiras, capesante, tarak, ホタテ, 扇贝; dried scallop, conpoy, 干贝 | 79 .8 17 0 .4 | 150 | each 15 25 40 | loss:20
squid | mollusc | squid, calamari, squid rings, Tintenfisch, Kalmar, calamars, encornet, calamares, kalamar, kalmary, cumi, cumi-cumi, sotong, イカ, 鱿鱼; cuttlefish, seiche, sepia, seppia | 79 1.4 16 0 .5 | 150 | each 60 120 250 | loss:30
octopus | mollusc | octopus, baby octopus, poulpe, pulpo, polpo, moscardini, ahtapot, ośmiornica, gurita, たこ, 章鱼 | 79 1.4 16 0 .5 | 150 | each 300 800 1500 | loss:30
squid-ink | mollusc | squid ink, cuttlefish ink | 79 1.4 16 0 .5 | 150 | sachet 4 | loss:30
snails | mollusc | snails, snail, escargots, escargot, Schnecken, caracoles, lumache, ślimaki, bekicot, 田螺; whelks, sea snails, keong; abalone, 鲍鱼; conch | 79 1.4 16 0 .2 | 140 | each 4 6 8 | loss:20
seafood-mix | crustacean mollusc | seafood, seafood mix, mixed seafood, frutti di mare, shellfish, Meeresfrüchte, fruits de mer, marisco, mariscos, deniz ürünleri, owoce morza, 海鲜, シーフード | 80 1.2 16 0 .6 | 150 | | +fish loss:25
seaweed | vegetable | seaweed, Algen, algues, rumput laut; nori, sushi nori, 海苔, 紫菜; kombu, kelp, 昆布; wakame, わかめ; dulse | 10 2 30 1 3 | 20 | sheet 2.5 | ?crustaceans ?fish ?molluscs
frog | game | frog legs, frog's legs, cuisses de grenouille, 田鸡; turtle; snake; crocodile, alligator | 80 .3 17 0 .2 | 150 | | halal:no kosher:no loss:25
`;
