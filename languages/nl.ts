<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="nl">
<context>
    <name>BesidePage</name>
    <message>
        <source>Copy the piece beside it, change the copy, and look at both here.</source>
        <translation>Kopieer het stuk ernaast, verander de kopie en bekijk ze hier allebei.</translation>
    </message>
    <message>
        <source>%1 beside</source>
        <translation>%1 ernaast</translation>
    </message>
    <message>
        <source>In bold where they differ. The pictures are in one scale.</source>
        <translation>Vet waar ze verschillen. De tekeningen hebben één schaal.</translation>
    </message>
</context>
<context>
    <name>Build</name>
    <message>
        <source>step %1</source>
        <translation>stap %1</translation>
    </message>
    <message>
        <source>prop</source>
        <translation>steun</translation>
    </message>
    <message>
        <source>%1 high</source>
        <translation>%1 hoog</translation>
    </message>
    <message>
        <source>something heavy</source>
        <translation>iets zwaars</translation>
    </message>
    <message>
        <source>until all has set</source>
        <translation>tot alles gestold is</translation>
    </message>
    <message>
        <source>until step %1 has set</source>
        <translation>tot stap %1 gestold is</translation>
    </message>
</context>
<context>
    <name>CoatPage</name>
    <message>
        <source>The coat itself</source>
        <translation>De laag zelf</translation>
    </message>
    <message>
        <source>copy it behind itself</source>
        <translation>achter zichzelf kopiëren</translation>
    </message>
    <message>
        <source>Copy a coat</source>
        <translation>Een laag kopiëren</translation>
    </message>
    <message>
        <source>do it a step earlier</source>
        <translation>een stap eerder doen</translation>
    </message>
    <message>
        <source>do it a step later</source>
        <translation>een stap later doen</translation>
    </message>
    <message>
        <source>leave it out</source>
        <translation>weglaten</translation>
    </message>
    <message>
        <source>Remove a coat</source>
        <translation>Een laag verwijderen</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Move a coat</source>
        <translation>Een laag verplaatsen</translation>
    </message>
    <message>
        <source>as the piece</source>
        <translation>zoals het stuk</translation>
    </message>
    <message>
        <source>Chocolate</source>
        <translation>Chocolade</translation>
    </message>
    <message>
        <source>Change the chocolate of a coat</source>
        <translation>De chocolade van een laag veranderen</translation>
    </message>
    <message>
        <source>Chocolate of this coat</source>
        <translation>Chocolade van deze laag</translation>
    </message>
    <message>
        <source>A coat of another chocolate takes its working temperature. Layers lie apart: where the upper one is scraped or shaved, the lower one shows.</source>
        <translation>Een laag van een andere chocolade krijgt haar werktemperatuur. Lagen liggen apart: waar de bovenste wordt weggekrast of geschaafd, komt de onderste bloot.</translation>
    </message>
    <message>
        <source>Share of the mold filled</source>
        <translation>Deel van de mal dat gevuld is</translation>
    </message>
    <message>
        <source>While it flows</source>
        <translation>Zolang het loopt</translation>
    </message>
    <message>
        <source>For</source>
        <translation>Gedurende</translation>
    </message>
    <message>
        <source>Turned every</source>
        <translation>Gekeerd elke</translation>
    </message>
    <message>
        <source>Moved about</source>
        <translation>Rondbewogen</translation>
    </message>
    <message>
        <source>Change where it is moved about</source>
        <translation>Veranderen waar het wordt rondbewogen</translation>
    </message>
    <message>
        <source>Where it is moved about</source>
        <translation>Waar het wordt rondbewogen</translation>
    </message>
    <message>
        <source>Change how it is moved</source>
        <translation>Veranderen hoe het bewogen wordt</translation>
    </message>
    <message>
        <source>Tapped on the table for</source>
        <translation>Op tafel getikt gedurende</translation>
    </message>
    <message>
        <source>Scrape the rim before it rests</source>
        <translation>De rand schrapen voor het rust</translation>
    </message>
    <message>
        <source>Scrape the rim</source>
        <translation>De rand schrapen</translation>
    </message>
    <message>
        <source>Do not scrape the rim</source>
        <translation>De rand niet schrapen</translation>
    </message>
    <message>
        <source>What is turned, tapped or scraped is followed over its whole surface; how far that may be off is an estimate.</source>
        <translation>Wat gedraaid, getikt of geschraapt wordt, wordt over het hele oppervlak gevolgd; hoe ver dat ernaast kan zitten is een schatting.</translation>
    </message>
    <message numerus="yes">
        <source>%n stroke(s) painted on the stage. The grams are shared among them.</source>
        <translation>
            <numerusform>%n streek op het toneel geverfd. De grammen gaan daarin.</numerusform>
            <numerusform>%n streken op het toneel geverfd. De grammen worden erover verdeeld.</numerusform>
        </translation>
    </message>
    <message>
        <source>Wipe all strokes off</source>
        <translation>Alle streken wissen</translation>
    </message>
    <message>
        <source>Wipe the strokes off</source>
        <translation>De streken wissen</translation>
    </message>
    <message>
        <source>This coat is not there any more.</source>
        <translation>Deze laag is er niet meer.</translation>
    </message>
</context>
<context>
    <name>CoatWords</name>
    <message>
        <source>left as it rests</source>
        <translation>zoals het rust</translation>
    </message>
    <message>
        <source>spun by hand, every way</source>
        <translation>met de hand alle kanten op gedraaid</translation>
    </message>
    <message>
        <source>rolled round, set on another side, again and again</source>
        <translation>rondgerold, op een andere kant gezet, telkens weer</translation>
    </message>
    <message>
        <source>laid on its side</source>
        <translation>op zijn zij gelegd</translation>
    </message>
    <message>
        <source>spun %1</source>
        <translation>%1 gedraaid</translation>
    </message>
    <message>
        <source>rolled round and turned every %1 for %2</source>
        <translation>rondgerold en elke %1 gekeerd, %2 lang</translation>
    </message>
    <message>
        <source>on its side %1</source>
        <translation>%1 op zijn zij</translation>
    </message>
    <message>
        <source>tapped %1</source>
        <translation>%1 getikt</translation>
    </message>
    <message>
        <source>rim scraped</source>
        <translation>rand geschraapt</translation>
    </message>
</context>
<context>
    <name>ColourPage</name>
    <message>
        <source>This colour is not in the plan any more.</source>
        <translation>Deze kleur staat niet meer in het plan.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Naam</translation>
    </message>
    <message>
        <source>Rename a colour</source>
        <translation>Een kleur hernoemen</translation>
    </message>
    <message>
        <source>Take this colour out of the plan</source>
        <translation>Deze kleur uit het plan halen</translation>
    </message>
    <message>
        <source>Take a colour out</source>
        <translation>Een kleur weghalen</translation>
    </message>
    <message>
        <source>Mixed from</source>
        <translation>Gemengd uit</translation>
    </message>
    <message>
        <source>Change what a colour is mixed from</source>
        <translation>Veranderen waaruit een kleur gemengd is</translation>
    </message>
    <message>
        <source>Blended with</source>
        <translation>Vermengd met</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>niets</translation>
    </message>
    <message>
        <source>On so dark a chocolate a colour hardly shows; take white.</source>
        <translation>Op zulke donkere chocolade is een kleur haast niet te zien; neem wit.</translation>
    </message>
    <message>
        <source>Oil colour only; gel or water colour makes chocolate seize. Only what is sold for food.</source>
        <translation>Alleen kleur op olie; van gel of kleur op water slaat chocolade dicht. Alleen wat voor eten verkocht wordt.</translation>
    </message>
    <message>
        <source>How it is drawn</source>
        <translation>Hoe ze getekend wordt</translation>
    </message>
    <message>
        <source>How the colour is drawn</source>
        <translation>Hoe de kleur getekend wordt</translation>
    </message>
    <message>
        <source>Change how a colour is drawn</source>
        <translation>Veranderen hoe een kleur getekend wordt</translation>
    </message>
    <message>
        <source>Drawn as</source>
        <translation>Getekend als</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Share of the other chocolate</source>
        <translation>Deel van de andere chocolade</translation>
    </message>
    <message>
        <source>Change what a colour is blended with</source>
        <translation>Veranderen waarmee een kleur vermengd is</translation>
    </message>
    <message>
        <source>Oil colour in the strong pot</source>
        <translation>Oliekleur in de sterke pan</translation>
    </message>
    <message>
        <source>Let down with plain chocolate</source>
        <translation>Verdund met gewone chocolade</translation>
    </message>
    <message>
        <source>0.3 to 1 % colour it; a pastel is a strong colour let down with white. A blend of two chocolates may have none: 0 %.</source>
        <translation>0,3 tot 1 % kleurt; een pasteltint is een sterke kleur verdund met wit. Een mengsel van twee chocolades mag er geen hebben: 0 %.</translation>
    </message>
    <message>
        <source>Flavour</source>
        <translation>Smaak</translation>
    </message>
    <message>
        <source>Flavour oil</source>
        <translation>Aroma-olie</translation>
    </message>
    <message>
        <source>Name a flavour</source>
        <translation>Een smaak noemen</translation>
    </message>
    <message>
        <source>Flavour oil in the pot</source>
        <translation>Aroma-olie in de pan</translation>
    </message>
    <message>
        <source>0.05 to 0.5 %, by how strong the oil is: its label says. Drops are counted for the pot on its card. A pot that is only flavoured has no colour: 0 %.</source>
        <translation>0,05 tot 0,5 %, naar hoe sterk de olie is: het etiket zegt het. Druppels worden op de kaart voor de pan geteld. Een pan die alleen smaak krijgt heeft geen kleur: 0 %.</translation>
    </message>
    <message>
        <source>Pieces that take it, all from one pot so that they match</source>
        <translation>Stukken die haar krijgen, alle uit één pan zodat ze bij elkaar passen</translation>
    </message>
    <message>
        <source>Colour a piece</source>
        <translation>Een stuk kleuren</translation>
    </message>
    <message>
        <source>Take the colour off a piece</source>
        <translation>De kleur van een stuk halen</translation>
    </message>
</context>
<context>
    <name>ColourWords</name>
    <message>
        <source>Colour %1</source>
        <translation>Kleur %1</translation>
    </message>
    <message>
        <source>Add a colour</source>
        <translation>Een kleur toevoegen</translation>
    </message>
</context>
<context>
    <name>ComparePage</name>
    <message>
        <source>The same pieces, laid out under each wish. Press one to take it.</source>
        <translation>Dezelfde stukken, onder elke wens ingedeeld. Klik er een aan om hem te nemen.</translation>
    </message>
    <message>
        <source>wish</source>
        <translation>wens</translation>
    </message>
    <message>
        <source>begin</source>
        <translation>begin</translation>
    </message>
    <message>
        <source>last work</source>
        <translation>laatste werk</translation>
    </message>
    <message>
        <source>temper</source>
        <translation>temperen</translation>
    </message>
    <message>
        <source>hands</source>
        <translation>handen</translation>
    </message>
    <message>
        <source>rests</source>
        <translation>rust</translation>
    </message>
    <message>
        <source>in time</source>
        <translation>op tijd</translation>
    </message>
    <message>
        <source>%1 h</source>
        <translation>%1 u</translation>
    </message>
    <message>
        <source>%1 broken</source>
        <translation>%1 gebroken</translation>
    </message>
    <message>
        <source>%1 in 10</source>
        <translation>%1 op 10</translation>
    </message>
    <message>
        <source>no day</source>
        <translation>geen dag</translation>
    </message>
</context>
<context>
    <name>DeadlinePage</name>
    <message>
        <source>The plan is called</source>
        <translation>Het plan heet</translation>
    </message>
    <message>
        <source>A plan needs a name.</source>
        <translation>Een plan heeft een naam nodig.</translation>
    </message>
    <message>
        <source>Rename the plan</source>
        <translation>Het plan hernoemen</translation>
    </message>
    <message>
        <source>Ready on</source>
        <translation>Klaar op</translation>
    </message>
    <message>
        <source>Not a day. Write it like %1.</source>
        <translation>Geen dag. Schrijf hem als %1.</translation>
    </message>
    <message>
        <source>at</source>
        <translation>om</translation>
    </message>
    <message>
        <source>Not a time of day. Write it like 18:30 or 6:30 pm.</source>
        <translation>Geen tijd. Schrijf hem als 18:30 of 6:30 pm.</translation>
    </message>
    <message>
        <source>Day it must be ready</source>
        <translation>Dag waarop het klaar moet zijn</translation>
    </message>
    <message>
        <source>The day is laid out backwards from here, with %1 minutes in hand. How sure you want to be is a wish in Day.</source>
        <translation>De dag wordt vanaf hier achteruit ingedeeld, met %1 minuten over. Hoe zeker je wilt zijn is een wens bij Dag.</translation>
    </message>
    <message>
        <source>That time has passed. Choose another day.</source>
        <translation>Die tijd is voorbij. Kies een andere dag.</translation>
    </message>
    <message>
        <source>Change when it must be ready</source>
        <translation>Veranderen wanneer het klaar moet zijn</translation>
    </message>
    <message>
        <source>Guests</source>
        <translation>Gasten</translation>
    </message>
    <message>
        <source>Change how many guests there are</source>
        <translation>Veranderen hoeveel gasten er zijn</translation>
    </message>
    <message>
        <source>Of what is made for each guest there are then as many more or fewer; what is one for the table stays.</source>
        <translation>Van wat er per gast gemaakt wordt komen er evenveel meer of minder; wat één voor de tafel is, blijft.</translation>
    </message>
</context>
<context>
    <name>DecorationPage</name>
    <message>
        <source>There is no decoration here.</source>
        <translation>Hier is geen versiering.</translation>
    </message>
    <message>
        <source>Grams on each, as weighed</source>
        <translation>Gram op elk, zoals gewogen</translation>
    </message>
    <message>
        <source>Count it from its size</source>
        <translation>Uit de maat berekenen</translation>
    </message>
    <message>
        <source>Count a decoration from its size</source>
        <translation>Een versiering uit haar maat berekenen</translation>
    </message>
    <message>
        <source>Say what you weighed</source>
        <translation>Zeggen wat je woog</translation>
    </message>
    <message>
        <source>Say what a decoration weighs</source>
        <translation>Zeggen wat een versiering weegt</translation>
    </message>
    <message>
        <source>What it shows</source>
        <translation>Wat het toont</translation>
    </message>
    <message>
        <source>Change what a stencil shows</source>
        <translation>Veranderen wat een sjabloon toont</translation>
    </message>
    <message>
        <source>Its strip is printed with the templates, at true scale.</source>
        <translation>De strook wordt met de sjablonen geprint, op ware grootte.</translation>
    </message>
    <message>
        <source>Strips on one piece, end to end</source>
        <translation>Stroken op één stuk, achter elkaar</translation>
    </message>
    <message>
        <source>Line on one piece</source>
        <translation>Lijn op één stuk</translation>
    </message>
    <message>
        <source>Height of the edge</source>
        <translation>Hoogte van de rand</translation>
    </message>
    <message>
        <source>Width of a petal</source>
        <translation>Breedte van een bloemblad</translation>
    </message>
    <message>
        <source>Width of its band</source>
        <translation>Breedte van de band</translation>
    </message>
    <message>
        <source>Width of a strip</source>
        <translation>Breedte van een reep</translation>
    </message>
    <message>
        <source>Width of the line</source>
        <translation>Breedte van de lijn</translation>
    </message>
    <message>
        <source>Scraped, deep</source>
        <translation>Gekrast, diep</translation>
    </message>
    <message>
        <source>Filled, thick</source>
        <translation>Gevuld, dik</translation>
    </message>
    <message>
        <source>Thick</source>
        <translation>Dik</translation>
    </message>
    <message>
        <source>Share of the face</source>
        <translation>Deel van het vlak</translation>
    </message>
    <message>
        <source>Change how much is covered</source>
        <translation>Veranderen hoeveel bedekt is</translation>
    </message>
    <message>
        <source>Petals on each</source>
        <translation>Bloembladen op elk</translation>
    </message>
    <message>
        <source>Bows on each</source>
        <translation>Strikken op elk</translation>
    </message>
    <message>
        <source>Layers</source>
        <translation>Lagen</translation>
    </message>
    <message>
        <source>Change how often</source>
        <translation>Veranderen hoe vaak</translation>
    </message>
    <message>
        <source>Round the rim, one every</source>
        <translation>Rond de rand, één elke</translation>
    </message>
    <message>
        <source>0: as it comes. Uovo fits a whole number of them and prints a ring with their places.</source>
        <translation>0: zoals het uitkomt. Uovo past er een heel aantal in en print een ring met de plaatsen.</translation>
    </message>
    <message>
        <source>Dry after</source>
        <translation>Droog na</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
</context>
<context>
    <name>EntryPage</name>
    <message>
        <source>One or more pieces weighed</source>
        <translation>Een of meer stukken gewogen</translation>
    </message>
    <message>
        <source>A broken rim, by caliper</source>
        <translation>Een gebroken rand, met de schuifmaat</translation>
    </message>
    <message>
        <source>When it was firm to the finger</source>
        <translation>Wanneer het onder een vinger vast was</translation>
    </message>
    <message>
        <source>How wide a spoonful lay</source>
        <translation>Hoe breed een lepel vol lag</translation>
    </message>
    <message>
        <source>How many came out whole</source>
        <translation>Hoeveel er heel uitkwamen</translation>
    </message>
    <message>
        <source>Something went wrong</source>
        <translation>Er ging iets mis</translation>
    </message>
    <message>
        <source>Chocolate left over</source>
        <translation>Chocolade over</translation>
    </message>
    <message>
        <source>Stars</source>
        <translation>Sterren</translation>
    </message>
    <message>
        <source>A sentence</source>
        <translation>Een zin</translation>
    </message>
    <message>
        <source>A picture</source>
        <translation>Een foto</translation>
    </message>
    <message>
        <source>How long something took</source>
        <translation>Hoe lang iets duurde</translation>
    </message>
    <message>
        <source>Which bag was open</source>
        <translation>Welk pak open was</translation>
    </message>
    <message>
        <source>What</source>
        <translation>Wat</translation>
    </message>
    <message>
        <source>Piece</source>
        <translation>Stuk</translation>
    </message>
    <message>
        <source>Chocolate</source>
        <translation>Chocolade</translation>
    </message>
    <message>
        <source>What went wrong</source>
        <translation>Wat er misging</translation>
    </message>
    <message>
        <source>After how many coats</source>
        <translation>Na hoeveel lagen</translation>
    </message>
    <message>
        <source>Weighed together</source>
        <translation>Samen gewogen</translation>
    </message>
    <message>
        <source>They weigh</source>
        <translation>Ze wegen</translation>
    </message>
    <message>
        <source>It is thick</source>
        <translation>Het is dik</translation>
    </message>
    <message>
        <source>15 ml lay wide, after a minute</source>
        <translation>15 ml lag breed, na een minuut</translation>
    </message>
    <message>
        <source>Not firm yet, after the last coat</source>
        <translation>Nog niet vast, na de laatste laag</translation>
    </message>
    <message>
        <source>Firm, after the last coat</source>
        <translation>Vast, na de laatste laag</translation>
    </message>
    <message>
        <source>Left over</source>
        <translation>Over</translation>
    </message>
    <message>
        <source>Came out whole</source>
        <translation>Heel uitgekomen</translation>
    </message>
    <message>
        <source>Of so many begun</source>
        <translation>Van zoveel begonnen</translation>
    </message>
    <message>
        <source>How many of them</source>
        <translation>Hoeveel ervan</translation>
    </message>
    <message>
        <source>Stars of five</source>
        <translation>Sterren van vijf</translation>
    </message>
    <message>
        <source>Which</source>
        <translation>Welke</translation>
    </message>
    <message>
        <source>It took</source>
        <translation>Het duurde</translation>
    </message>
    <message>
        <source>It was planned to take</source>
        <translation>Gepland was</translation>
    </message>
    <message>
        <source>In your words</source>
        <translation>In je eigen woorden</translation>
    </message>
    <message>
        <source>Choose a picture …</source>
        <translation>Een foto kiezen …</translation>
    </message>
    <message>
        <source>Keep it in its place</source>
        <translation>In de plaats ervan bewaren</translation>
    </message>
    <message>
        <source>Keep it</source>
        <translation>Bewaren</translation>
    </message>
    <message>
        <source>%1 from the scale</source>
        <translation>%1 van de weegschaal</translation>
    </message>
    <message>
        <source>A picture of the evening</source>
        <translation>Een foto van de avond</translation>
    </message>
    <message>
        <source>Pictures (*.jpg *.jpeg *.png *.webp)</source>
        <translation>Foto&apos;s (*.jpg *.jpeg *.png *.webp)</translation>
    </message>
    <message>
        <source>%1 cannot be read.</source>
        <translation>%1 kan niet worden gelezen.</translation>
    </message>
    <message>
        <source>The picture is larger than 8 MB: make it smaller first.</source>
        <translation>De foto is groter dan 8 MB: maak hem eerst kleiner.</translation>
    </message>
    <message>
        <source>It is chosen: %1</source>
        <translation>Gekozen: %1</translation>
    </message>
    <message>
        <source>Say what they weigh.</source>
        <translation>Zeg wat ze wegen.</translation>
    </message>
    <message>
        <source>Say how thick the rim is.</source>
        <translation>Zeg hoe dik de rand is.</translation>
    </message>
    <message>
        <source>Say when it was not firm yet, or when it was: the latter is later.</source>
        <translation>Zeg wanneer het nog niet vast was, of wanneer wel: dat laatste is later.</translation>
    </message>
    <message>
        <source>Say how wide it lay.</source>
        <translation>Zeg hoe breed het lag.</translation>
    </message>
    <message>
        <source>Say what it took, and what was planned.</source>
        <translation>Zeg hoe lang het duurde, en wat gepland was.</translation>
    </message>
    <message>
        <source>Give the bag a name, the date it was opened for one.</source>
        <translation>Geef het pak een naam, bijvoorbeeld de datum waarop het open ging.</translation>
    </message>
</context>
<context>
    <name>FillingPage</name>
    <message>
        <source>This piece has no filling.</source>
        <translation>Dit stuk heeft geen vulling.</translation>
    </message>
    <message>
        <source>Making it takes</source>
        <translation>Maken duurt</translation>
    </message>
    <message>
        <source>Good from, after it is made</source>
        <translation>Goed vanaf, na het maken</translation>
    </message>
    <message>
        <source>Good until</source>
        <translation>Goed tot</translation>
    </message>
    <message>
        <source>It does not keep: cold, and only a short time out</source>
        <translation>Bederfelijk: koud, en maar kort eruit</translation>
    </message>
    <message>
        <source>Raw egg is in it</source>
        <translation>Er zit rauw ei in</translation>
    </message>
    <message>
        <source>Alcohol is in it</source>
        <translation>Er zit alcohol in</translation>
    </message>
    <message>
        <source>Called</source>
        <translation>Heet</translation>
    </message>
    <message>
        <source>A filling needs a name.</source>
        <translation>Een vulling heeft een naam nodig.</translation>
    </message>
    <message>
        <source>Rename the filling</source>
        <translation>De vulling hernoemen</translation>
    </message>
    <message>
        <source>It goes into %1 too, and is made once for all.</source>
        <translation>Ze gaat ook in %1, en wordt voor alles één keer gemaakt.</translation>
    </message>
    <message>
        <source>something else</source>
        <translation>iets anders</translation>
    </message>
    <message>
        <source>It is</source>
        <translation>Het is</translation>
    </message>
    <message>
        <source>Fill it with %1</source>
        <translation>Vullen met %1</translation>
    </message>
    <message>
        <source>A cup of it weighs</source>
        <translation>Een kop ervan weegt</translation>
    </message>
    <message>
        <source>A litre of it weighs</source>
        <translation>Een liter ervan weegt</translation>
    </message>
    <message>
        <source>Change what the filling weighs</source>
        <translation>Veranderen wat de vulling weegt</translation>
    </message>
    <message>
        <source>0: as such fillings usually do. What a piece carries hangs on it.</source>
        <translation>0: zoals zulke vullingen meestal zijn. Wat een stuk draagt hangt ervan af.</translation>
    </message>
    <message>
        <source>Filled</source>
        <translation>Gevuld</translation>
    </message>
    <message>
        <source>by an amount</source>
        <translation>met een hoeveelheid</translation>
    </message>
    <message>
        <source>three quarters full</source>
        <translation>voor driekwart</translation>
    </message>
    <message>
        <source>to the brim</source>
        <translation>tot de rand</translation>
    </message>
    <message>
        <source>Change how full it is</source>
        <translation>Veranderen hoe vol het is</translation>
    </message>
    <message>
        <source>It goes in as it is served, at the table</source>
        <translation>Het gaat erin bij het serveren, aan tafel</translation>
    </message>
    <message>
        <source>Change when it is filled</source>
        <translation>Veranderen wanneer het gevuld wordt</translation>
    </message>
    <message>
        <source>Nothing: it stays open. A lid is poured on what is about three quarters full, when the filling is no warmer than the room.</source>
        <translation>Niets: het blijft open. Een deksel giet je op wat ongeveer driekwart vol is, als de vulling niet warmer is dan de kamer.</translation>
    </message>
    <message>
        <source>Recipe</source>
        <translation>Recept</translation>
    </message>
    <message>
        <source>As written it makes</source>
        <translation>Zoals geschreven maakt het</translation>
    </message>
    <message>
        <source>one more line</source>
        <translation>nog een regel</translation>
    </message>
    <message>
        <source>Add to a recipe</source>
        <translation>Aan een recept toevoegen</translation>
    </message>
    <message>
        <source>The amount in one</source>
        <translation>De hoeveelheid in één</translation>
    </message>
    <message>
        <source>Change how much goes in</source>
        <translation>Veranderen hoeveel erin gaat</translation>
    </message>
    <message>
        <source>Lid of chocolate, thick</source>
        <translation>Deksel van chocolade, dik</translation>
    </message>
    <message>
        <source>Change the lid</source>
        <translation>Het deksel veranderen</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Change the filling: %1</source>
        <translation>De vulling veranderen: %1</translation>
    </message>
    <message>
        <source>what</source>
        <translation>wat</translation>
    </message>
    <message>
        <source>how much</source>
        <translation>hoeveel</translation>
    </message>
    <message>
        <source>alcohol</source>
        <translation>alcohol</translation>
    </message>
    <message>
        <source>allergens</source>
        <translation>allergenen</translation>
    </message>
    <message>
        <source>for all</source>
        <translation>voor alle</translation>
    </message>
    <message>
        <source>%1 of line %2</source>
        <translation>%1 van regel %2</translation>
    </message>
    <message>
        <source>Change a recipe</source>
        <translation>Een recept veranderen</translation>
    </message>
    <message>
        <source>Change how much</source>
        <translation>Veranderen hoeveel</translation>
    </message>
    <message>
        <source>Change the alcohol</source>
        <translation>De alcohol veranderen</translation>
    </message>
    <message>
        <source>none</source>
        <translation>geen</translation>
    </message>
    <message>
        <source>Change the allergens</source>
        <translation>De allergenen veranderen</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>Take line %1 out</source>
        <translation>Regel %1 weghalen</translation>
    </message>
    <message>
        <source>Take a line out of a recipe</source>
        <translation>Een regel uit een recept halen</translation>
    </message>
    <message>
        <source>%1 in each, %2 for all.</source>
        <translation>%1 in elk, %2 voor alle.</translation>
    </message>
    <message>
        <source> The recipe %1 times.</source>
        <translation> Het recept %1 keer.</translation>
    </message>
    <message>
        <source> A lid weighs %1.</source>
        <translation> Een deksel weegt %1.</translation>
    </message>
    <message>
        <source> %1 alcohol by volume, %2 of pure alcohol in each, cooked off or not: for adults; the age that law asks for differs from place to place.</source>
        <translation> %1 alcohol per volume, %2 zuivere alcohol in elk, verkookt of niet: voor volwassenen; welke leeftijd de wet vraagt verschilt per plaats.</translation>
    </message>
