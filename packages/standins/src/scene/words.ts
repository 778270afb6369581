import type { Extra, Medium, Moment, Season, Setting, Shot, SubjectKind, Weather } from './scene.ts'

type Words<T extends string> = Partial<Record<T, string>>

const table = <T extends string>(words: Words<T>): [string, T][] =>
  Object.entries(words as Record<T, string>).flatMap(([value, list]) => (list as string).split(', ').map((word): [string, T] => [word, value as T]))

/** `kind/variant` by the words that name it; the first one in the text is the subject. */
export const SUBJECTS = table<`${SubjectKind}/${string}`>({
  'person/old woman': 'old woman, grandmother, elderly woman',
  'person/elder': 'old man, beekeeper, grandfather, elder, shepherd, hermit, elderly, fisherman',
  'person/adult': 'woman, man, person, people, figure, figures, traveller, potter, baker, gardener, hiker, conductor, painter, girl’s mother, walker, villager, villagers, passenger, passengers, skier, skiers, hikers, travellers',
  'person/child': 'child, boy, girl, apprentice, children, pupil',
  'bird/heron': 'heron, crane, stork, egret',
  'bird/small': 'bird, robin, sparrow, owl, swallow, finch, wren, raven, crow, birds, swallows',
  'animal/fox': 'fox, foxes, dog, wolf, dogs',
  'animal/goat': 'goat, goats, ibex, sheep, lamb, deer, stag, chamois',
  'animal/cat': 'cat, cats, kitten, hare, rabbit, marmot',
  'animal/bear': 'bear, bears, cow, ox, horse, horses, cows, badger',
  'insect/bee': 'bee, bees, bumblebee, wasp, fly, swarm',
  'insect/butterfly': 'butterfly, moth, dragonfly, butterflies, moths',
  'vehicle/train': 'train, railway, locomotive, carriage, tram, funicular, cogwheel, engine, railcar',
  'vehicle/cart': 'cart, wagon, car, van, bus, sledge, bicycle',
  'vessel/boat': 'boat, ship, ferry, canoe, sailboat, rowing boat, boats',
  'building/chalet': 'chalet, house, cottage, cabin, hut, station, inn, barn, houses, refuge, lodge',
  'building/tower': 'tower, church, castle, lighthouse, bell tower, chapel, windmill, observatory',
  'food/jar': 'jar, honey, jam, jars, marmalade, honeycomb',
  'food/cup': 'cup, tea, mug, teacup, coffee, cups',
  'food/teapot': 'teapot, kettle, pot, tin, caddy',
  'food/loaf': 'bread, loaf, cake, bun, pastry, pie, cheese',
  'plant/flower': 'flower, flowers, blossom, rose, tulip, gentian, edelweiss, lavender, poppy, thistle, sunflower',
  'plant/tree': 'tree, trees, oak, pine, fir, larch, apple tree, birch',
  'landscape/peaks': 'landscape, mountain, mountains, valley, peak, peaks, glacier, view, ridge, pass, lake',
})

export const SETTINGS = table<Setting>({
  mountains: 'mountain, mountains, alpine, peak, peaks, valley, pass, ridge, summit, glacier, viaduct, gorge, slope, railway, terraced',
  village: 'village, town, street, square, market, station, platform',
  meadow: 'meadow, field, pasture, garden, orchard, hill, apiary, hive, hives, hillside',
  forest: 'forest, wood, woods, woodland, grove, clearing',
  water: 'lake, sea, river, shore, harbour, pond, stream, beach',
  city: 'city, skyline, rooftops, rooftop',
  interior: 'kitchen, room, workshop, interior, library, table, attic, cellar, windowsill, counter, indoors, parlour, shelf',
  studio: 'studio, seamless, backdrop, plain background, white background, product photograph, product shot, isolated',
})

export const MOMENTS = table<Moment>({
  dawn: 'dawn, sunrise, morning, first light, daybreak',
  day: 'noon, midday, afternoon, day, daylight, sunny',
  dusk: 'dusk, sunset, evening, twilight, golden hour, nightfall, last light',
  night: 'night, midnight, moonlit, moonlight, starry, blue hour, lamplit, stars',
})

export const SEASONS = table<Season>({ spring: 'spring, april, may', summer: 'summer, june, july, august', autumn: 'autumn, october, harvest, november', winter: 'winter, snow, snowy, january, december, frost, ice' })

