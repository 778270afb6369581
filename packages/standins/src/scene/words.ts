import type { Angle, Extra, Face, Held, LightSide, Medium, Moment, Pose, Season, Setting, Shot, Weather, Worn } from './scene.ts'

/** Words by what they mean, comma by comma; a plural is found by its singular. */
export type Words<T extends string> = Readonly<Record<T, string>>

export const SETTINGS: Words<Setting> = {
  mountains: 'mountain, alpine, peak, valley, pass, ridge, summit, glacier, viaduct, gorge, slope, terraced, canyon, cliff, hilltop, plateau, moor, moorland, volcano',
  village: 'village, town, street, square, market, station, platform, alley, lane, courtyard, bazaar, fair, fairground, plaza, churchyard, harbour town',
  meadow: 'meadow, field, pasture, hill, apiary, hillside, prairie, farm, farmyard, farmland, grassland, steppe, vineyard, wheat field, paddock, common, savanna, road',
  forest: 'forest, wood, woods, woodland, grove, clearing, jungle, rainforest, pine forest, thicket, swamp, marsh',
  water: 'lake, sea, river, shore, harbour, harbor, pond, stream, beach, ocean, coast, bay, quay, pier, canal, dock, jetty, seaside, waterfall, estuary, lagoon, fjord, cove, island, wharf, shoreline, reef',
  city: 'city, skyline, rooftop, rooftops, downtown, avenue, metropolis, boulevard, cityscape',
  desert: 'desert, dune, dunes, salt flat, sand, oasis, badlands, wasteland, mesa',
  garden: 'garden, orchard, park, greenhouse, allotment, courtyard garden, cloister, balcony, terrace',
  interior: 'kitchen, room, interior, library, attic, cellar, windowsill, counter, indoors, parlour, shelf, bedroom, study, inn, tavern, café, cafe, bar, hall, corridor, hallway, church interior, nave, classroom, theatre, stage, ballroom, bathroom, office, dining room, living room, castle hall, museum, gallery, pub, house interior, table',
  workshop: 'workshop, forge, smithy, factory, laboratory, garage, shed, barn, studio of a painter, potter’s studio, mill, bakery, printing house, boiler room',
  studio: 'studio, seamless, backdrop, plain background, white background, product photograph, product photo, product shot, isolated, plain ground, dark ground, dark background, black background, plain backdrop, grey background, gray background, studio backdrop, on white',
  underwater: 'underwater, under water, seabed, coral reef, beneath the waves, deep sea, aquarium, ocean floor',
}

export const MOMENTS: Words<Moment> = {
  dawn: 'dawn, sunrise, first light, daybreak, early morning, break of day, rising sun',
  morning: 'morning, breakfast, forenoon, mid-morning, morning light, morning sun',
  noon: 'noon, midday, day, daylight, daytime, high sun, lunchtime, broad daylight',
  afternoon: 'afternoon, late afternoon, golden hour, golden light, low sun, evening sun, late sun, amber light',
  dusk: 'dusk, sunset, evening, twilight, nightfall, last light, sundown, gloaming, setting sun, evening light',
  night: 'night, midnight, moonlit, moonlight, starry, blue hour, lamplit, starlight, nighttime, night sky, starlit, candlelit, candlelight, after dark, nocturnal, moon, full moon, crescent moon, milky way',
}

export const SEASONS: Words<Season> = {
  spring: 'spring, april, may, springtime, blossom, cherry blossom, apple blossom',
  summer: 'summer, june, july, august, midsummer',
  autumn: 'autumn, october, harvest, november, fall leaves, autumnal, september, fallen leaves, russet leaves',
  winter: 'winter, snow, snowy, january, december, frost, ice, frosty, february, snowbound, wintry, snow-covered, frozen, icy',
}

export const WEATHERS: Words<Weather> = {
  clear: 'clear, sunny, cloudless, sunshine, blue sky, clear sky, sunlit, sun-drenched',
  cloudy: 'cloudy, clouds, cloud, drifting clouds, broken clouds',
  overcast: 'overcast, grey sky, gray sky, leaden sky, dull light, grey light, gray light',
  mist: 'mist, misty, fog, foggy, haze, hazy',
  rain: 'rain, rainy, drizzle, downpour, shower, wet street, raining',
  storm: 'storm, stormy, thunder, lightning, tempest, gale, hurricane, thunderstorm',
  snow: 'snowing, snowfall, falling snow, snowflake, blizzard, snowstorm',
  wind: 'wind, windy, breeze, windswept, gust, blustery, windblown',
}