</context>
<context>
    <name>Help</name>
    <message>
        <source>Shape: one piece at a time</source>
        <translation>Vorm: één stuk tegelijk</translation>
    </message>
    <message>
        <source>Here you say what a piece is, and Uovo answers how it comes out: how thick its wall is and where it is thin, how much chocolate goes into it, how long it sets, whether it holds.</source>
        <translation>Hier zeg je wat een stuk is, en Uovo antwoordt hoe het uitkomt: hoe dik de wand is en waar dun, hoeveel chocolade erin gaat, hoe lang het stolt, of het houdt.</translation>
    </message>
    <message>
        <source>Change anything: a figure in the sentence, a round handle on the drawing, a card of the making. The answers follow while you type. Nothing can be broken: Ctrl+Z takes everything back.</source>
        <translation>Verander wat je wilt: een getal in de zin, een rond handvat in de tekening, een kaart van het maken. De antwoorden volgen terwijl je typt. Er kan niets stuk: Ctrl+Z neemt alles terug.</translation>
    </message>
    <message>
        <source>Any unit will do: 5 1/2 in, 114 °F, 2 tbsp, 1 h 15. Words of the kitchen too: falls in a ribbon, two spoons, count to thirty.</source>
        <translation>Elke eenheid mag: 5 1/2 in, 114 °F, 2 tbsp, 1 h 15. Ook woorden uit de keuken: valt in een lint, twee lepels, tot dertig tellen.</translation>
    </message>
    <message>
        <source>A weak answer offers ways out, each of them computed: a warmer or cooler bath, one coat more, another way up to set. One click takes it.</source>
        <translation>Bij een zwak antwoord horen uitwegen, elk doorgerekend: een warmer of koeler bad, een laag meer, een andere stand om te stollen. Eén klik neemt hem.</translation>
    </message>
    <message>
        <source>Measure a balloon with a tape round its widest place and a ruler from the knot to the crown. Measure a mold by filling it with water and weighing that.</source>
        <translation>Meet een ballon met een meetlint om het breedst en een liniaal van knoop tot kruin. Meet een mal door hem met water te vullen en dat te wegen.</translation>
    </message>
    <message>
        <source>The shelf: every kind of piece of this plan. Another piece comes from the gallery.</source>
        <translation>De plank: elke soort stuk van dit plan. Een ander stuk komt uit de galerij.</translation>
    </message>
    <message>
        <source>The sentence: what it is, how many, of which chocolate. Each figure is a field.</source>
        <translation>De zin: wat het is, hoeveel, van welke chocolade. Elk getal is een veld.</translation>
    </message>
    <message>
        <source>The piece, cut open with its wall in scale. F8 turns it, F9 shows whether it holds.</source>
        <translation>Het stuk, opengesneden met zijn wand op schaal. F8 draait het, F9 laat zien of het houdt.</translation>
    </message>
    <message>
        <source>The making, step by step. Drag to reorder, Delete takes one out.</source>
        <translation>Het maken, stap voor stap. Sleep om te verplaatsen, Delete haalt er een weg.</translation>
    </message>
    <message>
        <source>The answers. A click opens how each was computed.</source>
        <translation>De antwoorden. Een klik toont hoe elk berekend is.</translation>
    </message>
    <message>
        <source>the sentence over the drawing says what it is: change any figure</source>
        <translation>de zin boven de tekening zegt wat het is: verander elk getal</translation>
    </message>
    <message>
        <source>the cards below it are its making, step by step</source>
        <translation>de kaarten eronder zijn het maken, stap voor stap</translation>
    </message>
    <message>
        <source>the answers on the right follow; a click shows where they come from</source>
        <translation>de antwoorden rechts volgen; een klik toont waar ze vandaan komen</translation>
    </message>
    <message>
        <source>Build: parts become one</source>
        <translation>Bouw: delen worden één</translation>
    </message>
    <message>
        <source>A house, a basket, a figure of several parts is put together here: in which order, what is held and for how long, what stands beside it meanwhile.</source>
        <translation>Een huis, een mandje, een figuur van meer delen wordt hier in elkaar gezet: in welke volgorde, wat wordt vastgehouden en hoe lang, wat er intussen naast staat.</translation>
    </message>
    <message>
        <source>Every state on the way is computed: an order in which something falls is refused, and says over which edge it would fall.</source>
        <translation>Elke toestand onderweg wordt berekend: een volgorde waarin iets omvalt wordt geweigerd, met over welke rand het zou vallen.</translation>
    </message>
    <message>
        <source>By hand you put parts where you want them: they hold on to middles, edges and rims, and rest on what is below. What touches is glued.</source>
        <translation>Met de hand zet je delen waar je ze wilt: ze pakken middens, kanten en randen, en rusten op wat eronder is. Wat elkaar raakt, wordt gelijmd.</translation>
    </message>
    <message>
        <source>Templates lays out what is cut from sheets, at true scale. Measure the ruler on the page before you cut.</source>
        <translation>Sjablonen legt uit wat uit vellen gesneden wordt, op ware grootte. Meet de liniaal op de pagina na voor je snijdt.</translation>
    </message>
    <message>
        <source>Something broke? It weighs glue, a strip, pegs and a new part against each other.</source>
        <translation>Is er iets gebroken? Het weegt lijm, een strook, pennetjes en een nieuw deel tegen elkaar af.</translation>
    </message>
    <message>
        <source>The state at this step: what comes, what is held.</source>
        <translation>De toestand bij deze stap: wat erbij komt, wat wordt vastgehouden.</translation>
    </message>
    <message>
        <source>The steps. Drag one elsewhere to try it.</source>
        <translation>De stappen. Sleep er een naar elders om het te proberen.</translation>
    </message>
    <message>
        <source>The joints: how long each is held, what prepares it.</source>
        <translation>De naden: hoe lang elke wordt vastgehouden, wat hem voorbereidt.</translation>
    </message>
    <message>
        <source>the strip goes through the steps: drag one to try another order</source>
        <translation>de strook loopt door de stappen: sleep er een om een andere volgorde te proberen</translation>
    </message>
    <message>
        <source>By hand moves the parts themselves</source>
        <translation>Met de hand verplaatst de delen zelf</translation>
    </message>
    <message>
        <source>Templates prints what is cut from sheets</source>
        <translation>Sjablonen print wat uit vellen gesneden wordt</translation>
    </message>
    <message>
        <source>Melt: pots, tempering, shopping</source>
        <translation>Smelt: pannen, tempereren, boodschappen</translation>
    </message>
    <message>
        <source>What all pieces together ask of each chocolate stands here as pots: how much to melt, in which vessel, in how many batches so that none sets before it is used.</source>
        <translation>Wat alle stukken samen van elke chocolade vragen staat hier als pannen: hoeveel te smelten, in welk vat, in hoeveel porties zodat er geen stolt voor hij op is.</translation>
    </message>
    <message>
        <source>Choose how you temper: by seed, by crystals, the full curve, melted only in part, a machine, or not at all. The curve shows degrees and minutes for this pot.</source>
        <translation>Kies hoe je tempereert: met ent, met kristallen, de hele curve, maar voor een deel gesmolten, een machine, of helemaal niet. De curve toont graden en minuten voor deze pan.</translation>
    </message>
    <message>
        <source>Colours divide one melted white into cups; a colour must be of oil, never of water.</source>
        <translation>Kleuren verdelen één gesmolten witte over kopjes; een kleur moet op olie zijn, nooit op water.</translation>
    </message>
    <message>
        <source>The list says what to buy, less what stands in your cupboard. It can be printed and copied.</source>
        <translation>De lijst zegt wat je koopt, min wat in je kast staat. Ze is te printen en te kopiëren.</translation>
    </message>
    <message>
        <source>The pots with their level and batches.</source>
        <translation>De pannen met hun niveau en porties.</translation>
    </message>
    <message>
        <source>The curve of the pot you chose.</source>
        <translation>De curve van de pan die je koos.</translation>
    </message>
    <message>
        <source>What to buy, what it costs, what is in it.</source>
        <translation>Wat je koopt, wat het kost, wat erin zit.</translation>
    </message>
    <message>
        <source>a click on a pot shows how it is tempered</source>
        <translation>een klik op een pan toont hoe hij getempereerd wordt</translation>
    </message>
    <message>
        <source>type what is in your cupboard: the list follows</source>
        <translation>typ wat in je kast staat: de lijst volgt</translation>
    </message>
    <message>
        <source>Temper it now listens to a thermometer</source>
        <translation>Nu tempereren luistert naar een thermometer</translation>
    </message>
    <message>
        <source>Day: when to do what</source>
        <translation>Dag: wanneer je wat doet</translation>
    </message>
    <message>
        <source>The day is laid out backwards from when it must be ready: who does what, when each pot is warm, what sets in the cold meanwhile.</source>
        <translation>De dag wordt achteruit ingedeeld vanaf wanneer het klaar moet zijn: wie wat doet, wanneer elke pan warm is, wat intussen in de kou stolt.</translation>
    </message>
    <message>
        <source>Say what matters: begin late, hands free, few temperings, a quiet evening. Say who helps and from when. Pin a step to an hour by dragging it.</source>
        <translation>Zeg wat telt: laat beginnen, handen vrij, weinig tempereren, een rustige avond. Zeg wie helpt en vanaf wanneer. Zet een stap op een uur vast door hem te slepen.</translation>
    </message>
    <message>
        <source>How likely it is to be ready in time is played through five hundred times, with the mishaps that happen.</source>
        <translation>Hoe waarschijnlijk het op tijd klaar is, wordt vijfhonderd keer nagespeeld, met de ongelukjes die gebeuren.</translation>
    </message>
    <message>
        <source>While the day runs, tick what is done. Go on at the bench lays the rest out from this minute.</source>
        <translation>Vink tijdens de dag af wat gedaan is. Aan de werkbank verder deelt de rest vanaf deze minuut in.</translation>
    </message>
    <message>
        <source>What you wish of the day.</source>
        <translation>Wat je van de dag wenst.</translation>
    </message>
    <message>
        <source>The board: hands above, cold and pots below. The yellow line is a moment.</source>
        <translation>Het bord: boven handen, onder kou en pannen. De gele lijn is een moment.</translation>
    </message>
    <message>
        <source>The steps as a list.</source>
        <translation>De stappen als lijst.</translation>
    </message>
    <message>
        <source>drag the yellow line through time to see each moment</source>
        <translation>sleep de gele lijn door de tijd om elk moment te zien</translation>
    </message>
    <message>
        <source>drag a step to pin it to an hour</source>
        <translation>sleep een stap om hem op een uur vast te zetten</translation>
    </message>
    <message>
        <source>begin late, hands free: say above what matters</source>
        <translation>laat beginnen, handen vrij: zeg boven wat telt</translation>
    </message>
    <message>
        <source>Bench: while you make it</source>
        <translation>Werkbank: terwijl je het maakt</translation>
    </message>
    <message>
        <source>One step at a time in large letters: what to do, what it should look like, what goes wrong and why. Space, a tap or a foot switch goes on.</source>
        <translation>Eén stap tegelijk in grote letters: wat te doen, hoe het eruit moet zien, wat er misgaat en waarom. Spatie, een tik of een voetschakelaar gaat verder.</translation>
    </message>
    <message>
        <source>What is in the cold has a clock of its own and rings when it is due.</source>
        <translation>Wat in de kou staat heeft een eigen klok en belt als het zover is.</translation>
    </message>
    <message>
        <source>Something happened? Say what: it offers ways with their minutes and grams, and lays the rest of the day out anew.</source>
        <translation>Is er iets gebeurd? Zeg wat: het biedt uitwegen met hun minuten en grammen, en deelt de rest van de dag opnieuw in.</translation>
    </message>
    <message>
        <source>Rehearse the day before you melt anything; practise a single skill in a few minutes.</source>
        <translation>Oefen de dag voor je iets smelt; oefen één vaardigheid in een paar minuten.</translation>
    </message>
    <message>
        <source>Killed or switched off, it goes on at the right minute.</source>
        <translation>Afgesloten of uitgezet gaat het verder op de juiste minuut.</translation>
    </message>
    <message>
        <source>The step.</source>
        <translation>De stap.</translation>
    </message>
    <message>
        <source>Done: on to the next.</source>
        <translation>Klaar: door naar de volgende.</translation>
    </message>
    <message>
        <source>Something happened.</source>
        <translation>Er is iets gebeurd.</translation>
    </message>
    <message>
        <source>Space goes on to the next step</source>
        <translation>Spatie gaat door naar de volgende stap</translation>
    </message>
    <message>
        <source>Something happened finds a way out of a mishap</source>
        <translation>Er is iets gebeurd vindt een uitweg uit een ongelukje</translation>
    </message>
    <message>
        <source>Rehearse it first: nothing of a rehearsal is kept</source>
        <translation>Oefen het eerst: van een oefening blijft niets bewaard</translation>
    </message>
    <message>
        <source>Log: what happened, what it taught</source>
        <translation>Logboek: wat er gebeurde, wat het leerde</translation>
    </message>
    <message>
        <source>A day made at the bench comes here by itself. Write down what else you know: grams, a broken rim, how many came out whole, stars, a picture.</source>
        <translation>Een dag van de werkbank komt hier vanzelf. Schrijf op wat je verder weet: grammen, een gebroken rand, hoeveel er heel uitkwamen, sterren, een foto.</translation>
    </message>
    <message>
        <source>From what was weighed it learns what your bags of chocolate, your fridge and your hands are like. You say how far the plans may count on it; one undo takes it back.</source>
        <translation>Uit wat gewogen is leert het hoe je pakken chocolade, je koelkast en je handen zijn. Jij zegt hoe ver de plannen erop mogen rekenen; één keer terug en het is weg.</translation>
    </message>
    <message>
        <source>Why did something fail? Choose it on the piece: causes are ranked from the piece&apos;s own figures, a question tells them apart, and every change was run before it is offered.</source>
        <translation>Waarom ging iets mis? Kies het op het stuk: oorzaken worden geordend uit de cijfers van het stuk zelf, een vraag onderscheidt ze, en elke verandering is doorgerekend voor ze wordt aangeboden.</translation>
    </message>
    <message>
        <source>Make this again turns an evening into a new plan, for as many guests as you like.</source>
        <translation>Dit nog eens maken maakt van een avond een nieuw plan, voor zoveel gasten als je wilt.</translation>
    </message>
    <message>
        <source>The evenings.</source>
        <translation>De avonden.</translation>
    </message>
    <message>
        <source>What was planned beside what happened.</source>
        <translation>Wat gepland was naast wat er gebeurde.</translation>
    </message>
    <message>
        <source>an evening opens with a click</source>
        <translation>een avond gaat met een klik open</translation>
    </message>
    <message>
        <source>What it taught shows what the plans may count on</source>
        <translation>Wat het leert toont waar de plannen op mogen rekenen</translation>
    </message>
    <message>
        <source>Why did it fail asks one question at a time</source>
        <translation>Waarom ging het mis stelt één vraag tegelijk</translation>
    </message>
</context>
<context>
    <name>HelpPage</name>
    <message>
        <source>search all help: thin rim, balloon, glue …</source>
        <translation>zoek in alle hulp: dunne rand, ballon, lijm …</translation>
    </message>
    <message>
        <source>Search the help</source>
        <translation>In de hulp zoeken</translation>
    </message>
    <message>
        <source>Find a command and its key …</source>
        <translation>Een opdracht en zijn toets vinden …</translation>
    </message>
    <message>
        <source>The place as it is now, with numbers</source>
        <translation>De plek zoals die nu is, met nummers</translation>
    </message>
    <message>
        <source>Nothing is said of that here. Another word may do.</source>
        <translation>Daar staat hier niets over. Een ander woord misschien.</translation>
    </message>
</context>
<context>
    <name>KitchenPage</name>
    <message>
        <source>Numbers take any unit: 68 °F, 18 in, 46 cm.</source>
        <translation>Getallen nemen elke eenheid: 68 °F, 18 in, 46 cm.</translation>
    </message>
    <message>
        <source>Change the kitchen: %1</source>
        <translation>De keuken veranderen: %1</translation>
    </message>
    <message>
        <source>Room</source>
        <translation>Kamer</translation>
    </message>
    <message>
        <source>Humidity</source>
        <translation>Luchtvochtigheid</translation>
    </message>
    <message>
        <source>Fridge</source>
        <translation>Koelkast</translation>
    </message>
    <message>
        <source>Freezer</source>
        <translation>Vriezer</translation>
    </message>
    <message>
        <source>Your log finds these two out; 100 % is as the book says.</source>
        <translation>Je logboek vindt deze twee uit; 100 % is zoals het boek zegt.</translation>
    </message>
    <message>
        <source>Cold that the fridge&apos;s air takes</source>
        <translation>Kou die de lucht in de koelkast geeft</translation>
    </message>
    <message>
        <source>Minutes that your hands take</source>
        <translation>Minuten die je handen nodig hebben</translation>
    </message>
    <message>
        <source>One free shelf in the fridge</source>
        <translation>Eén vrije plank in de koelkast</translation>
    </message>
    <message>
        <source>Width</source>
        <translation>Breedte</translation>
    </message>
    <message>
        <source>Depth</source>
        <translation>Diepte</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Hoogte</translation>
    </message>
    <message>
        <source>Free shelves in the fridge</source>
        <translation>Vrije planken in de koelkast</translation>
    </message>
    <message>
        <source>Change the shelves</source>
        <translation>De planken veranderen</translation>
    </message>
    <message>
        <source>Room in the freezer</source>
        <translation>Ruimte in de vriezer</translation>
    </message>
    <message>
        <source>Width of the freezer</source>
        <translation>Breedte van de vriezer</translation>
    </message>
    <message>
        <source>Depth of the freezer</source>
        <translation>Diepte van de vriezer</translation>
    </message>
    <message>
        <source>Height of the freezer</source>
        <translation>Hoogte van de vriezer</translation>
    </message>
    <message>
        <source>What pieces go into</source>
        <translation>Waar stukken in gaan</translation>
    </message>
    <message>
        <source>A box of 0 is none: the answers then say which one a piece needs.</source>
        <translation>Een doos van 0 is er geen: de antwoorden zeggen dan welke een stuk nodig heeft.</translation>
    </message>
    <message>
        <source>Length of the box inside</source>
        <translation>Lengte van de doos van binnen</translation>
    </message>
    <message>
        <source>Width of the box inside</source>
        <translation>Breedte van de doos van binnen</translation>
    </message>
    <message>
        <source>Height of the box inside</source>
        <translation>Hoogte van de doos van binnen</translation>
    </message>
    <message>
        <source>Plate, its flat</source>
        <translation>Bord, het vlakke deel</translation>
    </message>
    <message>
        <source>Mug across inside</source>
        <translation>Mok, van binnen</translation>
    </message>
    <message>
        <source>Depth of the mug</source>
        <translation>Diepte van de mok</translation>
    </message>
    <message>
        <source>Change the hours</source>
        <translation>De uren veranderen</translation>
    </message>
    <message>
        <source>Who works, and when</source>
        <translation>Wie werkt, en wanneer</translation>
    </message>
    <message>
        <source>You begin no sooner than</source>
        <translation>Je begint niet eerder dan</translation>
    </message>
    <message>
        <source>whenever it is needed</source>
        <translation>wanneer het nodig is</translation>
    </message>
    <message>
        <source>You leave at</source>
        <translation>Je gaat weg om</translation>
    </message>
    <message>
        <source>when it is ready</source>
        <translation>als het klaar is</translation>
    </message>
    <message>
        <source>Pairs of hands</source>
        <translation>Paar handen</translation>
    </message>
    <message>
        <source>Change the hands</source>
        <translation>De handen veranderen</translation>
    </message>
    <message>
        <source>Helper %1</source>
        <translation>Hulp %1</translation>
    </message>
    <message>
        <source> is called</source>
        <translation> heet</translation>
    </message>
    <message>
        <source>Name a helper</source>
        <translation>Een hulp noemen</translation>
    </message>
    <message>
        <source>a helper</source>
        <translation>een hulp</translation>
    </message>
    <message>
        <source> comes at</source>
        <translation> komt om</translation>
    </message>
    <message>
        <source>there all day</source>
        <translation>de hele dag</translation>
    </message>
    <message>
        <source> leaves at</source>
        <translation> gaat om</translation>
    </message>
    <message>
        <source>stays to the end</source>
        <translation>blijft tot het eind</translation>
    </message>
    <message>
        <source>Change what a helper does</source>
        <translation>Veranderen wat een hulp doet</translation>
    </message>
    <message>
        <source>%1 may work with warm chocolate</source>
        <translation>%1 mag met warme chocolade werken</translation>
    </message>
    <message>
        <source>%1 may use a knife</source>
        <translation>%1 mag een mes gebruiken</translation>
    </message>
    <message>
        <source>Figures of your own chocolate</source>
        <translation>Cijfers van je eigen chocolade</translation>
    </message>
    <message>
        <source>Change a chocolate</source>
        <translation>Een chocolade veranderen</translation>
    </message>
    <message>
        <source>Label: work from</source>
        <translation>Etiket: werken vanaf</translation>
    </message>
    <message>
        <source>Label: work up to</source>
        <translation>Etiket: werken tot</translation>
    </message>
    <message>
        <source>Cocoa butter and fat that sets</source>
        <translation>Cacaoboter en vet dat stolt</translation>
    </message>
</context>
<context>
    <name>MendPage</name>
    <message>
        <source>Still being computed: open it again in a moment.</source>
        <translation>Wordt nog berekend: open het zo weer.</translation>
    </message>
    <message>
        <source>A break across the part&apos;s longest way. Both faces dry and free of crumbs; hold it until the glue grips.</source>
        <translation>Een breuk over de langste richting van het deel. Beide vlakken droog en zonder kruimels; houd vast tot de lijm pakt.</translation>
    </message>
    <message>
        <source>Which part broke</source>
        <translation>Welk deel brak</translation>
    </message>
    <message>
        <source>What fell on the floor is not mended. A peg is chocolate, never a toothpick that a guest could bite on.</source>
        <translation>Wat op de vloer viel wordt niet hersteld. Een pennetje is van chocolade, nooit een tandenstoker waar een gast op kan bijten.</translation>
    </message>
</context>
<context>
    <name>MoldPage</name>
    <message>
        <source>There is no piece here.</source>
        <translation>Hier is geen stuk.</translation>
    </message>
    <message>
        <source>Its outline from a picture …</source>
        <translation>De omtrek van een foto …</translation>
    </message>
    <message>
        <source>The thing beside a coin: nearer to its shape than a silhouette</source>
        <translation>Het ding naast een munt: dichter bij zijn vorm dan een silhouet</translation>
    </message>
    <message>
        <source>The mold is there already</source>
        <translation>De mal is er al</translation>
    </message>
    <message>
        <source>Say whether the mold is there</source>
        <translation>Zeggen of de mal er is</translation>
    </message>
    <message>
        <source>Casts it has made</source>
        <translation>Keren dat erin gegoten is</translation>
    </message>
    <message>
        <source>Say what a mold has made</source>
        <translation>Zeggen hoe vaak in een mal gegoten is</translation>
    </message>
    <message>
        <source>The mold of</source>
        <translation>De mal van</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Parts of the mold</source>
        <translation>Delen van de mal</translation>
    </message>
    <message>
        <source>as few as do</source>
        <translation>zo weinig als kan</translation>
    </message>
    <message>
        <source>one</source>
        <translation>één</translation>
    </message>
    <message>
        <source>two</source>
        <translation>twee</translation>
    </message>
    <message>
        <source>Change the parts of the mold</source>
        <translation>De delen van de mal veranderen</translation>
    </message>
    <message>
        <source>Hardness, Shore A</source>
        <translation>Hardheid, Shore A</translation>
    </message>
    <message>
        <source>Silicone round it</source>
        <translation>Siliconen eromheen</translation>
    </message>
    <message>
        <source>As its label says</source>
        <translation>Zoals het etiket zegt</translation>
    </message>
    <message>
        <source>Parts of A</source>
        <translation>Delen A</translation>
    </message>
    <message>
        <source>Parts of B</source>
        <translation>Delen B</translation>
    </message>
    <message>
        <source>Mixed by</source>
        <translation>Gemengd naar</translation>
    </message>
    <message>
        <source>mass</source>
        <translation>massa</translation>
    </message>
    <message>
        <source>volume</source>
        <translation>volume</translation>
    </message>
    <message>
        <source>Change how silicone is mixed</source>
        <translation>Veranderen hoe siliconen gemengd worden</translation>
    </message>
    <message>
        <source>Can be poured for</source>
        <translation>Te gieten gedurende</translation>
    </message>
    <message>
        <source>Cures in</source>
        <translation>Hardt uit in</translation>
    </message>
    <message>
        <source>Price of a kilogram</source>
        <translation>Prijs van een kilo</translation>
    </message>
    <message>
        <source>The original</source>
        <translation>Het origineel</translation>
    </message>
    <message>
        <source>Allergens it carries</source>
        <translation>Allergenen die het meedraagt</translation>
    </message>
    <message>
        <source>Change what the original carries</source>
        <translation>Veranderen wat het origineel meedraagt</translation>
    </message>
    <message>
        <source>It is raw food</source>
        <translation>Het is rauw voedsel</translation>
    </message>
    <message>
        <source>Say what the original is</source>
        <translation>Zeggen wat het origineel is</translation>
    </message>
    <message>
        <source>Cut off what branches off</source>
        <translation>Afsnijden wat aftakt</translation>
    </message>
    <message>
        <source>At its necks, until each part comes out of its mold; the parts are glued afterwards</source>
        <translation>Bij de halzen, tot elk deel uit zijn mal komt; de delen worden daarna gelijmd</translation>
    </message>
    <message>
        <source>Cut it level, at</source>
        <translation>Recht afsnijden, op</translation>
    </message>
    <message>
        <source>Between 2 and 98 % of its height.</source>
        <translation>Tussen 2 en 98 % van de hoogte.</translation>
    </message>
    <message>
        <source>Cut it there, with pegs</source>
        <translation>Daar snijden, met pennetjes</translation>
    </message>
    <message>
        <source>Of its height from below; both parts get a mold, and are glued afterwards</source>
        <translation>Van de hoogte van onderen; beide delen krijgen een mal, en worden daarna gelijmd</translation>
    </message>
    <message>
        <source>Give it a flat foot</source>
        <translation>Een platte voet geven</translation>
    </message>
    <message>
        <source>Give the original a foot</source>
        <translation>Het origineel een voet geven</translation>
    </message>
    <message>
        <source>Hollow it, %1 thick</source>
        <translation>Uithollen, %1 dik</translation>
    </message>
    <message>
        <source>Hollow the original</source>
        <translation>Het origineel uithollen</translation>
    </message>
    <message>
        <source>Make its bodies one</source>
        <translation>Eén lichaam ervan maken</translation>
    </message>
    <message>
        <source>A new surface round all of it, where bodies or faces pass through each other</source>
        <translation>Een nieuw oppervlak rond alles, waar lichamen of vlakken door elkaar gaan</translation>
    </message>
    <message>
        <source>Export the original …</source>
        <translation>Het origineel exporteren …</translation>
    </message>
    <message>
        <source>Working on the original</source>
        <translation>Bezig met het origineel</translation>
    </message>
    <message>
        <source>Still being computed.</source>
        <translation>Wordt nog berekend.</translation>
    </message>
    <message>
        <source>It is still being computed: try again in a moment.</source>
        <translation>Wordt nog berekend: probeer het zo weer.</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Stoppen</translation>
    </message>
    <message>
        <source>Nothing passes through anything: it is one body already.</source>
        <translation>Er gaat niets door elkaar: het is al één lichaam.</translation>
    </message>
    <message>
        <source>Make the bodies of an original one</source>
        <translation>De lichamen van een origineel tot één maken</translation>
    </message>
    <message>
        <source>Its surface is new, on a grid of %1: look at its finest detail.</source>
        <translation>Het oppervlak is nieuw, op een rooster van %1: bekijk het fijnste detail.</translation>
    </message>
    <message>
        <source>Cut the original level</source>
        <translation>Het origineel recht afsnijden</translation>
    </message>
    <message>
        <source>It comes out whole: nothing needs to be cut off.</source>
        <translation>Het komt er heel uit: er hoeft niets af.</translation>
    </message>
    <message>
        <source>No cut was found that helps. Cut it apart by hand, or slit the mold.</source>
        <translation>Er is geen snede gevonden die helpt. Snijd het met de hand uit elkaar, of snijd de mal open.</translation>
    </message>
    <message>
        <source>STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)</source>
        <translation>STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)</translation>
    </message>