export const WEATHERS = table<Weather>({
  clear: 'clear, sunny, cloudless',
  cloudy: 'cloudy, overcast, clouds',
  mist: 'mist, misty, fog, foggy, haze, hazy',
  rain: 'rain, rainy, drizzle, storm, downpour',
  snow: 'snowing, snowfall, falling snow, snowflakes, blizzard',
})

export const SHOTS = table<Shot>({
  wide: 'wide shot, wide view, long shot, panorama, panoramic, from afar, distant, vista, establishing shot, small figure',
  medium: 'medium shot, half length, waist up, full shot',
  close: 'close-up, close up, closeup, portrait, macro, detail of, tight crop, head and shoulders',
})

export const MEDIA = table<Medium>({
  gouache: 'gouache, painting, painted, oil painting, acrylic, tempera, picture book, storybook',
  'flat print': 'poster, travel poster, screen print, linocut, woodcut, print, risograph, lithograph, flat colour, vector, paper collage, block print',
  wash: 'watercolour, watercolor, wash, ink wash, aquarelle',
  line: 'line drawing, engraving, etching, ink drawing, pen and ink, sketch, pencil, drawing, line art, hatching',
  photograph: 'photograph, photo, photography, photographic, 35mm, 85mm, product photograph, film still',
  'paper cut': 'paper cut, papercut, cut paper, paper relief, layered paper',
})

export const EXTRAS = table<Extra>({
  lantern: 'lantern, lamp, lamplight, lanterns, lamps, candle',
  hive: 'hive, hives, skep, skeps, apiary, beehive, beehives',
  bees: 'bee, bees, swarm',
  flowers: 'flowers, flower, blossom, wildflowers, gentians, poppies, lavender, edelweiss',
  trees: 'tree, trees, fir, firs, pines, larches, orchard, forest, woods, pine, larch',
  houses: 'village, houses, roofs, rooftops, chalets, town',
  viaduct: 'viaduct, bridge, arches, aqueduct',
  steam: 'steam, smoke, smoker, steaming',
  scarf: 'scarf, shawl, neckerchief',
  hat: 'hat, cap, bonnet, veil, straw hat',
  moon: 'moon, moonlit, moonlight',
  stars: 'stars, starry, starlit',
  birds: 'birds, swallows, geese, flock',
})

/** Named colours as OKLCH lightness, chroma and hue in degrees (values from CSS named colours and pigments, read with culori). */
export const COLOURS: Record<string, [number, number, number]> = {
  red: [0.58, 0.2, 27],
  crimson: [0.53, 0.19, 20],
  scarlet: [0.6, 0.21, 31],
  orange: [0.74, 0.17, 58],
  amber: [0.79, 0.16, 76],
  gold: [0.8, 0.14, 88],
  brass: [0.72, 0.11, 85],
  yellow: [0.87, 0.16, 98],
  ochre: [0.66, 0.12, 72],
  cream: [0.94, 0.04, 90],
  green: [0.6, 0.13, 145],
  olive: [0.6, 0.1, 115],
  sage: [0.74, 0.05, 140],
  emerald: [0.62, 0.14, 160],
  teal: [0.58, 0.09, 195],
  turquoise: [0.75, 0.1, 192],
  blue: [0.55, 0.14, 255],
  cobalt: [0.5, 0.17, 262],
  indigo: [0.4, 0.13, 275],
  navy: [0.32, 0.09, 262],
  slate: [0.5, 0.03, 250],
  purple: [0.5, 0.15, 305],
  violet: [0.55, 0.16, 298],
  pink: [0.78, 0.11, 355],
  rose: [0.68, 0.14, 10],
  brown: [0.45, 0.08, 55],
  rust: [0.52, 0.13, 42],
  copper: [0.62, 0.11, 50],
  beige: [0.87, 0.04, 80],
  black: [0.2, 0.01, 270],
  white: [0.97, 0.005, 90],
  grey: [0.62, 0.01, 260],
  gray: [0.62, 0.01, 260],
  silver: [0.8, 0.01, 250],
}

export const NUMBERS: Record<string, number> = { one: 1, a: 1, an: 1, single: 1, lone: 1, two: 2, pair: 2, couple: 2, three: 3, trio: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, several: 4, many: 7, crowd: 9, dozen: 12 }
