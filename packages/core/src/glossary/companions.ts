/** What a word commonly brings into a picture though nobody asked, strongest first. */
export interface Companion {
  /** In the words of a leave-out list. */
  what: string
  /** Other words for it. */
  also?: string
}

const TABLE = `
hermit: old age (elderly, old man, wrinkles); beard (beards, long beard); rags; cave
wizard: beard (beards, long beard); pointed hat (pointed hats, hats, hat); staff; robes (robe); old age
witch: broom (brooms, broomstick); black cat (black cats, cats, cat); pointed hat (pointed hats, hats); cauldron; warts; night
pirate: parrot (parrots, birds); eye patch (eye patches, eyepatch); wooden leg; tricorn hat (hats); skull flag; treasure
orchard: ladders (ladder); baskets (basket); apples (apple, fruit); autumn (harvest)
library: books (book, bookshelves); ladders (ladder); glasses (spectacles); lamps
wedding: flowers (bouquet, roses); white dress (wedding dress); cake; crowds (guests)
circus: clowns (clown); elephants (elephant, animals); striped tent (tents, tent); balloons
knight: horse (horses, animals); sword (swords, weapons); castle (buildings); banner
princess: crown (tiara, jewellery); ball gown (gown, gowns); castle; youth
king: crown; throne; beard (beards); robes
queen: crown; throne; jewels (jewellery, jewelry)
grandmother: glasses (spectacles); knitting; grey bun; rocking chair; old age
grandfather: glasses (spectacles); pipe; moustache (beard, beards); old age
scientist: lab coat (lab coats); glasses (spectacles); test tubes (bottles); wild hair
professor: glasses (spectacles); beard (beards); books; tweed; old age
chef: white hat (hats, toque); moustache; knife (knives)
farmer: straw hat (hats); pitchfork; overalls (dungarees); tractor (vehicles)
fisherman: beard (beards); pipe; yellow coat (raincoat); old age
sailor: striped shirt (stripes); anchor tattoo (tattoos); pipe; cap (hats)
cowboy: hat (hats); horse (horses); gun (guns, weapons); desert
detective: hat (hats); trench coat; magnifying glass; pipe
monk: shaved head; robe (robes); candles (candle); temple
nun: cross (crosses, crucifix); rosary; church
samurai: sword (swords, weapons, katana); armour (armor); cherry blossom (flowers)
ninja: mask (masks); night; sword (weapons)
viking: horned helmet (horns, helmets, hats); beard (beards); axe (weapons); longship (boats)
angel: wings (wing); halo; white robe; clouds (cloud)
devil: horns; red skin; fire (flames); tail
vampire: fangs; cape; blood; night; castle
ghost: white sheet; night; fog (mist)
zombie: blood (gore); torn clothes; graveyard
mermaid: long hair; shells (shell); rocks; bare skin (nudity)
fairy: wings (wing); glow (glowing); flowers; mushrooms
dragon: fire (flames); wings; treasure (gold); castle
unicorn: rainbow (rainbows); sparkles; flowers
robot: glowing eyes (glow); metal; wires (cables)
cyborg: glowing eyes; wires; neon
astronaut: stars; helmet; flag (flags); moon
alien: big eyes; green skin; spaceship
clown: red nose; wig; balloons (balloon); face paint
ballerina: tutu; bun; stage; pink
geisha: fan; white face (makeup, make-up); cherry blossom (flowers); umbrella (parasol)
bride: white dress; veil; flowers (bouquet)
baby: blanket; toys; crib
butcher: blood; knife (knives); apron
blacksmith: beard (beards); sparks; muscles; fire
beekeeper: veil; smoker (smoke); white suit; hives
doctor: white coat (lab coat); stethoscope; glasses
nurse: white cap (hats); uniform; red cross (crosses)
soldier: gun (guns, rifle, weapons); helmet; mud
teacher: glasses (spectacles); blackboard (text); apple
artist: beret (hats); palette; smock; easel
painter: beret (hats); palette; easel; smock
jazz: saxophone; smoke; hats (hat); night
forest: fog (mist); moss; deer (animals); light rays (god rays)
jungle: vines; parrots (birds); waterfall; snakes
desert: cactus (cacti, plants); camels (camel, animals); dunes; skull
beach: palm trees (palms, trees); umbrella (parasols); crowds (people); waves
island: palm trees (palms, trees); beach; turquoise water
mountain: snow; pine trees (trees); lake; clouds
lake: mountains (mountain); reflection (reflections); boat (boats); pier
castle: flags (flag, banners); fog; hill; towers
lighthouse: waves (sea, water); storm; gulls (birds); beam
harbour: boats (boat); gulls (birds); nets; masts
market: crowds (people, crowd); awnings; fruit; signs (text)
street: cars (car, vehicles); people (pedestrians, crowds); signs (text, signage); lamps
alley: bins; graffiti (text); puddles; neon
café: people; signs (text); cups; menu (text)
bakery: bread; signs (text); flour; baskets
kitchen: pots (pans); window; food; people
classroom: blackboard (text); desks; children (people)
office: computers (computer); paper; people; plants
hospital: beds; nurses (people); machines
church: cross (crosses, crucifix); stained glass; candles; pews
graveyard: crosses (cross); fog (mist); crows (birds); night
cemetery: crosses (cross); fog (mist); crows (birds)
ruins: ivy (vines, plants); columns; fog; birds
cottage: flowers (roses); thatch; smoke; garden
barn: hay; animals; red paint; tractor
farm: animals (cows); tractor (vehicles); hay; fences (fence)
garden: flowers (flower); bench; butterflies (insects); fountain
meadow: flowers (wildflowers); butterflies (insects); mountains
autumn: falling leaves (leaves); pumpkins; orange; fog
winter: snow; bare trees; scarves (scarf)
christmas: tree (trees); snow; red; presents (gifts); lights
halloween: pumpkins (pumpkin); bats; night; skeletons
easter: eggs; rabbits (animals); flowers
birthday: cake; balloons (balloon); candles; text (lettering)
party: balloons (balloon); crowds (people); confetti; drinks
picnic: checked blanket; basket (baskets); people; ants
spa: candles (candle); stones; flowers (orchid); towels
yoga: woman (people); mat; sunrise; leggings
cyberpunk: neon (neon signs); rain; signs (text, signage); wires (cables)
steampunk: goggles; gears (cogs, cog); top hat (hats); brass
gothic: black; candles; crosses; lace
vintage: sepia; scratches; paper texture; faded colour
retro: sepia; neon; grain; sunburst
futuristic: glow; glass; blue light; screens
medieval: castle; mud; torches; swords (weapons)
noir: hats (hat); cigarette (smoke); rain; blinds
wild west: hats (hat); horses; guns (weapons); dust
samovar: tea; rugs; snow
haunted: fog (mist); night; dead trees; moon
magic: sparkles (glitter); glow; stars
fantasy: castle; glow; dragons
cosy: candles (candle); blanket; fire; mug
romantic: roses (flowers); candles; couple (people); sunset
luxury: gold; marble; champagne
raven: dead tree; moon; night; graveyard
owl: night; moon; branch
wolf: moon; snow; night; howling
cat: whiskers; window; yarn
horse: saddle; rider (people); field
deer: forest; antlers; fog
butterfly: flowers (flower); meadow
bee: flowers (flower); honey; hive
rose: thorns; dew; vase
skull: candle (candles); darkness; bones
violin: sheet music (text); musician (people)
piano: sheet music (text); pianist (people); candle
typewriter: paper; letters (text); coffee
clock: numerals (text, numbers); gears
bookshop: books; signs (text); cat
train: smoke (steam); station; tracks
tram: wires (overhead wires); rails; people
submarine: bubbles; fish; periscope
balloon: basket; clouds; stripes
snowman: carrot; scarf; hat (hats); children
scarecrow: crows (birds); straw; hat (hats); corn
`

export const COMPANIONS: readonly { word: string; brings: readonly Companion[] }[] = TABLE.trim()
  .split('\n')
  .map((line) => {
    const [word = '', list = ''] = line.split(': ')
    const brings = list.split('; ').map((one) => {
      const match = /^(.*?)(?: \((.*)\))?$/.exec(one)
      return match?.[2] ? { what: match[1]!, also: match[2] } : { what: one }
    })
    return { word, brings }
  })