export const SHOTS: Words<Shot> = {
  panorama: 'panorama, panoramic, extreme wide shot, extreme long shot, aerial view, vast, sweeping view, tiny figure, sweeping landscape',
  wide: 'wide shot, wide view, long shot, from afar, distant, vista, establishing shot, small figure, wide angle, wide-angle, wide',
  medium: 'medium shot, full shot, full body, full-length, full length, mid shot, cowboy shot',
  close: 'close-up, close up, closeup, portrait, tight crop, head and shoulders, headshot, bust, half length, waist up, medium close-up, tight shot',
  detail: 'macro, extreme close-up, detail of, extreme close up, macro photograph, macro shot, super close-up',
}

export const ANGLES: Words<Angle> = {
  level: 'eye level, eye-level, straight on, straight-on, head-on, level view',
  low: 'low angle, low-angle, from below, worm’s-eye, worm’s-eye view, worm\'s-eye view, looking up, ground level',
  high: 'high angle, high-angle, from above, looking down, seen from above, elevated view',
  overhead: 'overhead, bird’s-eye, bird\'s-eye view, bird’s-eye view, top-down, top down, flat lay, directly above, plan view',
  tilted: 'dutch angle, tilted, tilted frame, canted, canted angle, slanted horizon',
}

export const LIGHTS: Words<LightSide> = {
  left: 'light from the left, lit from the left, left light, window on the left, sun from the left, left side light',
  right: 'light from the right, lit from the right, right light, window on the right, sun from the right, right side light',
  behind: 'backlit, back-lit, backlight, backlighting, from behind, contre-jour, rim light, rim lit, silhouette, silhouetted',
  front: 'front light, front-lit, frontal light, flat light, on-camera flash, flash',
  above: 'overhead light, light from above, top light, toplight, skylight, spotlight',
}
export const HARD = 'hard light, harsh light, hard shadows, harsh sun, strong light, dramatic light, dramatic lighting, chiaroscuro, stark light, spotlight, long shadows, raking light, sharp shadows'
export const SOFT = 'soft light, diffuse light, diffused light, softbox, gentle light, soft window light, overcast light, even light, window light'

export const MEDIA: Words<Medium> = {
  gouache: 'gouache, painting, painted, acrylic, tempera, egg tempera, picture book, picture-book illustration, storybook, illustration, casein, digital painting, fresco, children’s book',
  'oil painting': 'oil painting, oil, oils, oil on canvas, oil on panel, oil portrait, impasto, oil sketch, painterly, baroque, old master',
  watercolour: 'watercolour, watercolor, wash, aquarelle, pen and wash, pastel',
  'ink wash': 'ink wash, sumi, brush and ink, ink painting, grisaille, sepia wash, monochrome wash, ink and wash',
  engraving: 'engraving, etching, line drawing, ink drawing, pen and ink, line art, hatching, drypoint, aquatint, copperplate, pen drawing, ink, lithograph, crosshatched, wood engraving, technical drawing',
  charcoal: 'charcoal, pencil, sketch, graphite, drawing, pencil drawing, chalk, crayon, conté, silverpoint, pencil study',
  'flat print': 'poster, travel poster, screen print, screenprint, print, risograph, flat colour, flat color, vector, vector illustration, flat illustration, serigraph, icon, flat design',
  linocut: 'linocut, woodcut, block print, woodblock print, woodblock, lino print, relief print',
  photograph: 'photograph, photo, photography, photographic, film still, product photograph, film photograph, snapshot, photorealistic, dslr, macro photograph, 35mm, 50mm, 85mm, cinematic, tintype, daguerreotype',
  'paper cut': 'paper cut, papercut, cut paper, paper relief, layered paper, paper collage, low relief, bas-relief, paper sculpture, collage, cut-paper, stained glass, mosaic',
}

