import { type IsKind, type Match, Matcher } from './matcher.ts'
import { SETS } from './sets.ts'
import { termsOf } from './dimension.ts'
import type { LexicalWord } from './words.ts'

/**
 * What is seen wherever something else is: by the names a list may give it, a line a thing, and after “:” the terms (term.ts) that show it.
 * A churchyard has graves, a grin shows teeth, sepia is brown. Only what can hardly be drawn otherwise stands here; what is merely
 * likely is a companion (the glossary's table).
 */
const SHOWN = `
text lettering letter word writing typography font caption title signage inscription: {carrier}, {carrier} sign|board|plate|page|cover|label|print, poster, newspaper, magazine, headline, labelled, slogan, motto, handwriting, handwritten, spine of _? book, menu, blackboard, chalkboard, manuscript, billboard, signboard, signpost, shop|street|road|pub|inn|neon|exit|stop|warning sign, graffiti, book spine|cover|title, number|licence|name plate, calendar, certificate, diploma, invitation, comic strip, infographic, sampler, monogram, timetable, departure|departures|arrivals|notice|score board, typewriter key, seed packet, playbill, banknote, crossword, hymn board, price tag|list, receipt, telegram, passport, plaque, logo, shop sign, street sign, road sign, pub sign, inn sign, painted sign, wooden sign, neon sign, neon signage, signage, front page, handwritten label, price tag, title, titles on their spines, caption, inscription, name carved, carved name, carved inscription, carved letters, blackboard covered in, menu board, chalked menu, chalked price board, love letter, handwritten letter, handwritten note, handwritten page, diary page, open letter, written letter, placard, protest signs, name tag, name badge, number plate, licence plate, license plate, handbill, speech bubble, place names, gravestone with a name, wanted poster, posters on the wall, book title, book cover, magazine cover, chalkboard menu, menu card, wine list, price board, price list, recipe card, hand written recipe, handwritten recipe, written recipe, epitaph, long epitaph, greeting, birthday message, written message, painted message, message piped, message in icing, with a message, pinned note, note pinned, scribbled note, scrawled note, love note, ransom note, sticky note, open diary, open journal, diary entry, shopping list, to do list, illuminated manuscript, written scroll, proclamation, decree, charter, bill of sale, wanted notice, notice board, noticeboard, notice on the door, public notice, warning sign, warning notice, no entry sign, stop sign, exit sign, for sale sign, route number, bus number, destination board, flight board, arrivals board, street name, street nameplate, shop name, café name, nameplate, name plate, door plate, brass plaque, memorial plaque, memorial stone, banner reading, flag with words, brand name, quotation, proverb, verse, poem, handwritten poem, lyrics, hymn numbers, equations, formulas, formulae, lines of code, computer code, subtitles, neon letters, neon word, sandwich board, flyer, leaflet, brochure, comic book, name painted on the bow, name on the bow, name on the stern, name over the door, written on, words on, words painted, words carved, words written, printed with a slogan, spelled out, spelling out, hand lettered, engraved name, engraved words, postage stamp, vintage advertisement, advertisement, advertising hoarding, tarot cards, circus bill, tombstone inscription, carved initials, initials, monogram on, film poster, movie poster, posters on a wall, poster on the wall, wall of posters, labelled medicine bottles, labelled bottle, labelled jar, labelled drawers, shop window lettering, name on the gravestone, with the name, name painted, name written, painted name, milestone, number on the door, house number, race number, jersey number, map labels, sheet music, album cover, medicine bottles labelled, cereal box, ticket stub, train ticket, calendar page, wall calendar, business card, shop front lettering, gold lettering, lettering, painted letters, tattooed words, typed page, road markings reading, departure board, scoreboard, eye chart, sheet of stamps, icing|chalk message, pipe _ _? _? onto _? cake, treasure map, departure|departures board, ballot, banner headline, shop front, stone tablet, hieroglyph, open hymn book, spell book, birth certificate, embroidered sampler, alphabet, chalked price, letter rack, ship's name, name on boat, ticker tape, teleprompter, score sheet, lettered, cinema|theatre marquee, word on|over _, label on _, jar|bottle label, scroll with word|writing, street|road|town|tube map
sign signage signpost: signboard, shop|street|road|pub|inn|neon|exit|stop|warning sign, signpost, billboard, cinema|theatre marquee
person people human figure crowd anyone anybody bystander onlooker passer-by stranger: <person>, crowd, passer by, couple, family, audience, choir, army, team, staff, crew, portrait, villager, everyone, everybody, somebody, someone, nobody else, self portrait, orchestra, brass|marching|military band, procession, parade, congregation, guest, police, wedding, funeral, party, queue, rally, class of, troupe, mob, throng, regatta crew, football match, hand hold|holding, silhouette of man|woman
crowd: crowd, throng, mob, horde, audience, congregation, procession, parade, packed {public}, wedding party, market day, rush hour, festival, carnival, stadium, queue of
guest: wedding, wedding party|reception|feast, party, banquet, reception, ball, dinner party
child children kid: boy, girl, toddler, baby, infant, schoolchild, kid, playground at _, nursery class, school class
woman: bride, girl, lady, nun, queen, actress, waitress, ballerina, mother, grandmother, aunt, widow, seamstress, usherette
man: groom, boy, gentleman, monk, king, father, grandfather, uncle, priest, soldier, sailor
hand finger: hand, finger, fist, holding hands, fingertip, thumb, handshake, palm of hand
face: face, portrait, smile, grin, close up portrait, head shot, frown, cheek, self portrait, head and shoulder, scowl
tooth teeth: teeth, tooth, grin, toothy, bared fang, fang, snarl, denture
eye: eye, stare, gaze, wink, portrait
skin: nude, naked, bare chested|shoulder|leg, bather in bikini
beard: beard, bearded, stubble, goatee
hair: braid, ponytail, plait, curl, pigtail
blood gore: blood, bleed, bleeding, bloodstained, wound, wounded, butcher block, gore, gash
animal pet beast livestock wildlife: <animal>, herd, flock, pack of _, swarm, puppy, kitten, horse drawn, cattle, livestock, wildlife, menagerie, zoo, aquarium, apiary, kennel, on horseback, rider, cavalry, jousting, falconer, shepherd
bird: <bird>, flock of, gull, murmuration, falconer, aviary, dovecote, henhouse, nest with _
feather: <bird>, feather, peacock, wing of bird, plume, boa, headdress of plume, angel wing, winged
insect bug bee: <insect>, hive, beehive, bee, swarm, apiary, skep, beekeeper, butterfly, moth, hawkmoth, ant hill, spider web
fish: <fish>, aquarium, fishmonger, catch of day, shoal, fish market
horse: <horse>, on horseback, cavalry, jockey, horse drawn, stagecoach, carriage and pair, jousting, rider
dog: <dog>, hound, puppy, whippet, terrier, spaniel, collie, sheepdog, kennel, dachshund, greyhound, beagle, poodle, mastiff, setter, retriever, pug
cat: <cat>, kitten, tabby, tortoiseshell cat, ginger tom, moggy
web cobweb: spider, cobweb, gossamer
grave tombstone gravestone headstone cemetery: churchyard, cemetery, graveyard, burial ground, tomb, mausoleum, necropolis, headstone, gravestone, crypt
skull bone skeleton: skull, skeleton, ossuary, catacomb, vanitas, bone, jolly roger, memento mori
religion religious-symbol cross crucifix: cross, crucifix, altar, church, chapel, cathedral, saint, monk, nun, rosary, shrine, prayer wheel, minaret, mosque, synagogue, temple, menorah, angel, halo, icon, pulpit, nave, prayer bead, bishop, priest, steeple, cloister, madonna
flame fire: fire, burn, bonfire, campfire, flame, blaze, blazing, inferno, torch, fireplace, candle, forge, furnace, hearth, lit match, torchlight, candlelight, firelight, brazier, kiln firing, oil lamp lit, firebox
smoke: smoke, smoking, chimney smoke, cigarette, cigar, pipe smoke, steam engine|train|locomotive, bonfire, campfire, censer, factory chimney, incense, vaping
steam: steaming, steam engine|train|locomotive, kettle boil, geyser, sauna
light artificial-light electric-light lamp: lamp, lamplight, lantern, neon, street lamp|light, bulb, chandelier, floodlight, spotlight, headlight, candle, electric light, fairy light, lit window, lighthouse beam, strip light, torch, fluorescent, shop window lit
shadow: {hardness} shadow, shadow, long shadow, chiaroscuro, raking light, low sun, hard light, silhouette, contre jour, tenebrist, film noir, sundial, dapple, dappled, dappled shade|light, sun through leaf|blind|shutter|trellis
strong-shadow hard-shadow deep-shadow dark-shadow: chiaroscuro, raking light, hard|harsh light, {hardness} shadow, tenebrist, noon glare, film noir, single bare bulb, bare bulb
dark darkness night: midnight, moonlit, night, starry sky, pitch dark, after dark, star light, blackout
star: starry, star light, starlit, milky way, night sky, constellation, starfield, field of star, galaxy, star trail
moon: moon light, moonlit, full|crescent|new|half moon
sun: sunset, sunrise, sun, sunflower field at noon, solar eclipse, sundial
cloud: cloudy, overcast, storm cloud, cloud, thunderhead, stormy sky, rainy sky, grey sky
sky: skyline, horizon, aerial view, milky way, sunset, sunrise, kite fly|flying
fog mist haze: fog, foggy, mist, misty, haze, hazy, peasouper, atmospheric perspective
rain: rain, rainy, downpour, drizzle, monsoon, puddle, umbrella, shower of rain, wet street, cloudburst
snow: snow, snowy, blizzard, snowman, ski slope|run|lift, sledge, igloo, avalanche, snowbound, toboggan, ski jump
ice: ice, icicle, frozen, glacier, rink, iceberg, ice floe, igloo, skater, skate, icebound, icebreaker, curling, curler, ice hockey
water: water, wave, sea, ocean, lake, river, pond, stream, canal, waterfall, puddle, rain, tide, surf, swim, underwater, fountain, flood, flooded, weir, aqueduct, harbour, quay, pier, dock, ferry, regatta, rower, swimmer, diver, moat, reservoir, well with bucket, bath, aquarium, boat afloat, sail, sailboat, gondola, estuary, fjord, rapids, millrace, swan glide, lighthouse, tugboat, submarine
wave: wave, breaker, surf, surfer, rough|stormy|choppy sea, storm at sea, tsunami, spindrift
boat ship: <boat>, <ship>, harbour, marina, regatta, fleet, ferry, canoe, gondola, rower, yacht, sailor at tiller, shipyard, tugboat
bubble: champagne, fizz, fizzing, sparkling wine|water, soap sud, bubble, bubble bath, soda, beer foam, lather, carbonated
car vehicle traffic automobile: <car>, <truck>, <bus>, milk float, tram, taxi, bus, truck, lorry, van, motorbike, motorcycle, traffic, traffic jam, car park, parking lot, headlight, racing car, rush hour, motorway, petrol station, garage forecourt, drive in
building house architecture: <building>, village, town, city, skyline, street, castle, church, barn, skyscraper, cottage, cathedral, rooftop, tower, ruin, farmyard, square with, terrace of house, hamlet, palace, facade
window glass pane: conservatory, greenhouse, glasshouse, shop window, stained glass, window, windscreen, bottle, goblet, tumbler, wine glass, mirror, chandelier, lantern pane, lit pane, aquarium, skylight, spectacles, test tube
string wire cable: harp, violin, guitar, cello, lute, puppet on string, marionette, telegraph pole, pylon, tightrope, washing line, tramwires, bow of cello, piano interior, kite
rope: rigging, bell ringer, tightrope, mountaineer belay, lasso, ship rigging, hammock, mooring
musical-instrument instrument music: {instrument}, orchestra, brass|marching|military|jazz|string band, busker, harpist, violinist, pianist, drummer, fiddler, accordionist, hurdy gurdy, bagpipe, bagpiper, piper, quartet, organist, trumpeter, bandstand concert, saxophone, guitarist, flautist, cellist, concert, piano, mandolin, lute player, church organ
weapon gun sword knife: <weapon>, sword, pistol, rifle, spear, dagger, duel, duellist, armed, bow and arrow, cannon, archer, musketeer, gunfight, swordfight, battle, fencing, hunter with, musket
tool: smithy, workbench, carpenter at work, toolbox, anvil, workshop bench
clutter mess junk: heap|pile|cover|strewn|stack with odds|junk|things|stuff|books|papers|clutter|bric, odds and ends, jumble, junk, cluttered, untidy, bric a brac, messy, hoard, rummage, littered with, crammed with, chaos of _, flea market, attic junk
litter paper-scrap rubbish trash: confetti, litter, rubbish, after party|parade, strewn with _, landfill, streamer on floor, wrapper
flower blossom petal: <flower>, bouquet, blossom, rose, tulip, peony, daisy, poppy, sunflower, petal, lily, floral, wreath, wildflower, orchid, lavender, garland, in bloom, flowerbed, posy, florist, herbaceous border, wisteria, flower meadow, bridal posy, nosegay
fruit: <edible_fruit>, orange, apple, pear, lemon, grape, cherry, strawberry, pomegranate, fig, fruit bowl, greengrocer, orchard in fruit, cornucopia
tree: <tree>, forest, wood, woods, orchard, oak, pine, birch, willow, palm, grove, avenue of _, jungle, woodland, arboretum, tree lined, copse
leaf foliage plant greenery: <plant>, ivy, fern, hedge, foliage, jungle, garden, conservatory, houseplant, palm, vine, greenhouse
grass lawn: meadow, lawn, pasture, cricket pitch, golf course, village green, paddock
food: <food>, bread, cake, soup, cheese, fruit, meal, banquet, feast, dish, picnic, buffet, market stall of, supper, breakfast, kitchen table laid, dinner
colour bright-colour: colourful, vivid colour, rainbow, multicoloured, riot of colour
brown brown-tone: sepia, sepia tone|toned, tobacco tone, umber wash, daguerreotype brown, bistre
black-and-white monochrome grey: monochrome, black and white, greyscale, charcoal drawing, pen and ink
frame border: framed _, ornate|gilded|gold|picture frame, decorative border, border, mounted in frame, polaroid, passe partout
hat: <hat>, <headdress>, straw|top|bowler hat, cap, bonnet, beret, fedora, sombrero, turban, hatter, hatted, chef's toque, mortarboard
shoe boot: <footwear>, cobbler, shoemaker, booted
glasses spectacles: spectacles, bespectacled, monocle, sunglasses, goggles
jewellery: <jewelry>, necklace, earring, tiara, crown jewel, pearl, bejewelled, brooch
clock watch: <clock>, <watch>, clock tower, clockmaker, watchmaker, sundial, grandfather clock
logo brand watermark signature: logo, watermark, signature, signed, trademark, brand name
blur blurriness blurred: bokeh, blurred background, motion blur, soft focus, shallow depth of field, out of focus, long exposure, tilt shift, panning shot
grain noise: film grain, grainy, high iso, pushed film
reflection: mirror, mirrored, reflect, puddle, glassy water, still lake, doubled in
wrinkle: old man|woman, elderly, weathered face, aged, wizened
swimmer bather: bather, swim, swimming pool full, beach crowd
tractor: tractor, combine harvester
wing: winged, angel, butterfly, <bird>, in flight
horn: viking helmet, stag, bull, antelope, ram, horned, rhinoceros
plastic: plastic, polythene, vinyl, inflatable, cling film
metal: steel, iron, brass, copper, chrome, anvil, suit of armour, armoured
stairs step: staircase, stairwell, steps, spiral stair
furniture: <furniture>, sofa, armchair, parlour suite, dining table
curtain: curtained, drapes, stage curtain, four poster
dust: dusty, dust mote, sandstorm, chaff in air, demolition, abandoned attic, old books, carpet beating, threshing, quarry blast
meat: butcher, steak, sausage, ham, roast, bacon, kebab, barbecue, hot dog, burger, pork, beef, lamb chop, spit roast, carvery, drumstick
alcohol drink wine beer: wine, beer, champagne, cocktail, whisky, tavern, pub, bar counter, toast with glass, brewery, vineyard, tankard, flute of, bartender, barman, beer garden, cellar of barrel, still room, drunk
cup mug drinking-glass: tea party, coffee shop, tankard, goblet, toast with, barista, tea ceremony, picnic, breakfast table
bottle: wine cellar, milkman, bar counter, perfume, apothecary, message in bottle, chemist's shelf, brewery
plate crockery cutlery: dinner table, table laid, banquet, washing up, tea set, place setting, sideboard, diner
bread: bakery, baker, sandwich, toast, loaf, baguette, bun, roll, flatbread, kneading dough
cheese: pizza, cheesemonger, dairy, fondue, raclette
egg: nest, henhouse, omelette, easter, clutch, incubator
honey: beehive, honeycomb, apiary, beekeeper, skep
vegetable: allotment, greengrocer, market gardener, soup pot, harvest festival, kitchen garden, carrot, cabbage, onion, potato, leek, pumpkin, beetroot, turnip, marrow
tea coffee: teapot, teahouse, coffee shop, barista, samovar, café, espresso machine, tea ceremony, teacup
snake: snake, cobra, viper, python, medusa, snake charmer, serpent
spider: cobweb, spider's web, tarantula
cow cattle: dairy, milkmaid, byre, heifer, herd, cowherd, cattle, ox, calf, milking
sheep: shepherd, flock, lamb, shearing, shearer, sheepdog at work, ewe, ram
chicken hen poultry: henhouse, rooster, cockerel, farmyard fowl, chick, coop
pig: sty, piglet, sow, boar, swineherd
monkey ape: monkey, chimpanzee, gorilla, baboon, organ grinder
tail: fox, squirrel, peacock, kite, comet, mermaid, cat, whale breach
fur: fox, bear, wolf, rabbit, cat, otter, badger, sable, mink, ermine, trapper, sheepskin, fur coat|collar|hat, beaver, cloak edge|trim with sable|ermine|fox
leather: saddle, saddler, cobbler, boots, holster, biker jacket, harness, bridle, satchel, tannery
lace: bridal veil, doily, christening gown, ruff, mantilla
wheel: bicycle, tricycle, <bicycle>, <cart>, <wagon>, <carriage>, <car>, <truck>, <locomotive>, cart, wagon, carriage, car, tram, train, wheelbarrow, watermill, potter at wheel, spinning wheel, pram, lorry, bus, unicycle, ferris wheel, rickshaw, scooter, truck, tractor, locomotive
bicycle bike: cyclist, bicycle, tandem, cycling, peloton, bike rack, unicycle
train rail track railway: railway station|platform, locomotive, tram, train, signal box, level crossing, siding, engine driver, viaduct with train, marshalling yard, rack railway, subway, carriage window seat
plane aeroplane aircraft: airport, airfield, runway, hangar, cockpit, pilot, contrail, biplane, dogfight, airliner, glider, jet
engine machinery machine: factory, mill floor, printing press, workshop lathe, steamboat, loom, mechanic, garage, combine harvester, engine room, sawmill
gear cog: clockwork, watchmaker, clockmaker, windmill inside, orrery, music box open, clock tower inside
mirror: vanity table, hall of mirrors, barber, dressing table, hairdresser, ballet studio, dressing room, salon
gold golden: gilt, gilded, crown, altarpiece, treasure chest, gold leaf, wedding ring, pharaoh's mask, ingot, icon, gilding, goldsmith, halo, doubloon
money coin: cashier, piggy bank, beggar's cup, gambler, poker game, treasure chest, market trader, till, wallet, purse, miser
flag banner: regatta, embassy, parade, castle with pennant, semaphore, ship's ensign, bunting, pennant, fairground, tournament, protest march, jousting
umbrella parasol: parasol, rainy crowd, beach bar, monsoon crowd, umbrella
balloon: birthday party, balloon seller, hot air balloon, fairground
toy doll: nursery, toyshop, playroom, doll's house, rocking horse, teddy bear, playpen, puppet
candle: altar, birthday cake, candlelit, candlelight, candelabra, chandelier, advent wreath, menorah, vigil, seance, shrine
book: library, bookshop, bookcase, bookshelf, librarian, scholar, study lined, reading room, schoolroom, reader, hymnal, monk at scriptorium, reading aloud
paper: letter, newspaper, origami, manuscript, office desk, scroll, kite, wallpaper, map, paper boat, note, confetti, book
screen phone computer technology gadget: office, control room, trading floor, gamer, laptop, smartphone, selfie, cinema, television, call centre, video call, server room, arcade, newsroom, texting
chain: anchor, prisoner, dungeon, bicycle, drawbridge, blacksmith's, swing, ghost in irons, well bucket
ladder: fruit picker, fireman, window cleaner, loft, orchard harvest, fire escape, thatcher, lamplighter
door: doorway, threshold, porch, wardrobe, knock, church portal, lych gate
fence: paddock, farmyard, stile, corral, garden gate, picket, vineyard post
wall brick: alley, courtyard, ruin, room corner, kitchen, cellar, castle, terrace of house, brickyard, chimney, fortress, cloister, walled garden
roof chimney: village, rooftop, cottage, skyline, thatch, barn, farmhouse, town below, eave, gable, attic
stone rock boulder: quarry, ruin, cliff, cairn, mountain path, riverbed, gravel, dry stone wall, crag, reef, standing stone, scree, pebble, cobble, beach shingle, castle, cave, canyon, gorge
sand: beach, desert, dune, sandcastle, hourglass, oasis, caravan of camels, strand, arena
mud: rice paddy, pigsty, ploughed field, mudflat, low tide, mangrove, trench, puddle, bog, swamp
rust: wreck, scrapyard, old anchor, abandoned factory, derelict ship, junk car
mountain hill: alpine, alp, glacier, peak, ski slope, valley, pass, ridge, fjord, summit, crag, foothill, climber, vineyard terrace
bridge: viaduct, aqueduct, canal town, gondola, lift bridge, footbridge
road path: crossroad, motorway, traffic, street, lane, cyclist race, bus stop, milestone, avenue, roundabout, mountain pass
beach coast: seaside, seagull on pier, sandcastle, lifeguard, surfer, promenade, bathing hut, dune
desert: cactus, camel, caravan, oasis, dune, bedouin
ruins ruin decay: abbey ruin, derelict, abandoned, crumbling, overgrown temple, bombed, collapsed, ghost town
rainbow: prism, waterfall in sun, spectrum
lightning thunder: thunderstorm, electric storm, tempest, storm cloud
wind: kite, windmill, sail, flag stream, washing on line, weathervane, windsock, hair fly, sailing boat, leaf whirl, gale, storm
sweat: sauna, boxer, marathon runner, furnace worker, gym, wrestler
tear crying: weep, sob, cry, grieving, mourner, funeral, tearful, onion chopping
violence war: battle, soldier, tank, trench, bomb, explosion, gun, duel, fight, boxing, siege, bayonet, cannon, wrestling
death corpse: funeral, coffin, hearse, skull, hanged, grave, cemetery, skeleton, wake, mourning, vanitas, morgue
nudity naked: nude, bather, bathhouse, life drawing, skinny dip, venus, odalisque
smoking cigarette tobacco: pipe smoke|smoker, cigar, cigarette, hookah, ashtray, smoking, vaping, tobacconist
halo: saint, angel, madonna, icon, nativity
crown: king, queen, coronation, throne room, royal portrait, tiara, monarch
uniform: soldier, policeman, nurse, sailor, pilot, chef, bellhop, schoolchild, parade, guard, conductor, postman, marching band, fireman, hussar
mask: carnival, masquerade, theatre troupe, surgeon, fencing, hockey goalkeeper, welder, plague doctor, beekeeper veil, bank robber, harlequin
apron: baker, blacksmith, cook, chef, butcher, waiter, cobbler, barista, maid
basket: picnic, market stall, fishwife, hot air balloon, fruit picker, weaver, laundry, mushroom picker
barrel cask: brewery, winery, cooper, cellar of wine, distillery, whisky, tavern
bell: belfry, church tower, bell ringer, sleigh, goatherd, town crier, cow herd, campanile, reception desk
lantern: lamplighter, miner, night watchman, watchman, lantern festival, railway guard at night
flagpole mast sail rigging: sailing ship, schooner, yacht, regatta, galleon, brigantine, clipper, tall ship, marina, sailboat
net: fisherman, trawler, butterfly collector, tennis, volleyball, goalmouth, trapeze, hammock, fishing boat
ball: football, tennis, juggler, snooker, golf, cricket, basketball, croquet, bowls, seal at circus, kickabout
dance dancer dancing: ballroom, ballet, waltz, maypole, disco, flamenco, ceilidh, nightclub, tango
stripe: zebra, tiger, deckchair, barber's pole, awning, sailor shirt, mint humbug, bee, candy cane, pinstripe, tabby
hole: colander, sieve, net, swiss cheese, grater, honeycomb, doily, lace, pierced, flute, button, ring doughnut, burrow, keyhole, moth eaten, perforated, watering can rose
dot spot: leopard, ladybird, dalmatian, domino, die, polka, giraffe, halftone, pointillist, cheetah
texture brushstroke: impasto, palette knife, dry brush, heavy brushwork, rough canvas
outline line: comic, cartoon, ink drawing, line art, stained glass, woodcut, linocut, colouring page
gradient: airbrush, sunset sky, vaporwave, smooth shading
lens-flare flare: against sun, contre jour, backlit sun, sun in frame, sunburst
vignette vignetting: pinhole, toy camera, old lens, lomography
`