</context>
<context>
    <name>NotesPage</name>
    <message>
        <source>There is no piece here.</source>
        <translation>Hier is geen stuk.</translation>
    </message>
    <message>
        <source>What you want to know next time: where the mold is, who liked it, what to do otherwise. It is printed on the bench card.</source>
        <translation>Wat je de volgende keer wilt weten: waar de mal is, wie het lekker vond, wat anders moet. Het staat op de werkkaart.</translation>
    </message>
    <message>
        <source>Notes about %1</source>
        <translation>Aantekeningen over %1</translation>
    </message>
    <message>
        <source>Write notes</source>
        <translation>Aantekeningen maken</translation>
    </message>
    <message>
        <source>Picture of the piece</source>
        <translation>Foto van het stuk</translation>
    </message>
    <message>
        <source>Choose a picture …</source>
        <translation>Een foto kiezen …</translation>
    </message>
    <message>
        <source>A picture of it</source>
        <translation>Een foto ervan</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Foto&apos;s (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>Take the picture away</source>
        <translation>De foto weghalen</translation>
    </message>
    <message>
        <source>Take a picture away</source>
        <translation>Een foto weghalen</translation>
    </message>
    <message>
        <source>%1 is no picture: take a PNG or JPEG file.</source>
        <translation>%1 is geen foto: neem een PNG- of JPEG-bestand.</translation>
    </message>
    <message>
        <source>The picture cannot be kept: a smaller one may do.</source>
        <translation>De foto kan niet worden bewaard: een kleinere misschien wel.</translation>
    </message>
    <message>
        <source>Keep a picture</source>
        <translation>Een foto bewaren</translation>
    </message>
</context>
<context>
    <name>OutlinePage</name>
    <message>
        <source>A picture …</source>
        <translation>Een foto …</translation>
    </message>
    <message>
        <source>A picture of a silhouette</source>
        <translation>Een foto van een silhouet</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Foto&apos;s (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>A photo or scan of one figure, dark on light or light on dark, from straight above, a ruler beside it to measure by.</source>
        <translation>Een foto of scan van één figuur, donker op licht of licht op donker, recht van boven, met een liniaal ernaast om af te meten.</translation>
    </message>
    <message>
        <source>The outline</source>
        <translation>De omtrek</translation>
    </message>
    <message>
        <source>Its longer side</source>
        <translation>De langste kant</translation>
    </message>
    <message>
        <source>Shade that parts the figure from its ground</source>
        <translation>Tint die de figuur van de ondergrond scheidt</translation>
    </message>
    <message>
        <source>Shade</source>
        <translation>Tint</translation>
    </message>
    <message>
        <source>with its holes</source>
        <translation>met zijn gaten</translation>
    </message>
    <message>
        <source>Or letters</source>
        <translation>Of letters</translation>
    </message>
    <message>
        <source>Letter or word</source>
        <translation>Letter of woord</translation>
    </message>
    <message>
        <source>Height of a capital</source>
        <translation>Hoogte van een hoofdletter</translation>
    </message>
    <message>
        <source>joined by a bar at their foot</source>
        <translation>aan de voet verbonden met een balk</translation>
    </message>
    <message>
        <source>Cut this</source>
        <translation>Dit snijden</translation>
    </message>
    <message>
        <source>%1 other figures in the picture are left out. </source>
        <translation>%1 andere figuren op de foto zijn weggelaten. </translation>
    </message>
    <message>
        <source>%1 corners, %2 to cut. </source>
        <translation>%1 hoeken, %2 te snijden. </translation>
    </message>
    <message>
        <source>Its narrowest place is %1 wide, marked in the picture; %2 thick, it bears %3 times what hangs on it, lifted flat by a hand.</source>
        <translation>De smalste plek is %1 breed, gemerkt op de foto; %2 dik draagt ze %3 keer wat eraan hangt, plat door een hand opgetild.</translation>
    </message>
    <message>
        <source> Make it wider or the sheet thicker, or lift it with a card under it.</source>
        <translation> Maak het breder of het vel dikker, of til het met een karton eronder op.</translation>
    </message>
    <message>
        <source>Another outline</source>
        <translation>Een andere omtrek</translation>
    </message>
    <message>
        <source>It is cut so now.</source>
        <translation>Het wordt nu zo gesneden.</translation>
    </message>
    <message>
        <source>Bring in an outline</source>
        <translation>Een omtrek binnenhalen</translation>
    </message>
    <message>
        <source>It stands on the shelf as a piece of its own.</source>
        <translation>Het staat als eigen stuk op de plank.</translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>%1: the next one weighs %2 to %3; before it was %4 to %5.</source>
        <translation>%1: het volgende weegt %2 tot %3; eerst was dat %4 tot %5.</translation>
    </message>
    <message>
        <source>Caution: %1</source>
        <translation>Let op: %1</translation>
    </message>
    <message>
        <source>%1 of %2 came out whole</source>
        <translation>%1 van de %2 kwamen heel uit</translation>
    </message>
    <message>
        <source>No kitchen measures that: between -30 and 120 °C.</source>
        <translation>Dat meet geen keuken: tussen -30 en 120 °C.</translation>
    </message>
    <message>
        <source>Between nothing and a day.</source>
        <translation>Tussen niets en een dag.</translation>
    </message>
    <message>
        <source>Between a tenth of a millimetre and 30 cm.</source>
        <translation>Tussen een tiende millimeter en 30 cm.</translation>
    </message>
    <message>
        <source>Between a tenth of a gram and 100 kg.</source>
        <translation>Tussen een tiende gram en 100 kg.</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>%1 was for %2. It becomes a new plan, with what the evening counted on.</source>
        <translation>%1 was voor %2. Het wordt een nieuw plan, met waar de avond op rekende.</translation>
    </message>
    <message>
        <source>For how many</source>
        <translation>Voor hoeveel</translation>
    </message>
    <message>
        <source>Make a plan of it</source>
        <translation>Er een plan van maken</translation>
    </message>
    <message>
        <source>%1 of 100</source>
        <translation>%1 van de 100</translation>
    </message>
    <message>
        <source>Plans hollow and assembled chocolate before any is melted.</source>
        <translation>Plant holle en samengestelde chocolade voor er iets gesmolten is.</translation>
    </message>
    <message>
        <source>open the demo evening</source>
        <translation>open de demo-avond</translation>
    </message>
    <message>
        <source>print the seconds until the window is painted and quit</source>
        <translation>print de seconden tot het venster er staat en stop</translation>
    </message>
    <message>
        <source>write a small picture of the plan and quit</source>
        <translation>schrijf een klein plaatje van het plan en stop</translation>
    </message>
    <message>
        <source>pixels of that picture</source>
        <translation>pixels van dat plaatje</translation>
    </message>
    <message>
        <source>a plan to open</source>
        <translation>een plan om te openen</translation>
    </message>
    <message>
        <source>Right when: %1.</source>
        <translation>Goed als: %1.</translation>
    </message>
    <message>
        <source>%1 ×</source>
        <translation>%1 ×</translation>
    </message>
    <message>
        <source>no pull at all</source>
        <translation>helemaal geen trek</translation>
    </message>
    <message>
        <source>Add a part</source>
        <translation>Een deel toevoegen</translation>
    </message>
    <message>
        <source>From this plan</source>
        <translation>Uit dit plan</translation>
    </message>
    <message>
        <source>Nothing here is of one part</source>
        <translation>Niets hier is uit één deel</translation>
    </message>
    <message>
        <source>%1 holds the same plan as this window.</source>
        <translation>%1 bevat hetzelfde plan als dit venster.</translation>
    </message>
    <message>
        <source>Left what is open here, right what stands in %1 now.</source>
        <translation>Links wat hier open is, rechts wat nu in %1 staat.</translation>
    </message>
    <message>
        <source>here</source>
        <translation>hier</translation>
    </message>
    <message>
        <source>in the file</source>
        <translation>in het bestand</translation>
    </message>
    <message>
        <source>… and %1 more.</source>
        <translation>… en nog %1.</translation>
    </message>
    <message>
        <source>range %1</source>
        <translation>spreiding %1</translation>
    </message>
    <message>
        <source>It hangs most on</source>
        <translation>Het hangt vooral af van</translation>
    </message>
    <message>
        <source>It hangs on</source>
        <translation>Het hangt af van</translation>
    </message>
    <message>
        <source>How it is computed</source>
        <translation>Hoe het berekend is</translation>
    </message>
    <message>
        <source>What else was put in</source>
        <translation>Wat er verder in ging</translation>
    </message>
    <message>
        <source>How far to trust it</source>
        <translation>Hoe ver je het kunt vertrouwen</translation>
    </message>
    <message>
        <source>More in docs/models.md, “%1”.</source>
        <translation>Meer in docs/models.md, “%1”.</translation>
    </message>
</context>
<context>
    <name>SnapPage</name>
    <message>
        <source>Choose a piece first: its chocolate is measured.</source>
        <translation>Kies eerst een stuk: zijn chocolade wordt gemeten.</translation>
    </message>
    <message>
        <source>1. Cast five bars, better eight, about 10 cm long, 2 cm wide and 8 mm thick; temper, set and rest them as you do your pieces, at the room&apos;s temperature.</source>
        <translation>1. Giet vijf repen, liever acht, ongeveer 10 cm lang, 2 cm breed en 8 mm dik; tempereer, laat stollen en rusten zoals je stukken, op kamertemperatuur.</translation>
    </message>
    <message>
        <source>2. Lay a bar over two spoons or chopsticks, 8 cm apart. Hang a paper cup from its middle by a thread, a towel under it.</source>
        <translation>2. Leg een reep over twee lepels of stokjes, 8 cm uit elkaar. Hang een papieren bekertje aan een draad in het midden, met een doek eronder.</translation>
    </message>
    <message>
        <source>3. Pour water in slowly until the bar snaps. Weigh cup and water, and type it here. Who likes reads how far the middle has sagged just before.</source>
        <translation>3. Giet er langzaam water in tot de reep breekt. Weeg beker en water, en typ het hier. Wie wil leest af hoe ver het midden vlak ervoor was doorgezakt.</translation>
    </message>
    <message>
        <source>one more bar</source>
        <translation>nog een reep</translation>
    </message>
    <message>
        <source>Add a bar to the snap test</source>
        <translation>Een reep aan de breekproef toevoegen</translation>
    </message>
    <message>
        <source>span</source>
        <translation>overspanning</translation>
    </message>
    <message>
        <source>bar wide</source>
        <translation>reep breed</translation>
    </message>
    <message>
        <source>bar thick</source>
        <translation>reep dik</translation>
    </message>
    <message>
        <source>broke at</source>
        <translation>brak bij</translation>
    </message>
    <message>
        <source>bent by</source>
        <translation>doorgezakt</translation>
    </message>
    <message>
        <source>%1, bar %2</source>
        <translation>%1, reep %2</translation>
    </message>
    <message>
        <source>Change a bar of the snap test</source>
        <translation>Een reep van de breekproef veranderen</translation>
    </message>
    <message>
        <source>×</source>
        <translation>×</translation>
    </message>
    <message>
        <source>Take bar %1 out</source>
        <translation>Reep %1 weghalen</translation>
    </message>
    <message>
        <source>Take a bar out of the snap test</source>
        <translation>Een reep uit de breekproef halen</translation>
    </message>
    <message>
        <source>Without bars the book&apos;s figure counts: %1 MPa, likely %2 to %3.</source>
        <translation>Zonder repen telt het getal uit het boek: %1 MPa, waarschijnlijk %2 tot %3.</translation>
    </message>
    <message numerus="yes">
        <source>%n bar(s): they break at %1 MPa, the mean of all such bars lies between %2 and %3 with nine chances in ten. </source>
        <translation>
            <numerusform>%n reep: hij breekt bij %1 MPa, het gemiddelde van al zulke repen ligt met negen kansen op tien tussen %2 en %3. </numerusform>
            <numerusform>%n repen: ze breken bij %1 MPa, het gemiddelde van al zulke repen ligt met negen kansen op tien tussen %2 en %3. </numerusform>
        </translation>
    </message>
    <message>
        <source>The book says %1 (%2 to %3); yours counts now. </source>
        <translation>Het boek zegt %1 (%2 tot %3); nu telt het jouwe. </translation>
    </message>
    <message>
        <source>Stiffness %1 MPa from the sag. </source>
        <translation>Stijfheid %1 MPa uit het doorzakken. </translation>
    </message>
    <message>
        <source>They scatter by %1 %.</source>
        <translation>Ze spreiden %1 %.</translation>
    </message>
    <message>
        <source> Five bars tell it within a tenth.</source>
        <translation> Vijf repen zeggen het op een tiende na.</translation>
    </message>
</context>
<context>
    <name>ThingPage</name>
    <message>
        <source>A picture …</source>
        <translation>Een foto …</translation>
    </message>
    <message>
        <source>A thing beside a coin</source>
        <translation>Een ding naast een munt</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Foto&apos;s (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>The thing and a coin on plain paper, not touching, from straight above and from far away. The coin says how large it is, and whether the camera stood aslant.</source>
        <translation>Het ding en een munt op wit papier, zonder elkaar te raken, recht van boven en van ver weg. De munt zegt hoe groot het is, en of de camera scheef stond.</translation>
    </message>
    <message>
        <source>The outline of the thing</source>
        <translation>De omtrek van het ding</translation>
    </message>
    <message>
        <source>The coin, across</source>
        <translation>De munt, breed</translation>
    </message>
    <message>
        <source>Its height as it lies</source>
        <translation>Zijn hoogte zoals het ligt</translation>
    </message>
    <message>
        <source>Camera above the table</source>
        <translation>Camera boven de tafel</translation>
    </message>
    <message>
        <source>Water it displaces, if weighed</source>
        <translation>Water dat het verplaatst, als het gewogen is</translation>
    </message>
    <message>
        <source>Nothing where it is not known, or some grams.</source>
        <translation>Niets waar het niet bekend is, of een aantal gram.</translation>
    </message>
    <message>
        <source>It is</source>
        <translation>Het is</translation>
    </message>
    <message>
        <source>flat below</source>
        <translation>van onderen plat</translation>
    </message>
    <message>
        <source>as round below as above</source>
        <translation>onder zo rond als boven</translation>
    </message>
    <message>
        <source>Shade that parts the thing from its paper</source>
        <translation>Tint die het ding van het papier scheidt</translation>
    </message>
    <message>
        <source>Shade</source>
        <translation>Tint</translation>
    </message>
    <message>
        <source>A full jug that stands in a bowl runs over by as much water as the thing displaces: weigh it.</source>
        <translation>Een volle kan in een kom loopt zoveel over als het ding verplaatst: weeg dat water.</translation>
    </message>
    <message>
        <source>Take it as the original of a mold</source>
        <translation>Het als origineel van een mal nemen</translation>
    </message>
    <message>
        <source>It is %1 × %2, within %3; it displaces %4. </source>
        <translation>Het is %1 × %2, op %3 na; het verplaatst %4. </translation>
    </message>
    <message>
        <source>Such an outline and height may displace %1 to %2: the water tells how full it is. </source>
        <translation>Zo&apos;n omtrek en hoogte kunnen %1 tot %2 verplaatsen: het water zegt hoe vol het is. </translation>
    </message>
    <message>
        <source>The camera stood %1° aslant: sides that are hidden so are not known. </source>
        <translation>De camera stond %1° scheef: kanten die zo verborgen zijn, zijn niet bekend. </translation>
    </message>
    <message>
        <source>Take it from farther away: it is high for that distance. </source>
        <translation>Neem hem van verder weg: het is hoog voor die afstand. </translation>
    </message>
    <message>
        <source>Take a thing as an original</source>
        <translation>Een ding als origineel nemen</translation>
    </message>
    <message>
        <source>It stands on the shelf.</source>
        <translation>Het staat op de plank.</translation>
    </message>
    <message>
        <source>Thing</source>
        <translation>Ding</translation>
    </message>
</context>
<context>
    <name>ToppingPage</name>
    <message>
        <source>There is no topping here.</source>
        <translation>Hier is geen garnering.</translation>
    </message>
    <message>
        <source>Called</source>
        <translation>Heet</translation>
    </message>
    <message>
        <source>Size of a grain</source>
        <translation>Grootte van een korrel</translation>
    </message>
    <message>
        <source>Measure one with a ruler, or ten in a row. Small grains stay on a fresh wall, large ones slide down: then they are strewn when it is tacky, or glued.</source>
        <translation>Meet er een met een liniaal, of tien op een rij. Kleine korrels blijven op een verse wand, grote glijden omlaag: die worden gestrooid als het kleverig is, of gelijmd.</translation>
    </message>
    <message>
        <source>Kilograms in a cubic metre of it</source>
        <translation>Kilo&apos;s in een kubieke meter ervan</translation>
    </message>
    <message>
        <source>Puffed cereal 100, crumbs 500, nuts 1000, sugar pearls 1500.</source>
        <translation>Gepofte granen 100, kruimels 500, noten 1000, suikerparels 1500.</translation>
    </message>
    <message>
        <source>Allergens</source>
        <translation>Allergenen</translation>
    </message>
    <message>
        <source>Price of a kilogram</source>
        <translation>Prijs van een kilo</translation>
    </message>
    <message>
        <source>Another topping</source>
        <translation>Een andere garnering</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Topping %1</source>
        <translation>Garnering %1</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::AdvisorPage</name>
    <message>
        <source>hardly any piece misses it</source>
        <translation>haast geen stuk mist het</translation>
    </message>
    <message>
        <source>nearly every piece misses it</source>
        <translation>bijna elk stuk mist het</translation>
    </message>
    <message>
        <source>every second piece misses it</source>
        <translation>elk tweede stuk mist het</translation>
    </message>
    <message>
        <source>about 1 in %1 misses it</source>
        <translation>ongeveer 1 op %1 mist het</translation>
    </message>
    <message>
        <source>Coats, temperature, wait and way up are tried out, and the best ways are computed. What you choose replaces the coats of this piece; it can be undone.</source>
        <translation>Lagen, temperatuur, wachten en stand worden geprobeerd, en de beste manieren worden berekend. Wat je kiest vervangt de lagen van dit stuk; het kan terug.</translation>
    </message>
    <message>
        <source>What you want</source>
        <translation>Wat je wilt</translation>
    </message>
    <message>
        <source>Nowhere thinner than</source>
        <translation>Nergens dunner dan</translation>
    </message>
    <message>
        <source>At the rim at least</source>
        <translation>Aan de rand minstens</translation>
    </message>
    <message>
        <source>A wall on the whole of</source>
        <translation>Een gemiddelde wand van</translation>
    </message>
    <message>
        <source>Chocolate in each</source>
        <translation>Chocolade in elk</translation>
    </message>
    <message>
        <source>Look for ways</source>
        <translation>Manieren zoeken</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Stoppen</translation>
    </message>
    <message>
        <source>How much has been tried</source>
        <translation>Hoeveel er geprobeerd is</translation>
    </message>
    <message>
        <source>Wanted chocolate in each</source>
        <translation>Gewenste chocolade in elk</translation>
    </message>
    <message>
        <source>Wanted wall</source>
        <translation>Gewenste wand</translation>
    </message>
    <message>
        <source>Ask for more than nothing, up to 20 kg.</source>
        <translation>Vraag om meer dan niets, tot 20 kg.</translation>
    </message>
    <message>
        <source>A wall is between 0.3 and 50 mm thick.</source>
        <translation>Een wand is tussen 0,3 en 50 mm dik.</translation>
    </message>
    <message>
        <source>Take this</source>
        <translation>Deze nemen</translation>
    </message>
    <message>
        <source>Take this way: %1</source>
        <translation>Deze manier nemen: %1</translation>
    </message>
    <message>
        <source>%1 at the thinnest, %2 on the whole, %3 in each, %4 from the first coat; %5.</source>
        <translation>%1 op zijn dunst, %2 gemiddeld, %3 in elk, %4 vanaf de eerste laag; %5.</translation>
    </message>
    <message>
        <source>Coat it another way: %1</source>
        <translation>Anders bedekken: %1</translation>
    </message>
    <message numerus="yes">
        <source>%n makings were computed on a coarse profile or mesh, the ones shown on the full one. How many miss it comes from the ranges of your chocolate, ladle and clock.</source>
        <translation>
            <numerusform>%n manier is op een grof profiel of net berekend, de getoonde op het volle. Hoeveel het missen komt uit de spreiding van je chocolade, pollepel en klok.</numerusform>
            <numerusform>%n manieren zijn op een grof profiel of net berekend, de getoonde op het volle. Hoeveel het missen komt uit de spreiding van je chocolade, pollepel en klok.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>uovo::desktop::AidsPanel</name>
    <message>
        <source>What is heard, and what is listened to</source>
        <translation>Wat er te horen is, en waarnaar geluisterd wordt</translation>
    </message>
    <message>
        <source>Quieter</source>
        <translation>Zachter</translation>
    </message>
    <message>
        <source>Louder</source>
        <translation>Harder</translation>
    </message>
    <message>
        <source>Let me hear it</source>
        <translation>Laat horen</translation>
    </message>
    <message>
        <source>This is how a step is read.</source>
        <translation>Zo wordt een stap voorgelezen.</translation>
    </message>
    <message>
        <source>Thermometer and scale</source>
        <translation>Thermometer en weegschaal</translation>
    </message>
    <message>
        <source>Back to the step</source>
        <translation>Terug naar de stap</translation>
    </message>
    <message>
        <source>%1 of 10</source>
        <translation>%1 van de 10</translation>
    </message>
    <message>
        <source>silent</source>
        <translation>stil</translation>
    </message>
    <message>
        <source>How loud: %1</source>
        <translation>Hoe hard: %1</translation>
    </message>
    <message>
        <source>Each step is read aloud</source>
        <translation>Elke stap wordt voorgelezen</translation>
    </message>
    <message>
        <source>Nothing is read aloud</source>
        <translation>Er wordt niets voorgelezen</translation>
    </message>
    <message>
        <source>Quiet hours</source>
        <translation>Stille uren</translation>
    </message>
    <message>
        <source>No quiet hours</source>
        <translation>Geen stille uren</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>van %1</translation>
    </message>
    <message>
        <source>to %1</source>
        <translation>tot %1</translation>
    </message>
    <message>
        <source>Stop listening to %1</source>
        <translation>Niet meer naar %1 luisteren</translation>
    </message>
    <message>
        <source>Listen to %1</source>
        <translation>Naar %1 luisteren</translation>
    </message>
    <message>
        <source>None is found. Figures can be typed: T for a temperature, W for a weight.</source>
        <translation>Er is er geen gevonden. Getallen kun je typen: T voor een temperatuur, W voor een gewicht.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Announcer</name>
    <message>
        <source>No loudspeaker and no voice here: alarms are seen, not heard.</source>
        <translation>Geen luidspreker en geen stem hier: alarmen zie je, maar hoor je niet.</translation>
    </message>
    <message>
        <source>No loudspeaker here: alarms are seen, not heard.</source>
        <translation>Geen luidspreker hier: alarmen zie je, maar hoor je niet.</translation>
    </message>
    <message>
        <source>No voice is installed here: it rings, and reads nothing aloud.</source>
        <translation>Er is geen stem geïnstalleerd: het belt, en leest niets voor.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::AnswerView</name>
    <message>
        <source>As it was before; shows the working</source>
        <translation>Zoals het was; toont de berekening</translation>
    </message>
    <message>
        <source>Shows the working</source>
        <translation>Toont de berekening</translation>
    </message>
    <message>
        <source>As it was before</source>
        <translation>Zoals het was</translation>
    </message>
    <message>
        <source>Show the working</source>
        <translation>De berekening tonen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::AnswersColumn</name>
    <message>
        <source>Answers</source>
        <translation>Antwoorden</translation>
    </message>
    <message>
        <source>Applies this change; it can be undone.</source>
        <translation>Voert deze verandering door; het kan terug.</translation>
    </message>
    <message>
        <source>Advice: it is done by hand, not in the plan.</source>
        <translation>Raad: dit doe je met de hand, niet in het plan.</translation>
    </message>
    <message>
        <source>→ %1</source>
        <translation>→ %1</translation>
    </message>
    <message>
        <source>  not enough</source>
        <translation>  niet genoeg</translation>
    </message>
    <message>
        <source>Show what happens to it …</source>
        <translation>Tonen wat ermee gebeurt …</translation>
    </message>
    <message>
        <source>Assume a wall instead</source>
        <translation>Toch een wand aannemen</translation>
    </message>
    <message>
        <source>Compute it from its coats</source>
        <translation>Uit de lagen berekenen</translation>
    </message>
    <message>
        <source>Assume a wall</source>
        <translation>Een wand aannemen</translation>
    </message>
    <message>
        <source>Coat it</source>
        <translation>Bedekken</translation>
    </message>
    <message>
        <source>Ways to another wall …</source>
        <translation>Wegen naar een andere wand …</translation>
    </message>
    <message>
        <source>Computing …</source>
        <translation>Rekent …</translation>
    </message>
    <message>
        <source>Add a piece with the button under the shelf. A bowl over a balloon is a good first one.</source>
        <translation>Voeg een stuk toe met de knop onder de plank. Een kom over een ballon is een goede eerste.</translation>
    </message>
    <message>
        <source>Not like this</source>
        <translation>Zo niet</translation>
    </message>
    <message>
        <source>As it was before</source>
        <translation>Zoals het was</translation>
    </message>
    <message>
        <source>The whole evening</source>
        <translation>De hele avond</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::BenchPlace</name>
    <message>
        <source>Begin the day</source>
        <translation>De dag beginnen</translation>
    </message>
    <message>
        <source>Go on where it was left</source>
        <translation>Verdergaan waar je was</translation>
    </message>
    <message>
        <source>Rehearse it</source>
        <translation>Oefenen</translation>
    </message>
    <message>
        <source>Practise</source>
        <translation>Vaardigheden</translation>
    </message>
    <message>
        <source>P: five small lessons</source>
        <translation>P: vijf kleine lessen</translation>
    </message>
    <message>
        <source>A rehearsal runs by a quicker clock, with the mishaps that a day like this brings. Nothing of it is kept.</source>
        <translation>Een oefening loopt met een snellere klok, met de ongelukjes die zo&apos;n dag brengt. Er blijft niets van bewaard.</translation>
    </message>
    <message>
        <source>How quickly the rehearsal&apos;s clock runs</source>
        <translation>Hoe snel de klok van de oefening loopt</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>zoals hij is</translation>
    </message>
    <message>
        <source>10 times</source>
        <translation>10 keer</translation>
    </message>
    <message>
        <source>60 times</source>
        <translation>60 keer</translation>
    </message>
    <message>
        <source>240 times</source>
        <translation>240 keer</translation>
    </message>
    <message>
        <source>Whose steps are shown</source>
        <translation>Wiens stappen te zien zijn</translation>
    </message>
    <message>
        <source>In a window of their own</source>
        <translation>In een eigen venster</translation>
    </message>
    <message>
        <source>N: for a second screen, with these steps alone</source>
        <translation>N: voor een tweede scherm, alleen met deze stappen</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Klaar</translation>
    </message>
    <message>
        <source>Space, Return, or a foot switch that types one of them</source>
        <translation>Spatie, Return, of een voetschakelaar die een ervan typt</translation>
    </message>
    <message>
        <source>One more minute</source>
        <translation>Nog een minuut</translation>
    </message>
    <message>
        <source>M</source>
        <translation>M</translation>
    </message>
    <message>
        <source>Something happened</source>
        <translation>Er is iets gebeurd</translation>
    </message>
    <message>
        <source>H</source>
        <translation>H</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Terugnemen</translation>
    </message>
    <message>
        <source>Backspace</source>
        <translation>Backspace</translation>
    </message>
    <message>
        <source>Nothing is waiting.</source>
        <translation>Er wacht niets.</translation>
    </message>
    <message>
        <source>Nothing here keeps the screen awake for Uovo: see to it that it does not go dark.</source>
        <translation>Niets houdt hier het scherm wakker voor Uovo: zorg dat het niet donker wordt.</translation>
    </message>
    <message>
        <source>Read it</source>
        <translation>Voorlezen</translation>
    </message>
    <message>
        <source>R: reads the step aloud, again</source>
        <translation>R: leest de stap nog eens voor</translation>
    </message>
    <message>
        <source>Weigh</source>
        <translation>Wegen</translation>
    </message>
    <message>
        <source>W: keeps what a piece weighs</source>
        <translation>W: bewaart wat een stuk weegt</translation>
    </message>
    <message>
        <source>Degrees</source>
        <translation>Graden</translation>
    </message>
    <message>
        <source>T: keeps what the thermometer reads</source>
        <translation>T: bewaart wat de thermometer aanwijst</translation>
    </message>
    <message>
        <source>Sound, probe</source>
        <translation>Geluid, voeler</translation>
    </message>
    <message>
        <source>S: how loud, quiet hours, thermometer and scale</source>
        <translation>S: hoe hard, stille uren, thermometer en weegschaal</translation>
    </message>
    <message>
        <source>What the scale taught</source>
        <translation>Wat de weegschaal leerde</translation>
    </message>
    <message>
        <source>Take back the end</source>
        <translation>Het einde terugnemen</translation>
    </message>
    <message>
        <source>Put it away</source>
        <translation>Wegleggen</translation>
    </message>
    <message>
        <source>Count on it from now on</source>
        <translation>Er voortaan op rekenen</translation>
    </message>
    <message>
        <source>The plan&apos;s own figures become what was weighed; it can be undone</source>
        <translation>De cijfers van het plan worden wat gewogen is; het kan terug</translation>
    </message>
    <message>
        <source>%1 h %2 min</source>
        <translation>%1 u %2 min</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>Uovo, for %1</source>
        <translation>Uovo, voor %1</translation>
    </message>
    <message>
        <source>Begin it anew</source>
        <translation>Opnieuw beginnen</translation>
    </message>
    <message>
        <source>No day to work through yet</source>
        <translation>Nog geen dag om door te werken</translation>
    </message>
    <message>
        <source>Put pieces on the shelf; their day is laid out by itself.</source>
        <translation>Zet stukken op de plank; hun dag wordt vanzelf ingedeeld.</translation>
    </message>
    <message>
        <source>%1 begins at %2</source>
        <translation>%1 begint om %2</translation>
    </message>
    <message numerus="yes">
        <source>%n steps, ready at %1.</source>
        <translation>
            <numerusform>%n stap, klaar om %1.</numerusform>
            <numerusform>%n stappen, klaar om %1.</numerusform>
        </translation>
    </message>
    <message>
        <source>everybody</source>
        <translation>iedereen</translation>
    </message>
    <message>
        <source>step %1 of %2</source>
        <translation>stap %1 van %2</translation>
    </message>
    <message numerus="yes">
        <source>%n min in hand</source>
        <translation>
            <numerusform>%n min over</numerusform>
            <numerusform>%n min over</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n min late</source>
        <translation>
            <numerusform>%n min te laat</numerusform>
            <numerusform>%n min te laat</numerusform>
        </translation>
    </message>
    <message>
        <source>Rehearsal</source>
        <translation>Oefening</translation>
    </message>
    <message>
        <source>laying out what is left …</source>
        <translation>de rest wordt ingedeeld …</translation>
    </message>
    <message>
        <source>End the day</source>
        <translation>De dag beëindigen</translation>
    </message>
    <message>
        <source>Nothing to do here</source>
        <translation>Hier is niets te doen</translation>
    </message>
    <message>
        <source>What is left is for somebody else, or waits for it.</source>
        <translation>Wat er nog is, is voor een ander, of wacht erop.</translation>
    </message>
    <message>
        <source>All is done.</source>
        <translation>Alles is klaar.</translation>
    </message>
    <message>
        <source>What does one weigh? %1</source>
        <translation>Wat weegt er één? %1</translation>
    </message>
    <message>
        <source>About %1 of chocolate are on each by now; what it hangs on weighs too.</source>
        <translation>Er zit nu ongeveer %1 chocolade op elk; waar het aan hangt weegt mee.</translation>
    </message>
    <message>
        <source>What does the thermometer read?</source>
        <translation>Wat wijst de thermometer aan?</translation>
    </message>
    <message>
        <source>%1 are kept with this day.</source>
        <translation>%1 is bij deze dag bewaard.</translation>
    </message>
    <message>
        <source>Then</source>
        <translation>Daarna</translation>
    </message>
    <message>
        <source>Done, %1 after the time</source>
        <translation>Klaar, %1 na de tijd</translation>
    </message>
    <message>
        <source>Done, %1 before the time</source>
        <translation>Klaar, %1 voor de tijd</translation>
    </message>
    <message>
        <source>%1: %2 of %3</source>
        <translation>%1: %2 van %3</translation>
    </message>
    <message numerus="yes">
        <source>, %n broke</source>
        <translation>
            <numerusform>, %n gebroken</numerusform>
            <numerusform>, %n gebroken</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>, %n to spare</source>
        <translation>
            <numerusform>, %n over</numerusform>
            <numerusform>, %n over</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n steps were left out.</source>
        <translation>
            <numerusform>%n stap is overgeslagen.</numerusform>
            <numerusform>%n stappen zijn overgeslagen.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n things happened; they are in the log of this day.</source>
        <translation>
            <numerusform>Er gebeurde %n ding; het staat in het verslag van deze dag.</numerusform>
            <numerusform>Er gebeurden %n dingen; ze staan in het verslag van deze dag.</numerusform>
        </translation>
    </message>
    <message>
        <source>About %1 of %2 is left: pour it out to set, it can be melted again.</source>
        <translation>Ongeveer %1 van %2 is over: giet het uit om te stollen, het is weer te smelten.</translation>
    </message>
    <message>
        <source>It stands in your log now: what came out whole, what was weighed, what went wrong.</source>
        <translation>Het staat nu in je logboek: wat heel uitkwam, wat gewogen is, wat misging.</translation>
    </message>
    <message>
        <source>It is being computed what the weighings teach.</source>
        <translation>Er wordt berekend wat de gewichten leren.</translation>
    </message>
    <message>
        <source>Practise it: %1</source>
        <translation>Oefen het: %1</translation>
    </message>
    <message>
        <source>in %1</source>
        <translation>over %1</translation>
    </message>
    <message>
        <source>Done already</source>
        <translation>Al gedaan</translation>
    </message>
    <message>
        <source>It is</source>
        <translation>Het is</translation>
    </message>
    <message>
        <source>A day is being worked through</source>
        <translation>Er loopt een dag aan de werkbank</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Board</name>
    <message>
        <source>The day; left and right move through it, up and down from block to block</source>
        <translation>De dag; links en rechts gaan erdoorheen, omhoog en omlaag van blok naar blok</translation>
    </message>
    <message>
        <source>rest</source>
        <translation>rust</translation>
    </message>
    <message>
        <source>not there today</source>
        <translation>vandaag niet aanwezig</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>van %1</translation>
    </message>
    <message>
        <source>cup</source>
        <translation>kopje</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>pots</source>
        <translation>pannen</translation>
    </message>
    <message>
        <source>T: tempered
dots: warmed</source>
        <translation>T: temper
punten: warm</translation>
    </message>
    <message>
        <source>%1–%2 %3</source>
        <translation>%1–%2 %3</translation>
    </message>
    <message>
        <source>a cup of %1</source>
        <translation>een kopje %1</translation>
    </message>
    <message>
        <source>, tempered by %1</source>
        <translation>, getempereerd om %1</translation>
    </message>
    <message>
        <source>, warmed for a few seconds at %1</source>
        <translation>, een paar tellen opgewarmd om %1</translation>
    </message>
    <message>
        <source>height: how full</source>
        <translation>hoogte: hoe vol</translation>
    </message>
    <message>
        <source>%1–%2 %3, %4 % of it</source>
        <translation>%1–%2 %3, %4 % ervan</translation>
    </message>
    <message>
        <source>bench</source>
        <translation>werkblad</translation>
    </message>
    <message>
        <source>At %1.</source>
        <translation>Om %1.</translation>
    </message>
    <message>
        <source>kept free ×</source>
        <translation>vrijgehouden ×</translation>
    </message>
    <message>
        <source>night</source>
        <translation>nacht</translation>
    </message>
    <message>
        <source>full</source>
        <translation>vol</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::BuildPlace</name>
    <message>
        <source>Which piece</source>
        <translation>Welk stuk</translation>
    </message>
    <message>
        <source>Open into its parts</source>
        <translation>In delen openen</translation>
    </message>
    <message>
        <source>+ from parts</source>
        <translation>+ uit delen</translation>
    </message>
    <message>
        <source>Step by step</source>
        <translation>Stap voor stap</translation>
    </message>
    <message>
        <source>By hand</source>
        <translation>Met de hand</translation>
    </message>
    <message>
        <source>Templates</source>
        <translation>Sjablonen</translation>
    </message>
    <message>
        <source>Find an order</source>
        <translation>Een volgorde zoeken</translation>
    </message>
    <message>
        <source>Yours is dropped, and one is found in which every state stands</source>
        <translation>De jouwe vervalt, en er wordt er een gezocht waarin elke toestand staat</translation>
    </message>
    <message>
        <source>Step of putting together</source>
        <translation>Stap van in elkaar zetten</translation>
    </message>
    <message>
        <source>It becomes an assembly of its own: parts and joints can be added, moved and taken out in Shape</source>
        <translation>Het wordt een eigen samenstel: delen en naden zijn toe te voegen, te verplaatsen en weg te halen bij Vorm</translation>
    </message>
    <message>
        <source>What all pieces of the plan are cut from: sheets, and patterns of acetate</source>
        <translation>Waar alle stukken van het plan uit gesneden worden: vellen, en patronen van acetaat</translation>
    </message>
    <message>
        <source>The order in which it is put together</source>
        <translation>De volgorde waarin het in elkaar gaat</translation>
    </message>
    <message>
        <source>Take its parts and put them where they belong</source>
        <translation>Neem de delen en zet ze waar ze horen</translation>
    </message>
    <message>
        <source>A new piece, put together from parts of your choice</source>
        <translation>Een nieuw stuk, in elkaar gezet uit delen naar keuze</translation>
    </message>
    <message>
        <source>Start from parts</source>
        <translation>Met delen beginnen</translation>
    </message>
    <message>
        <source>Finding the order …</source>
        <translation>De volgorde wordt gezocht …</translation>
    </message>
    <message>
        <source>This piece is made in one. Choose one that is put together.</source>
        <translation>Dit stuk is uit één deel. Kies er een dat in elkaar gezet is.</translation>
    </message>
    <message>
        <source>Nothing on the shelf is put together yet. Start a basket, a house or parts of your own in Shape, from the gallery under “Put together”.</source>
        <translation>Er staat nog niets op de plank dat in elkaar gezet is. Begin een mandje, een huis of eigen delen bij Vorm, uit de galerij onder “In elkaar gezet”.</translation>
    </message>
    <message>
        <source>%1 parts, %2, %3</source>
        <translation>%1 delen, %2, %3</translation>
    </message>
    <message>
        <source>one joint</source>
        <translation>één naad</translation>
    </message>
    <message>
        <source>%1 joints</source>
        <translation>%1 naden</translation>
    </message>
    <message>
        <source>Another order</source>
        <translation>Een andere volgorde</translation>
    </message>
    <message>
        <source>Not in this order: %1.</source>
        <translation>Niet in deze volgorde: %1.</translation>
    </message>
    <message>
        <source>The order before it stays.</source>
        <translation>De vorige volgorde blijft.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::BuildStage</name>
    <message>
        <source>The piece, pulled apart</source>
        <translation>Het stuk, uit elkaar getrokken</translation>
    </message>
    <message>
        <source>Now: %1</source>
        <translation>Nu: %1</translation>
    </message>
    <message>
        <source>now</source>
        <translation>nu</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::CalendarLeaf</name>
    <message>
        <source>Days of the month</source>
        <translation>Dagen van de maand</translation>
    </message>
    <message>
        <source>Month before</source>
        <translation>Vorige maand</translation>
    </message>
    <message>
        <source>Month after</source>
        <translation>Volgende maand</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::CoatCard</name>
    <message>
        <source>Coat %1</source>
        <translation>Laag %1</translation>
    </message>
    <message>
        <source>How coat %1 goes on</source>
        <translation>Hoe laag %1 erop gaat</translation>
    </message>
    <message>
        <source>fill, turn</source>
        <translation>draai rond</translation>
    </message>
    <message>
        <source>dip</source>
        <translation>dompel</translation>
    </message>
    <message>
        <source>fill, pour</source>
        <translation>giet uit</translation>
    </message>
    <message>
        <source>brush</source>
        <translation>kwast</translation>
    </message>
    <message>
        <source>press rim</source>
        <translation>druk rand</translation>
    </message>
    <message>
        <source>Change how a coat goes on</source>
        <translation>Veranderen hoe een laag erop gaat</translation>
    </message>
    <message>
        <source>Coat %1 in detail</source>
        <translation>Laag %1 in detail</translation>
    </message>
    <message>
        <source>Chocolate of its own, turning, tapping, scraping</source>
        <translation>Eigen chocolade, draaien, tikken, schrapen</translation>
    </message>
    <message>
        <source>Temperature of coat %1</source>
        <translation>Temperatuur van laag %1</translation>
    </message>
    <message>
        <source>Where coat %1 is brushed</source>
        <translation>Waar laag %1 gekwast wordt</translation>
    </message>
    <message>
        <source>all over</source>
        <translation>overal</translation>
    </message>
    <message>
        <source>round the rim</source>
        <translation>rond de rand</translation>
    </message>
    <message>
        <source>on the foot</source>
        <translation>op de voet</translation>
    </message>
    <message>
        <source>where I paint</source>
        <translation>waar ik verf</translation>
    </message>
    <message>
        <source>Change where a coat goes</source>
        <translation>Veranderen waar een laag komt</translation>
    </message>
    <message>
        <source>Grams brushed on in coat %1</source>
        <translation>Gram gekwast in laag %1</translation>
    </message>
    <message>
        <source>%1 of rim, in a plate</source>
        <translation>%1 rand, in een bord</translation>
    </message>
    <message>
        <source>filled to</source>
        <translation>gevuld tot</translation>
    </message>
    <message>
        <source>Share of the mold filled in coat %1</source>
        <translation>Deel van de mal dat gevuld is in laag %1</translation>
    </message>
    <message>
        <source>drain over the bath</source>
        <translation>uitlekken</translation>
    </message>
    <message>
        <source>pour out for</source>
        <translation>uitgieten</translation>
    </message>
    <message>
        <source>Drain time of coat %1</source>
        <translation>Uitlektijd van laag %1</translation>
    </message>
    <message>
        <source>Which way up coat %1 sets</source>
        <translation>Hoe laag %1 stolt</translation>
    </message>
    <message>
        <source>stand it on paper</source>
        <translation>op papier zetten</translation>
    </message>
    <message>
        <source>upside down on a ring</source>
        <translation>op zijn kop op een ring</translation>
    </message>
    <message>
        <source>hang it by the knot</source>
        <translation>aan de knoop ophangen</translation>
    </message>
    <message>
        <source>stand it upright</source>
        <translation>rechtop zetten</translation>
    </message>
    <message>
        <source>turn it upside down</source>
        <translation>omkeren</translation>
    </message>
    <message>
        <source>Change which way up it sets</source>
        <translation>Veranderen hoe het stolt</translation>
    </message>
    <message>
        <source>then waits</source>
        <translation>wacht dan</translation>
    </message>
    <message>
        <source>Minutes before coat %1 goes to the cold</source>
        <translation>Minuten voor laag %1 de kou in gaat</translation>
    </message>
    <message>
        <source>Where coat %1 sets</source>
        <translation>Waar laag %1 stolt</translation>
    </message>
    <message>
        <source>on the table</source>
        <translation>op tafel</translation>
    </message>
    <message>
        <source>in the fridge</source>
        <translation>in de koelkast</translation>
    </message>
    <message>
        <source>in the freezer</source>
        <translation>in de vriezer</translation>
    </message>
    <message>
        <source>Change where it sets</source>
        <translation>Veranderen waar het stolt</translation>
    </message>
    <message>
        <source>Minutes coat %1 stays there</source>
        <translation>Minuten dat laag %1 daar blijft</translation>
    </message>
    <message>
        <source>+%1 · %2 · firm %3</source>
        <translation>+%1 · %2 · vast %3</translation>
    </message>
    <message>
        <source>Stops flowing after %1; %2 drip back.</source>
        <translation>Houdt na %1 op met lopen; %2 druipt terug.</translation>
    </message>
    <message>
        <source>computing …</source>
        <translation>rekent …</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::CommandPage</name>
    <message>
        <source>what you want to do</source>
        <translation>wat je wilt doen</translation>
    </message>
    <message>
        <source>Find a command by its name</source>
        <translation>Een opdracht op naam zoeken</translation>
    </message>
    <message>
        <source>Commands</source>
        <translation>Opdrachten</translation>
    </message>
    <message>
        <source>In a field: any unit (5 1/2 in, 114 °F, 1 h 15) or words: falls in a ribbon, two spoons, count to thirty, finger wide. Turning a piece: arrows turn, Shift with arrows moves, plus and minus come nearer, 1 to 4 are standard views, 0 fits it in. On the cut piece: left and right choose a handle, up and down move it by a millimetre, with Shift by five. On a step&apos;s card: Alt with left or right moves it, Delete removes it. On the day: left and right move through time, with Shift by a quarter of an hour.</source>
        <translation>In een veld: elke eenheid (5 1/2 in, 114 °F, 1 h 15) of woorden: valt in een lint, twee lepels, tot dertig tellen, vingerdik. Een stuk draaien: pijlen draaien, Shift met pijlen schuift, plus en min komen dichterbij, 1 tot 4 zijn vaste aanzichten, 0 past het in. Op het opengesneden stuk: links en rechts kiezen een handvat, omhoog en omlaag verzetten het een millimeter, met Shift vijf. Op de kaart van een stap: Alt met links of rechts verplaatst hem, Delete haalt hem weg. Op de dag: links en rechts gaan door de tijd, met Shift een kwartier.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::DayPlace</name>
    <message>
        <source>Looking longer, %1 %</source>
        <translation>Langer zoeken, %1 %</translation>
    </message>
    <message>
        <source>This is as good as it gets</source>
        <translation>Beter wordt het niet</translation>
    </message>
    <message>
        <source>Give hours back</source>
        <translation>Uren teruggeven</translation>
    </message>
    <message>
        <source>Go on at the bench</source>
        <translation>Aan de werkbank verder</translation>
    </message>
    <message>
        <source>What is ticked counts as done at its planned time</source>
        <translation>Wat afgevinkt is geldt als gedaan op zijn geplande tijd</translation>
    </message>
    <message>
        <source>Show the working</source>
        <translation>De berekening tonen</translation>
    </message>
    <message>
        <source>Lays the day out some fifty thousand times more; nothing moves until you take it.</source>
        <translation>Deelt de dag nog zo&apos;n vijftigduizend keer in; er verschuift niets tot je het neemt.</translation>
    </message>
    <message>
        <source>Nothing on the shelf yet</source>
        <translation>Nog niets op de plank</translation>
    </message>
    <message>
        <source>No day yet</source>
        <translation>Nog geen dag</translation>
    </message>
    <message>
        <source>Laying out the day …</source>
        <translation>De dag wordt ingedeeld …</translation>
    </message>
    <message>
        <source>No day fits</source>
        <translation>Er past geen dag</translation>
    </message>
    <message>
        <source>Begin by %1, ready at %2</source>
        <translation>Beginnen uiterlijk %1, klaar om %2</translation>
    </message>
    <message>
        <source>Begin by %1</source>
        <translation>Beginnen uiterlijk %1</translation>
    </message>
    <message>
        <source>Looking longer …</source>
        <translation>Langer zoeken …</translation>
    </message>
    <message>
        <source>A better one begins at %1: take it</source>
        <translation>Een betere begint om %1: neem hem</translation>
    </message>
    <message>
        <source>Look for a better one</source>
        <translation>Een betere zoeken</translation>
    </message>
    <message>
        <source>What holds you up: begin later</source>
        <translation>Wat je ophoudt: later beginnen</translation>
    </message>
    <message>
        <source>without %1</source>
        <translation>zonder %1</translation>
    </message>
    <message>
        <source>with %1</source>
        <translation>met %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Plan it %1; begin at %2</source>
        <translation>Plannen: %1; beginnen om %2</translation>
    </message>
    <message>
        <source>Plan it %1</source>
        <translation>Plannen: %1</translation>
    </message>
    <message>
        <source>Keep hours free</source>
        <translation>Uren vrijhouden</translation>
    </message>
    <message>
        <source>%1, what stands where</source>
        <translation>%1, wat waar staat</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::DayTile</name>
    <message>
        <source>%1 of %2</source>
        <translation>%1 van de %2</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>, %1 of 5 stars</source>
        <translation>, %1 van de 5 sterren</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Document</name>
    <message>
        <source>Take what is in the file</source>
        <translation>Nemen wat in het bestand staat</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::EveningPage</name>
    <message>
        <source>Write something down …</source>
        <translation>Iets opschrijven …</translation>
    </message>
    <message>
        <source>Why did something fail?</source>
        <translation>Waarom ging iets mis?</translation>
    </message>
    <message>
        <source>Make this again …</source>
        <translation>Dit nog eens maken …</translation>
    </message>
    <message>
        <source>Planned, and how it came out</source>
        <translation>Gepland, en hoe het uitkwam</translation>
    </message>
    <message>
        <source>What was written down</source>
        <translation>Wat er opgeschreven is</translation>
    </message>
    <message>
        <source>Taken back: %1</source>
        <translation>Teruggenomen: %1</translation>
    </message>
    <message>
        <source>Why?</source>
        <translation>Waarom?</translation>
    </message>
    <message>
        <source>Why: %1</source>
        <translation>Waarom: %1</translation>
    </message>
    <message>
        <source>Correct</source>
        <translation>Verbeteren</translation>
    </message>
    <message>
        <source>Correct: %1</source>
        <translation>Verbeteren: %1</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Terugnemen</translation>
    </message>
    <message>
        <source>Take back: %1</source>
        <translation>Terugnemen: %1</translation>
    </message>
    <message>
        <source>%1 of 5 stars</source>
        <translation>%1 van de 5 sterren</translation>
    </message>
    <message>
        <source>%1 from “%2”</source>
        <translation>%1 uit “%2”</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>planned %2, %3 to %4; it was %1</source>
        <translation>gepland %2, %3 tot %4; het was %1</translation>
    </message>
    <message>
        <source>Its plan is computed …</source>
        <translation>Het plan ervan wordt berekend …</translation>
    </message>
    <message>
        <source>Outlined: the plan&apos;s band with its likely figure. Dot: what was measured.</source>
        <translation>Omlijnd: de bandbreedte van het plan met zijn waarschijnlijke getal. Punt: wat gemeten is.</translation>
    </message>
    <message>
        <source>Nothing yet.</source>
        <translation>Nog niets.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::FigureField</name>
    <message>
        <source>A whole number from %1 to %2.</source>
        <translation>Een geheel getal van %1 tot %2.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::FigurePad</name>
    <message>
        <source>point</source>
        <translation>komma</translation>
    </message>
    <message>
        <source>take the last digit back</source>
        <translation>het laatste cijfer terugnemen</translation>
    </message>
    <message>
        <source>Take it</source>
        <translation>Nemen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laten</translation>
    </message>
    <message>
        <source>%1 from the scale</source>
        <translation>%1 van de weegschaal</translation>
    </message>
    <message>
        <source>%1 from the thermometer</source>
        <translation>%1 van de thermometer</translation>
    </message>
    <message>
        <source>Type the figure first.</source>
        <translation>Typ eerst het getal.</translation>
    </message>
    <message>
        <source>It lies between %1 and %2.</source>
        <translation>Het ligt tussen %1 en %2.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::FilmBar</name>
    <message>
        <source>upright</source>
        <translation>rechtop</translation>
    </message>
    <message>
        <source>upside down</source>
        <translation>op zijn kop</translation>
    </message>
    <message>
        <source>on its side</source>
        <translation>op zijn zij</translation>
    </message>
    <message>
        <source>leaning</source>
        <translation>schuin</translation>
    </message>
    <message>
        <source>tipped over</source>
        <translation>gekanteld</translation>
    </message>
    <message>
        <source>done</source>
        <translation>klaar</translation>
    </message>
    <message>
        <source>How its coats sag, are turned and lock, moment by moment</source>
        <translation>Hoe de lagen zakken, gedraaid worden en vastlopen, moment voor moment</translation>
    </message>
    <message>
        <source>Back to the finished piece</source>
        <translation>Terug naar het kant-en-klare stuk</translation>
    </message>
    <message>
        <source>Moment of the coats</source>
        <translation>Moment van de lagen</translation>
    </message>
    <message>
        <source>How much of the coats is computed</source>
        <translation>Hoeveel van de lagen berekend is</translation>
    </message>
    <message>
        <source>play on</source>
        <translation>verder afspelen</translation>
    </message>
    <message>
        <source>play again</source>
        <translation>opnieuw afspelen</translation>
    </message>
    <message>
        <source>watch the coats</source>
        <translation>de lagen bekijken</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>pauze</translation>
    </message>
    <message>
        <source>stop</source>
        <translation>stoppen</translation>
    </message>
    <message>
        <source>the coats are computed on the piece&apos;s own triangles</source>
        <translation>de lagen zijn berekend op de driehoeken van het stuk zelf</translation>
    </message>
    <message>
        <source>coat %1 · %2 · %3 · %4 % flows</source>
        <translation>laag %1 · %2 · %3 · %4 % loopt</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::FrontDoor</name>
    <message>
        <source>12 bowls that hold ice cream</source>
        <translation>12 kommen waar ijs in kan</translation>
    </message>
    <message>
        <source>8 cups to drink coffee from</source>
        <translation>8 bekers om koffie uit te drinken</translation>
    </message>
    <message>
        <source>a basket for almonds</source>
        <translation>een mandje voor amandelen</translation>
    </message>
    <message>
        <source>a house with a gable roof</source>
        <translation>een huis met een zadeldak</translation>
    </message>
    <message>
        <source>a ball to smash, sweets in it</source>
        <translation>een bal om stuk te slaan, met snoep erin</translation>
    </message>
    <message>
        <source>20 lidded tubs for mousse</source>
        <translation>20 bakjes met deksel voor mousse</translation>
    </message>
    <message>
        <source>6 spoons to stir into milk</source>
        <translation>6 lepels om in melk te roeren</translation>
    </message>
    <message>
        <source>24 dipped strawberries</source>
        <translation>24 gedoopte aardbeien</translation>
    </message>
    <message>
        <source>Plan it</source>
        <translation>Plannen</translation>
    </message>
    <message>
        <source>What shall it be?</source>
        <translation>Wat moet het worden?</translation>
    </message>
    <message>
        <source>Your wish, in a sentence</source>
        <translation>Je wens, in een zin</translation>
    </message>
    <message>
        <source>twelve bowls that hold ice cream, Saturday at six</source>
        <translation>twaalf kommen waar ijs in kan, zaterdag om zes uur</translation>
    </message>
    <message>
        <source>How many</source>
        <translation>Hoeveel</translation>
    </message>
    <message>
        <source>A whole number, 1 to %1.</source>
        <translation>Een geheel getal, 1 tot %1.</translation>
    </message>
    <message>
        <source>nothing goes in</source>
        <translation>er gaat niets in</translation>
    </message>
    <message>
        <source>What goes in</source>
        <translation>Wat erin gaat</translation>
    </message>
    <message>
        <source>Ready on</source>
        <translation>Klaar op</translation>
    </message>
    <message>
        <source>Not a day. Write it like %1.</source>
        <translation>Geen dag. Schrijf hem als %1.</translation>
    </message>
    <message>
        <source>That day has passed.</source>
        <translation>Die dag is voorbij.</translation>
    </message>
    <message>
        <source>Calendar</source>
        <translation>Kalender</translation>
    </message>
    <message>
        <source>Choose the day on a calendar</source>
        <translation>De dag op een kalender kiezen</translation>
    </message>
    <message>
        <source>Day it must be ready</source>
        <translation>Dag waarop het klaar moet zijn</translation>
    </message>
    <message>
        <source>at</source>
        <translation>om</translation>
    </message>
    <message>
        <source>Like 18:30 or 6:30 pm.</source>
        <translation>Zoals 18:30 of 6:30 pm.</translation>
    </message>
    <message>
        <source>Open a plan …</source>
        <translation>Een plan openen …</translation>
    </message>
    <message>
        <source>Back to the plan that is open</source>
        <translation>Terug naar het plan dat open is</translation>
    </message>
    <message>
        <source>To look at</source>
        <translation>Om te bekijken</translation>
    </message>
    <message>
        <source>The demo: Perseid night</source>
        <translation>De demo: Perseïdennacht</translation>
    </message>
    <message>
        <source>an invented evening</source>
        <translation>een verzonnen avond</translation>
    </message>
    <message>
        <source>Each is invented, whole, and yours to change: nothing of yours is touched.</source>
        <translation>Elk is verzonnen, compleet, en van jou om te veranderen: aan het jouwe verandert niets.</translation>
    </message>
    <message>
        <source>An empty shelf</source>
        <translation>Een lege plank</translation>
    </message>
    <message>
        <source>begin without a wish</source>
        <translation>zonder wens beginnen</translation>
    </message>
    <message>
        <source>Opened lately</source>
        <translation>Kort geleden geopend</translation>
    </message>
    <message>
        <source>Made as the first of these, or as another</source>
        <translation>Gemaakt als de eerste hiervan, of als een andere</translation>
    </message>
    <message>
        <source>Or begin with one of these</source>
        <translation>Of begin met een van deze</translation>
    </message>
    <message>
        <source>In your own words: how many, of what, what goes in, for when.</source>
        <translation>In je eigen woorden: hoeveel, wat, wat erin gaat, voor wanneer.</translation>
    </message>
    <message>
        <source>, %1 × %2</source>
        <translation>, %1 × %2</translation>
    </message>
    <message>
        <source>%1 × %2%3, ready %4 at %5.</source>
        <translation>%1 × %2%3, klaar %4 om %5.</translation>
    </message>
    <message>
        <source>, %1 in each</source>
        <translation>, %1 in elk</translation>
    </message>
    <message>
        <source>A plan makes at most %1 of one kind: split it over several days.</source>
        <translation>Een plan maakt hoogstens %1 van één soort: verdeel het over meer dagen.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Gallery</name>
    <message>
        <source>No shape here is a %1 by itself. Four ways make one: cut it by its outline, fill a bought mold, take a mold of a real one, or bring a model.</source>
        <translation>Geen vorm hier is uit zichzelf een %1. Er zijn vier manieren: snijd hem naar zijn omtrek, vul een gekochte mal, neem een mal van een echte, of haal een model binnen.</translation>
    </message>
    <message>
        <source>Gallery of pieces</source>
        <translation>Galerij van stukken</translation>
    </message>
    <message>
        <source>What shall it be?</source>
        <translation>Wat moet het worden?</translation>
    </message>
    <message>
        <source>basket, dome, something to break …</source>
        <translation>mandje, koepel, iets om stuk te slaan …</translation>
    </message>
    <message>
        <source>What you want to make</source>
        <translation>Wat je wilt maken</translation>
    </message>
    <message>
        <source>Close the gallery</source>
        <translation>De galerij sluiten</translation>
    </message>
    <message>
        <source>Kept by you; a right click forgets one</source>
        <translation>Door jou bewaard; een rechtermuisklik vergeet er een</translation>
    </message>
    <message>
        <source>%1, kept by you</source>
        <translation>%1, door jou bewaard</translation>
    </message>
    <message>
        <source>Forget it</source>
        <translation>Vergeten</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::GalleryTile</name>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1 in a bought mold</source>
        <translation>%1 in een gekochte mal</translation>
    </message>
    <message>
        <source>%1 cast from a real one</source>
        <translation>%1 naar een echte gegoten</translation>
    </message>
    <message>
        <source>%1 from a model file</source>
        <translation>%1 uit een modelbestand</translation>
    </message>
    <message>
        <source>%1 cut by its outline</source>
        <translation>%1 naar zijn omtrek gesneden</translation>
    </message>
    <message>
        <source>Any mold that is sold: weigh the water it holds.</source>
        <translation>Elke mal die te koop is: weeg het water dat erin gaat.</translation>
    </message>
    <message>
        <source>A toy or a thing of nature: a silicone mold is taken of it.</source>
        <translation>Speelgoed of iets uit de natuur: er wordt een siliconen mal van genomen.</translation>
    </message>
    <message>
        <source>A model from a file, printed or as its own mold.</source>
        <translation>Een model uit een bestand, geprint of als eigen mal.</translation>
    </message>
    <message>
        <source>Draw the outline, or trace a picture: cut from a sheet.</source>
        <translation>Teken de omtrek, of trek een foto over: uit een vel gesneden.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::GramsBar</name>
    <message>
        <source>%1 in the piece, %2 dripped back, %3 fell where it rested</source>
        <translation>%1 in het stuk, %2 teruggedropen, %3 viel waar het rustte</translation>
    </message>
    <message>
        <source>%1 in it · %2 back</source>
        <translation>%1 erin · %2 terug</translation>
    </message>
    <message>
        <source> · %1 on the paper</source>
        <translation> · %1 op het papier</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::HandBar</name>
    <message>
        <source>Name of the part</source>
        <translation>Naam van het deel</translation>
    </message>
    <message>
        <source>Where it goes</source>
        <translation>Waar het komt</translation>
    </message>
    <message>
        <source>glue what touches</source>
        <translation>lijmen wat elkaar raakt</translation>
    </message>
    <message>
        <source>Joints are made where the part touches others, and dropped where it no longer does</source>
        <translation>Naden ontstaan waar het deel andere raakt, en vervallen waar niet meer</translation>
    </message>
    <message>
        <source>on the rim at 30°, repeat 8 round it</source>
        <translation>op de rand op 30°, herhaal 8 rondom</translation>
    </message>
    <message>
        <source>Say where it goes: on the base, under the lid, right of the tub, against the wall, on the rim of the bowl at 30°; 12 mm from the left edge, flush with the base on the back, 5 mm up, 40 mm high; standing, lying, upside down, turned 45°, leaning 10° back; repeat 8 round the rim, repeat 3 every 40 mm to the right, mirror left to right</source>
        <translation>Zeg waar het komt: op de bodem, onder het deksel, rechts van het bakje, tegen de wand, op de rand van de kom op 30°; 12 mm van de linkerkant, gelijk met de bodem achter, 5 mm hoger, 40 mm hoog; staand, liggend, op zijn kop, 45° gedraaid, 10° achterover; herhaal 8 rond de rand, herhaal 3 elke 40 mm naar rechts, spiegel links rechts</translation>
    </message>
    <message>
        <source>+ part</source>
        <translation>+ deel</translation>
    </message>
    <message>
        <source>Another part, on top of what is there</source>
        <translation>Nog een deel, op wat er is</translation>
    </message>
    <message>
        <source>Put %1: %2</source>
        <translation>%1 zetten: %2</translation>
    </message>
    <message>
        <source>A part needs a name.</source>
        <translation>Een deel heeft een naam nodig.</translation>
    </message>
    <message>
        <source>Another part is called so.</source>
        <translation>Een ander deel heet al zo.</translation>
    </message>
    <message>
        <source>Rename a part</source>
        <translation>Een deel hernoemen</translation>
    </message>
    <message>
        <source>Move %1</source>
        <translation>%1 verplaatsen</translation>
    </message>
    <message>
        <source>Take a part out</source>
        <translation>Een deel weghalen</translation>
    </message>
    <message>
        <source>Copy %1</source>
        <translation>%1 kopiëren</translation>
    </message>
    <message>
        <source>Turn</source>
        <translation>Draaien</translation>
    </message>
    <message>
        <source>15° to the left (T)</source>
        <translation>15° naar links (T)</translation>
    </message>
    <message>
        <source>Turn back</source>
        <translation>Terugdraaien</translation>
    </message>
    <message>
        <source>15° to the right (Shift T)</source>
        <translation>15° naar rechts (Shift T)</translation>
    </message>
    <message>
        <source>Stand up</source>
        <translation>Rechtop</translation>
    </message>
    <message>
        <source>A flat part on its edge, or lying again (S)</source>
        <translation>Een plat deel op zijn kant, of weer plat (S)</translation>
    </message>
    <message>
        <source>Upside down</source>
        <translation>Op zijn kop</translation>
    </message>
    <message>
        <source>Turned over (U)</source>
        <translation>Omgekeerd (U)</translation>
    </message>
    <message>
        <source>Let down</source>
        <translation>Neerlaten</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopiëren</translation>
    </message>
    <message>
        <source>Mirror</source>
        <translation>Spiegelen</translation>
    </message>
    <message>
        <source>Its mirror image on the other side (M)</source>
        <translation>Zijn spiegelbeeld aan de andere kant (M)</translation>
    </message>
    <message>
        <source>Take out</source>
        <translation>Weghalen</translation>
    </message>
    <message>
        <source>The part and its joints (Delete)</source>
        <translation>Het deel en zijn naden (Delete)</translation>
    </message>
    <message>
        <source>Until it rests (L)</source>
        <translation>Tot het rust (L)</translation>
    </message>
    <message>
        <source>Once more, beside it (C)</source>
        <translation>Nog een keer, ernaast (C)</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::HandStage</name>
    <message>
        <source>the table</source>
        <translation>de tafel</translation>
    </message>
    <message>
        <source>centred on %1</source>
        <translation>op het midden van %1</translation>
    </message>
    <message>
        <source>in line with %1</source>
        <translation>op één lijn met %1</translation>
    </message>
    <message>
        <source>against %1</source>
        <translation>tegen %1</translation>
    </message>
    <message>
        <source>on the rim of %1</source>
        <translation>op de rand van %1</translation>
    </message>
    <message>
        <source>on the rim of %1 at %2°</source>
        <translation>op de rand van %1 bij %2°</translation>
    </message>
    <message>
        <source>standing on %1</source>
        <translation>staand op %1</translation>
    </message>
    <message>
        <source>The parts at their places</source>
        <translation>De delen op hun plaats</translation>
    </message>
    <message>
        <source> · touches nothing</source>
        <translation> · raakt niets</translation>
    </message>
    <message>
        <source> · touches one part</source>
        <translation> · raakt één deel</translation>
    </message>
    <message>
        <source> · touches %1 parts</source>
        <translation> · raakt %1 delen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::HoldsBar</name>
    <message>
        <source>snap test …</source>
        <translation>breekproef …</translation>
    </message>
    <message>
        <source>Measure how strong your own chocolate is</source>
        <translation>Meten hoe sterk je eigen chocolade is</translation>
    </message>
    <message>
        <source>Advice, not a guarantee: try one piece first; let nothing heavy hang over people.</source>
        <translation>Raad, geen garantie: probeer eerst één stuk; laat niets zwaars boven mensen hangen.</translation>
    </message>
    <message>
        <source>times its weight more</source>
        <translation>keer het gewicht erbij</translation>
    </message>
    <message>
        <source>hours</source>
        <translation>uur</translation>
    </message>
    <message>
        <source>lb pressed</source>
        <translation>lb gedrukt</translation>
    </message>
    <message>
        <source>N (100 g press with 1 N)</source>
        <translation>N (100 g drukt met 1 N)</translation>
    </message>
    <message>
        <source>oz on an inch of rim</source>
        <translation>oz op een inch rand</translation>
    </message>
    <message>
        <source>N on a metre of rim</source>
        <translation>N op een meter rand</translation>
    </message>
    <message>
        <source>lb</source>
        <translation>lb</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>foot-pounds</source>
        <translation>voetpond</translation>
    </message>
    <message>
        <source>With</source>
        <translation>Met</translation>
    </message>
    <message>
        <source>How hard</source>
        <translation>Hoe hard</translation>
    </message>
    <message>
        <source>A load is nothing or more, less than 1000.</source>
        <translation>Een last is niets of meer, minder dan 1000.</translation>
    </message>
    <message>
        <source>What it is set down on</source>
        <translation>Waar het op wordt neergezet</translation>
    </message>
    <message>
        <source>on a flat table</source>
        <translation>op een vlakke tafel</translation>
    </message>
    <message>
        <source>on a ring</source>
        <translation>op een ring</translation>
    </message>
    <message>
        <source>on three lumps</source>
        <translation>op drie bobbels</translation>
    </message>
    <message>
        <source>Set it down elsewhere</source>
        <translation>Het ergens anders neerzetten</translation>
    </message>
    <message>
        <source>The verdict is about how you handle it; other ways are advice</source>
        <translation>Het oordeel gaat over hoe jij ermee omgaat; andere manieren zijn raad</translation>
    </message>
    <message>
        <source>Handle it another way</source>
        <translation>Er anders mee omgaan</translation>
    </message>
    <message>
        <source>a trace of oil on the balloon</source>
        <translation>een spoor olie op de ballon</translation>
    </message>
    <message>
        <source>Oil the balloon</source>
        <translation>De ballon oliën</translation>
    </message>
    <message>
        <source>No oil on the balloon</source>
        <translation>Geen olie op de ballon</translation>
    </message>
    <message>
        <source>First the piece itself must be possible.</source>
        <translation>Eerst moet het stuk zelf mogelijk zijn.</translation>
    </message>
    <message>
        <source>Reckoning …</source>
        <translation>Rekent …</translation>
    </message>
    <message>
        <source>For</source>
        <translation>Gedurende</translation>
    </message>
    <message>
        <source>carry it by its foot</source>
        <translation>aan de voet dragen</translation>
    </message>
    <message>
        <source>I do it this way</source>
        <translation>Zo doe ik het</translation>
    </message>
    <message>
        <source>%1: %2 → &lt;b&gt;%3&lt;/b&gt;</source>
        <translation>%1: %2 → &lt;b&gt;%3&lt;/b&gt;</translation>
    </message>
    <message>
        <source>do it</source>
        <translation>doen</translation>
    </message>
    <message>
        <source>Change a load</source>
        <translation>Een last veranderen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ItemBar</name>
    <message>
        <source>The whole</source>
        <translation>Het geheel</translation>
    </message>
    <message>
        <source>not eaten</source>
        <translation>niet om te eten</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ItemCard</name>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>Edit this part by itself</source>
        <translation>Dit deel apart bewerken</translation>
    </message>
    <message>
        <source>%1 · own</source>
        <translation>%1 · eigen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::JointsColumn</name>
    <message>
        <source>Joints</source>
        <translation>Naden</translation>
    </message>
    <message>
        <source>Computing …</source>
        <translation>Rekent …</translation>
    </message>
    <message>
        <source>Nothing on the shelf yet.</source>
        <translation>Nog niets op de plank.</translation>
    </message>
    <message>
        <source>Something broke …</source>
        <translation>Er is iets gebroken …</translation>
    </message>
    <message>
        <source>hold %1</source>
        <translation>%1 vast</translation>
    </message>
    <message>
        <source>bears after %1</source>
        <translation>draagt na %1</translation>
    </message>
    <message>
        <source>step %1</source>
        <translation>stap %1</translation>
    </message>
    <message>
        <source>as the whole</source>
        <translation>zoals het geheel</translation>
    </message>
    <message>
        <source>How %1 is glued</source>
        <translation>Hoe %1 gelijmd is</translation>
    </message>
    <message>
        <source>Change how a joint is glued</source>
        <translation>Veranderen hoe een naad gelijmd is</translation>
    </message>
    <message>
        <source>Not glued</source>
        <translation>Niet gelijmd</translation>
    </message>
    <message>
        <source>Drop the joint of %1</source>
        <translation>De naad van %1 laten vervallen</translation>
    </message>
    <message>
        <source>Drop a joint</source>
        <translation>Een naad laten vervallen</translation>
    </message>
    <message>
        <source>Glue one more place that touches</source>
        <translation>Nog één rakende plek lijmen</translation>
    </message>
    <message>
        <source>Glue %1 more places that touch</source>
        <translation>Nog %1 rakende plekken lijmen</translation>
    </message>
    <message>
        <source>Glue what touches</source>
        <translation>Lijmen wat elkaar raakt</translation>
    </message>
    <message>
        <source>One more place touches and is not glued.</source>
        <translation>Nog één plek raakt en is niet gelijmd.</translation>
    </message>
    <message>
        <source>%1 more places touch and are not glued.</source>
        <translation>Nog %1 plekken raken en zijn niet gelijmd.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::LessonPage</name>
    <message>
        <source>Practise with nothing to lose</source>
        <translation>Oefenen zonder iets te verliezen</translation>
    </message>
    <message>
        <source>Five small lessons of a few minutes. What happens in them is computed as everything here.</source>
        <translation>Vijf kleine lessen van een paar minuten. Wat erin gebeurt is berekend zoals alles hier.</translation>
    </message>
    <message>
        <source>Back to the day</source>
        <translation>Terug naar de dag</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laten</translation>
    </message>
    <message>
        <source>Escape</source>
        <translation>Escape</translation>
    </message>
    <message>
        <source>over</source>
        <translation>voorbij</translation>
    </message>
    <message>
        <source>%1 of %2, %3 times as fast as it is</source>
        <translation>%1 van %2, %3 keer zo snel als echt</translation>
    </message>
    <message>
        <source>Once more</source>
        <translation>Nog een keer</translation>
    </message>
    <message>
        <source>Something else</source>
        <translation>Iets anders</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::LessonsPage</name>
    <message>
        <source>What your log teaches</source>
        <translation>Wat je logboek leert</translation>
    </message>
    <message>
        <source>The next of this plan</source>
        <translation>Het volgende van dit plan</translation>
    </message>
    <message>
        <source>The next of this plan, before and now</source>
        <translation>Het volgende van dit plan, eerst en nu</translation>
    </message>
    <message>
        <source>Count on it in this plan</source>
        <translation>Er in dit plan op rekenen</translation>
    </message>
    <message>
        <source>The plan&apos;s own figures become those of your log; one undo takes it back</source>
        <translation>De cijfers van het plan worden die van je logboek; één keer terug en het is weg</translation>
    </message>
    <message>
        <source>Your bags, against the book</source>
        <translation>Je pakken, naast het boek</translation>
    </message>
    <message>
        <source>How each bag stands against the book</source>
        <translation>Hoe elk pak naast het boek staat</translation>
    </message>
    <message>
        <source>Your tempering, evening by evening</source>
        <translation>Je tempereren, avond na avond</translation>
    </message>
    <message>
        <source>Crystals each tempering left, against the usual</source>
        <translation>Kristallen die elk tempereren naliet, naast het gewone</translation>
    </message>
    <message>
        <source>Dashed: as the book says. Full: nine chances in ten, the yolk line the likeliest.</source>
        <translation>Stippellijn: zoals het boek zegt. Vol: negen kansen op tien, de dooierlijn het waarschijnlijkst.</translation>
    </message>
    <message>
        <source>How far it counts: %1</source>
        <translation>Hoe ver het telt: %1</translation>
    </message>
    <message>
        <source>counts wholly</source>
        <translation>telt helemaal</translation>
    </message>
    <message>
        <source>counts half</source>
        <translation>telt half</translation>
    </message>
    <message>
        <source>does not count</source>
        <translation>telt niet</translation>
    </message>
    <message>
        <source>Forget</source>
        <translation>Vergeten</translation>
    </message>
    <message>
        <source>Take all of its measurements back: %1</source>
        <translation>Al zijn metingen terugnemen: %1</translation>
    </message>
    <message>
        <source>%1, %2: %3 of 5 stars</source>
        <translation>%1, %2: %3 van de 5 sterren</translation>
    </message>
    <message>
        <source>Your best</source>
        <translation>Je beste</translation>
    </message>
    <message>
        <source>Look</source>
        <translation>Bekijken</translation>
    </message>
    <message>
        <source>Look at it: %1</source>
        <translation>Het bekijken: %1</translation>
    </message>
    <message>
        <source>What you mean to do from now on</source>
        <translation>Wat je voortaan van plan bent</translation>
    </message>
    <message>
        <source>Practise</source>
        <translation>Vaardigheden</translation>
    </message>
    <message>
        <source>Practise: %1</source>
        <translation>Oefenen: %1</translation>
    </message>
    <message>
        <source>It is a habit now</source>
        <translation>Het is nu een gewoonte</translation>
    </message>
    <message>
        <source>It is a habit now: %1</source>
        <translation>Het is nu een gewoonte: %1</translation>
    </message>
    <message>
        <source>What was measured is weighed against the book …</source>
        <translation>Wat gemeten is wordt tegen het boek afgewogen …</translation>
    </message>
    <message>
        <source>Nothing was measured yet. Weigh one bowl after its first coat: it tells more about your chocolate than anything else.</source>
        <translation>Er is nog niets gemeten. Weeg één kom na haar eerste laag: dat zegt meer over je chocolade dan wat ook.</translation>
    </message>
    <message>
        <source>From %1 on %2.</source>
        <translation>Van %1 op %2.</translation>
    </message>
    <message>
        <source>%1 measurement</source>
        <translation>%1 meting</translation>
    </message>
    <message>
        <source>%1 measurements</source>
        <translation>%1 metingen</translation>
    </message>
    <message>
        <source>%1 evening</source>
        <translation>%1 avond</translation>
    </message>
    <message>
        <source>%1 evenings</source>
        <translation>%1 avonden</translation>
    </message>
    <message>
        <source>%1 older evening is kept and not counted.</source>
        <translation>%1 oudere avond is bewaard en telt niet mee.</translation>
    </message>
    <message>
        <source>%1 older evenings are kept and not counted.</source>
        <translation>%1 oudere avonden zijn bewaard en tellen niet mee.</translation>
    </message>
    <message>
        <source> It is looked at anew …</source>
        <translation> Er wordt opnieuw naar gekeken …</translation>
    </message>
    <message>
        <source>the next weighs %1 to %2; by the book %3 to %4</source>
        <translation>de volgende weegt %1 tot %2; volgens het boek %3 tot %4</translation>
    </message>
    <message>
        <source>Figures that want another look</source>
        <translation>Cijfers om nog eens naar te kijken</translation>
    </message>
    <message>
        <source>%1, “%2”</source>
        <translation>%1, “%2”</translation>
    </message>
    <message>
        <source>its yield stress is %1 of the book&apos;s, %2 to %3</source>
        <translation>de vloeigrens is %1 van die in het boek, %2 tot %3</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>%1 of the usual crystals</source>
        <translation>%1 van de gewone kristallen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::LivePanel</name>
    <message>
        <source>temper it now</source>
        <translation>nu tempereren</translation>
    </message>
    <message>
        <source>Thermometer</source>
        <translation>Thermometer</translation>
    </message>
    <message>
        <source>no thermometer found</source>
        <translation>geen thermometer gevonden</translation>
    </message>
    <message>
        <source>look again</source>
        <translation>opnieuw kijken</translation>
    </message>
    <message>
        <source>Look for thermometers on serial ports and local sockets</source>
        <translation>Naar thermometers zoeken op seriële poorten en lokale sockets</translation>
    </message>
    <message>
        <source>What your thermometer reads</source>
        <translation>Wat je thermometer aanwijst</translation>
    </message>
    <message>
        <source>or type it</source>
        <translation>of typ het</translation>
    </message>
    <message>
        <source>No thermometer in chocolate reads that.</source>
        <translation>Geen thermometer in chocolade wijst dat aan.</translation>
    </message>
    <message>
        <source>Temperature now</source>
        <translation>Temperatuur nu</translation>
    </message>
    <message>
        <source>listening to %1</source>
        <translation>luistert naar %1</translation>
    </message>
    <message>
        <source>%1 on the scale</source>
        <translation>%1 op de weegschaal</translation>
    </message>
    <message>
        <source>choose a thermometer</source>
        <translation>kies een thermometer</translation>
    </message>
    <message>
        <source>stop</source>
        <translation>stoppen</translation>
    </message>
    <message>
        <source>stop tempering %1</source>
        <translation>stop met tempereren van %1</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::LogKeeper</name>
    <message>
        <source>The invented evenings cannot be laid out: is the disk full?</source>
        <translation>De verzonnen avonden kunnen niet worden uitgelegd: is de schijf vol?</translation>
    </message>
    <message>
        <source>%1 of %2 evenings were taken in; the others are there.</source>
        <translation>%1 van %2 avonden zijn opgenomen; de andere staan er al.</translation>
    </message>
    <message>
        <source>Count on the log</source>
        <translation>Op het logboek rekenen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::LogPlace</name>
    <message>
        <source>Your evenings</source>
        <translation>Je avonden</translation>
    </message>
    <message>
        <source>Older evenings</source>
        <translation>Oudere avonden</translation>
    </message>
    <message>
        <source>These evenings are invented, to look at. Nothing you do to them is kept.</source>
        <translation>Deze avonden zijn verzonnen, om te bekijken. Van wat je ermee doet wordt niets bewaard.</translation>
    </message>
    <message>
        <source>Back to my own log</source>
        <translation>Terug naar mijn eigen logboek</translation>
    </message>
    <message>
        <source>What it teaches</source>
        <translation>Wat het leert</translation>
    </message>
    <message>
        <source>Your bags, your fridge, your hands</source>
        <translation>Je pakken, je koelkast, je handen</translation>
    </message>
    <message>
        <source>Why did something fail?</source>
        <translation>Waarom ging iets mis?</translation>
    </message>
    <message>
        <source>A piece of the plan that is open</source>
        <translation>Een stuk van het plan dat open is</translation>
    </message>
    <message>
        <source>Write it down, and next time you need not guess</source>
        <translation>Schrijf het op, dan hoef je de volgende keer niet te raden</translation>
    </message>
    <message>
        <source>A day made at the bench comes here by itself when it ends: what was weighed, what came out whole.</source>
        <translation>Een dag van de werkbank komt hier vanzelf als hij eindigt: wat gewogen is, wat heel uitkwam.</translation>
    </message>
    <message>
        <source>One bowl weighed after its first coat tells how your chocolate stands; a second shape tells more than a second bowl.</source>
        <translation>Eén kom gewogen na haar eerste laag zegt hoe je chocolade staat; een tweede vorm zegt meer dan een tweede kom.</translation>
    </message>
    <message>
        <source>When something failed, choose it on the piece: its causes are ranked, with the one thing to look at.</source>
        <translation>Ging er iets mis, kies het op het stuk: de oorzaken worden geordend, met het ene om naar te kijken.</translation>
    </message>
    <message>
        <source>Look at two invented evenings</source>
        <translation>Twee verzonnen avonden bekijken</translation>
    </message>
    <message>
        <source>Write down an evening of this plan</source>
        <translation>Een avond van dit plan opschrijven</translation>
    </message>
    <message>
        <source>None yet.</source>
        <translation>Nog geen.</translation>
    </message>
    <message>
        <source>%1 evening</source>
        <translation>%1 avond</translation>
    </message>
    <message>
        <source>%1 evenings</source>
        <translation>%1 avonden</translation>
    </message>
    <message>
        <source>%1 measurement</source>
        <translation>%1 meting</translation>
    </message>
    <message>
        <source>%1 measurements</source>
        <translation>%1 metingen</translation>
    </message>
    <message>
        <source>This is where your evenings stand: what was planned, and how it came out.</source>
        <translation>Hier staan je avonden: wat gepland was, en hoe het uitkwam.</translation>
    </message>
    <message>
        <source>What it should say</source>
        <translation>Wat er moet staan</translation>
    </message>
    <message>
        <source>Written down</source>
        <translation>Opgeschreven</translation>
    </message>
    <message>
        <source>Make this again</source>
        <translation>Dit nog eens maken</translation>
    </message>
    <message>
        <source>%1 in %2.</source>
        <translation>%1 in %2.</translation>
    </message>
    <message>
        <source>%1 evening is</source>
        <translation>%1 avond is</translation>
    </message>
    <message>
        <source>%1 evenings are</source>
        <translation>%1 avonden zijn</translation>
    </message>
    <message>
        <source>%1 (%2)</source>
        <translation>%1 (%2)</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::MainWindow</name>
    <message>
        <source>Shape</source>
        <translation>Vorm</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Bouw</translation>
    </message>
    <message>
        <source>Parts put together, step by step (F3)</source>
        <translation>Delen in elkaar gezet, stap voor stap (F3)</translation>
    </message>
    <message>
        <source>Melt</source>
        <translation>Smelt</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Dag</translation>
    </message>
    <message>
        <source>The pots: tempering, shopping (F4)</source>
        <translation>De pannen: tempereren, boodschappen (F4)</translation>
    </message>
    <message>
        <source>One piece: former, coats, wall (F2)</source>
        <translation>Eén stuk: vorm, lagen, wand (F2)</translation>
    </message>
    <message>
        <source>Bench</source>
        <translation>Werkbank</translation>
    </message>
    <message>
        <source>Make it now, step by step; rehearse it first (F6)</source>
        <translation>Nu maken, stap voor stap; oefen eerst (F6)</translation>
    </message>
    <message>
        <source>Log</source>
        <translation>Logboek</translation>
    </message>
    <message>
        <source>What happened, what it taught, why it failed (F7)</source>
        <translation>Wat er gebeurde, wat het leerde, waarom het misging (F7)</translation>
    </message>
    <message>
        <source>The day: when to do what (F5)</source>
        <translation>De dag: wanneer je wat doet (F5)</translation>
    </message>
    <message>
        <source>An outline</source>
        <translation>Een omtrek</translation>
    </message>
    <message>
        <source>Something broke</source>
        <translation>Er is iets gebroken</translation>
    </message>
    <message>
        <source>Coat %1, in detail</source>
        <translation>Laag %1, in detail</translation>
    </message>
    <message>
        <source>Snap test</source>
        <translation>Breekproef</translation>
    </message>
    <message>
        <source>Notes</source>
        <translation>Aantekeningen</translation>
    </message>
    <message>
        <source>Beside each other</source>
        <translation>Naast elkaar</translation>
    </message>
    <message>
        <source>The filling</source>
        <translation>De vulling</translation>
    </message>
    <message>
        <source>The topping</source>
        <translation>De garnering</translation>
    </message>
    <message>
        <source>The decoration</source>
        <translation>De versiering</translation>
    </message>
    <message>
        <source>A colour</source>
        <translation>Een kleur</translation>
    </message>
    <message>
        <source>Ways to another wall</source>
        <translation>Wegen naar een andere wand</translation>
    </message>
    <message>
        <source>Under each wish</source>
        <translation>Onder elke wens</translation>
    </message>
    <message>
        <source>Your work cannot be kept against a crash just now: save it. %1</source>
        <translation>Je werk is nu niet tegen een crash beschermd: sla het op. %1</translation>
    </message>
    <message>
        <source>Another program or window wrote %1 just now.</source>
        <translation>Een ander programma of venster schreef zojuist %1.</translation>
    </message>
    <message>
        <source>The plan: open, save, print</source>
        <translation>Het plan: openen, opslaan, printen</translation>
    </message>
    <message>
        <source>When it must be ready</source>
        <translation>Wanneer het klaar moet zijn</translation>
    </message>
    <message>
        <source>Kitchen: room, fridge, freezer, shelf</source>
        <translation>Keuken: kamer, koelkast, vriezer, plank</translation>
    </message>
    <message>
        <source>Switch grams and ounces</source>
        <translation>Wisselen tussen gram en ounce</translation>
    </message>
    <message>
        <source>Switch units</source>
        <translation>Eenheden wisselen</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Ongedaan maken</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Opnieuw doen</translation>
    </message>
    <message>
        <source>ready %1</source>
        <translation>klaar %1</translation>
    </message>
    <message>
        <source> · begin by %1</source>
        <translation> · beginnen uiterlijk %1</translation>
    </message>
    <message>
        <source> (too late)</source>
        <translation> (te laat)</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>g · mm · °C</source>
        <translation>g · mm · °C</translation>
    </message>
    <message>
        <source>oz · in · °F</source>
        <translation>oz · in · °F</translation>
    </message>
    <message>
        <source>The plan %1%2: open, save, print</source>
        <translation>Het plan %1%2: openen, opslaan, printen</translation>
    </message>
    <message>
        <source>, not saved</source>
        <translation>, niet opgeslagen</translation>
    </message>
    <message>
        <source>When it must be ready: %1</source>
        <translation>Wanneer het klaar moet zijn: %1</translation>
    </message>
    <message>
        <source>Kitchen: %1</source>
        <translation>Keuken: %1</translation>
    </message>
    <message>
        <source>Units: %1; switches grams and ounces</source>
        <translation>Eenheden: %1; wisselt tussen gram en ounce</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Ongedaan maken: %1</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Opnieuw doen: %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Taken back</source>
        <translation>Teruggenomen</translation>
    </message>
    <message>
        <source>Done again</source>
        <translation>Opnieuw gedaan</translation>
    </message>
    <message>
        <source> is %1 again</source>
        <translation> is weer %1</translation>
    </message>
    <message>
        <source>Uovo computes some figures otherwise than when this plan was saved. %1.</source>
        <translation>Uovo berekent sommige cijfers anders dan toen dit plan werd opgeslagen. %1.</translation>
    </message>
    <message>
        <source>Its own mold</source>
        <translation>Zijn eigen mal</translation>
    </message>
    <message>
        <source>A thing beside a coin</source>
        <translation>Een ding naast een munt</translation>
    </message>
    <message>
        <source>Kitchen</source>
        <translation>Keuken</translation>
    </message>
    <message>
        <source>Half of the mold, its axis on the left. Drag a point; click on the line for a new one; Delete takes the chosen one away.</source>
        <translation>De helft van de mal, zijn as links. Sleep een punt; klik op de lijn voor een nieuw; Delete haalt het gekozene weg.</translation>
    </message>
    <message>
        <source>Draw the profile</source>
        <translation>Het profiel tekenen</translation>
    </message>
    <message>
        <source>Profile</source>
        <translation>Profiel</translation>
    </message>
    <message>
        <source>New here? %1.</source>
        <translation>Nieuw hier? %1.</translation>
    </message>
    <message>
        <source>I see</source>
        <translation>Begrepen</translation>
    </message>
    <message>
        <source>More help (F1)</source>
        <translation>Meer hulp (F1)</translation>
    </message>
    <message>
        <source>What can be done</source>
        <translation>Wat je kunt doen</translation>
    </message>
    <message>
        <source>New plan …</source>
        <translation>Nieuw plan …</translation>
    </message>
    <message>
        <source>Open …</source>
        <translation>Openen …</translation>
    </message>
    <message>
        <source>Opened lately</source>
        <translation>Kort geleden geopend</translation>
    </message>
    <message>
        <source>Open the demo evening</source>
        <translation>De demo-avond openen</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Opslaan</translation>
    </message>
    <message>
        <source>Save in another place …</source>
        <translation>Ergens anders opslaan …</translation>
    </message>
    <message>
        <source>When it must be ready …</source>
        <translation>Wanneer het klaar moet zijn …</translation>
    </message>
    <message>
        <source>Kitchen …</source>
        <translation>Keuken …</translation>
    </message>
    <message>
        <source>Light or dark</source>
        <translation>Licht of donker</translation>
    </message>
    <message>
        <source>Help about this place …</source>
        <translation>Hulp bij deze plek …</translation>
    </message>
    <message>
        <source>Find a command, its key …</source>
        <translation>Een opdracht vinden, zijn toets …</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Stoppen</translation>
    </message>
    <message>
        <source>Bench card as PDF …</source>
        <translation>Werkkaart als PDF …</translation>
    </message>
    <message>
        <source>Bench card</source>
        <translation>Werkkaart</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Print the bench card …</source>
        <translation>De werkkaart printen …</translation>
    </message>
    <message>
        <source>Copy the plan as text</source>
        <translation>Het plan als tekst kopiëren</translation>
    </message>
    <message>
        <source>Bring in a model or outline …</source>
        <translation>Een model of omtrek binnenhalen …</translation>
    </message>
    <message>
        <source>A model or outline</source>
        <translation>Een model of omtrek</translation>
    </message>
    <message>
        <source>Models and outlines (*.stl *.obj *.ply *.3mf *.svg)</source>
        <translation>Modellen en omtrekken (*.stl *.obj *.ply *.3mf *.svg)</translation>
    </message>
    <message>
        <source>Export the shape …</source>
        <translation>De vorm exporteren …</translation>
    </message>
    <message>
        <source>The shape</source>
        <translation>De vorm</translation>
    </message>
    <message>
        <source>STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)</source>
        <translation>STL (*.stl);;3MF (*.3mf);;OBJ (*.obj);;PLY (*.ply)</translation>
    </message>
    <message>
        <source>Export the former&apos;s surface …</source>
        <translation>Het oppervlak van de mal of ballon exporteren …</translation>
    </message>
    <message>
        <source>The former&apos;s surface</source>
        <translation>Het oppervlak van de mal of ballon</translation>
    </message>
    <message>
        <source>Flat pattern as SVG …</source>
        <translation>Plat patroon als SVG …</translation>
    </message>
    <message>
        <source>Flat pattern</source>
        <translation>Plat patroon</translation>
    </message>
    <message>
        <source>SVG (*.svg)</source>
        <translation>SVG (*.svg)</translation>
    </message>
    <message>
        <source>Save the picture …</source>
        <translation>De tekening opslaan …</translation>
    </message>
    <message>
        <source>The picture</source>
        <translation>De tekening</translation>
    </message>
    <message>
        <source>PNG (*.png);;SVG (*.svg)</source>
        <translation>PNG (*.png);;SVG (*.svg)</translation>
    </message>
    <message>
        <source>Copy the picture</source>
        <translation>De tekening kopiëren</translation>
    </message>
    <message>
        <source>Go to Shape</source>
        <translation>Naar Vorm</translation>
    </message>
    <message>
        <source>Go to Build</source>
        <translation>Naar Bouw</translation>
    </message>
    <message>
        <source>Go to Melt</source>
        <translation>Naar Smelt</translation>
    </message>
    <message>
        <source>Go to Day</source>
        <translation>Naar Dag</translation>
    </message>
    <message>
        <source>Go to Bench</source>
        <translation>Naar Werkbank</translation>
    </message>
    <message>
        <source>Begin the day at the bench</source>
        <translation>De dag aan de werkbank beginnen</translation>
    </message>
    <message>
        <source>Rehearse the day</source>
        <translation>De dag oefenen</translation>
    </message>
    <message>
        <source>Something happened</source>
        <translation>Er is iets gebeurd</translation>
    </message>
    <message>
        <source>Go to Log</source>
        <translation>Naar Logboek</translation>
    </message>
    <message>
        <source>What the log teaches</source>
        <translation>Wat het logboek leert</translation>
    </message>
    <message>
        <source>Why did something fail</source>
        <translation>Waarom ging iets mis</translation>
    </message>
    <message>
        <source>Write the log out …</source>
        <translation>Het logboek wegschrijven …</translation>
    </message>
    <message>
        <source>The log</source>
        <translation>Het logboek</translation>
    </message>
    <message>
        <source>JSON (*.json);;Comma-separated values (*.csv)</source>
        <translation>JSON (*.json);;Kommagescheiden waarden (*.csv)</translation>
    </message>
    <message>
        <source>Take evenings into the log …</source>
        <translation>Avonden in het logboek opnemen …</translation>
    </message>
    <message>
        <source>A log</source>
        <translation>Een logboek</translation>
    </message>
    <message>
        <source>Logs (*.json *.csv)</source>
        <translation>Logboeken (*.json *.csv)</translation>
    </message>
    <message>
        <source>Cut it open, or turn it</source>
        <translation>Opensnijden, of draaien</translation>
    </message>
    <message>
        <source>Will it hold</source>
        <translation>Houdt het</translation>
    </message>
    <message>
        <source>The answers</source>
        <translation>De antwoorden</translation>
    </message>
    <message>
        <source>Start a piece from the gallery</source>
        <translation>Een stuk uit de galerij beginnen</translation>
    </message>
    <message>
        <source>Add a coat</source>
        <translation>Een laag toevoegen</translation>
    </message>
    <message>
        <source>Notes and a picture of the piece</source>
        <translation>Aantekeningen en een foto van het stuk</translation>
    </message>
    <message>
        <source>Lay the piece beside another</source>
        <translation>Het stuk naast een ander leggen</translation>
    </message>
    <message>
        <source>Keep the piece for other plans</source>
        <translation>Het stuk voor andere plannen bewaren</translation>
    </message>
    <message>
        <source>Cast the piece in a mold of its own</source>
        <translation>Het stuk in een eigen mal gieten</translation>
    </message>
    <message>
        <source>A thing beside a coin, as an original …</source>
        <translation>Een ding naast een munt, als origineel …</translation>
    </message>
    <message>
        <source>Copy the piece beside it</source>
        <translation>Het stuk ernaast kopiëren</translation>
    </message>
    <message>
        <source>Move the piece up the shelf</source>
        <translation>Het stuk op de plank omhoog</translation>
    </message>
    <message>
        <source>Move the piece down the shelf</source>
        <translation>Het stuk op de plank omlaag</translation>
    </message>
    <message>
        <source>Take the piece off the shelf</source>
        <translation>Het stuk van de plank halen</translation>
    </message>
    <message>
        <source>Next piece on the shelf</source>
        <translation>Volgend stuk op de plank</translation>
    </message>
    <message>
        <source>Piece before it on the shelf</source>
        <translation>Vorig stuk op de plank</translation>
    </message>
    <message>
        <source>Go to what is wrong</source>
        <translation>Naar wat niet klopt</translation>
    </message>
    <message>
        <source>Uovo ended before “%1” was saved. The plan was kept as it was.</source>
        <translation>Uovo stopte voor “%1” was opgeslagen. Het plan is bewaard zoals het was.</translation>
    </message>
    <message>
        <source>Take it back</source>
        <translation>Terughalen</translation>
    </message>
    <message>
        <source>Throw it away</source>
        <translation>Weggooien</translation>
    </message>
    <message>
        <source>Take the file&apos;s</source>
        <translation>Dat van het bestand nemen</translation>
    </message>
    <message>
        <source>The file cannot be taken: %1</source>
        <translation>Het bestand kan niet worden genomen: %1</translation>
    </message>
    <message>
        <source>Write mine over it</source>
        <translation>Het mijne eroverheen schrijven</translation>
    </message>
    <message>
        <source>Save mine elsewhere …</source>
        <translation>Het mijne ergens anders opslaan …</translation>
    </message>
    <message>
        <source>Show both</source>
        <translation>Beide tonen</translation>
    </message>
    <message>
        <source>The file cannot be read: %1</source>
        <translation>Het bestand kan niet worden gelezen: %1</translation>
    </message>
    <message>
        <source>Two versions</source>
        <translation>Twee versies</translation>
    </message>
    <message>
        <source>Unsaved changes</source>
        <translation>Niet-opgeslagen veranderingen</translation>
    </message>
    <message>
        <source>“%1” has changes that are not saved.</source>
        <translation>“%1” heeft veranderingen die niet zijn opgeslagen.</translation>
    </message>
    <message>
        <source>Go on without saving</source>
        <translation>Doorgaan zonder opslaan</translation>
    </message>
    <message>
        <source>Stay</source>
        <translation>Blijven</translation>
    </message>
    <message>
        <source>Open a plan</source>
        <translation>Een plan openen</translation>
    </message>
    <message>
        <source>Plans of Uovo (*.uovo);;All files (*)</source>
        <translation>Plannen van Uovo (*.uovo);;Alle bestanden (*)</translation>
    </message>
    <message>
        <source>Uovo ended while %1 was open, so it was not opened again by itself.</source>
        <translation>Uovo stopte terwijl %1 open was, dus is het niet vanzelf weer geopend.</translation>
    </message>
    <message>
        <source>Open it</source>
        <translation>Openen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laten</translation>
    </message>
    <message>
        <source>%1 was not opened. %2</source>
        <translation>%1 is niet geopend. %2</translation>
    </message>
    <message>
        <source>%1 is open in another window too: whichever saves second will be asked.</source>
        <translation>%1 is ook in een ander venster open: wie het tweede opslaat krijgt een vraag.</translation>
    </message>
    <message>
        <source>Save the plan</source>
        <translation>Het plan opslaan</translation>
    </message>
    <message>
        <source>Plans of Uovo (*.uovo)</source>
        <translation>Plannen van Uovo (*.uovo)</translation>
    </message>
    <message>
        <source>%1 was not saved: another program or window wrote it since you opened it.</source>
        <translation>%1 is niet opgeslagen: een ander programma of venster schreef het sinds je het opende.</translation>
    </message>
    <message>
        <source>The answers are still being computed; try again in a moment.</source>
        <translation>De antwoorden worden nog berekend; probeer het zo weer.</translation>
    </message>
    <message>
        <source>The bench card is in %1 (%2 pages).</source>
        <translation>De werkkaart staat in %1 (%2 pagina&apos;s).</translation>
    </message>
    <message>
        <source>The printer did not take the card.</source>
        <translation>De printer nam de kaart niet.</translation>
    </message>
    <message>
        <source>None yet</source>
        <translation>Nog geen</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Taal</translation>
    </message>
    <message>
        <source>Language: %1, from the next start of Uovo.</source>
        <translation>Taal: %1, vanaf de volgende start van Uovo.</translation>
    </message>
    <message>
        <source>As the desktop</source>
        <translation>Zoals het bureaublad</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::MeltPlace</name>
    <message>
        <source>What is left of a batch, %1, goes over into the next. </source>
        <translation>Wat van een portie overblijft, %1, gaat mee in de volgende. </translation>
    </message>
    <message>
        <source>Ready after %1; usable for about %2 in this room</source>
        <translation>Klaar na %1; in deze kamer ongeveer %2 te gebruiken</translation>
    </message>
    <message>
        <source>, longer with a burst of %1 every %2</source>
        <translation>, langer met een stoot van %1 elke %2</translation>
    </message>
    <message>
        <source> Two degrees too warm: %1 more seed, or %2 of stirring.</source>
        <translation> Twee graden te warm: %1 ent erbij, of %2 roeren.</translation>
    </message>
    <message>
        <source> Two degrees too warm: %1 more seed, or the bowl into cold water for moments; this room is too warm to cool it.</source>
        <translation> Twee graden te warm: %1 ent erbij, of de kom telkens even in koud water; deze kamer is te warm om haar te koelen.</translation>
    </message>
    <message>
        <source> A third of seed would land at %1.</source>
        <translation> Een derde ent zou uitkomen op %1.</translation>
    </message>
    <message>
        <source> Late in the day %1 are melted again for patches, lids and glue.</source>
        <translation> Laat op de dag wordt %1 opnieuw gesmolten voor bijwerken, deksels en lijm.</translation>
    </message>
    <message>
        <source>pots</source>
        <translation>pannen</translation>
    </message>
    <message>
        <source>to buy</source>
        <translation>te kopen</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Tempered</source>
        <translation>Getempereerd</translation>
    </message>
    <message>
        <source>How it is tempered</source>
        <translation>Hoe er getempereerd wordt</translation>
    </message>
    <message>
        <source>with seed</source>
        <translation>met ent</translation>
    </message>
    <message>
        <source>with cocoa-butter crystals</source>
        <translation>met cacaoboterkristallen</translation>
    </message>
    <message>
        <source>by the full curve</source>
        <translation>met de hele curve</translation>
    </message>
    <message>
        <source>by melting it in part</source>
        <translation>door voor een deel te smelten</translation>
    </message>
    <message>
        <source>in a machine</source>
        <translation>in een machine</translation>
    </message>
    <message>
        <source>not at all</source>
        <translation>helemaal niet</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>Bowl</source>
        <translation>Kom</translation>
    </message>
    <message>
        <source>a light bowl</source>
        <translation>een lichte kom</translation>
    </message>
    <message>
        <source>a glass bowl</source>
        <translation>een glazen kom</translation>
    </message>
    <message>
        <source>a stoneware bowl</source>
        <translation>een aardewerken kom</translation>
    </message>
    <message>
        <source>Bowl for seeding</source>
        <translation>Kom om te enten</translation>
    </message>
    <message>
        <source>seeded in the same bowl</source>
        <translation>geënt in dezelfde kom</translation>
    </message>
    <message>
        <source>poured into a fresh bowl</source>
        <translation>overgegoten in een verse kom</translation>
    </message>
    <message>
        <source>melted</source>
        <translation>gesmolten</translation>
    </message>
    <message>
        <source>Heat</source>
        <translation>Warmte</translation>
    </message>
    <message>
        <source>in a microwave of</source>
        <translation>in een magnetron van</translation>
    </message>
    <message>
        <source>over a water bath</source>
        <translation>boven een waterbad</translation>
    </message>
    <message>
        <source>Power of the microwave</source>
        <translation>Vermogen van de magnetron</translation>
    </message>
    <message>
        <source>A microwave has between 100 and 3000 W.</source>
        <translation>Een magnetron heeft tussen 100 en 3000 W.</translation>
    </message>
    <message>
        <source>Change the microwave</source>
        <translation>De magnetron veranderen</translation>
    </message>
    <message>
        <source>Thermometer</source>
        <translation>Thermometer</translation>
    </message>
    <message>
        <source>W, with a thermometer</source>
        <translation>W, met een thermometer</translation>
    </message>
    <message>
        <source>W, by look</source>
        <translation>W, op het oog</translation>
    </message>
    <message>
        <source>Change what the packet says</source>
        <translation>Veranderen wat het pak zegt</translation>
    </message>
    <message>
        <source>The packet says: melt to</source>
        <translation>Het pak zegt: smelten tot</translation>
    </message>
    <message>
        <source>Packet: melt to</source>
        <translation>Pak: smelten tot</translation>
    </message>
    <message>
        <source>cool to</source>
        <translation>koelen tot</translation>
    </message>
    <message>
        <source>Packet: cool to</source>
        <translation>Pak: koelen tot</translation>
    </message>
    <message>
        <source>work from</source>
        <translation>werken vanaf</translation>
    </message>
    <message>
        <source>Packet: work from</source>
        <translation>Pak: werken vanaf</translation>
    </message>
    <message>
        <source>to</source>
        <translation>tot</translation>
    </message>
    <message>
        <source>Packet: work up to</source>
        <translation>Pak: werken tot</translation>
    </message>
    <message>
        <source>holding</source>
        <translation>inhoud</translation>
    </message>
    <message>
        <source>Packet: how much it holds</source>
        <translation>Pak: hoeveel erin zit</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Kleuren</translation>
    </message>
    <message>
        <source>%1, not used yet</source>
        <translation>%1, nog niet gebruikt</translation>
    </message>
    <message>
        <source>+ a colour from %1 …</source>
        <translation>+ een kleur van %1 …</translation>
    </message>
    <message>
        <source>There is nothing to melt yet: plan a piece.</source>
        <translation>Er is nog niets te smelten: plan een stuk.</translation>
    </message>
    <message>
        <source>%1: %2 in %3 batches, %4 in the bowl each time</source>
        <translation>%1: %2 in %3 porties, telkens %4 in de kom</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>with a thermometer</source>
        <translation>met een thermometer</translation>
    </message>
    <message>
        <source>by look</source>
        <translation>op het oog</translation>
    </message>
    <message>
        <source>On the day: tempered at %1.</source>
        <translation>Op de dag: getempereerd om %1.</translation>
    </message>
    <message>
        <source>On the day: ready to use at %1.</source>
        <translation>Op de dag: klaar voor gebruik om %1.</translation>
    </message>
    <message>
        <source>Colour it first</source>
        <translation>Eerst kleuren</translation>
    </message>
    <message>
        <source>When it goes wrong</source>
        <translation>Als het misgaat</translation>
    </message>
    <message>
        <source>Thick and grainy of a sudden: water or steam got in, it has seized. It cannot be tempered any more; keep it for sauce or cake, dry the tools, melt afresh.</source>
        <translation>Ineens dik en korrelig: er kwam water of stoom bij, ze is dichtgeslagen. Tempereren gaat niet meer; bewaar haar voor saus of gebak, droog het gereedschap, smelt nieuwe.</translation>
    </message>
    <message>
        <source>Dull, streaky or soft after the smear test: the temper is lost. Melt it to the first step&apos;s temperature and begin again.</source>
        <translation>Dof, met strepen of zacht na de veegproef: de temper is weg. Smelt tot de temperatuur van de eerste stap en begin opnieuw.</translation>
    </message>
    <message>
        <source>Thick but smooth: too many crystals. A short burst, stir, look.</source>
        <translation>Dik maar glad: te veel kristallen. Een korte stoot, roer, kijk.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::MishapPanel</name>
    <message>
        <source>What happened?</source>
        <translation>Wat is er gebeurd?</translation>
    </message>
    <message>
        <source>Nothing, go on</source>
        <translation>Niets, ga door</translation>
    </message>
    <message>
        <source>Which?</source>
        <translation>Welke?</translation>
    </message>
    <message>
        <source>Which pot?</source>
        <translation>Welke pan?</translation>
    </message>
    <message>
        <source>How long?</source>
        <translation>Hoe lang?</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>How do you go on?</source>
        <translation>Hoe ga je verder?</translation>
    </message>
    <message>
        <source>%1 broke</source>
        <translation>%1 brak</translation>
    </message>
    <message>
        <source>%1 min are gone.</source>
        <translation>%1 min zijn weg.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::NoticeBar</name>
    <message>
        <source>Close</source>
        <translation>Sluiten</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::OwnShelf</name>
    <message>
        <source>Your kept pieces cannot be read, and are left as they are: %1</source>
        <translation>Je bewaarde stukken kunnen niet worden gelezen, en blijven zoals ze zijn: %1</translation>
    </message>
    <message>
        <source>Kept pieces</source>
        <translation>Bewaarde stukken</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Page</name>
    <message>
        <source>Between %1 and %2.</source>
        <translation>Tussen %1 en %2.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::PieceStage</name>
    <message>
        <source>The piece, cut open</source>
        <translation>Het stuk, opengesneden</translation>
    </message>
    <message>
        <source>Left and right choose a handle, up and down move it.</source>
        <translation>Links en rechts kiezen een handvat, omhoog en omlaag verzetten het.</translation>
    </message>
    <message>
        <source>%1, cut open</source>
        <translation>%1, opengesneden</translation>
    </message>
    <message>
        <source>; wall %1 at the rim, %2 at the thinnest, %3 in the mean</source>
        <translation>; wand %1 aan de rand, %2 op zijn dunst, %3 gemiddeld</translation>
    </message>
    <message>
        <source>, adjustable</source>
        <translation>, te verzetten</translation>
    </message>
    <message>
        <source>%1 is chosen. Left and right choose a handle, up and down move it.</source>
        <translation>%1 is gekozen. Links en rechts kiezen een handvat, omhoog en omlaag verzetten het.</translation>
    </message>
    <message>
        <source>dip depth</source>
        <translation>dompeldiepte</translation>
    </message>
    <message>
        <source>fill line</source>
        <translation>vullijn</translation>
    </message>
    <message>
        <source>girth</source>
        <translation>omtrek</translation>
    </message>
    <message>
        <source>filling</source>
        <translation>vulling</translation>
    </message>
    <message>
        <source>top</source>
        <translation>boven</translation>
    </message>
    <message>
        <source>base</source>
        <translation>onder</translation>
    </message>
    <message>
        <source>rim</source>
        <translation>rand</translation>
    </message>
    <message>
        <source>foot</source>
        <translation>voet</translation>
    </message>
    <message>
        <source>floor</source>
        <translation>bodem</translation>
    </message>
    <message>
        <source>thinnest</source>
        <translation>dunste</translation>
    </message>
    <message>
        <source>thickest</source>
        <translation>dikste</translation>
    </message>
    <message>
        <source>thin</source>
        <translation>dun</translation>
    </message>
    <message>
        <source>%1, thin</source>
        <translation>%1, dun</translation>
    </message>
    <message>
        <source>There is no shape to show yet.</source>
        <translation>Er is nog geen vorm te zien.</translation>
    </message>
    <message>
        <source>Computing the wall …</source>
        <translation>De wand wordt berekend …</translation>
    </message>
    <message>
        <source>%1 and more</source>
        <translation>%1 en meer</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::PieceTile</name>
    <message>
        <source>%1 × %2 %3</source>
        <translation>%1 × %2 %3</translation>
    </message>
    <message>
        <source>not like this</source>
        <translation>zo niet</translation>
    </message>
    <message>
        <source>%1 ×</source>
        <translation>%1 ×</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::PlainCard</name>
    <message>
        <source>Coat</source>
        <translation>Laag</translation>
    </message>
    <message>
        <source>Spread or pipe</source>
        <translation>Uitstrijken of spuiten</translation>
    </message>
    <message>
        <source>Shape by hand</source>
        <translation>Met de hand vormen</translation>
    </message>
    <message>
        <source>Stir and spoon</source>
        <translation>Roeren en scheppen</translation>
    </message>
    <message>
        <source>Cast</source>
        <translation>Gieten</translation>
    </message>
    <message>
        <source>Stand something in</source>
        <translation>Iets erin zetten</translation>
    </message>
    <message>
        <source>What is dipped</source>
        <translation>Wat gedoopt wordt</translation>
    </message>
    <message>
        <source>What is bound</source>
        <translation>Wat gebonden wordt</translation>
    </message>
    <message>
        <source>Topping</source>
        <translation>Garnering</translation>
    </message>
    <message>
        <source>Let it set</source>
        <translation>Laten stollen</translation>
    </message>
    <message>
        <source>Let the air out</source>
        <translation>De lucht eruit laten</translation>
    </message>
    <message>
        <source>Tear the cup off</source>
        <translation>De beker eraf scheuren</translation>
    </message>
    <message>
        <source>Peel the wrap</source>
        <translation>Het wikkel eraf trekken</translation>
    </message>
    <message>
        <source>Lift off</source>
        <translation>Eraf lichten</translation>
    </message>
    <message>
        <source>Unmold</source>
        <translation>Uit de mal</translation>
    </message>
    <message>
        <source>Trim</source>
        <translation>Bijsnijden</translation>
    </message>
    <message>
        <source>Put together</source>
        <translation>In elkaar zetten</translation>
    </message>
    <message>
        <source>Close the halves</source>
        <translation>De helften sluiten</translation>
    </message>
    <message>
        <source>Fill</source>
        <translation>Vullen</translation>
    </message>
    <message>
        <source>Lid</source>
        <translation>Deksel</translation>
    </message>
    <message>
        <source>Decorate</source>
        <translation>Versieren</translation>
    </message>
    <message>
        <source>Put away</source>
        <translation>Opbergen</translation>
    </message>
    <message>
        <source>Serve</source>
        <translation>Serveren</translation>
    </message>
    <message>
        <source>its chocolate</source>
        <translation>zijn chocolade</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>Pouring temperature</source>
        <translation>Giettemperatuur</translation>
    </message>
    <message>
        <source>Chocolate of the cast</source>
        <translation>Chocolade van het gietsel</translation>
    </message>
    <message>
        <source>parts of it</source>
        <translation>delen ervan</translation>
    </message>
    <message>
        <source>Share of the form</source>
        <translation>Deel van de vorm</translation>
    </message>
    <message>
        <source>on the table</source>
        <translation>op tafel</translation>
    </message>
    <message>
        <source>On the table first</source>
        <translation>Eerst op tafel</translation>
    </message>
    <message>
        <source>Where it sets</source>
        <translation>Waar het stolt</translation>
    </message>
    <message>
        <source>Change where it sets</source>
        <translation>Veranderen waar het stolt</translation>
    </message>
    <message>
        <source>The part it stands in</source>
        <translation>Het deel waar het in staat</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>De naam</translation>
    </message>
    <message>
        <source>what it is</source>
        <translation>wat het is</translation>
    </message>
    <message>
        <source>Grams of one</source>
        <translation>Gram van één</translation>
    </message>
    <message>
        <source>Its allergens</source>
        <translation>De allergenen</translation>
    </message>
    <message>
        <source>allergens: none</source>
        <translation>allergenen: geen</translation>
    </message>
    <message>
        <source>a stick</source>
        <translation>een stokje</translation>
    </message>
    <message>
        <source>a biscuit</source>
        <translation>een biscuit</translation>
    </message>
    <message>
        <source>a thing</source>
        <translation>een ding</translation>
    </message>
    <message>
        <source>What stands in it</source>
        <translation>Wat erin staat</translation>
    </message>
    <message>
        <source>Change what stands in it</source>
        <translation>Veranderen wat erin staat</translation>
    </message>
    <message>
        <source>Its grains, allergens and price</source>
        <translation>Zijn korrels, allergenen en prijs</translation>
    </message>
    <message>
        <source>Which topping</source>
        <translation>Welke garnering</translation>
    </message>
    <message>
        <source>Change the topping</source>
        <translation>De garnering veranderen</translation>
    </message>
    <message>
        <source>on each</source>
        <translation>op elk</translation>
    </message>
    <message>
        <source>Topping on each</source>
        <translation>Garnering op elk</translation>
    </message>
    <message>
        <source>When it goes on</source>
        <translation>Wanneer het erop gaat</translation>
    </message>
    <message>
        <source>strewn on at once</source>
        <translation>meteen gestrooid</translation>
    </message>
    <message>
        <source>strewn on when tacky</source>
        <translation>gestrooid als het kleverig is</translation>
    </message>
    <message>
        <source>glued on, one by one</source>
        <translation>een voor een gelijmd</translation>
    </message>
    <message>
        <source>Change when a topping goes on</source>
        <translation>Veranderen wanneer een garnering erop gaat</translation>
    </message>
    <message>
        <source>The part it goes on</source>
        <translation>Het deel waar het op gaat</translation>
    </message>
    <message>
        <source>Where it rests</source>
        <translation>Waar het rust</translation>
    </message>
    <message>
        <source>Change where it rests</source>
        <translation>Veranderen waar het rust</translation>
    </message>
    <message>
        <source>How long it rests</source>
        <translation>Hoe lang het rust</translation>
    </message>
    <message>
        <source>burst at once</source>
        <translation>ineens laten knappen</translation>
    </message>
    <message>
        <source>leak the neck slowly, peel the skin off</source>
        <translation>langzaam bij de hals laten leeglopen, het vel afpellen</translation>
    </message>
    <message>
        <source>snip, then tear round</source>
        <translation>inknippen, dan rondom scheuren</translation>
    </message>
    <message>
        <source>when it looks frosted underneath</source>
        <translation>als het van onderen berijpt lijkt</translation>
    </message>
    <message>
        <source>the rim, on a warm plate or with a knife</source>
        <translation>de rand, op een warme plaat of met een mes</translation>
    </message>
    <message>
        <source>rims warmed on a plate</source>
        <translation>randen warm op een plaat</translation>
    </message>
    <message>
        <source>How full, its recipe, when it is good</source>
        <translation>Hoe vol, het recept, wanneer het goed is</translation>
    </message>
    <message>
        <source>another filling …</source>
        <translation>een andere vulling …</translation>
    </message>
    <message>
        <source>Which filling</source>
        <translation>Welke vulling</translation>
    </message>
    <message>
        <source>Change the filling</source>
        <translation>De vulling veranderen</translation>
    </message>
    <message>
        <source>Another filling</source>
        <translation>Een andere vulling</translation>
    </message>
    <message>
        <source>in each</source>
        <translation>in elk</translation>
    </message>
    <message>
        <source>Filling in each</source>
        <translation>Vulling in elk</translation>
    </message>
    <message>
        <source>chilled after</source>
        <translation>daarna gekoeld</translation>
    </message>
    <message>
        <source>Chilled after it</source>
        <translation>Daarna gekoeld</translation>
    </message>
    <message>
        <source>thick</source>
        <translation>dik</translation>
    </message>
    <message>
        <source>Lid of chocolate, thick</source>
        <translation>Deksel van chocolade, dik</translation>
    </message>
    <message>
        <source>In the mold first</source>
        <translation>Eerst in de mal</translation>
    </message>
    <message>
        <source>Grams, size and places of it</source>
        <translation>Gram, maat en plaatsen ervan</translation>
    </message>
    <message>
        <source>How it is decorated</source>
        <translation>Hoe het versierd is</translation>
    </message>
    <message>
        <source>drizzled</source>
        <translation>sierstrepen</translation>
    </message>
    <message>
        <source>painted</source>
        <translation>beschilderd</translation>
    </message>
    <message>
        <source>sprayed</source>
        <translation>bespoten</translation>
    </message>
    <message>
        <source>dusted</source>
        <translation>bepoederd</translation>
    </message>
    <message>
        <source>stencilled</source>
        <translation>gesjabloneerd</translation>
    </message>
    <message>
        <source>a ribbon</source>
        <translation>een lint</translation>
    </message>
    <message>
        <source>scraped to show layers</source>
        <translation>gekrast om lagen te tonen</translation>
    </message>
    <message>
        <source>splattered</source>
        <translation>bespat</translation>
    </message>
    <message>
        <source>marbled</source>
        <translation>gemarmerd</translation>
    </message>
    <message>
        <source>pearl or gold paint</source>
        <translation>parel- of goudverf</translation>
    </message>
    <message>
        <source>sugar paste</source>
        <translation>suikerpasta</translation>
    </message>
    <message>
        <source>edge in sugar</source>
        <translation>rand in suiker</translation>
    </message>
    <message>
        <source>outline, filled</source>
        <translation>omlijnd, gevuld</translation>
    </message>
    <message>
        <source>wood grain</source>
        <translation>houtnerf</translation>
    </message>
    <message>
        <source>petals</source>
        <translation>bloembladen</translation>
    </message>
    <message>
        <source>two tones, tilted</source>
        <translation>twee tinten, schuin</translation>
    </message>
    <message>
        <source>a bow</source>
        <translation>een strik</translation>
    </message>
    <message>
        <source>strips off a frozen slab</source>
        <translation>repen van een bevroren plaat</translation>
    </message>
    <message>
        <source>Change the decoration</source>
        <translation>De versiering veranderen</translation>
    </message>
    <message>
        <source>Chocolate of the decoration</source>
        <translation>Chocolade van de versiering</translation>
    </message>
    <message>
        <source>What it is</source>
        <translation>Wat het is</translation>
    </message>
    <message>
        <source>deep</source>
        <translation>diep</translation>
    </message>
    <message>
        <source>Scraped, deep</source>
        <translation>Gekrast, diep</translation>
    </message>
    <message>
        <source>dry after</source>
        <translation>droog na</translation>
    </message>
    <message>
        <source>Dry after</source>
        <translation>Droog na</translation>
    </message>
    <message>
        <source>The part that is decorated</source>
        <translation>Het deel dat versierd wordt</translation>
    </message>
    <message>
        <source>Where it is kept</source>
        <translation>Waar het bewaard wordt</translation>
    </message>
    <message>
        <source>boxed</source>
        <translation>in een doos</translation>
    </message>
    <message>
        <source>in the fridge</source>
        <translation>in de koelkast</translation>
    </message>
    <message>
        <source>Change where it is kept</source>
        <translation>Veranderen waar het bewaard wordt</translation>
    </message>
    <message>
        <source>How it is served</source>
        <translation>Hoe het geserveerd wordt</translation>
    </message>
    <message>
        <source>a sauce over it</source>
        <translation>een saus erover</translation>
    </message>
    <message>
        <source>melted in a drink</source>
        <translation>gesmolten in een drank</translation>
    </message>
    <message>
        <source>broken with a mallet</source>
        <translation>gebroken met een hamertje</translation>
    </message>
    <message>
        <source>with a flame on it</source>
        <translation>met een vlam erop</translation>
    </message>
    <message>
        <source>Change how it is served</source>
        <translation>Veranderen hoe het geserveerd wordt</translation>
    </message>
    <message>
        <source>sauce</source>
        <translation>saus</translation>
    </message>
    <message>
        <source>milk</source>
        <translation>melk</translation>
    </message>
    <message>
        <source>for each</source>
        <translation>voor elk</translation>
    </message>
    <message>
        <source>Amount for each</source>
        <translation>Hoeveelheid voor elk</translation>
    </message>
    <message>
        <source>the tap it takes is said in “will it hold”</source>
        <translation>de tik die nodig is staat bij “houdt het”</translation>
    </message>
    <message>
        <source>never leave it alone; keep hair and paper away</source>
        <translation>laat het nooit alleen; houd haar en papier weg</translation>
    </message>
    <message>
        <source>%1 · next after %2</source>
        <translation>%1 · volgende na %2</translation>
    </message>
    <message>
        <source>%1 · sets in %2</source>
        <translation>%1 · stolt in %2</translation>
    </message>
    <message>
        <source>%1 · lets go %2</source>
        <translation>%1 · los na %2</translation>
    </message>
    <message>
        <source>stands after %1</source>
        <translation>staat na %1</translation>
    </message>
    <message>
        <source>about %1 of them</source>
        <translation>ongeveer %1 ervan</translation>
    </message>
    <message>
        <source>on what is in it</source>
        <translation>op wat erin zit</translation>
    </message>
    <message>
        <source>slides down: glue it</source>
        <translation>glijdt omlaag: lijmen</translation>
    </message>
    <message>
        <source>holds after %1</source>
        <translation>houdt na %1</translation>
    </message>
    <message>
        <source>holds at once</source>
        <translation>houdt meteen</translation>
    </message>
    <message>
        <source>%1 in each</source>
        <translation>%1 in elk</translation>
    </message>
    <message>
        <source>no room</source>
        <translation>geen plaats</translation>
    </message>
    <message>
        <source>bears after %1</source>
        <translation>draagt na %1</translation>
    </message>
    <message>
        <source>after %1</source>
        <translation>na %1</translation>
    </message>
    <message>
        <source>and melt the hole</source>
        <translation>en het gat smelten</translation>
    </message>
    <message>
        <source>Stick</source>
        <translation>Stokje</translation>
    </message>
    <message>
        <source>Biscuit</source>
        <translation>Biscuit</translation>
    </message>
    <message>
        <source>Something</source>
        <translation>Iets</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::PotCard</name>
    <message>
        <source>in %1 batches</source>
        <translation>in %1 porties</translation>
    </message>
    <message>
        <source>in one batch</source>
        <translation>in één portie</translation>
    </message>
    <message>
        <source>%1 come back</source>
        <translation>%1 komt terug</translation>
    </message>
    <message>
        <source>%1 wanted late</source>
        <translation>%1 laat nodig</translation>
    </message>
    <message>
        <source>to melt</source>
        <translation>te smelten</translation>
    </message>
    <message>
        <source>%1, and %2 more</source>
        <translation>%1, en nog %2</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ProbeLink</name>
    <message>
        <source>there is no such device</source>
        <translation>dat apparaat is er niet</translation>
    </message>
    <message>
        <source>another program listens to it, or this account may not read it</source>
        <translation>een ander programma luistert ernaar, of dit account mag het niet lezen</translation>
    </message>
    <message>
        <source>listening to %1</source>
        <translation>luistert naar %1</translation>
    </message>
    <message>
        <source>%1 cannot be opened: %2</source>
        <translation>%1 kan niet worden geopend: %2</translation>
    </message>
    <message>
        <source>The thermometer is unplugged: waiting for it.</source>
        <translation>De thermometer is losgekoppeld: wacht erop.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ProblemsButton</name>
    <message>
        <source>1 problem</source>
        <translation>1 probleem</translation>
    </message>
    <message>
        <source>%1 problems</source>
        <translation>%1 problemen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ProfileEditor</name>
    <message>
        <source>Profile of the mold, point by point</source>
        <translation>Profiel van de mal, punt voor punt</translation>
    </message>
    <message>
        <source>Point %1 of %2: %3 from the axis, %4 high. Page keys choose, arrows move, Delete takes it away, Insert adds one.</source>
        <translation>Punt %1 van %2: %3 van de as, %4 hoog. Page-toetsen kiezen, pijlen verplaatsen, Delete haalt weg, Insert voegt toe.</translation>
    </message>
    <message>
        <source>%1 across, %2 high</source>
        <translation>%1 breed, %2 hoog</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::RecipeLine</name>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
    <message>
        <source>Name of the piece</source>
        <translation>Naam van het stuk</translation>
    </message>
    <message>
        <source>A piece needs a name.</source>
        <translation>Een stuk heeft een naam nodig.</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Hernoemen</translation>
    </message>
    <message>
        <source>How many</source>
        <translation>Hoeveel</translation>
    </message>
    <message>
        <source>Change how many</source>
        <translation>Veranderen hoeveel</translation>
    </message>
    <message>
        <source>Chocolate</source>
        <translation>Chocolade</translation>
    </message>
    <message>
        <source>Temper</source>
        <translation>Temper</translation>
    </message>
    <message>
        <source>tempered</source>
        <translation>getempereerd</translation>
    </message>
    <message>
        <source>untempered</source>
        <translation>ongetempereerd</translation>
    </message>
    <message>
        <source>Thinned with</source>
        <translation>Verdund met</translation>
    </message>
    <message>
        <source>not thinned</source>
        <translation>niet verdund</translation>
    </message>
    <message>
        <source>2 % cocoa butter</source>
        <translation>2 % cacaoboter</translation>
    </message>
    <message>
        <source>5 % cocoa butter</source>
        <translation>5 % cacaoboter</translation>
    </message>
    <message>
        <source>2 % oil</source>
        <translation>2 % olie</translation>
    </message>
    <message>
        <source>5 % oil</source>
        <translation>5 % olie</translation>
    </message>
    <message>
        <source>in</source>
        <translation>in</translation>
    </message>
    <message>
        <source>Wall at least</source>
        <translation>Wand minstens</translation>
    </message>
    <message>
        <source>Wall wanted</source>
        <translation>Gewenste wand</translation>
    </message>
    <message>
        <source>its own mold</source>
        <translation>zijn eigen mal</translation>
    </message>
    <message>
        <source>How its mold is made and comes off, and when it is begun</source>
        <translation>Hoe zijn mal gemaakt wordt en loskomt, en wanneer je begint</translation>
    </message>
    <message>
        <source>molds enough</source>
        <translation>mallen genoeg</translation>
    </message>
    <message>
        <source>one mold</source>
        <translation>één mal</translation>
    </message>
    <message>
        <source>%1 molds</source>
        <translation>%1 mallen</translation>
    </message>
    <message>
        <source>Molds that are there</source>
        <translation>Mallen die er zijn</translation>
    </message>
    <message>
        <source>filled</source>
        <translation>gevuld</translation>
    </message>
    <message>
        <source>Share that is filled</source>
        <translation>Deel dat gevuld is</translation>
    </message>
    <message>
        <source>with</source>
        <translation>met</translation>
    </message>
    <message>
        <source>holding</source>
        <translation>inhoud</translation>
    </message>
    <message>
        <source>Filling in each</source>
        <translation>Vulling in elk</translation>
    </message>
    <message>
        <source>of</source>
        <translation>van</translation>
    </message>
    <message>
        <source>Name of the filling; empty for none</source>
        <translation>Naam van de vulling; leeg voor geen</translation>
    </message>
    <message>
        <source>Take the filling out</source>
        <translation>De vulling eruit halen</translation>
    </message>
    <message>
        <source>Rename the filling</source>
        <translation>De vulling hernoemen</translation>
    </message>
    <message>
        <source>recipe and lid</source>
        <translation>recept en deksel</translation>
    </message>
    <message>
        <source>How full, the lid on it, its recipe and when it is good</source>
        <translation>Hoe vol, het deksel erop, het recept en wanneer het goed is</translation>
    </message>
    <message>
        <source>filling</source>
        <translation>vulling</translation>
    </message>
    <message>
        <source>Add a filling</source>
        <translation>Een vulling toevoegen</translation>
    </message>
    <message>
        <source>Chocolate of this part</source>
        <translation>Chocolade van dit deel</translation>
    </message>
    <message>
        <source>as the whole</source>
        <translation>zoals het geheel</translation>
    </message>
    <message>
        <source>stands right</source>
        <translation>staat rechts</translation>
    </message>
    <message>
        <source>How far to the right it stands</source>
        <translation>Hoe ver het naar rechts staat</translation>
    </message>
    <message>
        <source>back</source>
        <translation>achter</translation>
    </message>
    <message>
        <source>How far to the back it stands</source>
        <translation>Hoe ver het naar achteren staat</translation>
    </message>
    <message>
        <source>up</source>
        <translation>hoog</translation>
    </message>
    <message>
        <source>How far up it stands</source>
        <translation>Hoe hoog het staat</translation>
    </message>
    <message>
        <source>tipped back °</source>
        <translation>achterover °</translation>
    </message>
    <message>
        <source>Tipped back, degrees</source>
        <translation>Achterover, graden</translation>
    </message>
    <message>
        <source>aside °</source>
        <translation>opzij °</translation>
    </message>
    <message>
        <source>Tipped aside, degrees</source>
        <translation>Opzij, graden</translation>
    </message>
    <message>
        <source>turned °</source>
        <translation>gedraaid °</translation>
    </message>
    <message>
        <source>Turned round, degrees</source>
        <translation>Rondgedraaid, graden</translation>
    </message>
    <message>
        <source>glued to</source>
        <translation>gelijmd aan</translation>
    </message>
    <message>
        <source>Glued to</source>
        <translation>Gelijmd aan</translation>
    </message>
    <message>
        <source>along</source>
        <translation>over</translation>
    </message>
    <message>
        <source>Length of the joint</source>
        <translation>Lengte van de naad</translation>
    </message>
    <message>
        <source>How it is glued</source>
        <translation>Hoe het gelijmd is</translation>
    </message>
    <message>
        <source>unglue</source>
        <translation>losmaken</translation>
    </message>
    <message>
        <source>Take this joint out</source>
        <translation>Deze naad weghalen</translation>
    </message>
    <message>
        <source>Take a joint out</source>
        <translation>Een naad weghalen</translation>
    </message>
    <message>
        <source>+ joint</source>
        <translation>+ naad</translation>
    </message>
    <message>
        <source>Where else this part is glued</source>
        <translation>Waar dit deel nog gelijmd is</translation>
    </message>
    <message>
        <source>Add a joint</source>
        <translation>Een naad toevoegen</translation>
    </message>
    <message>
        <source>Take this part out</source>
        <translation>Dit deel weghalen</translation>
    </message>
    <message>
        <source>The part, its joints and its own steps</source>
        <translation>Het deel, zijn naden en zijn eigen stappen</translation>
    </message>
    <message>
        <source>Take a part out</source>
        <translation>Een deel weghalen</translation>
    </message>
    <message>
        <source>Open into its parts</source>
        <translation>In delen openen</translation>
    </message>
    <message>
        <source>Each part free to move, change and glue; the whole no longer follows a few figures</source>
        <translation>Elk deel vrij om te verplaatsen, veranderen en lijmen; het geheel volgt niet langer een paar maten</translation>
    </message>
    <message>
        <source>+ part</source>
        <translation>+ deel</translation>
    </message>
    <message>
        <source>Another part, on top of what is there</source>
        <translation>Nog een deel, op wat er is</translation>
    </message>
    <message>
        <source>outline from a file</source>
        <translation>omtrek uit een bestand</translation>
    </message>
    <message>
        <source>joined with</source>
        <translation>verbonden met</translation>
    </message>
    <message>
        <source>Draw its profile …</source>
        <translation>Het profiel tekenen …</translation>
    </message>
    <message>
        <source>Model file …</source>
        <translation>Modelbestand …</translation>
    </message>
    <message>
        <source>Profile from an SVG file …</source>
        <translation>Profiel uit een SVG-bestand …</translation>
    </message>
    <message>
        <source>Outline from an SVG file …</source>
        <translation>Omtrek uit een SVG-bestand …</translation>
    </message>
    <message>
        <source>Picture or letters …</source>
        <translation>Foto of letters …</translation>
    </message>
    <message>
        <source>An outline traced from a photo or scan, or a letter or word</source>
        <translation>Een omtrek van een foto of scan, of een letter of woord</translation>
    </message>
    <message>
        <source>Follow the whole again</source>
        <translation>Het geheel weer volgen</translation>
    </message>
    <message>
        <source>Let a part follow the whole</source>
        <translation>Een deel het geheel laten volgen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::RunKeeper</name>
    <message>
        <source>The last event of this day was not whole on the disk, and is left out.</source>
        <translation>De laatste gebeurtenis van deze dag stond niet heel op de schijf, en is weggelaten.</translation>
    </message>
    <message>
        <source>Not yet: it has not set. Look again in %1 min.</source>
        <translation>Nog niet: het is niet gestold. Kijk over %1 min weer.</translation>
    </message>
    <message numerus="yes">
        <source>Ready at %1, %n min late.</source>
        <translation>
            <numerusform>Klaar om %1, %n min te laat.</numerusform>
            <numerusform>Klaar om %1, %n min te laat.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n min less in hand.</source>
        <translation>
            <numerusform>%n min minder over.</numerusform>
            <numerusform>%n min minder over.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 and %n more steps move.</source>
        <translation>
            <numerusform>%1 en nog %n stap verschuiven.</numerusform>
            <numerusform>%1 en nog %n stappen verschuiven.</numerusform>
        </translation>
    </message>
    <message>
        <source>Later: %1.</source>
        <translation>Later: %1.</translation>
    </message>
    <message>
        <source>At risk: %1</source>
        <translation>In gevaar: %1</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ShapeFiles</name>
    <message>
        <source>A model</source>
        <translation>Een model</translation>
    </message>
    <message>
        <source>An outline</source>
        <translation>Een omtrek</translation>
    </message>
    <message>
        <source>Models (*.stl *.obj *.ply *.3mf)</source>
        <translation>Modellen (*.stl *.obj *.ply *.3mf)</translation>
    </message>
    <message>
        <source>Outlines (*.svg)</source>
        <translation>Omtrekken (*.svg)</translation>
    </message>
    <message>
        <source>%1 is neither a plan, nor a model (STL, OBJ, PLY, 3MF), nor an outline (SVG).</source>
        <translation>%1 is geen plan, geen model (STL, OBJ, PLY, 3MF) en geen omtrek (SVG).</translation>
    </message>
    <message>
        <source>One model is still being read.</source>
        <translation>Er wordt nog een model gelezen.</translation>
    </message>
    <message>
        <source>Reading %1 …</source>
        <translation>%1 wordt gelezen …</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Stoppen</translation>
    </message>
    <message>
        <source>%1 was not brought in. %2</source>
        <translation>%1 is niet binnengehaald. %2</translation>
    </message>
    <message>
        <source>In what unit was %1 made?</source>
        <translation>In welke eenheid is %1 gemaakt?</translation>
    </message>
    <message>
        <source>%1: %2 × %3 × %4</source>
        <translation>%1: %2 × %3 × %4</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Laten</translation>
    </message>
    <message>
        <source>Bring in a model</source>
        <translation>Een model binnenhalen</translation>
    </message>
    <message>
        <source>%1 cannot be read.</source>
        <translation>%1 kan niet worden gelezen.</translation>
    </message>
    <message>
        <source>Bring in an outline</source>
        <translation>Een omtrek binnenhalen</translation>
    </message>
    <message>
        <source>The shape is still being computed; try again in a moment.</source>
        <translation>De vorm wordt nog berekend; probeer het zo weer.</translation>
    </message>
    <message>
        <source>The shape is in %1, in millimetres: %2 triangles, %3 of chocolate.</source>
        <translation>De vorm staat in %1, in millimeters: %2 driehoeken, %3 chocolade.</translation>
    </message>
    <message>
        <source>Only the turning view is saved as SVG; press F8, or save a PNG.</source>
        <translation>Alleen het draaiende aanzicht is als SVG op te slaan; druk F8, of sla een PNG op.</translation>
    </message>
    <message>
        <source>The picture was not saved: %1.</source>
        <translation>De tekening is niet opgeslagen: %1.</translation>
    </message>
    <message>
        <source>The picture was not saved in %1.</source>
        <translation>De tekening is niet opgeslagen in %1.</translation>
    </message>
    <message>
        <source>The picture is in %1.</source>
        <translation>De tekening staat in %1.</translation>
    </message>
    <message>
        <source>This piece has no flat pattern: wraps of acetate and sheet parts have one.</source>
        <translation>Dit stuk heeft geen plat patroon: wikkels van acetaat en delen uit een vel hebben er een.</translation>
    </message>
    <message>
        <source>The pattern was not saved in %1.</source>
        <translation>Het patroon is niet opgeslagen in %1.</translation>
    </message>
    <message>
        <source>The pattern is in %1 at true scale. Print it at 100 % and measure its ruler.</source>
        <translation>Het patroon staat in %1 op ware grootte. Print het op 100 % en meet de liniaal na.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ShapePlace</name>
    <message>
        <source>Take a kept piece</source>
        <translation>Een bewaard stuk nemen</translation>
    </message>
    <message>
        <source>cut open</source>
        <translation>open</translation>
    </message>
    <message>
        <source>The piece cut open, with handles</source>
        <translation>Het stuk opengesneden, met handvatten</translation>
    </message>
    <message>
        <source>turn it</source>
        <translation>draaien</translation>
    </message>
    <message>
        <source>The piece in three dimensions (F8)</source>
        <translation>Het stuk in drie dimensies (F8)</translation>
    </message>
    <message>
        <source>will it hold</source>
        <translation>houdt het</translation>
    </message>
    <message>
        <source>What happens to the piece, and whether it holds (F9)</source>
        <translation>Wat er met het stuk gebeurt, en of het houdt (F9)</translation>
    </message>
    <message>
        <source>answers</source>
        <translation>antwoorden</translation>
    </message>
    <message>
        <source>What follows from it: wall, grams, times (F10)</source>
        <translation>Wat eruit volgt: wand, grammen, tijden (F10)</translation>
    </message>
    <message>
        <source>corner</source>
        <translation>hoek</translation>
    </message>
    <message>
        <source>From a corner (1)</source>
        <translation>Vanuit een hoek (1)</translation>
    </message>
    <message>
        <source>front</source>
        <translation>voor</translation>
    </message>
    <message>
        <source>From the front (2)</source>
        <translation>Van voren (2)</translation>
    </message>
    <message>
        <source>side</source>
        <translation>opzij</translation>
    </message>
    <message>
        <source>From the right (3)</source>
        <translation>Van rechts (3)</translation>
    </message>
    <message>
        <source>top</source>
        <translation>boven</translation>
    </message>
    <message>
        <source>From above (4)</source>
        <translation>Van boven (4)</translation>
    </message>
    <message>
        <source>thick or thin</source>
        <translation>dik of dun</translation>
    </message>
    <message>
        <source>Colour the wall by its thickness</source>
        <translation>De wand naar zijn dikte kleuren</translation>
    </message>
    <message>
        <source>egg</source>
        <translation>ei</translation>
    </message>
    <message>
        <source>A hen&apos;s egg beside it, for scale</source>
        <translation>Een kippenei ernaast, voor de maat</translation>
    </message>
    <message>
        <source>paint</source>
        <translation>verven</translation>
    </message>
    <message>
        <source>Paint where the brush goes</source>
        <translation>Verven waar de kwast komt</translation>
    </message>
    <message>
        <source>Pull the parts from each other</source>
        <translation>De delen uit elkaar trekken</translation>
    </message>
    <message>
        <source>apart</source>
        <translation>uit elkaar</translation>
    </message>
    <message>
        <source>Cut away from the front</source>
        <translation>Van voren wegsnijden</translation>
    </message>
    <message>
        <source>cut away</source>
        <translation>wegsnijden</translation>
    </message>
    <message>
        <source>How much thicker than it is the wall is drawn</source>
        <translation>Hoeveel dikker dan hij is de wand getekend wordt</translation>
    </message>
    <message>
        <source>wall in true scale</source>
        <translation>wand op ware schaal</translation>
    </message>
    <message>
        <source>wall drawn %1 ×</source>
        <translation>wand %1 × getekend</translation>
    </message>
    <message>
        <source>Wipe a stroke off</source>
        <translation>Een streek wissen</translation>
    </message>
    <message>
        <source>Paint a stroke</source>
        <translation>Een streek verven</translation>
    </message>
    <message>
        <source>The plan has changed meanwhile: cast it again.</source>
        <translation>Het plan is intussen veranderd: giet het opnieuw.</translation>
    </message>
    <message>
        <source>Cast a piece in a mold of its own</source>
        <translation>Een stuk in een eigen mal gieten</translation>
    </message>
    <message>
        <source>%1 is kept: it stands first in the gallery of every plan.</source>
        <translation>%1 is bewaard: het staat vooraan in de galerij van elk plan.</translation>
    </message>
    <message>
        <source>Drag the dip line</source>
        <translation>De dompellijn slepen</translation>
    </message>
    <message>
        <source>Drag the girth</source>
        <translation>De omtrek slepen</translation>
    </message>
    <message>
        <source>Drag the filling</source>
        <translation>De vulling slepen</translation>
    </message>
    <message>
        <source>Drag the cup</source>
        <translation>De beker slepen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Sheet</name>
    <message>
        <source>Close</source>
        <translation>Sluiten</translation>
    </message>
    <message>
        <source>Close (Esc)</source>
        <translation>Sluiten (Esc)</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::SheetPicture</name>
    <message>
        <source>Sheet %1 with %2 parts</source>
        <translation>Vel %1 met %2 delen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>cut %1</source>
        <translation>snijd %1</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ShelfPanel</name>
    <message>
        <source>Shelf</source>
        <translation>Plank</translation>
    </message>
    <message>
        <source>Copy the piece beside it</source>
        <translation>Het stuk ernaast kopiëren</translation>
    </message>
    <message>
        <source>Move the piece up</source>
        <translation>Het stuk omhoog</translation>
    </message>
    <message>
        <source>Move the piece down</source>
        <translation>Het stuk omlaag</translation>
    </message>
    <message>
        <source>Take the piece off the shelf</source>
        <translation>Het stuk van de plank halen</translation>
    </message>
    <message>
        <source>More about the piece: notes, beside another, keep it</source>
        <translation>Meer over het stuk: aantekeningen, naast een ander, bewaren</translation>
    </message>
    <message>
        <source>Another piece</source>
        <translation>Nog een stuk</translation>
    </message>
    <message>
        <source>Start a piece from the gallery (Ctrl+G)</source>
        <translation>Een stuk uit de galerij beginnen (Ctrl+G)</translation>
    </message>
    <message>
        <source>Notes and a picture …</source>
        <translation>Aantekeningen en een foto …</translation>
    </message>
    <message>
        <source>Beside another piece …</source>
        <translation>Naast een ander stuk …</translation>
    </message>
    <message>
        <source>Keep it for other plans</source>
        <translation>Voor andere plannen bewaren</translation>
    </message>
    <message>
        <source>Cast it in a mold of its own</source>
        <translation>In een eigen mal gieten</translation>
    </message>
    <message>
        <source>Add a piece</source>
        <translation>Een stuk toevoegen</translation>
    </message>
    <message>
        <source>Copy a piece</source>
        <translation>Een stuk kopiëren</translation>
    </message>
    <message>
        <source>Take a piece off the shelf</source>
        <translation>Een stuk van de plank halen</translation>
    </message>
    <message>
        <source>Move a piece up the shelf</source>
        <translation>Een stuk op de plank omhoog</translation>
    </message>
    <message>
        <source>Move a piece down the shelf</source>
        <translation>Een stuk op de plank omlaag</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::ShoppingPanel</name>
    <message>
        <source>To buy</source>
        <translation>Te kopen</translation>
    </message>
    <message>
        <source>copy</source>
        <translation>kopiëren</translation>
    </message>
    <message>
        <source>Copy the shopping list</source>
        <translation>De boodschappenlijst kopiëren</translation>
    </message>
    <message>
        <source>save</source>
        <translation>opslaan</translation>
    </message>
    <message>
        <source>Save the shopping list as a table (CSV) or a page (PDF)</source>
        <translation>De boodschappenlijst opslaan als tabel (CSV) of pagina (PDF)</translation>
    </message>
    <message>
        <source>Save the shopping list</source>
        <translation>De boodschappenlijst opslaan</translation>
    </message>
    <message>
        <source>shopping.csv</source>
        <translation>boodschappen.csv</translation>
    </message>
    <message>
        <source>Table (*.csv);;Page (*.pdf)</source>
        <translation>Tabel (*.csv);;Pagina (*.pdf)</translation>
    </message>
    <message>
        <source>print</source>
        <translation>printen</translation>
    </message>
    <message>
        <source>Print the shopping list</source>
        <translation>De boodschappenlijst printen</translation>
    </message>
    <message>
        <source>Guests; 0: not said</source>
        <translation>Gasten; 0: niet gezegd</translation>
    </message>
    <message>
        <source>Guests</source>
        <translation>Gasten</translation>
    </message>
    <message>
        <source>Change the guests</source>
        <translation>De gasten veranderen</translation>
    </message>
    <message>
        <source>What can I make of</source>
        <translation>Wat kan ik maken van</translation>
    </message>
    <message>
        <source>Chocolate that is left</source>
        <translation>Chocolade die over is</translation>
    </message>
    <message>
        <source>Ask for more than nothing, up to a tonne.</source>
        <translation>Vraag om meer dan niets, tot een ton.</translation>
    </message>
    <message>
        <source>%1 × %2 of %3</source>
        <translation>%1 × %2 %3</translation>
    </message>
    <message>
        <source>No %1</source>
        <translation>Geen %1</translation>
    </message>
    <message>
        <source>%1 to melt</source>
        <translation>%1 te smelten</translation>
    </message>
    <message>
        <source>, %1 in the cupboard</source>
        <translation>, %1 in de kast</translation>
    </message>
    <message>
        <source>, %1 used up</source>
        <translation>, %1 gaat op</translation>
    </message>
    <message>
        <source>%1 in the cupboard</source>
        <translation>%1 in de kast</translation>
    </message>
    <message>
        <source>Change what stands in the cupboard</source>
        <translation>Veranderen wat in de kast staat</translation>
    </message>
    <message>
        <source>Price of a kilogram of %1</source>
        <translation>Prijs van een kilo %1</translation>
    </message>
    <message>
        <source>Change a price</source>
        <translation>Een prijs veranderen</translation>
    </message>
    <message>
        <source>Best-before date of %1</source>
        <translation>Houdbaarheidsdatum van %1</translation>
    </message>
    <message>
        <source>Change a best-before date</source>
        <translation>Een houdbaarheidsdatum veranderen</translation>
    </message>
    <message>
        <source>price a kg</source>
        <translation>prijs per kg</translation>
    </message>
    <message>
        <source>best before</source>
        <translation>houdbaar tot</translation>
    </message>
    <message>
        <source>for %1</source>
        <translation>voor %1</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1 for what is used up</source>
        <translation>%1 voor wat opgaat</translation>
    </message>
    <message>
        <source>, as far as prices are known</source>
        <translation>, voor zover prijzen bekend zijn</translation>
    </message>
    <message>
        <source>; %1 a guest</source>
        <translation>; %1 per gast</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>In each: %1.</source>
        <translation>In elk: %1.</translation>
    </message>
    <message>
        <source>Allergens: %1.%2 Read the packets; tell your guests.</source>
        <translation>Allergenen: %1.%2 Lees de verpakkingen; zeg het je gasten.</translation>
    </message>
    <message>
        <source> Traces: %1.</source>
        <translation> Sporen: %1.</translation>
    </message>
    <message>
        <source>of %1, bath and tools counted:</source>
        <translation>van %1, bad en gereedschap meegeteld:</translation>
    </message>
    <message>
        <source>%1 × %2</source>
        <translation>%1 × %2</translation>
    </message>
    <message>
        <source>not one %1</source>
        <translation>niet één %1</translation>
    </message>
    <message>
        <source>It could not be written: %1.</source>
        <translation>Het kon niet worden geschreven: %1.</translation>
    </message>
    <message>
        <source>Not saved</source>
        <translation>Niet opgeslagen</translation>
    </message>
    <message>
        <source>Not printed</source>
        <translation>Niet geprint</translation>
    </message>
    <message>
        <source>The printer did not take the list.</source>
        <translation>De printer nam de lijst niet.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::SolidStage</name>
    <message>
        <source>The piece in three dimensions</source>
        <translation>Het stuk in drie dimensies</translation>
    </message>
    <message>
        <source>Arrows turn it, plus and minus come nearer and go back, Shift with arrows moves it, 1 to 4 are standard views, 0 fits it in. While painting, space paints in the middle.</source>
        <translation>Pijlen draaien het, plus en min komen dichterbij en gaan terug, Shift met pijlen schuift het, 1 tot 4 zijn vaste aanzichten, 0 past het in. Bij het verven verft spatie in het midden.</translation>
    </message>
    <message>
        <source>%1, in three dimensions</source>
        <translation>%1, in drie dimensies</translation>
    </message>
    <message>
        <source>; wall %1 at the thinnest, %2 in the mean</source>
        <translation>; wand %1 op zijn dunst, %2 gemiddeld</translation>
    </message>
    <message>
        <source>%1 MPa</source>
        <translation>%1 MPa</translation>
    </message>
    <message>
        <source>bare</source>
        <translation>kaal</translation>
    </message>
    <message>
        <source>opens here first</source>
        <translation>hier gaat het het eerst open</translation>
    </message>
    <message>
        <source>Click where the brush goes; drag turns the piece.</source>
        <translation>Klik waar de kwast komt; slepen draait het stuk.</translation>
    </message>
    <message numerus="yes">
        <source>%n stroke(s). Shift and click wipes one off.</source>
        <translation>
            <numerusform>%n streek. Shift en klik wist er een.</numerusform>
            <numerusform>%n streken. Shift en klik wist er een.</numerusform>
        </translation>
    </message>
    <message>
        <source>There is no shape to show yet.</source>
        <translation>Er is nog geen vorm te zien.</translation>
    </message>
    <message>
        <source>Building the shape …</source>
        <translation>De vorm wordt gebouwd …</translation>
    </message>
    <message>
        <source>no pull</source>
        <translation>geen trek</translation>
    </message>
    <message>
        <source>%1 and more</source>
        <translation>%1 en meer</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::StatesStrip</name>
    <message>
        <source>into the cold</source>
        <translation>de kou in</translation>
    </message>
    <message>
        <source>look</source>
        <translation>bekijken</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 om %2</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::StepCard</name>
    <message>
        <source>Alt with left or right moves it, Insert copies it, Delete removes it.</source>
        <translation>Alt met links of rechts verplaatst hem, Insert kopieert hem, Delete haalt hem weg.</translation>
    </message>
    <message>
        <source>put it right</source>
        <translation>in orde brengen</translation>
    </message>
    <message>
        <source>Put the steps in order</source>
        <translation>De stappen op volgorde zetten</translation>
    </message>
    <message>
        <source>Change %1</source>
        <translation>%1 veranderen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::StepCards</name>
    <message>
        <source>How it is made</source>
        <translation>Hoe het gemaakt wordt</translation>
    </message>
    <message>
        <source>coat</source>
        <translation>laag</translation>
    </message>
    <message>
        <source>Add a coat like the last one (Ctrl+K)</source>
        <translation>Een laag toevoegen zoals de laatste (Ctrl+K)</translation>
    </message>
    <message>
        <source>Add a coat</source>
        <translation>Een laag toevoegen</translation>
    </message>
    <message>
        <source>step</source>
        <translation>stap</translation>
    </message>
    <message>
        <source>Add a step: a filling, a topping, something in it, a decoration</source>
        <translation>Een stap toevoegen: een vulling, een garnering, iets erin, een versiering</translation>
    </message>
    <message>
        <source>Add a step</source>
        <translation>Een stap toevoegen</translation>
    </message>
    <message>
        <source>Move a step</source>
        <translation>Een stap verplaatsen</translation>
    </message>
    <message>
        <source>Remove a step</source>
        <translation>Een stap verwijderen</translation>
    </message>
    <message>
        <source>Copy a step</source>
        <translation>Een stap kopiëren</translation>
    </message>
    <message>
        <source>Biscuit crumbs</source>
        <translation>Koekkruimels</translation>
    </message>
    <message>
        <source>wheat</source>
        <translation>tarwe</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::StepList</name>
    <message>
        <source>“%1” follows from what it is for: pin that.</source>
        <translation>“%1” volgt uit waar het voor is: zet dat vast.</translation>
    </message>
    <message>
        <source>That time has passed.</source>
        <translation>Die tijd is voorbij.</translation>
    </message>
    <message>
        <source>Pin a step</source>
        <translation>Een stap vastzetten</translation>
    </message>
    <message>
        <source>Find a step</source>
        <translation>Een stap zoeken</translation>
    </message>
    <message>
        <source>Steps of the day; space ticks one off, P pins it</source>
        <translation>Stappen van de dag; spatie vinkt er een af, P zet hem vast</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>feed the %1 at %2</source>
        <translation>vul %1 aan om %2</translation>
    </message>
    <message>
        <source>warm the %1 at %2</source>
        <translation>warm %1 op om %2</translation>
    </message>
    <message>
        <source>, done</source>
        <translation>, gedaan</translation>
    </message>
    <message>
        <source>, pinned</source>
        <translation>, vastgezet</translation>
    </message>
    <message>
        <source>Take a tick off</source>
        <translation>Een vinkje weghalen</translation>
    </message>
    <message>
        <source>Tick a step off</source>
        <translation>Een stap afvinken</translation>
    </message>
    <message>
        <source>Let a step go</source>
        <translation>Een stap loslaten</translation>
    </message>
    <message>
        <source>Choose the day it is made</source>
        <translation>De dag kiezen waarop het gemaakt wordt</translation>
    </message>
    <message>
        <source>Split into smaller rounds</source>
        <translation>In kleinere rondes verdelen</translation>
    </message>
    <message>
        <source>Join the rounds</source>
        <translation>De rondes samenvoegen</translation>
    </message>
    <message>
        <source>Take the tick off</source>
        <translation>Het vinkje weghalen</translation>
    </message>
    <message>
        <source>Tick it off</source>
        <translation>Afvinken</translation>
    </message>
    <message>
        <source>Let it go</source>
        <translation>Loslaten</translation>
    </message>
    <message>
        <source>Pin it here</source>
        <translation>Hier vastzetten</translation>
    </message>
    <message>
        <source>Shells on the day itself</source>
        <translation>Schalen op de dag zelf</translation>
    </message>
    <message>
        <source>Shells the day before</source>
        <translation>Schalen de dag ervoor</translation>
    </message>
    <message>
        <source>In smaller rounds</source>
        <translation>In kleinere rondes</translation>
    </message>
    <message>
        <source>As many at once as fit</source>
        <translation>Zoveel tegelijk als past</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::StepPicture</name>
    <message>
        <source>Step %1: %2</source>
        <translation>Stap %1: %2</translation>
    </message>
    <message>
        <source>beside</source>
        <translation>ernaast</translation>
    </message>
    <message>
        <source>hold %1</source>
        <translation>%1 vast</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::TakeAlong</name>
    <message>
        <source>Whose work is taken along</source>
        <translation>Wiens werk wordt meegenomen</translation>
    </message>
    <message>
        <source>print</source>
        <translation>printen</translation>
    </message>
    <message>
        <source>Print the day as a sheet for the wall</source>
        <translation>De dag printen als blad voor de muur</translation>
    </message>
    <message>
        <source>cards</source>
        <translation>kaarten</translation>
    </message>
    <message>
        <source>Print a card for each block of work</source>
        <translation>Een kaart printen voor elk blok werk</translation>
    </message>
    <message>
        <source>save</source>
        <translation>opslaan</translation>
    </message>
    <message>
        <source>Save the day as a page (PDF), a calendar (ICS) or text</source>
        <translation>De dag opslaan als pagina (PDF), agenda (ICS) of tekst</translation>
    </message>
    <message>
        <source>Save the day</source>
        <translation>De dag opslaan</translation>
    </message>
    <message>
        <source>day.pdf</source>
        <translation>dag.pdf</translation>
    </message>
    <message>
        <source>Page (*.pdf);;Calendar (*.ics);;Text (*.txt)</source>
        <translation>Pagina (*.pdf);;Agenda (*.ics);;Tekst (*.txt)</translation>
    </message>
    <message>
        <source>copy</source>
        <translation>kopiëren</translation>
    </message>
    <message>
        <source>Copy the day as text</source>
        <translation>De dag als tekst kopiëren</translation>
    </message>
    <message>
        <source>To take along, of</source>
        <translation>Om mee te nemen, van</translation>
    </message>
    <message>
        <source>everybody</source>
        <translation>iedereen</translation>
    </message>
    <message>
        <source>Saved %1.</source>
        <translation>%1 is opgeslagen.</translation>
    </message>
    <message>
        <source>Print the cards</source>
        <translation>De kaarten printen</translation>
    </message>
    <message>
        <source>Print the day</source>
        <translation>De dag printen</translation>
    </message>
    <message>
        <source>The printer took nothing.</source>
        <translation>De printer nam niets.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::Teacher</name>
    <message>
        <source>Count on what was weighed</source>
        <translation>Rekenen op wat gewogen is</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::TemperCurve</name>
    <message>
        <source>Tempering curve: %1</source>
        <translation>Tempereercurve: %1</translation>
    </message>
    <message>
        <source>%1 at minute %2</source>
        <translation>%1 in minuut %2</translation>
    </message>
    <message>
        <source>Point %1</source>
        <translation>Punt %1</translation>
    </message>
    <message>
        <source>Thermometer</source>
        <translation>Thermometer</translation>
    </message>
    <message>
        <source> min</source>
        <translation> min</translation>
    </message>
    <message>
        <source>work it here</source>
        <translation>hier werken</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::TemplatesView</name>
    <message>
        <source>mirrored</source>
        <translation>gespiegeld</translation>
    </message>
    <message>
        <source>one spare of each</source>
        <translation>van elk een reserve</translation>
    </message>
    <message>
        <source>Print …</source>
        <translation>Printen …</translation>
    </message>
    <message>
        <source>PDF …</source>
        <translation>PDF …</translation>
    </message>
    <message>
        <source>SVG …</source>
        <translation>SVG …</translation>
    </message>
    <message>
        <source>Good enough</source>
        <translation>Goed genoeg</translation>
    </message>
    <message>
        <source>Sheets of</source>
        <translation>Vellen van</translation>
    </message>
    <message>
        <source>Width of a sheet</source>
        <translation>Breedte van een vel</translation>
    </message>
    <message>
        <source>by</source>
        <translation>bij</translation>
    </message>
    <message>
        <source>Depth of a sheet</source>
        <translation>Diepte van een vel</translation>
    </message>
    <message>
        <source>with</source>
        <translation>met</translation>
    </message>
    <message>
        <source>Gap between parts</source>
        <translation>Ruimte tussen de delen</translation>
    </message>
    <message>
        <source>between parts</source>
        <translation>tussen de delen</translation>
    </message>
    <message>
        <source>Left and right change: for those who cut from the back</source>
        <translation>Links en rechts verwisseld: voor wie van achteren snijdt</translation>
    </message>
    <message>
        <source>The best layout that was found so far</source>
        <translation>De beste indeling tot nu toe</translation>
    </message>
    <message>
        <source>Laying out the sheets</source>
        <translation>De vellen worden ingedeeld</translation>
    </message>
    <message>
        <source>Templates as PDF</source>
        <translation>Sjablonen als PDF</translation>
    </message>
    <message>
        <source>templates.pdf</source>
        <translation>sjablonen.pdf</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>The templates are in %1 at true scale. Print at 100 %.</source>
        <translation>De sjablonen staan in %1 op ware grootte. Print op 100 %.</translation>
    </message>
    <message>
        <source>Sheets as SVG</source>
        <translation>Vellen als SVG</translation>
    </message>
    <message>
        <source>sheet.svg</source>
        <translation>vel.svg</translation>
    </message>
    <message>
        <source>SVG (*.svg)</source>
        <translation>SVG (*.svg)</translation>
    </message>
    <message>
        <source>The sheets are in %1 at true scale.</source>
        <translation>De vellen staan in %1 op ware grootte.</translation>
    </message>
    <message>
        <source>Change the sheets</source>
        <translation>De vellen veranderen</translation>
    </message>
    <message>
        <source>Nothing here is cut from a sheet or wrapped in acetate. Houses, panels, silhouettes, cones and tubes bring their templates with them.</source>
        <translation>Hier wordt niets uit een vel gesneden of in acetaat gewikkeld. Huizen, panelen, silhouetten, kegels en buizen brengen hun sjablonen mee.</translation>
    </message>
    <message>
        <source>Sheet %1 of %2: %3</source>
        <translation>Vel %1 van %2: %3</translation>
    </message>
    <message>
        <source>cut once</source>
        <translation>één keer snijden</translation>
    </message>
    <message>
        <source>cut %1 times</source>
        <translation>%1 keer snijden</translation>
    </message>
    <message>
        <source>%1  %2 of %3, %4</source>
        <translation>%1  %2 van %3, %4</translation>
    </message>
    <message>
        <source>film  %1, %2 of acetate</source>
        <translation>folie  %1, %2 acetaat</translation>
    </message>
    <message>
        <source>ring  %1, %2 marks, %3 from one to the next</source>
        <translation>ring  %1, %2 merken, %3 van het een naar het ander</translation>
    </message>
    <message>
        <source>box  %1, %2 × %3 inside and %4 high, %5</source>
        <translation>bak  %1, %2 × %3 van binnen en %4 hoog, %5</translation>
    </message>
    <message>
        <source>Small parts first, near the edge, where it sets first. The same letter on two parts is one joint. A knife is sharp: cut away from the hand that holds.</source>
        <translation>Kleine delen eerst, bij de rand, waar het het eerst stolt. Dezelfde letter op twee delen is één naad. Een mes is scherp: snijd van de hand af die vasthoudt.</translation>
    </message>
    <message>
        <source>The sheets are not laid out yet.</source>
        <translation>De vellen zijn nog niet ingedeeld.</translation>
    </message>
    <message>
        <source>The sheet was not saved in %1: %2</source>
        <translation>Het vel is niet opgeslagen in %1: %2</translation>
    </message>
    <message>
        <source>Nothing here is cut from a sheet.</source>
        <translation>Hier wordt niets uit een vel gesneden.</translation>
    </message>
    <message>
        <source>Templates</source>
        <translation>Sjablonen</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::TimerCard</name>
    <message>
        <source>Not yet</source>
        <translation>Nog niet</translation>
    </message>
    <message>
        <source>Warmed</source>
        <translation>Opgewarmd</translation>
    </message>
    <message>
        <source>It is</source>
        <translation>Gebeurd</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Klaar</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>%1 too long</source>
        <translation>%1 te lang</translation>
    </message>
    <message>
        <source>now</source>
        <translation>nu</translation>
    </message>
    <message>
        <source>%1 over</source>
        <translation>%1 over tijd</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::TracedView</name>
    <message>
        <source>%1 is no picture: take a PNG or JPEG file.</source>
        <translation>%1 is geen foto: neem een PNG- of JPEG-bestand.</translation>
    </message>
    <message>
        <source>%1 cannot be opened: %2. A smaller copy of it may do.</source>
        <translation>%1 kan niet worden geopend: %2. Een kleinere kopie misschien wel.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::WhyPage</name>
    <message>
        <source>Why did it fail?</source>
        <translation>Waarom ging het mis?</translation>
    </message>
    <message>
        <source>The piece that failed</source>
        <translation>Het stuk dat mislukte</translation>
    </message>
    <message>
        <source>%1, %2. Choose what you saw, and where.</source>
        <translation>%1, %2. Kies wat je zag, en waar.</translation>
    </message>
    <message>
        <source>Of the plan that is open. Choose what you saw, and where.</source>
        <translation>Van het plan dat open is. Kies wat je zag, en waar.</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>zoals gepland</translation>
    </message>
    <message>
        <source>The plan that is open has no such piece, or does so already.</source>
        <translation>Het plan dat open is heeft zo&apos;n stuk niet, of doet dat al.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>It is in the plan: %1. Undo takes it back.</source>
        <translation>Het staat in het plan: %1. Ongedaan maken neemt het terug.</translation>
    </message>
    <message>
        <source>%1 of 100</source>
        <translation>%1 van de 100</translation>
    </message>
    <message>
        <source>%1, as planned: the fault falls from %2 to %3 of 100.</source>
        <translation>%1, zoals gepland: de fout daalt van %2 naar %3 op 100.</translation>
    </message>
    <message>
        <source>%1: the fault falls from %2 to %3 of 100.</source>
        <translation>%1: de fout daalt van %2 naar %3 op 100.</translation>
    </message>
    <message>
        <source>Each takes %1 more.</source>
        <translation>Elk vraagt %1 meer.</translation>
    </message>
    <message>
        <source>Each takes %1 less.</source>
        <translation>Elk vraagt %1 minder.</translation>
    </message>
    <message>
        <source>It takes %1 longer.</source>
        <translation>Het duurt %1 langer.</translation>
    </message>
    <message>
        <source>It takes %1 less.</source>
        <translation>Het duurt %1 korter.</translation>
    </message>
    <message>
        <source>Put it into the plan</source>
        <translation>In het plan zetten</translation>
    </message>
    <message>
        <source>Put it into the plan: %1</source>
        <translation>In het plan zetten: %1</translation>
    </message>
    <message>
        <source>Mean to do so</source>
        <translation>Voortaan zo doen</translation>
    </message>
    <message>
        <source>Mean to do so from now on: %1</source>
        <translation>Voortaan zo doen: %1</translation>
    </message>
    <message>
        <source>Kept under what your log teaches: %1</source>
        <translation>Bewaard bij wat je logboek leert: %1</translation>
    </message>
    <message>
        <source>It was this</source>
        <translation>Dit was het</translation>
    </message>
    <message>
        <source>Write down that it was this: %1</source>
        <translation>Opschrijven dat het dit was: %1</translation>
    </message>
    <message>
        <source>It is written down.</source>
        <translation>Het is opgeschreven.</translation>
    </message>
    <message>
        <source>The piece is computed as it was made …</source>
        <translation>Het stuk wordt berekend zoals het gemaakt is …</translation>
    </message>
    <message>
        <source>Each change is tried …</source>
        <translation>Elke verandering wordt geprobeerd …</translation>
    </message>
    <message>
        <source>Yes.</source>
        <translation>Ja.</translation>
    </message>
    <message>
        <source>No.</source>
        <translation>Nee.</translation>
    </message>
    <message>
        <source>Ask again</source>
        <translation>Opnieuw vragen</translation>
    </message>
    <message>
        <source>Ask again: %1</source>
        <translation>Opnieuw vragen: %1</translation>
    </message>
    <message>
        <source>Yes</source>
        <translation>Ja</translation>
    </message>
    <message>
        <source>No</source>
        <translation>Nee</translation>
    </message>
    <message>
        <source>Of all that could be looked at, this tells most.</source>
        <translation>Van alles waar je naar kunt kijken zegt dit het meest.</translation>
    </message>
    <message>
        <source>%1 (%2 of 100)</source>
        <translation>%1 (%2 op 100)</translation>
    </message>
    <message>
        <source>something else (%1 of 100)</source>
        <translation>iets anders (%1 op 100)</translation>
    </message>
    <message>
        <source>Less likely: %1.</source>
        <translation>Minder waarschijnlijk: %1.</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::WhyPicture</name>
    <message>
        <source>What went wrong</source>
        <translation>Wat er misging</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>the pot</source>
        <translation>de pan</translation>
    </message>
</context>
<context>
    <name>uovo::desktop::WishBar</name>
    <message>
        <source>begin late</source>
        <translation>laat beginnen</translation>
    </message>
    <message>
        <source>done early</source>
        <translation>vroeg klaar</translation>
    </message>
    <message>
        <source>temper little</source>
        <translation>weinig tempereren</translation>
    </message>
    <message>
        <source>calm, with rests</source>
        <translation>rustig, met pauzes</translation>
    </message>
    <message>
        <source>short spells</source>
        <translation>korte beurten</translation>
    </message>
    <message>
        <source>evening free</source>
        <translation>avond vrij</translation>
    </message>
    <message>
        <source>Wish: %1</source>
        <translation>Wens: %1</translation>
    </message>
    <message>
        <source>Sure to be ready</source>
        <translation>Zeker op tijd</translation>
    </message>
    <message>
        <source>%1 minutes kept free</source>
        <translation>%1 minuten vrijgehouden</translation>
    </message>
    <message>
        <source>ready 5 days in 10</source>
        <translation>5 van de 10 dagen klaar</translation>
    </message>
    <message>
        <source>ready 7 days in 10</source>
        <translation>7 van de 10 dagen klaar</translation>
    </message>
    <message>
        <source>ready 8 days in 10</source>
        <translation>8 van de 10 dagen klaar</translation>
    </message>
    <message>
        <source>ready 9 days in 10</source>
        <translation>9 van de 10 dagen klaar</translation>
    </message>
    <message>
        <source>ready 19 days in 20</source>
        <translation>19 van de 20 dagen klaar</translation>
    </message>
    <message>
        <source>Wishes</source>
        <translation>Wensen</translation>
    </message>
    <message>
        <source>side by side</source>
        <translation>naast elkaar</translation>
    </message>
    <message>
        <source>How the day would be under each wish</source>
        <translation>Hoe de dag onder elke wens zou zijn</translation>
    </message>
    <message>
        <source>Choose how sure it is</source>
        <translation>Kies hoe zeker het is</translation>
    </message>
</context>
</TS>