export const WORN: Words<Worn> = {
  hat: 'hat, cap, bonnet, straw hat, beret, bowler, top hat, fedora, sun hat',
  scarf: 'scarf, shawl, neckerchief, muffler',
  coat: 'coat, overcoat, raincoat, jacket, cloak, parka, cape, greatcoat, mackintosh',
  dress: 'dress, gown, skirt, ballgown, frock, tutu, kimono, pinafore',
  apron: 'apron, smock, overalls, dungarees',
  robe: 'robe, cassock, habit, tunic, toga',
  armour: 'armour, armor, plate armour, breastplate, chainmail, mail',
  crown: 'crown, tiara, diadem, coronet',
  glasses: 'glasses, spectacles, goggles, monocle',
  beard: 'beard, bearded, whiskers, moustache',
  suit: 'suit, tuxedo, waistcoat, three-piece suit, uniform, tailcoat',
  hood: 'hood, hooded, cowl',
  helmet: 'helmet, visor',
}

export const HELD: Words<Held> = {
  lantern: 'lantern, lamp, torch, candle',
  book: 'book, tome, ledger, newspaper, reading',
  umbrella: 'umbrella, parasol',
  basket: 'basket, bucket, pail, bag, sack',
  staff: 'staff, stick, crook, broom, spear, walking stick, cane, oar, rake, scythe, pole',
  sword: 'sword, blade, sabre, rapier',
  flowers: 'bouquet, bunch of flowers, posy',
  rod: 'fishing rod, rod, angling',
  cup: 'cup, mug, glass, teacup',
  letter: 'letter, note, scroll, map, telegram',
  balloon: 'balloon, kite',
  fiddle: 'violin, fiddle, cello, guitar, lute, accordion',
}

export const POSES: Words<Pose> = {
  standing: 'standing, stands, waiting, leaning, posing',
  walking: 'walking, walks, strolling, crossing, wandering, marching, carrying, climbing, striding, hiking',
  sitting: 'sitting, sits, seated, kneeling, crouching, perched, squatting, reading, resting on a bench, knitting, fishing',
  running: 'running, runs, leaping, jumping, galloping, sprinting, dancing, chasing, racing, charging, dances, leaps, at full speed, skating',
  lying: 'lying, lies, sleeping, asleep, resting, curled up, sleeps, dozing, reclining, napping',
  flying: 'flying, flies, gliding, soaring, hovering, in flight, swooping, diving, flight',
}

export const EXTRAS: Words<Extra> = {
  hives: 'hive, skep, apiary, beehive',
  bees: 'bees, swarm',
  flowers: 'flowers, blossom, wildflowers, gentians, poppies, lavender, edelweiss, daisies, flower bed, sunflowers',
  trees: 'trees, fir, firs, pines, larches, orchard, larch, poplars, birches, oaks, cypresses',
  houses: 'houses, roofs, chalets, cottages, huts, tents',
  viaduct: 'viaduct, bridge, arches, aqueduct, footbridge',
  steam: 'steam, smoke, steaming, smoking',
  moon: 'moon, moonlit, moonlight, full moon, crescent moon',
  stars: 'stars, starry, starlit, milky way',
  birds: 'birds, swallows, geese, flock, gulls, seagulls, crows, ravens, pigeons',
  fence: 'fence, wall, gate, hedge, railing',
  boats: 'boats, sails, masts, fishing boats',
  rocks: 'rock, stone, boulder, rocks, rocky, cliffs, stones',
  lamps: 'street lamp, streetlamp, lamp post, lamppost, street light, fairy lights',
  clouds: 'clouds, thunderheads, cloudscape',
  reflections: 'reflection, reflected, reflections, puddle, puddles, mirror-like',
  path: 'path, road, track, cobblestones, cobbled, trail, lane',
  reeds: 'reed, reeds, tall grass, grasses, rushes',
  sun: 'sun, setting sun, rising sun, sunlight',
}

