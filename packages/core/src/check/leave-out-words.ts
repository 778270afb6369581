import { listed, TermFinder } from '../glossary/term-finder.ts'

/** What else a bare word of a leave-out list rules out, beyond its own kinds: words that imply it. Terms separated by commas. */
const IMPLIES: readonly { list: string; implied: string }[] = [
  {
    list: 'text, texts, letters, lettering, words, word, writing, typography, font, fonts, caption, captions, title, titles, signage, signs, sign, inscription, inscriptions, readable text, any text, typography elements, letter',
    implied:
      'shop sign, sign, signs, signboard, signpost, street sign, road sign, neon sign, billboard, poster, posters, travel poster, film poster, movie poster, newspaper, newspapers, front page, front pages, headline, headlines, label, labels, title, titles, caption, slogan, motto, inscription, lettering, typography, logo, book cover, magazine cover, album cover, blackboard, chalkboard, menu, menu board, love letter, handwritten letter, handwriting, handwritten note, banner with, placard, name tag, price tag, ticket, playbill, speech bubble, word, words, letters, text, calendar, graffiti, book spines, spines, number plate, licence plate, license plate, gravestone with a name, sheet of text, invitation, comic strip, infographic, sampler, monogram, scroll with, page of text, certificate',
  },
  {
    list: 'people, person, persons, humans, human, human figures, figures, figure, anyone, anybody, crowd',
    implied: 'crowd, crowds, passers-by, passersby, couple, family, audience, choir, army, team, staff, portrait, face, hand, hands, silhouette of a man, silhouette of a woman, group of friends, villagers, everyone, somebody, someone, nobody else, sisters, brothers, twins, self-portrait, orchestra, band, procession, congregation, guests, police, bride, groom, kids',
  },
  { list: 'fog, mist, haze, smoke', implied: 'fog, foggy, mist, misty, haze, hazy, foggy morning, smoky, smoke, steam, steamy' },
  { list: 'water, sea, ocean', implied: 'water, wave, waves, sea, ocean, lake, river, pond, stream, canal, waterfall, puddle, rain, tide, surf, swimming, underwater, fountain, flood, flooded' },
  { list: 'animals, animal, pets, pet', implied: 'herd, flock, pack of, swarm, pet, puppy, kitten, horse-drawn, cattle, livestock, wildlife' },
  { list: 'birds, bird', implied: 'flock of, gull, gulls, seagulls, birds, murmuration' },
  { list: 'cars, car, vehicles, vehicle, traffic', implied: 'tram, taxi, taxis, bus, truck, lorry, van, motorbike, motorcycle, traffic, traffic jam, car park, parking lot, headlights, racing car, engine' },
  { list: 'buildings, building, houses, house, architecture', implied: 'village, town, city, skyline, street, castle, church, barn, skyscraper, skyscrapers, cottage, cathedral, rooftops, tower, ruins' },
  { list: 'flowers, flower, blossoms, petals', implied: 'bouquet, blossom, blossoms, rose, roses, tulips, peonies, daisies, poppies, sunflowers, sunflower, petals, lilies, flowerpot, floral, wreath, meadow flowers, wildflowers, orchid, orchids, lavender, garland' },
  { list: 'fruit, fruits', implied: 'orange, oranges, apple, apples, pears, lemons, grapes, cherries, strawberries, pomegranates, figs' },
  { list: 'trees, tree', implied: 'forest, wood, woods, orchard, oak, pine, pines, birch, willow, palm, palms, grove' },
  { list: 'shadows, shadow', implied: 'long shadows, hard shadows, deep shadows, chiaroscuro, shadow play, silhouette' },
  { list: 'colour, color, colours, colors', implied: 'colourful, colorful, vivid colours, vivid colors, rainbow' },
  { list: 'frame, frames, border, borders', implied: 'ornate frame, gilded frame, gold frame, decorative border, framed, border' },
  { list: 'snow, ice', implied: 'snow, snowy, snowfall, blizzard, snowman, icicles, frozen, glacier, ice' },
  { list: 'rain', implied: 'rainy, downpour, drizzle, rainstorm, monsoon, puddles, umbrella' },
  { list: 'blood, gore', implied: 'blood, bloody, bleeding, bloodstained, wound, wounded, gore' },
  { list: 'weapons, weapon, guns, gun', implied: 'sword, swords, pistol, rifle, spear, dagger, knife fight, armed, bow and arrow, cannon' },
  { list: 'hats, hat', implied: 'straw hat, cap, bonnet, beret, fedora, helmet with plume, top hat, bowler' },
  { list: 'hands, fingers', implied: 'hands, hand, fingers, fist, holding hands, fingertips' },
  { list: 'faces, face', implied: 'face, faces, portrait, smile, smiling, close-up portrait, headshot' },
  { list: 'clouds, cloud', implied: 'cloudy, overcast, storm clouds, cloud, clouds, thunderhead' },
  { list: 'night, darkness, dark', implied: 'midnight, moonlit, night, starry sky, pitch dark' },
  { list: 'fire, flames', implied: 'fire, burning, bonfire, campfire, flames, blazing, inferno, torch, fireplace' },
  { list: 'watermark, watermarks, signature, signatures, logo, logos', implied: 'logo, watermark, signature, signed' },
  { list: 'blur, blurry, out of focus, blurriness, blurred', implied: 'bokeh, blurred background, motion blur, soft focus, shallow depth of field, out of focus' },
  { list: 'food', implied: 'bread, cake, soup, cheese, fruit, meal, banquet, feast, dish' },
  { list: 'children, child, kids', implied: 'boy, girl, toddler, baby, schoolchildren, kid, kids, infant' },
  { list: 'smoke', implied: 'smoke, smoking, chimney smoke, cigarette, steam train, bonfire' },
  { list: 'religion, religious symbols, crosses', implied: 'cross, crucifix, altar, church, chapel, cathedral, saint, monk, nun' },
]

const finders = new Map(
  IMPLIES.flatMap(({ list, implied }) => {
    const finder = new TermFinder(listed(implied, true))
    return listed(list, finder)
  }),
)
/** Finds what a bare, lower-case entry rules out beyond its own words and kinds. */
export const impliedBy = (entry: string): TermFinder<boolean> | undefined => finders.get(entry)