export const SHOWN_SETS = { ...SETS, instrument: 'harp violin viola cello fiddle guitar lute mandolin banjo ukulele piano harpsichord organ accordion concertina harmonica flute piccolo clarinet oboe bassoon saxophone trumpet cornet trombone tuba horn bugle bagpipe drum tambourine cymbal xylophone marimba zither dulcimer lyre sitar balalaika recorder whistle gong', carrier: 'sign label headline placard banner nameplate', hardness: 'hard harsh deep strong black long dark inky stark crisp sharp dramatic' }

export interface Shown {
  /** What a list may call it, in the singular; several words stand with a hyphen between. */
  names: readonly string[]
}
/** The table's lines. */
export const SHOWN_LINES: readonly (Shown & { terms: readonly string[] })[] = SHOWN.trim()
  .split('\n')
  .map((line) => {
    const [names = '', terms = ''] = line.split(': ')
    return { names: names.split(' '), terms: termsOf(terms) }
  })

const matcher = new Matcher<Shown & { term: string }>(SHOWN_LINES.flatMap(({ names, terms }) => terms.map((term) => [term, { names, term }] as const)), SHOWN_SETS)
const known = new Set(SHOWN_LINES.flatMap(({ names }) => names))

/** Whether anything is known to show a thing; its name in the singular, lower case. */
export const isShownBy = (name: string): boolean => known.has(name.replaceAll(' ', '-'))

/** A place of a text that shows something; `from` and `to` are places in the list of words. */
export type Showing = Match<Shown & { term: string }>

/** Everything that a text shows by what else it says, in no order. */
export function showingsIn(words: readonly LexicalWord[], isKind: IsKind): Showing[] {
  return matcher.find(words, isKind).filter(({ from, to, value }) => words[from]!.gap !== 'hyphen' && !(to - from === 1 && isQuality(words[from]!, value.term)))
}

/** Of what a text shows, the places that show a thing by its name in the singular: “churchyard” for “grave”. */
export function placesOf(showings: readonly Showing[], name: string): Showing[] {
  const hyphened = name.replaceAll(' ', '-')
  return known.has(hyphened) ? showings.filter(({ value }) => value.names.includes(hyphened)) : []
}

/** A form that says how something else is: smoked fish has no smoke. */
const isQuality = ({ lower }: LexicalWord, term: string): boolean => /(?:ed|ing)$/.test(lower) && !/(?:ed|ing)$/.test(term)