export const BRIGHT = 'bright, cheerful, joyful, happy, sunny, airy, high key, high-key, playful, light-hearted, festive, gleeful'
export const GLOOMY = 'gloomy, dark, sombre, somber, moody, ominous, sad, melancholy, brooding, eerie, low key, low-key, mournful, sinister, desolate, haunting'
export const WARM = 'warm, warm light, golden, candlelight, lamplight, firelight, warm palette, warm tones, cosy, cozy, warm colours, warm colors'
export const COOL = 'cool, cold light, cool light, icy, blue light, cool palette, cool tones, cold, cool colours, cool colors, bluish'
export const SHALLOW = 'shallow depth of field, bokeh, blurred background, f/1.4, f/1.8, f/2, f/2.8, shallow focus, soft background, out of focus background, 85mm'
export const DEEP = 'deep focus, everything in focus, sharp throughout, f/11, f/16, f/22, deep depth of field'
export const COLOURLESS = 'black and white, black-and-white, monochrome, greyscale, grayscale, sepia'

export const FACES: Words<Face> = {
  block: 'block letters, sans, bold letters, capitals',
  roman: 'serif, roman, engraved letters, carved',
  script: 'script, handwritten, cursive, calligraphy, hand-lettered, copperplate',
}

/** Named colours as OKLCH lightness, chroma and hue in degrees (values from CSS named colours and pigments, read with culori). */
export const COLOURS: Record<string, [number, number, number]> = {
  red: [0.58, 0.2, 27], crimson: [0.53, 0.19, 20], scarlet: [0.6, 0.21, 31], vermilion: [0.62, 0.2, 34], maroon: [0.4, 0.13, 22], burgundy: [0.38, 0.11, 15],
  orange: [0.74, 0.17, 58], amber: [0.79, 0.16, 76], coral: [0.72, 0.16, 30], peach: [0.85, 0.08, 60], apricot: [0.82, 0.11, 65],
  gold: [0.8, 0.14, 88], golden: [0.8, 0.14, 88], brass: [0.72, 0.11, 85], yellow: [0.87, 0.16, 98], mustard: [0.74, 0.13, 88], lemon: [0.92, 0.15, 105], ochre: [0.66, 0.12, 72], cream: [0.94, 0.04, 90], ivory: [0.95, 0.03, 95],
  green: [0.6, 0.13, 145], olive: [0.6, 0.1, 115], sage: [0.74, 0.05, 140], emerald: [0.62, 0.14, 160], mint: [0.87, 0.08, 160], lime: [0.82, 0.18, 128], moss: [0.55, 0.09, 125],
  teal: [0.58, 0.09, 195], turquoise: [0.75, 0.1, 192], aqua: [0.8, 0.1, 195], cyan: [0.8, 0.12, 200],
  blue: [0.55, 0.14, 255], cobalt: [0.5, 0.17, 262], indigo: [0.4, 0.13, 275], navy: [0.32, 0.09, 262], ultramarine: [0.42, 0.19, 268], azure: [0.7, 0.12, 240], slate: [0.5, 0.03, 250],
  purple: [0.5, 0.15, 305], violet: [0.55, 0.16, 298], lilac: [0.78, 0.08, 310], mauve: [0.7, 0.08, 320], lavender: [0.78, 0.07, 295], magenta: [0.6, 0.22, 340], plum: [0.42, 0.12, 325],
  pink: [0.78, 0.11, 355], rose: [0.68, 0.14, 10],
  brown: [0.45, 0.08, 55], rust: [0.52, 0.13, 42], copper: [0.62, 0.11, 50], bronze: [0.55, 0.09, 70], chestnut: [0.42, 0.09, 45], tan: [0.74, 0.07, 70], beige: [0.87, 0.04, 80], sand: [0.84, 0.06, 82], terracotta: [0.6, 0.12, 42],
  black: [0.2, 0.01, 270], white: [0.97, 0.005, 90], grey: [0.62, 0.01, 260], gray: [0.62, 0.01, 260], silver: [0.8, 0.01, 250], charcoal: [0.32, 0.01, 260],
}

export const NUMBERS: Record<string, number> = { one: 1, a: 1, an: 1, single: 1, lone: 1, solitary: 1, two: 2, pair: 2, couple: 2, twin: 2, three: 3, trio: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, several: 4, few: 3, many: 9, crowd: 16, dozen: 12, dozens: 18, hundreds: 24, thousands: 24, flock: 9, herd: 7, pack: 5, swarm: 14, army: 20, group: 5, row: 5, bunch: 5, pile: 6 }
